export default {
  title: 'Acquis : ce que les participants sauront faire',
  field: 'Acquis {number}',
  fresh: 'Un autre acquis',
  placeholder: 'Lire un rivage à ce qu’on y voit',
  add: 'Ajouter',
  none: 'Aucun pour l’instant. Une poignée suffit ; les éléments nomment ceux qu’ils enseignent et évaluent.',
  unassessed: 'Rien ne l’évalue encore',
  assessedBy: 'Évalué par {numbers}',
  taughtBy: 'enseigné par {numbers}',
  up: 'Monter : {name}',
  down: 'Descendre : {name}',
  remove: 'Retirer : {text}',
};
