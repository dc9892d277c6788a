export default {
  button: 'Entregas',
  title: 'Todas las entregas',
  none: 'Todavía no hay tareas, cuestionarios ni debates.',
  section: 'Sección',
  assesses: 'Evalúa',
  unassessed: 'Nada evalúa:',
};
