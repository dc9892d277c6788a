/** What a course is for one person: what is new, what they have done, what they find in it. */
export default {
  news: {
    title: 'Nouveau pour vous',
    since: 'depuis {when}',
    what: {
      opened: 's’est ouvert',
      added: 'est nouveau',
      changed: 'a été modifié',
      posted: 'un message | {count} messages',
      marked: 'a été noté',
      announced: 'annoncé',
    },
  },
  find: {
    title: 'Chercher dans ce cours',
    label: 'Mots à chercher',
    away: 'Rien n’est venu. Réessayez.',
    count: 'Rien ici n’a ces mots. | Un endroit les a. | {count} endroits les ont.',
    in: 'dans {title}',
    where: {
      section: 'une section',
      announcement: 'une annonce',
    },
    more: 'D’autres endroits les ont : cherchez avec plus de mots.',
  },
  log: {
    title: 'Ce que j’ai fait ici',
    lead: 'Les autres participants ne voient pas cette page. Les heures sont celles de {zone}.',
    none: 'Rien encore.',
    more: 'Ce qui précède',
    gone: 'quelque chose que vous ne voyez plus',
    what: {
      opened: 'ouvert',
      done: 'fait',
      watched: 'regardé',
      handed_in: 'remis',
      began_quiz: 'tentative commencée',
      ended_quiz: 'tentative terminée',
      posted: 'message écrit',
      attended: 'présent',
      answered: 'répondu',
    },
  },
};
