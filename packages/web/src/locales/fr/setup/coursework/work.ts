export default {
  button: 'Tous les travaux',
  title: 'Tous les travaux',
  none: 'Il n’y a encore ni devoir, ni questionnaire, ni discussion.',
  section: 'Section',
  assesses: 'Évalue',
  unassessed: 'Rien n’évalue :',
};
