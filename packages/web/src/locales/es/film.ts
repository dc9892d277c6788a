/** Ver una película. */
export default {
  player: 'Película: {name}',
  watched: '{share} visto',
  opened: 'Abierta',
  wanted: 'hecho con {share}',
  kept: 'Guardado en el servidor',
  onItsWay: 'Guardado en este dispositivo, en camino',
  goesOn: 'Sigue en {time}, donde estabas.',
  fromBeginning: 'Desde el principio',
  chapters: 'Partes de la película',
  said: 'Lo que se dice',
  who: 'Quién ha visto cuánto',
  notOpened: 'sin abrir',
};
