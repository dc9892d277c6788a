/** Regarder un film. */
export default {
  player: 'Film : {name}',
  watched: '{share} vu',
  opened: 'Ouvert',
  wanted: 'fait à {share}',
  kept: 'Gardé par le serveur',
  onItsWay: 'Gardé sur cet appareil, en route',
  goesOn: 'Il reprend à {time}, là où vous étiez.',
  fromBeginning: 'Depuis le début',
  chapters: 'Parties du film',
  said: 'Ce qui est dit',
  who: 'Qui a vu combien',
  notOpened: 'pas ouvert',
};
