/** Où l’on en est. */
export default {
  title: 'Où j’en suis',
  minutes: 'environ {done} sur {all}',
  nothing: 'Rien dans ce cours ne compte encore comme fait.',
  next: 'Ensuite :',
  behind: 'Une chose est en retard. | {count} choses sont en retard.',
  catchUp: 'Environ {time} suffiraient à rattraper.',
  since: 'depuis le {day}',
  more: 'et une de plus | et {count} de plus',
  ahead: 'Vous avez une chose d’avance. | Vous avez {count} choses d’avance.',
  doneOn: 'fait le {day}',
  byStaff: 'fait le {day}, selon l’équipe',
};
