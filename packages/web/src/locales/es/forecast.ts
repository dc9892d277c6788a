/** Hacia dónde va la clase, para el equipo. */
export default {
  title: 'Hacia dónde va la clase',
  back: 'Dónde está cada persona',
  nothing: 'En este curso nada cuenta como hecho, así que no hay nada que prever.',
  nobody:
    'Nadie aprende aún en este curso: se calcula para una persona. | Nadie aprende aún en este curso: se calcula para {count} personas.',
  sentence: 'Tal como va, {middle} de {of} habrán terminado el {day}; probablemente entre {low} y {high}.',
  was: '{middle} de {of} han terminado.',
  ofLabel: 'Qué se muestra',
  of: { share: 'cuánto de todo está hecho', finished: 'cuántos han terminado' },
  lines: {
    was: 'hasta ahora',
    ahead: 'tal como va',
    band: 'en ocho de diez caminos',
    plan: 'según el plan',
    other: 'con el cambio',
  },
  today: 'hoy',
  between: '{middle}, probablemente entre {low} y {high}',
  withIt: 'con el cambio: {middle}',
  planned: 'según el plan: {share}',
  still:
    '{days}: una persona no tiene nada que hacer. | {days}: hasta {count} personas no tienen nada que hacer.',
  stillUntil:
    '{days}: una persona no tiene nada que hacer hasta que abra {title}. | {days}: hasta {count} personas no tienen nada que hacer hasta que abra {title}.',
  peak: '{day}: una persona trabaja mucho más de lo habitual, en {titles}. | {day}: {count} personas trabajan mucho más de lo habitual, en {titles}.',
  waiting:
    'Una persona espera a otras en {title}, unos {days} días. | {count} personas esperan a otras en {title}, unos {days} días.',
  smooth: 'Nadie tiene que parar mucho tiempo, y ningún día destaca.',
  unlikely: 'Es poco probable que terminen',
  allLikely: 'Tal como va, es más probable que cada cual termine que no.',
  chance: 'termina en el {share} de los caminos',
  missed: 'ya no: {title} ha pasado',
  whatIf: {
    title: 'Y si …',
    label: 'Probar un cambio',
    nothing: 'nada: como está planeado',
    due: 'otro día de entrega',
    pause: 'una pausa',
    choose: 'Elige un elemento',
    item: 'De',
    day: 'Entrega el',
    first: 'Desde',
    last: 'Hasta',
    hint: 'Probar no cambia nada.',
    missing: {
      day: 'Elige un elemento y su día.',
      days: 'Di desde cuándo y hasta cuándo.',
      order: 'El último día está antes del primero.',
    },
    reckoning: 'Calculando …',
    cannot: 'Con esto no habría nada que prever.',
    same: 'No cambia cuántos terminan: {then} de {of}.',
    more: 'Con esto terminarían {then} de {of}, en vez de {now}.',
    fewer: 'Con esto solo terminarían {then} de {of}, en vez de {now}.',
    ends: 'El curso terminaría el {then} en vez del {now}.',
    to: { outline: 'Al esquema, para hacerlo', dates: 'A las fechas, para hacerlo' },
  },
  assumed: {
    title: 'Lo que se da por sentado',
    basis: {
      plan: 'Nadie ha hecho nada aún, así que se sigue solo del plan: cada cual trabaja {minutes} minutos al día, un cuarto más de lo que pediría el trabajo repartido por igual.',
      learners:
        'Cada cual sigue como hasta ahora; de quien ha hecho poco se supone que trabaja como todos: {minutes} minutos en un día con algo que hacer.',
    },
    lead: 'Las cosas se hacen el día en que se esperan. | Las cosas se hacen alrededor de un día antes de lo esperado. | Las cosas se hacen unos {count} días antes de lo esperado.',
    after:
      'Las cosas se hacen alrededor de un día después de lo esperado. | Las cosas se hacen unos {count} días después de lo esperado.',
    order: 'Lo que se espera antes se hace antes, y lo que ya no se puede hacer se deja.',
    pauses: 'Nadie trabaja en una pausa.',
    passes: 'Quien hace algo hace todo lo que pide, y está en cada sesión.',
    groups: 'Lo que un grupo entrega junto está hecho cuando llega su último miembro.',
    draws:
      'La banda sale de un camino, en el que cada cual es más rápido o más lento por azar. | La banda sale de {count} caminos, en los que cada cual es más rápido o más lento por azar.',
  },
};
