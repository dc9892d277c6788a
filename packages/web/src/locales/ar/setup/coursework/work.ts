export default {
  button: 'كل الأعمال',
  title: 'كل الأعمال',
  none: 'لا واجب ولا اختبار ولا نقاش بعد.',
  section: 'القسم',
  assesses: 'يقيس',
  unassessed: 'لا شيء يقيس:',
};
