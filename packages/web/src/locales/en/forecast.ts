/** Where a class is going, for staff. */
export default {
  title: 'Where the class is going',
  back: 'Where everybody stands',
  nothing: 'Nothing counts as done in this course, so there is nothing to foresee.',
  nobody:
    'Nobody learns in this course yet: it is reckoned for one learner. | Nobody learns in this course yet: it is reckoned for {count} learners.',
  sentence: 'As it looks now, {middle} of {of} will have finished by {day}; likely between {low} and {high}.',
  was: '{middle} of {of} have finished.',
  ofLabel: 'What to show',
  of: { share: 'how much of it all is done', finished: 'how many have finished' },
  lines: {
    was: 'until now',
    ahead: 'as it looks',
    band: 'in eight of ten ways',
    plan: 'by the plan',
    other: 'with the change',
  },
  today: 'today',
  between: '{middle}, likely between {low} and {high}',
  withIt: 'with the change: {middle}',
  planned: 'by the plan: {share}',
  still: '{days}: one learner has nothing to do. | {days}: up to {count} learners have nothing to do.',
  stillUntil:
    '{days}: one learner has nothing to do, until {title} opens. | {days}: up to {count} learners have nothing to do, until {title} opens.',
  peak: '{day}: one learner works much more than usual, on {titles}. | {day}: {count} learners work much more than usual, on {titles}.',
  waiting:
    'One learner waits for others with {title}, about {days} days. | {count} learners wait for others with {title}, about {days} days.',
  smooth: 'Nobody has to stand still for long, and no day stands out.',
  unlikely: 'Not likely to finish',
  allLikely: 'As it looks, everybody is more likely to finish than not.',
  chance: 'finishes in {share} of the ways',
  whatIf: {
    title: 'What if …',
    label: 'Try a change',
    nothing: 'nothing: as it is planned',
    due: 'another due day',
    pause: 'a pause',
    choose: 'Choose an item',
    item: 'Of',
    day: 'Due on',
    first: 'From',
    last: 'To',
    hint: 'Nothing is changed by trying.',
    missing: {
      day: 'Choose an item and its day.',
      days: 'Say from when and to when.',
      order: 'The last day lies before the first.',
    },
    reckoning: 'Being reckoned …',
    cannot: 'With this there would be nothing to foresee.',
    same: 'It changes nothing in how many finish: {then} of {of}.',
    more: 'With it {then} of {of} would finish, instead of {now}.',
    fewer: 'With it only {then} of {of} would finish, instead of {now}.',
    to: { outline: 'To the outline, to do it', dates: 'To the dates, to do it' },
  },
  assumed: {
    title: 'What this takes for given',
    basis: {
      plan: 'Nobody has done anything yet, so it follows from the plan alone: each works {minutes} minutes a day, a quarter more than the work spread evenly would ask.',
      learners:
        'Each goes on as they have gone until now; of whoever has done little it is taken that they work as all of them do: {minutes} minutes on a day with something to do.',
    },
    lead: 'Things are done on the day by which they are wanted. | Things are done about one day before they are wanted. | Things are done about {count} days before they are wanted.',
    after:
      'Things are done about one day after they are wanted. | Things are done about {count} days after they are wanted.',
    order: 'What is wanted first is done first, and what cannot be done any more is left.',
    pauses: 'Nobody works in a pause.',
    passes: 'Whoever does something does all that it takes, and is at every meeting.',
    groups: 'What a group hands in as one is done when the last of it has got to it.',
    draws:
      'The band comes from one way, in which each is quicker or slower by chance. | The band comes from {count} ways, in which each is quicker or slower by chance.',
  },
};
