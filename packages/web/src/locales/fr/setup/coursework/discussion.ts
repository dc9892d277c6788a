/** Une discussion : qui ouvre des fils, et ce qui se voit quand. */
export default {
  title: 'La discussion',
  starts: 'Qui peut ouvrir un fil',
  startsOf: { everybody: 'Tout le monde', staff: 'L’équipe seule' },
  firstPost: 'Les messages des autres se voient après un premier des siens',
  ownEdits: 'Les apprenants peuvent modifier et retirer leurs messages',
  mayAttach: 'Des fichiers peuvent accompagner un message',
  shut: 'Fermée : plus rien n’est publié',
  look: 'Voir la discussion',
};
