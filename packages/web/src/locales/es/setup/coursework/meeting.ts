/** Una clase más allá de su día y lugar. */
export default {
  title: 'La clase',
  room: 'Sala en la red, visible hasta que acabe',
  attendance: 'Quién estuvo',
  attendanceOf: {
    none: 'Nadie lo pregunta',
    list: 'El equipo marca una lista',
    code: 'Con un código que dura diez minutos, y el equipo',
  },
  look: 'La lista',
  afterwards: 'Visible cuando acabe: lo acordado, lo que hay que hacer',
  recording: 'Dónde volver a verla, visible cuando acabe',
};
