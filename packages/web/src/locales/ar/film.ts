/** مشاهدة فيلم. */
export default {
  player: 'فيلم: {name}',
  watched: 'شوهد {share}',
  opened: 'فُتح',
  wanted: 'يُنجز عند {share}',
  kept: 'محفوظ لدى الخادم',
  onItsWay: 'محفوظ على هذا الجهاز، في الطريق',
  goesOn: 'يتابع من {time} حيث كنت.',
  fromBeginning: 'من البداية',
  chapters: 'أجزاء الفيلم',
  said: 'ما يُقال',
  who: 'من شاهد كم',
  notOpened: 'لم يُفتح',
};
