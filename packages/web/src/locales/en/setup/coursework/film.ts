/** What goes with a film. */
export default {
  title: 'With the film',
  captions: 'Captions, and what is said to read along',
  none: 'None yet. Who does not hear it gets nothing of it.',
  language: 'Language',
  add: 'Choose a WebVTT file …',
  remove: 'Take the captions in {language} off',
  large: '{name} is larger than two megabytes: that is more than captions.',
  wrong: {
    header: '{name} is not WebVTT: line 1 says “{found}”, and would begin with WEBVTT.',
    time: 'In {name}, line {line} says “{found}”: it would be two times, as 00:01.000 --> 00:04.000.',
    backwards:
      'In {name}, line {line} says “{found}”: it would begin after the one before, and end after it begins.',
    empty: '{name} says nothing: there are no captions in it.',
    many: '{name} has too many captions, from line {line} on.',
  },
  chapters: 'Parts: a time and a title on each line',
  chaptersHint: 'As: 0:00 The mouth of the river',
  chapterWrong: {
    time: 'Line {line}, “{text}”, begins with no time such as 3:40.',
    title: 'Line {line}, “{text}”, has no title.',
    title_long: 'Line {line}, “{text}”, is too long for a title.',
    order: 'Line {line}, “{text}”, is not later than the one before it.',
    beyond: 'Line {line}, “{text}”, lies after the end of the film.',
    many: 'Line {line}, “{text}”: there are too many parts.',
  },
};
