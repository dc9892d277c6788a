export default {
  button: 'All work',
  title: 'All work',
  none: 'There is no assignment, quiz or discussion yet.',
  section: 'Section',
  assesses: 'Assesses',
  unassessed: 'Nothing assesses:',
};
