/** إلى أين وصل المرء. */
export default {
  title: 'إلى أين وصلت',
  doneSince: 'أُنجز منذ {day}.',
  minutes: 'نحو {done} من {all}',
  nothing: 'لا شيء في هذا المقرر يُعد منجزًا بعد.',
  next: 'التالي:',
  behind: 'شيء واحد متأخر. | أشياء متأخرة: {count}.',
  catchUp: 'نحو {time} تكفي للحاق.',
  since: 'منذ {day}',
  more: 'وشيء آخر | وأشياء أخرى: {count}',
  ahead: 'أنت متقدم بشيء واحد. | أنت متقدم بعدد من الأشياء: {count}.',
  doneOn: 'أُنجز في {day}',
  byStaff: 'أُنجز في {day}، كما يقول الطاقم',
};
