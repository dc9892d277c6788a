export default {
  title: 'Antes de cambiarlo',
  moves: 'No se mueve nada. | Se mueve una fecha. | Se mueven {count} fechas.',
  unmoved: 'Una queda como está. | Una queda como está. | {count} quedan como están.',
  lastDay: 'El último día pasa de {from} a {to}.',
  noDate: 'sin fecha',
  table: 'Qué se mueve, y adónde',
  columns: { what: 'Qué', from: 'Ahora', to: 'Después', verdict: 'Así que' },
  what: { opens: '(se abre)', due: '(entrega)', held: '(se celebra)' },
  verdicts: {
    moves: 'se mueve también',
    gains: 'recibe fecha',
    loses: 'pierde su fecha',
    leaves: 'sale de las fechas del curso',
    stays_behind: 'es fija, y se queda atrás',
  },
  aside: {
    sections:
      'Una sección queda aparte. | Una sección queda aparte. | {count} secciones quedan aparte; vuelven con otro formato.',
    spans:
      'La duración de una unidad queda aparte. | La duración de una unidad queda aparte. | La duración de {count} unidades queda aparte.',
    pins: 'Una fecha fijada queda aparte. | Una fecha fijada queda aparte. | {count} fechas fijadas quedan aparte.',
    meetings:
      'Un cambio de una clase queda aparte. | Un cambio de una clase queda aparte. | {count} cambios de clases quedan aparte.',
    pauses: 'Una pausa queda aparte. | Una pausa queda aparte. | {count} pausas quedan aparte.',
  },
  along: 'Mover también la fecha fija | Mover también la fecha fija | Mover también las {count} fechas fijas',
  drop: 'Dejarlo como está',
  accept: 'Cambiarlo',
};
