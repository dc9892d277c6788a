export default {
  title: 'المخرجات: ما يستطيعه المتعلمون بعده',
  field: 'المخرَج {number}',
  fresh: 'مخرَج آخر',
  placeholder: 'أن يقرأ الشاطئ مما يُرى فيه',
  add: 'أضف',
  none: 'لا شيء بعد. حفنة تكفي؛ وتذكر العناصر ما تعلّمه منها وما تقيسه.',
  unassessed: 'لا شيء يقيسه بعد',
  assessedBy: 'يقيسه {numbers}',
  taughtBy: 'يعلّمه {numbers}',
  up: 'ارفع: {name}',
  down: 'أنزل: {name}',
  remove: 'احذف: {text}',
};
