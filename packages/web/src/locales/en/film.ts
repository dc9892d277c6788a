/** Watching a film. */
export default {
  player: 'Film: {name}',
  watched: '{share} watched',
  opened: 'Opened',
  wanted: 'done at {share}',
  kept: 'Kept by the server',
  onItsWay: 'Kept on this device, on its way',
  goesOn: 'It goes on at {time}, where you were.',
  fromBeginning: 'From the beginning',
  chapters: 'Parts of the film',
  said: 'What is said',
  who: 'Who has watched how much',
  notOpened: 'not opened',
};
