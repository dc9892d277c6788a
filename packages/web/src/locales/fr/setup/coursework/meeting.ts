/** Une séance au-delà de son jour et de son lieu. */
export default {
  title: 'La séance',
  room: 'Salle sur le réseau, montrée jusqu’à la fin',
  attendance: 'Qui était là',
  attendanceOf: {
    none: 'Personne ne le demande',
    list: 'L’équipe coche une liste',
    code: 'Par un code qui vit dix minutes, et l’équipe',
  },
  look: 'La liste',
  afterwards: 'Montré une fois finie : ce qui a été décidé, ce qu’il faut faire',
  recording: 'Où la revoir, montré une fois finie',
};
