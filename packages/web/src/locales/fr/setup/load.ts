export default {
  button: 'Charge',
  title: 'Ce que demande chaque section',
  chart: 'Minutes de chaque section, face à la cible',
  total: 'En tout {length}.',
  target: 'On peut demander {hours} heures par semaine aux participants.',
  noTarget: 'On n’a pas dit combien on peut leur demander : sous « Numéros, lecture ».',
  targetLine: 'Cible',
  heavy:
    'Aucune section ne dépasse la cible | Une section dépasse la cible | {count} sections dépassent la cible',
  over: '{length} de trop',
  asTable: 'En tableau',
  asks: 'Demande',
  due: 'Travaux à rendre',
  unsaid: 'Sans minutes',
};
