export default {
  button: 'Load',
  title: 'What each section asks for',
  chart: 'Minutes of each section, against the target',
  total: 'All in all {length}.',
  target: 'Learners can be asked for {hours} hours a week.',
  noTarget: 'How much they can be asked for has not been said: under “Numbers, reading”.',
  targetLine: 'Target',
  heavy:
    'No section is over the target | One section is over the target | {count} sections are over the target',
  over: '{length} over',
  asTable: 'As a table',
  asks: 'Asks for',
  due: 'Work due',
  unsaid: 'Without minutes',
};
