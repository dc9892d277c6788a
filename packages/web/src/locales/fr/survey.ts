/** Répondre à une enquête, et ce qu’elle a donné. */
export default {
  title: 'Enquête',
  look: 'Ce qu’elle a donné',
  thanks: 'Vous avez répondu. Plus personne ne peut voir quelle réponse est la vôtre.',
  none: 'Elle ne demande encore rien.',
  promise:
    'Personne ne saura qui a dit quoi : ce n’est même pas gardé. L’équipe ne voit que des sommes, à partir d’une réponse. Ce qui est envoyé ne se change plus. | Personne ne saura qui a dit quoi : ce n’est même pas gardé. L’équipe ne voit que des sommes, à partir de {count} réponses. Ce qui est envoyé ne se change plus.',
  answerTo: 'Votre réponse à la question {number}',
  takeBack: 'La laisser sans réponse',
  answered: '{answered} sur {of} répondues ; aucune n’est obligatoire',
  keptHere: 'Tant que ce n’est pas envoyé, c’est sur cet appareil seul.',
  keptNowhere: 'Ce navigateur ne garde rien. Laissez la page ouverte jusqu’à l’envoi.',
  send: 'Envoyer',
  refused: {
    item: 'On ne répond à rien ici maintenant.',
    empty: 'Il n’y a encore rien dedans.',
    changed: 'Ce qui est demandé a changé entre-temps. Relisez, et renvoyez.',
  },
  desk: {
    title: 'Ce qu’elle a donné : {title}',
    answered: 'Personne n’a répondu. | Une personne a répondu. | {count} personnes ont répondu.',
    notYet: 'Les totaux se montrent à partir de {least} réponses, pour que personne ne se distingue.',
    counted:
      'Une d’elles est dans ces totaux. | {count} d’entre elles sont dans ces totaux ; les suivantes viennent par trois, pour que personne ne se distingue.',
    answers: 'aucune réponse | une réponse | {count} réponses',
    mean: '{mean} en moyenne',
    chart: 'Combien de fois chacune a été choisie : {ask}',
    table: 'En tableau',
    choice: 'Réponse',
    count: 'Combien de fois',
  },
};
