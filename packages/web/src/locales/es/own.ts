/** What a course is for one person: what is new, what they have done, what they find in it. */
export default {
  news: {
    title: 'Nuevo para ti',
    since: 'desde {when}',
    what: {
      opened: 'se ha abierto',
      added: 'es nuevo',
      changed: 'se ha cambiado',
      posted: 'un mensaje | {count} mensajes',
      marked: 'se ha calificado',
      announced: 'anunciado',
    },
  },
  find: {
    title: 'Buscar en este curso',
    label: 'Palabras que buscar',
    away: 'No ha llegado. Inténtalo de nuevo.',
    count: 'Nada aquí tiene estas palabras. | Un lugar las tiene. | {count} lugares las tienen.',
    in: 'en {title}',
    where: {
      section: 'una sección',
      announcement: 'un anuncio',
    },
    more: 'Hay más lugares: busca con más palabras.',
  },
  log: {
    title: 'Lo que he hecho aquí',
    lead: 'Los demás estudiantes no ven esta página. Las horas son las de {zone}.',
    none: 'Nada todavía.',
    more: 'Lo anterior',
    gone: 'algo que ya no puedes ver',
    what: {
      opened: 'abierto',
      done: 'hecho',
      watched: 'visto',
      handed_in: 'entregado',
      began_quiz: 'intento empezado',
      ended_quiz: 'intento terminado',
      posted: 'mensaje escrito',
      attended: 'presente',
      answered: 'respondida',
    },
  },
};
