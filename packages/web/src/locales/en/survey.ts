/** Answering a survey, and what it came to. */
export default {
  title: 'Survey',
  look: 'What it came to',
  thanks: 'You have answered. Nobody can see any more which answer is yours.',
  none: 'It asks nothing yet.',
  promise:
    'Nobody learns who has said what: it is not even kept. Staff see sums alone, from one answer on. What is typed cannot be changed once it is sent. | Nobody learns who has said what: it is not even kept. Staff see sums alone, from {count} answers on. What is typed cannot be changed once it is sent.',
  answerTo: 'Your answer to question {number}',
  takeBack: 'Leave it unanswered',
  answered: '{answered} of {of} answered; none has to be',
  keptHere: 'Until you send it, it is on this device alone.',
  keptNowhere: 'This browser keeps nothing. Leave this page open until you have sent it.',
  send: 'Send it',
  refused: {
    item: 'Nothing is answered here now.',
    empty: 'There is nothing in it yet.',
    changed: 'What is asked has changed meanwhile. Look through it, and send it again.',
  },
  desk: {
    title: 'What it came to: {title}',
    answered: 'Nobody has answered. | One person has answered. | {count} people have answered.',
    notYet: 'Totals are shown from {least} answers on, so that nobody can be told apart.',
    counted:
      'One of them is in these totals. | {count} of them are in these totals; the next come in threes, so that nobody can be told apart.',
    answers: 'no answers | one answer | {count} answers',
    mean: '{mean} on average',
    chart: 'How often each was chosen: {ask}',
    table: 'As a table',
    choice: 'Answer',
    count: 'How often',
  },
};
