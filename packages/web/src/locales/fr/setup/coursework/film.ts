/** Ce qui accompagne un film. */
export default {
  title: 'Avec le film',
  captions: 'Sous-titres, et ce qui est dit à lire',
  none: 'Aucun encore. Qui n’entend pas n’en a rien.',
  language: 'Langue',
  add: 'Choisir un fichier WebVTT …',
  remove: 'Retirer les sous-titres en {language}',
  large: '{name} dépasse deux mégaoctets : c’est plus que des sous-titres.',
  wrong: {
    header: '{name} n’est pas du WebVTT : la ligne 1 dit « {found} » et commencerait par WEBVTT.',
    time: 'Dans {name}, la ligne {line} dit « {found} » : ce seraient deux temps, comme 00:01.000 --> 00:04.000.',
    backwards:
      'Dans {name}, la ligne {line} dit « {found} » : elle commencerait après la précédente et finirait après son début.',
    empty: '{name} ne dit rien : il n’y a pas de sous-titres dedans.',
    many: '{name} a trop de sous-titres, à partir de la ligne {line}.',
  },
  chapters: 'Parties : un temps et un titre par ligne',
  chaptersHint: 'Comme : 0:00 L’embouchure',
  chapterWrong: {
    time: 'La ligne {line}, « {text} », ne commence pas par un temps comme 3:40.',
    title: 'La ligne {line}, « {text} », n’a pas de titre.',
    title_long: 'La ligne {line}, « {text} », est trop longue pour un titre.',
    order: 'La ligne {line}, « {text} », n’est pas après la précédente.',
    beyond: 'La ligne {line}, « {text} », vient après la fin du film.',
    many: 'Ligne {line}, « {text} » : il y a trop de parties.',
  },
};
