/** A meeting beyond its day and place. */
export default {
  title: 'The meeting',
  room: 'Room on the net, shown until it is over',
  attendance: 'Who was there',
  attendanceOf: {
    none: 'Nobody asks',
    list: 'Staff tick a list',
    code: 'Learners with a code that lives ten minutes, and staff',
  },
  look: 'The list',
  afterwards: 'Shown once it is over: what was settled, what to do',
  recording: 'Where it can be seen again, shown once it is over',
};
