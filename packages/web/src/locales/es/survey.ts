/** Responder a una encuesta, y lo que dio. */
export default {
  title: 'Encuesta',
  look: 'Lo que dio',
  thanks: 'Has respondido. Ya nadie puede ver qué respuesta es la tuya.',
  none: 'Aún no pregunta nada.',
  promise:
    'Nadie sabrá quién ha dicho qué: ni siquiera se guarda. El equipo solo ve sumas, a partir de una respuesta. Lo enviado ya no se puede cambiar. | Nadie sabrá quién ha dicho qué: ni siquiera se guarda. El equipo solo ve sumas, a partir de {count} respuestas. Lo enviado ya no se puede cambiar.',
  answerTo: 'Tu respuesta a la pregunta {number}',
  takeBack: 'Dejarla sin respuesta',
  answered: '{answered} de {of} respondidas; ninguna es obligatoria',
  keptHere: 'Hasta que lo envíes, está solo en este dispositivo.',
  keptNowhere: 'Este navegador no guarda nada. Deja la página abierta hasta enviarlo.',
  send: 'Enviar',
  refused: {
    item: 'Ahora no se responde nada aquí.',
    empty: 'Aún no hay nada en ella.',
    changed: 'Lo que se pregunta ha cambiado mientras tanto. Repásalo y envíalo de nuevo.',
  },
  desk: {
    title: 'Lo que dio: {title}',
    answered: 'Nadie ha respondido. | Una persona ha respondido. | {count} personas han respondido.',
    notYet: 'Los totales se muestran a partir de {least} respuestas, para que no se distinga a nadie.',
    counted:
      'Una de ellas está en estos totales. | {count} de ellas están en estos totales; las siguientes entran de tres en tres, para que no se distinga a nadie.',
    answers: 'ninguna respuesta | una respuesta | {count} respuestas',
    mean: '{mean} de media',
    chart: 'Cuántas veces se eligió cada una: {ask}',
    table: 'Como tabla',
    choice: 'Respuesta',
    count: 'Cuántas veces',
  },
};
