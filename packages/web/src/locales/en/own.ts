/** What a course is for one person: what is new, what they have done, what they find in it. */
export default {
  news: {
    title: 'New for you',
    since: 'since {when}',
    what: {
      opened: 'has opened',
      added: 'is new',
      changed: 'has been changed',
      posted: 'one post | {count} posts',
      marked: 'has been marked',
      announced: 'announced',
    },
  },
  find: {
    title: 'Find in this course',
    label: 'Words to look for',
    away: 'It did not come. Try again.',
    count: 'Nothing here has these words. | One place has them. | {count} places have them.',
    in: 'in {title}',
    where: {
      section: 'a section',
      announcement: 'an announcement',
    },
    more: 'More places have them: look for more words.',
  },
  log: {
    title: 'What I have done here',
    lead: 'Other learners do not see this page. Times are those of {zone}.',
    none: 'Nothing yet.',
    more: 'What was before',
    gone: 'something that is not yours to see any more',
    what: {
      opened: 'opened',
      done: 'done',
      watched: 'watched',
      handed_in: 'handed in',
      began_quiz: 'began an attempt',
      ended_quiz: 'ended an attempt',
      posted: 'posted',
      attended: 'was there',
      answered: 'answered',
    },
  },
};
