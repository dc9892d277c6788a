/** Lo que acompaña a una película. */
export default {
  title: 'Con la película',
  captions: 'Subtítulos, y lo que se dice para leer',
  none: 'Aún ninguno. Quien no oye no recibe nada.',
  language: 'Idioma',
  add: 'Elegir un archivo WebVTT …',
  remove: 'Quitar los subtítulos en {language}',
  large: '{name} ocupa más de dos megabytes: eso es más que subtítulos.',
  wrong: {
    header: '{name} no es WebVTT: la línea 1 dice «{found}» y empezaría por WEBVTT.',
    time: 'En {name}, la línea {line} dice «{found}»: serían dos tiempos, como 00:01.000 --> 00:04.000.',
    backwards:
      'En {name}, la línea {line} dice «{found}»: empezaría después de la anterior y acabaría después de empezar.',
    empty: '{name} no dice nada: no hay subtítulos en él.',
    many: '{name} tiene demasiados subtítulos, desde la línea {line}.',
  },
  chapters: 'Partes: un tiempo y un título en cada línea',
  chaptersHint: 'Como: 0:00 La desembocadura',
  chapterWrong: {
    time: 'La línea {line}, «{text}», no empieza por un tiempo como 3:40.',
    title: 'La línea {line}, «{text}», no tiene título.',
    title_long: 'La línea {line}, «{text}», es demasiado larga para un título.',
    order: 'La línea {line}, «{text}», no es posterior a la anterior.',
    beyond: 'La línea {line}, «{text}», queda después del final de la película.',
    many: 'Línea {line}, «{text}»: hay demasiadas partes.',
  },
};
