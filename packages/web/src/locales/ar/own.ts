/** What a course is for one person: what is new, what they have done, what they find in it. */
export default {
  news: {
    title: 'جديد لك',
    since: 'منذ {when}',
    what: {
      opened: 'فُتح',
      added: 'جديد',
      changed: 'عُدّل',
      posted: 'مشاركة واحدة | {count} مشاركات',
      marked: 'وُضعت درجته',
      announced: 'إعلان',
    },
  },
  find: {
    title: 'ابحث في هذا المقرر',
    label: 'كلمات البحث',
    away: 'لم يصل شيء. حاول مرة أخرى.',
    count: 'لا شيء هنا فيه هذه الكلمات. | هي في موضع واحد. | هي في {count} مواضع.',
    in: 'في {title}',
    where: {
      section: 'قسم',
      announcement: 'إعلان',
    },
    more: 'هي في مواضع أكثر: ابحث بكلمات أكثر.',
  },
  log: {
    title: 'ما أنجزته هنا',
    lead: 'لا يرى المتعلمون الآخرون هذه الصفحة. الأوقات بتوقيت {zone}.',
    none: 'لا شيء بعد.',
    more: 'ما قبل ذلك',
    gone: 'شيء لم يعد متاحًا لك',
    what: {
      opened: 'فُتح',
      done: 'أُنجز',
      watched: 'شوهد',
      handed_in: 'سُلّم',
      began_quiz: 'بدأت محاولة',
      ended_quiz: 'انتهت محاولة',
      posted: 'كُتبت مشاركة',
      attended: 'حضور',
      answered: 'أُجيب',
    },
  },
};
