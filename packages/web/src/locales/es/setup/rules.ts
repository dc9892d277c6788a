/** What each readiness rule says: what it found, why it matters, and what its cure does. */
export default {
  no_description: {
    what: 'El curso no tiene descripción',
    why: 'Por ella se sabe qué espera a cada cual; bastan unas frases del programa.',
    cure: '',
  },
  no_first_day: {
    what: 'El curso no tiene primer día',
    why: 'Un curso semana a semana toma de él todas las demás fechas.',
    cure: '',
  },
  mid_week: {
    what: 'El primer día cae en {weekday}, y la semana de clase empieza en {weekStart}',
    why: 'Cada sección quedaría partida entre dos semanas.',
    cure: 'Empezar el {moved}',
  },
  dates_past: {
    what: 'El curso ya ha empezado, el {firstDay}',
    why: 'Los estudiantes llegarían tarde.',
    cure: 'Empezar el {moved}',
  },
  dates_past_over: {
    what: 'Las fechas del curso han pasado: terminó el {lastDay}',
    why: 'Quizá sean las de una edición anterior.',
    cure: 'Empezar el {moved}',
  },
  spare_weeks: {
    what: 'La semana {first} no tiene sección | {count} semanas no tienen sección, desde la semana {first}',
    why: 'Quedarían vacías en el calendario de todos.',
    cure: 'Terminar tras {filled} semanas',
  },
  unplaced_sections: {
    what: 'Una sección no tiene semana | {count} secciones no tienen semana',
    why: 'El curso dura {weeks} semanas, y sus secciones necesitan {needed}.',
    cure: 'Que dure {needed} semanas',
  },
  no_item: {
    what: 'No se muestra nada en el curso',
    why: 'Quien lo abriera lo encontraría vacío. Añade una página a una sección.',
    cure: '',
  },
  empty_section: {
    what: 'Una sección está vacía | {count} secciones están vacías',
    why: 'Una sección vacía parece sin terminar.',
    cure: 'No mostrarla | No mostrarlas',
  },
  empty_item: {
    what: 'Un elemento no contiene nada | {count} elementos no contienen nada',
    why: 'Al abrirlos no se encontraría nada.',
    cure: 'No mostrarlo | No mostrarlos',
  },
  no_learners: {
    what: 'No hay estudiantes en el curso',
    why: 'Se pondría en marcha para nadie.',
    cure: '',
  },
  seats_short: {
    what: 'Hay más estudiantes que plazas: {learners} para {seats}',
    why: 'Nadie de quienes están se va, y nadie más entra por sí mismo.',
    cure: 'Hacer sitio para todos',
  },
  way_never: {
    what: 'La vía {way} se cierra antes de abrirse',
    why: 'Quien quiere entrar lee que el plazo ha terminado.',
    cure: 'Dejarla abierta',
  },
  way_never_draft: {
    what: 'La vía {way} se cierra antes de que el curso se abra',
    why: 'Hasta entonces no entra nadie, y después tampoco.',
    cure: 'Dejarla abierta después',
  },
  way_never_late: {
    what: 'La vía {way} se abre después del último día',
    why: 'Quien entra entonces encuentra un curso terminado.',
    cure: 'Abrirla ya',
  },
  ways_contradict: {
    what: 'Unos deben pedirlo, y quien tiene el código no',
    why: 'El código deja entrar a cualquiera sin preguntar: desactiva una de las dos vías, o limita el código a unos dominios.',
    cure: '',
  },
  ways_contradict_seats: {
    what: '{own} plazas {way}, y {seats} en todo el curso',
    why: 'Las plazas de una vía son parte de las del curso: no hay más.',
    cure: 'Dejarlo al curso',
  },
  line_stuck: {
    what: 'Hay quien espera por una vía desactivada: {way}',
    why: 'No se le ofrece ninguna plaza. | No se le ofrece ninguna plaza a quien espera. | No se les ofrece ninguna plaza a los {count} que esperan.',
    cure: 'Activarla',
  },
  line_stuck_over: {
    what: 'Hay quien espera por una vía ya cerrada: {way}',
    why: 'No se le ofrece ninguna plaza. | No se le ofrece ninguna plaza a quien espera. | No se les ofrece ninguna plaza a los {count} que esperan.',
    cure: 'Dejarla abierta',
  },
  letters_wait: {
    what: 'Las invitaciones no salen',
    why: 'Aquí no hay servicio de correo: las cartas esperan.',
    cure: '',
  },
  letters_wait_request: {
    what: 'Nadie se entera de las solicitudes',
    why: 'Aquí no hay servicio de correo: quien pide espera hasta que alguien mira.',
    cure: '',
  },
  invitations_open: {
    what: 'Ninguna invitación ha vuelto | Una invitación ha vuelto | {count} invitaciones han vuelto',
    why: 'Quien debía recibirla no sabe nada: corrige la dirección.',
    cure: '',
  },
  invitations_open_unanswered: {
    what: 'Ninguna invitación sin respuesta | Una invitación lleva una semana sin respuesta | {count} invitaciones llevan una semana sin respuesta',
    why: 'Envíala otra vez, o retírala.',
    cure: '',
  },
  requests_open: {
    what: 'Nadie pide entrar | Una persona pide entrar | {count} personas piden entrar',
    why: 'Esperan tu respuesta.',
    cure: '',
  },
  registry_empty: {
    what: 'La entrada desde el registro está activada y el curso no sigue ninguna de sus clases',
    why: 'Nadie entra así.',
    cure: '',
  },
  registry_over_seats: {
    what: 'Hay {listed} estudiantes en las listas del registro y {seats} plazas',
    why: 'Los demás esperan en la lista hasta que alguien se vaya.',
    cure: 'Plazas para todos',
  },
  registry_asks: {
    what: 'El registro dice algo que tienes que resolver | El registro dice {count} cosas que tienes que resolver',
    why: 'Hasta entonces queda lo que tienes.',
    cure: '',
  },
  registry_away: {
    what: 'El registro no se ha leído desde el {day}',
    why: 'No responde: las altas y bajas tardías no están en el curso.',
    cure: '',
  },
  registry_away_never: {
    what: 'El registro no se ha leído nunca',
    why: 'No responde: por ahí no entra nadie.',
    cure: '',
  },
  class_left_out: {
    what: 'Nadie de la clase {name} está en un grupo | De {count} clases nadie está en un grupo; la primera, {name}',
    why: 'Aquí los grupos trabajan por separado, y una clase entera no participa en nada.',
    cure: '',
  },
  ungrouped: {
    what: 'Nadie está sin grupo | Un estudiante está sin grupo | {count} estudiantes están sin grupo',
    why: 'Aquí los grupos trabajan por separado: quien no está en ninguno no participa.',
    cure: '',
  },
  instructor_alone: {
    what: 'Un docente para {learners} estudiantes',
    why: 'Si enferma, nadie más puede cambiar nada ni responder.',
    cure: '',
  },
  pays_nothing: {
    what: 'Entrar con pago no cuesta nada',
    why: 'No hay precio, o es de cero: quien quiere pagar no puede, o entra gratis.',
    cure: '',
  },
  pays_nothing_desk: {
    what: 'Nadie puede pagar',
    why: 'La vía con pago está activada, y aquí no hay servicio de pago.',
    cure: '',
  },
  ends_before_start: {
    what: 'El último día, {lastDay}, es anterior al primero, {firstDay}',
    why: 'El curso acabaría antes de empezar. Cambia uno de los dos.',
    cure: '',
  },
  no_pattern: {
    what: 'No hay clases',
    why: 'Clase a clase, las clases hacen las secciones: di en qué días son.',
    cure: '',
  },
  no_days: {
    what: 'No queda ni un día de clase',
    why: 'Las pausas, o el último día, se llevan todos los días de clase desde el {firstDay}.',
    cure: '',
  },
  meeting_pace: {
    what: 'Las clases van con un calendario para todos',
    why: 'Un reloj propio no cabe entre clases que se dan juntos.',
    cure: 'Ritmo: Juntos',
  },
  around_missing: {
    what: 'El elemento en torno al que gira el curso no está',
    why: 'Elige uno que los estudiantes vean.',
    cure: '',
  },
  past_term: {
    what: 'El curso dura hasta el {lastDay}; {term} acaba el {termEnds}',
    why: 'Las aulas, las personas y las notas se organizan por periodos.',
    cure: '',
  },
  spare_weeks_meetings: {
    what: 'La clase {first} no tiene sección | {count} clases no tienen sección, desde la clase {first}',
    why: 'Quedarían vacías en el calendario de todos.',
    cure: 'Terminar tras {filled} clases',
  },
  unplaced_sections_meetings: {
    what: 'Una sección no tiene clase | {count} secciones no tienen clase',
    why: 'Hay {weeks} clases, y las secciones necesitan {needed}.',
    cure: 'Que sean {needed} clases',
  },
  past_last_day: {
    what: 'Una sección pasa del último día, {lastDay} | {count} secciones pasan del último día, {lastDay}',
    why: 'No se llegaría a lo que queda más allá.',
    cure: 'Terminar el {needs}',
  },
  unit_overlap: {
    what: 'Una sección fijada empieza antes de que acabe la anterior | {count} secciones fijadas empiezan antes de que acaben las anteriores',
    why: 'Dos secciones a la vez son difíciles de seguir.',
    cure: 'Que siga a la anterior | Que sigan a las anteriores',
  },
  typed_numbers: {
    what: 'Un título empieza con un número propio | {count} títulos empiezan con números propios',
    why: 'Junto al número calculado, será falso tras el próximo cambio.',
    cure: 'Quitarlo | Quitarlos',
  },
  work_undated: {
    what: 'Una entrega no tiene fecha | {count} entregas no tienen fecha',
    why: 'Aquello desde lo que se miden no la tiene, o ya no está.',
    cure: 'Quitar el plazo | Quitar los plazos',
  },
  takes_nothing: {
    what: '{title} no recoge nada | {count} tareas no recogen nada',
    why: 'No se puede entregar ni texto, ni dirección, ni archivo.',
    cure: 'Recoger texto | Recoger texto en cada una',
  },
  late_before_due: {
    what: '{title} se recoge tarde hasta antes del plazo | {count} trabajos se recogen tarde hasta antes del plazo',
    why: 'Así nada llega nunca tarde.',
    cure: 'No recoger nada tarde',
  },
  pass_out_of_reach: {
    what: '{title} se aprueba con {points} puntos de {total} | {count} trabajos piden para aprobar más puntos de los que hay',
    why: 'Nadie puede aprobarla.',
    cure: 'Aprobar con todos los puntos',
  },
  no_questions: {
    what: '{title} no pregunta nada | {count} cuestionarios no preguntan nada',
    why: 'Quien aprende encuentra un cuestionario en el que no hay nada que responder.',
    cure: '',
  },
  question_unanswerable: {
    what: 'La pregunta {question} de {title} no tiene respuesta correcta | {count} cuestionarios tienen preguntas sin respuesta correcta',
    why: 'Nada está marcado como correcto, o no hay entre qué elegir.',
    cure: '',
  },
  pool_uneven: {
    what: 'En {title}, las preguntas de «{pool}» dan puntos distintos | {count} cuestionarios sacan de preguntas que dan puntos distintos',
    why: 'Un intento puede dar entonces más que otro.',
    cure: '',
  },
  pool_uneven_short: {
    what: '{title} saca {draws} preguntas de «{pool}», que tiene {has} | {count} cuestionarios sacan más preguntas de las que hay',
    why: 'Cada intento las recibe todas, y ninguna más.',
    cure: '',
  },
  points_unlike_total: {
    what: 'Las preguntas de {title} suman {points} puntos, y da {total} | En {count} cuestionarios las preguntas suman otra cosa que el total',
    why: 'Lo que se cuenta sumando no es lo que se obtiene.',
    cure: 'Que las preguntas digan el total',
  },
  limit_beyond_opening: {
    what: '{title} da {limit} minutos y está abierto {open} | {count} cuestionarios dan más tiempo del que están abiertos',
    why: 'A quien empieza al abrirse se le corta antes de que acabe su tiempo.',
    cure: 'Dar lo que está abierto',
  },
  limit_too_short: {
    what: 'Se espera que {title} lleve {minutes} minutos, y da {limit} | {count} cuestionarios dan menos tiempo del que se espera que lleven',
    why: 'La mayoría no termina.',
    cure: 'Dar lo que se espera',
  },
  no_time_between: {
    what: '{title} tiene {tries} intentos con {wait} minutos entre ellos y está abierto {open} | En {count} cuestionarios las esperas no dejan tiempo para todos los intentos',
    why: 'Los últimos intentos no se pueden empezar nunca.',
    cure: 'Quitar la espera',
  },
  discussion_shut: {
    what: '{title} está cerrado y se completa publicando | {count} debates están cerrados y se completan publicando',
    why: 'Nadie puede publicar ahí, así que nadie lo completa nunca.',
    cure: 'Abrirlo | Abrirlos',
  },
  choice_unseen: {
    what: '{title} tiene una imagen para elegir que nadie describe, en la pregunta {question} | {count} cuestionarios tienen imágenes para elegir que nadie describe',
    why: 'Quien no la ve no puede elegirla.',
    cure: '',
  },
  film_silent: {
    what: '{title} no tiene subtítulos | {count} películas no tienen subtítulos',
    why: 'Quien no oye, o la ve donde hay ruido, no recibe nada de lo que se dice.',
    cure: '',
  },
  watch_unnoticed: {
    what: '{title} se completa viéndola, y nadie lo nota | {count} películas se completan viéndolas, y nadie lo nota',
    why: 'Solo se sigue una película que es un archivo de aquí, con duración.',
    cure: 'Que cuente abrirla | Que cuente abrirlas',
  },
  chapter_beyond: {
    what: '{title} tiene una parte que empieza después del final | {count} películas tienen partes que empiezan después del final',
    why: 'Nadie llega ahí. Quizá la película ya es otra.',
    cure: 'Quitar esas partes',
  },
  meeting_nowhere: {
    what: '{title} no tiene lugar | {count} clases no tienen lugar',
    why: 'Nadie sabe adónde ir: no hay ni lugar ni sala en la red.',
    cure: '',
  },
  attendance_unnoticed: {
    what: '{title} se completa estando, y nadie dice quién estuvo | {count} clases se completan estando, y nadie dice quién estuvo',
    why: 'Nadie lo completa nunca.',
    cure: 'Que el equipo marque una lista',
  },
  survey_asks_nothing: {
    what: '{title} no tiene nada que responder, o nada entre lo que elegir | {count} encuestas no tienen nada que responder, o nada entre lo que elegir',
    why: 'Quien la abre no encuentra nada que decir.',
    cure: '',
  },
  survey_too_few: {
    what: '{title} quiere {least} respuestas antes de mostrar nada, y aquí aprenden {learners} | {count} encuestas quieren más respuestas antes de mostrar nada que personas hay',
    why: 'Sus totales no se ven nunca.',
    cure: '',
  },
  largest_beyond: {
    what: '{title} dice {largest} MB y el curso recoge {limit} | {count} tareas dicen que recogen archivos más grandes que el curso',
    why: 'Un archivo mayor se rechaza igualmente.',
    cure: 'Dejarlo al curso',
  },
  work_circle: {
    what: '{count} plazos se miden unos desde otros',
    why: 'En un círculo ninguno tiene fecha.',
    cure: 'Darles la hora habitual de entrega',
  },
  work_outside: {
    what: '{title} se entrega el {day}, fuera de su sección | {count} entregas caen fuera de sus secciones',
    why: 'Los estudiantes las buscan en los días de su sección.',
    cure: 'Darle la hora habitual de entrega | Darles la hora habitual de entrega',
  },
  work_in_pause: {
    what: '{title} se entrega el {day}, en la pausa {pause} | {count} entregas caen en una pausa',
    why: 'No hay nadie a quien preguntar.',
    cure: '',
  },
  work_at_clock_change: {
    what: '{title} se entrega a las {time} del {day}, una hora que los relojes se saltan | {count} entregas caen en una hora que los relojes se saltan o repiten',
    why: 'Cuenta como la misma distancia después del salto. Otra hora ahorra la pregunta.',
    cure: '',
  },
  work_at_clock_change_twice: {
    what: '{title} se entrega a las {time} del {day}, una hora que los relojes dan dos veces | {count} entregas caen en una hora que los relojes repiten o se saltan',
    why: 'Cuenta la primera. Otra hora ahorra la pregunta.',
    cure: '',
  },
  work_before_opening: {
    what: '{title} se entrega el {day}, antes de abrirse | {count} entregas vencen antes de abrirse',
    why: 'No se podría entregar nunca.',
    cure: 'Abrirla con su sección | Abrirlas con sus secciones',
  },
  work_same_night: {
    what: '{works} entregas vencen el {day} | En {count} días vence más de una entrega',
    why: 'Una de ellas saldrá mal.',
    cure: '',
  },
  work_no_such_weekday: {
    what: '{title} se entrega en un día de la semana que su sección no tiene | {count} entregas caen en un día de la semana que sus secciones no tienen',
    why: 'Se ha tomado el día más cercano: {day}. | Se han tomado los días más cercanos.',
    cure: '',
  },
  heavy_sections: {
    what: 'Una sección pide más de {hours} horas por semana | {count} secciones piden más de {hours} horas por semana',
    why: 'La más pesada tiene {minutes} minutos.',
    cure: '',
  },
  stated_hours: {
    what: 'El curso promete {stated} horas; sus elementos suman {hours}',
    why: 'Los estudiantes se organizan por lo prometido.',
    cure: 'Prometer {hours} horas',
  },
  outcome_unassessed: {
    what: 'Nada evalúa el resultado «{outcome}» | Nada evalúa {count} resultados',
    why: 'Nadie sabría si se ha alcanzado.',
    cure: '',
  },
  largest_upload: {
    what: 'El archivo más grande es de {limit} MB; aquí nada pide tanto',
    why: 'De ahí vienen las líneas lentas y los discos llenos.',
    cure: 'Que sean {needed} MB',
  },
  largest_upload_below: {
    what: 'El archivo más grande es de {limit} MB, y aquí hay uno de {largest} MB',
    why: 'Lo que se pide no cabe.',
    cure: 'Que sean {needed} MB',
  },
  link_gone: {
    what: 'Unas palabras de un texto llevan a un elemento que los estudiantes no reciben | Palabras de los textos llevan a {count} elementos que los estudiantes no reciben',
    why: 'Las palabras quedan, y no llevan a ninguna parte. Muestra de nuevo el elemento, o quita el enlace.',
    cure: '',
  },
  nothing_open: {
    what: 'Nada está abierto el primer día, {day} | Nada está abierto el primer día, {day}',
    why: 'Todo lo visible se abre más tarde, así que los estudiantes llegan a una puerta cerrada. Deja algo abierto: por dónde empezar.',
    cure: '',
  },
  closed_before_due: {
    what: '{title} se entrega {day}, después de que el curso se cierre | {count} entregas vencen después de que el curso se cierre',
    why: 'Ya nadie puede entregarlo.',
    cure: 'Dejar el curso abierto después de su último día',
  },
  picture_alt: {
    what: 'Una imagen no dice qué muestra | {count} imágenes no dicen qué muestran',
    why: 'Quien no la ve no recibe nada. Bastan unas palabras; un adorno puede decir que lo es.',
    cure: '',
  },
  rules_circle: {
    what: '{title} se espera a sí mismo | {count} elementos se esperan unos a otros en círculo',
    why: '{titles}: nadie puede empezar nunca. Cortar un eslabón basta.',
    cure: 'Cortar el círculo',
  },
  rules_never_over_before_open: {
    what: '{title} acaba antes de abrirse | {count} elementos no pueden abrirse nunca, {title} el primero',
    why: 'Su último momento llega antes que el primero.',
    cure: '',
  },
  rules_never_after_the_end: {
    what: '{title} se abre cuando el curso ya se ha cerrado | {count} elementos no pueden abrirse nunca, {title} el primero',
    why: 'Para entonces los estudiantes no pueden trabajar en él.',
    cure: '',
  },
  rules_never_waits_for_hidden: {
    what: '{title} no puede abrirse nunca | {count} elementos no pueden abrirse nunca, {title} el primero',
    why: 'Espera a {waits}, que los estudiantes no reciben o que no cuenta como hecho.',
    cure: '',
  },
  rules_never: {
    what: '{title} no puede abrirse nunca | {count} elementos no pueden abrirse nunca, {title} el primero',
    why: 'Espera a {waits}, que tampoco se abre nunca.',
    cure: '',
  },
  rules_due_after_end: {
    what: '{title} espera una entrega que vence después de que el curso se cierre | {count} elementos esperan entregas que vencen después de que el curso se cierre',
    why: '{waits} vence demasiado tarde para quien use el tiempo que tiene.',
    cure: '',
  },
  nothing_to_look_at: {
    what: 'Antes del primer día se puede mirar, y no hay nada que ver',
    why: 'Todo tiene su propia apertura, también el programa. Deja una página abierta desde el principio.',
    cure: '',
  },
  live_too_late: {
    what: 'El curso se pone en marcha {day}, después de su primer día, {first}',
    why: 'Hasta entonces los estudiantes no encuentran ningún curso.',
    cure: 'Ponerlo en marcha el primer día',
  },
  visitors_lost: {
    what: 'Los visitantes pueden mirar, y solo los miembros encuentran el curso',
    why: 'Tendrían que conocer su dirección, y aun así no lo recibirían.',
    cure: 'Que lo encuentre cualquiera de aquí',
  },
  passphrase_easy_none: {
    what: 'A los visitantes se les pide una contraseña, y no hay ninguna',
    why: 'Escriban lo que escriban, está mal.',
    cure: '',
  },
  passphrase_easy: {
    what: 'La contraseña de los visitantes es fácil de adivinar',
    why: 'Es corta, o está hecha de lo que todos saben del curso. Mejor tres palabras que no tengan que ver con él.',
    cure: '',
  },
  nothing_counted: {
    what: 'Nada cuenta como hecho, aunque se pide',
    why: 'La regla del curso, o de una sección, pregunta por lo que cuenta.',
    cure: 'Prescindir de ello',
  },
  cannot_finish: {
    what: 'El curso no se puede terminar | El curso no se puede terminar, por {count} motivos',
    why: 'Ni siquiera quien hace todo lo consigue: {title}.',
    cure: 'Arreglarlo',
  },
  section_cannot_give: {
    what: 'Una sección pide {wants}, y cuentan {are} | {count} secciones piden más de lo que cuenta en ellas',
    why: 'Nadie puede terminarla.',
    cure: 'Pedir tantos como hay',
  },
  counted_unlisted: {
    what: '{title} cuenta y no está en ninguna lista | {count} elementos cuentan y no están en ninguna lista',
    why: 'Quien no tiene su dirección no lo nota nunca.',
    cure: 'Ponerlo en la lista | Ponerlos en la lista',
  },
  counts_otherwise_stated: {
    what: 'El curso promete {stated} horas; lo que cuenta como hecho lleva {hours}',
    why: 'Quien lo ha hecho todo no ha hecho lo prometido.',
    cure: '',
  },
  all_due_at_once: {
    what: '{count} elementos vencen todos el {day} | {count} elementos vencen todos el {day}',
    why: 'Todos tienen la misma tarde para todo ello.',
    cure: 'Repartirlos',
  },
  samples_showing: {
    what: '{title} se puede leer antes de entrar | {count} elementos se pueden leer antes de entrar',
    why: 'Por quien pueda encontrar el curso. Bien como muestra; comprueba que nada en ellos sea solo para miembros.',
    cure: 'Reservarlo a los miembros | Reservarlos a los miembros',
  },
  groups_missing: {
    what: '{title} es para un grupo en el que no hay nadie | {count} elementos son para grupos en los que no hay nadie',
    why: 'Ningún estudiante los recibe, y nadie sabría por qué.',
    cure: 'Abrirlo a todos | Abrirlos a todos',
  },
  group_work_without: {
    what: 'Se trabaja en grupos, y el curso no tiene ninguno',
    why: 'Cada cual trabajaría solo, sin ver a nadie más.',
    cure: 'Sin grupos',
  },
  group_work_without_items: {
    what: 'Un elemento se trabaja en grupos, y el curso no tiene ninguno | {count} elementos se trabajan en grupos, y el curso no tiene ninguno',
    why: 'Cada cual trabajaría solo, sin ver a nadie más.',
    cure: 'Como lo tenga el curso',
  },
  menu_long: {
    what: 'El menú tiene {count} entradas | El menú tiene {count} entradas',
    why: 'De un vistazo se abarcan unas {most}; más allá se lee, y no se encuentra lo que se buscaba.',
    cure: '',
  },
  menu_twice: {
    what: 'Dos entradas del menú llevan al mismo lugar: {entry} | {count} entradas llevan adonde ya lleva otra',
    why: 'Los estudiantes abren las dos para saber si hay alguna diferencia.',
    cure: 'Sacar la segunda | Sacar las últimas',
  },
  menu_empty_page: {
    what: 'Una entrada lleva a una página vacía: {entry} | {count} entradas llevan a páginas vacías',
    why: 'Los estudiantes no la tienen en su menú mientras no haya nada en la página.',
    cure: 'Sacarla del menú | Sacarlas del menú',
  },
  menu_tool_first: {
    what: '{entry} está encima de {content} en el menú',
    why: 'Aquello a lo que se viene debería verse primero.',
    cure: 'Poner {content} delante',
  },
  menu_no_start: {
    what: 'Nada en el menú es un lugar por donde empezar',
    why: 'No lleva ni a una página de inicio, ni a las secciones, ni a una página.',
    cure: 'Devolver las secciones',
  },
  menu_no_contact: {
    what: 'Nada lleva a los estudiantes a quien pueden preguntar',
    why: 'Las tarjetas de contacto no están ni en el menú ni en la página de inicio.',
    cure: 'Ponerlas en la página de inicio',
  },
  menu_no_contact_cards: {
    what: 'Los estudiantes no tienen cómo llegar a quien enseña',
    why: 'Ninguna tarjeta de contacto dice cómo.',
    cure: '',
  },
  menu_address: {
    what: 'Una entrada lleva a {address} sin https | {count} entradas llevan a direcciones sin https',
    why: 'Cualquiera en el camino puede leerlo, y los navegadores avisan.',
    cure: 'Ponerle https | Ponerles https',
  },
  menu_address_none: {
    what: 'Una entrada lleva a {address}, un lugar al que los estudiantes no llegan | {count} entradas no llevan a ningún lugar; la primera es {address}',
    why: 'Allí encontrarían un error.',
    cure: '',
  },
  menu_label_long: {
    what: '«{label}» es demasiado largo para el menú de un teléfono | {count} nombres son demasiado largos para el menú de un teléfono; el primero es «{label}»',
    why: 'Tiene {length} letras, y en dos líneas caben {most}.',
    cure: '',
  },
  arrive_lost: {
    what: 'Los estudiantes tendrían que llegar a algo que no reciben | Los estudiantes tendrían que llegar a algo que no reciben, la primera vez y después',
    why: 'Llegan a la página de inicio en su lugar.',
    cure: 'Que lleguen adonde todos',
  },
  course_picture_silent: {
    what: 'La imagen del curso no dice nada a quien no la ve | Dos imágenes del curso no dicen nada a quien no las ve',
    why: 'Di qué muestra, o que es un adorno.',
    cure: '',
  },
  announcement_undated: {
    what: '«{subject}» está listo y nunca se pone | {count} anuncios están listos y nunca se ponen',
    why: 'No tiene fecha, o se quita antes de ponerse.',
    cure: '',
  },
  contact_gone: {
    what: 'Una tarjeta de contacto es de alguien que ya no está en el equipo | {count} tarjetas de contacto son de gente que ya no está en el equipo',
    why: 'No se muestra a nadie.',
    cure: 'Quitarla | Quitarlas',
  },
};
