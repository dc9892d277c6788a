/** Hasta dónde se ha llegado. */
export default {
  title: 'Hasta dónde he llegado',
  minutes: 'unos {done} de {all}',
  nothing: 'En este curso aún no cuenta nada como hecho.',
  next: 'Lo siguiente:',
  behind: 'Una cosa va con retraso. | {count} cosas van con retraso.',
  catchUp: 'Con unos {time} se recupera.',
  since: 'desde el {day}',
  more: 'y una más | y {count} más',
  ahead: 'Llevas una cosa de ventaja. | Llevas {count} cosas de ventaja.',
  doneOn: 'hecho el {day}',
  byStaff: 'hecho el {day}, según el equipo docente',
};
