/** Où va la classe, pour l’équipe. */
export default {
  title: 'Où va la classe',
  back: 'Où chacun en est',
  nothing: 'Rien ne compte comme fini dans ce cours, il n’y a donc rien à prévoir.',
  nobody:
    'Personne ne suit encore ce cours : le calcul vaut pour une personne. | Personne ne suit encore ce cours : le calcul vaut pour {count} personnes.',
  sentence: 'À ce jour, {middle} sur {of} auront fini le {day} ; sans doute entre {low} et {high}.',
  was: '{middle} sur {of} ont fini.',
  ofLabel: 'Ce qui est montré',
  of: { share: 'la part du tout qui est faite', finished: 'combien ont fini' },
  lines: {
    was: 'jusqu’ici',
    ahead: 'à ce qu’il semble',
    band: 'dans huit voies sur dix',
    plan: 'selon le plan',
    other: 'avec le changement',
  },
  today: 'aujourd’hui',
  between: '{middle}, sans doute entre {low} et {high}',
  withIt: 'avec le changement : {middle}',
  planned: 'selon le plan : {share}',
  still: '{days} : une personne n’a rien à faire. | {days} : jusqu’à {count} personnes n’ont rien à faire.',
  stillUntil:
    '{days} : une personne n’a rien à faire, jusqu’à l’ouverture de {title}. | {days} : jusqu’à {count} personnes n’ont rien à faire, jusqu’à l’ouverture de {title}.',
  peak: '{day} : une personne travaille bien plus que d’habitude, sur {titles}. | {day} : {count} personnes travaillent bien plus que d’habitude, sur {titles}.',
  waiting:
    'Une personne attend les autres pour {title}, environ {days} jours. | {count} personnes attendent les autres pour {title}, environ {days} jours.',
  smooth: 'Personne ne reste longtemps sans rien à faire, et aucun jour ne se détache.',
  unlikely: 'Ne finiront sans doute pas',
  allLikely: 'À ce qu’il semble, chacun a plus de chances de finir que de ne pas finir.',
  chance: 'finit dans {share} des voies',
  whatIf: {
    title: 'Et si …',
    label: 'Essayer un changement',
    nothing: 'rien : comme prévu',
    due: 'une autre échéance',
    pause: 'une pause',
    choose: 'Choisir un élément',
    item: 'De',
    day: 'À rendre le',
    first: 'Du',
    last: 'Au',
    hint: 'Essayer ne change rien.',
    missing: {
      day: 'Choisissez un élément et son jour.',
      days: 'Indiquez le premier et le dernier jour.',
      order: 'Le dernier jour est avant le premier.',
    },
    reckoning: 'Calcul en cours …',
    cannot: 'Avec cela, il n’y aurait rien à prévoir.',
    same: 'Cela ne change pas combien finissent : {then} sur {of}.',
    more: 'Avec cela, {then} sur {of} finiraient, au lieu de {now}.',
    fewer: 'Avec cela, seulement {then} sur {of} finiraient, au lieu de {now}.',
    to: { outline: 'Au parcours, pour le faire', dates: 'Aux dates, pour le faire' },
  },
  assumed: {
    title: 'Ce qui est supposé',
    basis: {
      plan: 'Personne n’a encore rien fait, cela découle donc du plan seul : chacun travaille {minutes} minutes par jour, un quart de plus que ce que demanderait le travail réparti également.',
      learners:
        'Chacun continue comme jusqu’ici ; de qui a peu fait, on suppose le rythme de tous : {minutes} minutes par jour où il y a quelque chose à faire.',
    },
    lead: 'Les choses sont faites le jour où elles sont attendues. | Les choses sont faites environ un jour avant d’être attendues. | Les choses sont faites environ {count} jours avant d’être attendues.',
    after:
      'Les choses sont faites environ un jour après avoir été attendues. | Les choses sont faites environ {count} jours après avoir été attendues.',
    order: 'Ce qui est attendu d’abord est fait d’abord, et ce qui ne peut plus être fait est laissé.',
    pauses: 'Personne ne travaille pendant une pause.',
    passes: 'Qui fait une chose fait tout ce qu’elle demande, et vient à chaque séance.',
    groups: 'Ce qu’un groupe remet ensemble est fait quand son dernier membre y est arrivé.',
    draws:
      'La bande vient d’une voie, où chacun est plus rapide ou plus lent par hasard. | La bande vient de {count} voies, où chacun est plus rapide ou plus lent par hasard.',
  },
};
