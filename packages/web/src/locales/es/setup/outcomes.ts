export default {
  title: 'Resultados: lo que se sabrá hacer después',
  field: 'Resultado {number}',
  fresh: 'Otro resultado',
  placeholder: 'Leer una costa por lo que se ve',
  add: 'Añadir',
  none: 'Todavía ninguno. Basta un puñado; los elementos nombran los que enseñan y evalúan.',
  unassessed: 'Todavía nada lo evalúa',
  assessedBy: 'Lo evalúa {numbers}',
  taughtBy: 'lo enseña {numbers}',
  up: 'Subir: {name}',
  down: 'Bajar: {name}',
  remove: 'Quitar: {text}',
};
