/** How far one is. */
export default {
  title: 'How far I am',
  minutes: 'about {done} of {all}',
  nothing: 'Nothing in this course counts as done yet.',
  next: 'Next:',
  behind: 'One thing is behind. | {count} things are behind.',
  catchUp: 'About {time} would catch up.',
  since: 'since {day}',
  more: 'and one more | and {count} more',
  ahead: 'You are one thing ahead. | You are {count} things ahead.',
  doneOn: 'done on {day}',
  byStaff: 'done on {day}, as staff say',
};
