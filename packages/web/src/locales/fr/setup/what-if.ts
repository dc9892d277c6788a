export default {
  title: 'Avant que cela change',
  moves: 'Rien ne bouge. | Une date bouge. | {count} dates bougent.',
  unmoved: 'Une reste comme elle est. | Une reste comme elle est. | {count} restent comme elles sont.',
  lastDay: 'Le dernier jour passe de {from} à {to}.',
  noDate: 'pas de date',
  table: 'Ce qui bouge, et vers quand',
  columns: { what: 'Quoi', from: 'Maintenant', to: 'Ensuite', verdict: 'Donc' },
  what: { opens: '(ouvre)', due: '(à rendre)', held: '(a lieu)' },
  verdicts: {
    moves: 'suit',
    gains: 'reçoit une date',
    loses: 'perd sa date',
    leaves: 'sort des dates du cours',
    stays_behind: 'est fixe, et reste en arrière',
  },
  aside: {
    sections:
      'Une section est mise de côté. | Une section est mise de côté. | {count} sections sont mises de côté ; elles reviennent avec un autre format.',
    spans:
      'La durée d’une unité est mise de côté. | La durée d’une unité est mise de côté. | Les durées de {count} unités sont mises de côté.',
    pins: 'Une date épinglée est mise de côté. | Une date épinglée est mise de côté. | {count} dates épinglées sont mises de côté.',
    meetings:
      'Un changement de séance est mis de côté. | Un changement de séance est mis de côté. | {count} changements de séances sont mis de côté.',
    pauses: 'Une pause est mise de côté. | Une pause est mise de côté. | {count} pauses sont mises de côté.',
  },
  along: 'Déplacer aussi la date fixe | Déplacer aussi la date fixe | Déplacer aussi les {count} dates fixes',
  drop: 'Laisser comme c’est',
  accept: 'Changer',
};
