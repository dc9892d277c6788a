/** Ce que dit chaque règle de vérification : ce qu'elle a trouvé, pourquoi cela compte, et ce que fait son remède. */
export default {
  no_description: {
    what: 'Le cours n’a pas de description',
    why: 'C’est par elle que les participants décident ; quelques phrases du programme suffisent.',
    cure: '',
  },
  no_first_day: {
    what: 'Le cours n’a pas de premier jour',
    why: 'Un cours semaine par semaine en tire toutes les autres dates.',
    cure: '',
  },
  mid_week: {
    what: 'Le premier jour est un {weekday}, et la semaine de cours commence le {weekStart}',
    why: 'Chaque section serait à cheval sur deux semaines.',
    cure: 'Commencer le {moved}',
  },
  dates_past: {
    what: 'Le cours a déjà commencé, le {firstDay}',
    why: 'Les participants arriveraient en retard.',
    cure: 'Commencer le {moved}',
  },
  dates_past_over: {
    what: 'Les dates du cours sont passées : elles ont fini le {lastDay}',
    why: 'Ce sont peut-être celles d’une session précédente.',
    cure: 'Commencer le {moved}',
  },
  spare_weeks: {
    what: 'La semaine {first} n’a pas de section | {count} semaines n’ont pas de section, à partir de la semaine {first}',
    why: 'Elles seraient vides dans le calendrier de tous.',
    cure: 'Finir après {filled} semaines',
  },
  unplaced_sections: {
    what: 'Une section n’a pas de semaine où se placer | {count} sections n’ont pas de semaine où se placer',
    why: 'Le cours dure {weeks} semaines, et ses sections en demandent {needed}.',
    cure: 'En faire {needed} semaines',
  },
  no_item: {
    what: 'Rien dans le cours n’est montré',
    why: 'Qui l’ouvrirait le trouverait vide. Ajoutez une page à une section.',
    cure: '',
  },
  empty_section: {
    what: 'Une section est vide | {count} sections sont vides',
    why: 'Une section vide a l’air inachevée.',
    cure: 'La cacher aux participants | Les cacher aux participants',
  },
  empty_item: {
    what: 'Un élément ne contient rien | {count} éléments ne contiennent rien',
    why: 'Les participants les ouvriraient et ne trouveraient rien.',
    cure: 'Le cacher aux participants | Les cacher aux participants',
  },
  no_learners: {
    what: 'Personne n’est inscrit comme participant',
    why: 'Le cours s’ouvrirait pour personne.',
    cure: '',
  },
  seats_short: {
    what: 'Il y a plus de participants que de places : {learners} pour {seats}',
    why: 'Personne de ceux qui sont là ne part, et personne d’autre n’entre de lui-même.',
    cure: 'Faire de la place pour tous',
  },
  way_never: {
    what: 'La voie {way} ferme avant d’ouvrir',
    why: 'Qui veut venir lit que le délai est passé.',
    cure: 'La laisser ouverte',
  },
  way_never_draft: {
    what: 'La voie {way} ferme avant que le cours n’ouvre',
    why: 'Jusque-là personne n’entre, et après non plus.',
    cure: 'La laisser ouverte ensuite',
  },
  way_never_late: {
    what: 'La voie {way} ouvre après le dernier jour',
    why: 'Qui entre alors trouve un cours terminé.',
    cure: 'L’ouvrir tout de suite',
  },
  ways_contradict: {
    what: 'Certains doivent demander, et qui a le code non',
    why: 'Le code laisse entrer n’importe qui : fermez l’une des deux voies, ou limitez le code à certains domaines.',
    cure: '',
  },
  ways_contradict_seats: {
    what: '{own} places {way}, et {seats} dans tout le cours',
    why: 'Les places d’une voie font partie de celles du cours : il n’y en a pas plus.',
    cure: 'Laisser faire le cours',
  },
  line_stuck: {
    what: 'On attend par une voie fermée : {way}',
    why: 'Aucune place ne leur est proposée. | Aucune place n’est proposée à la personne qui attend. | Aucune place n’est proposée aux {count} qui attendent.',
    cure: 'L’ouvrir',
  },
  line_stuck_over: {
    what: 'On attend par une voie dont le délai est passé : {way}',
    why: 'Aucune place ne leur est proposée. | Aucune place n’est proposée à la personne qui attend. | Aucune place n’est proposée aux {count} qui attendent.',
    cure: 'La laisser ouverte',
  },
  letters_wait: {
    what: 'Les invitations ne partent pas',
    why: 'Aucun service de courrier n’est réglé ici : les lettres attendent.',
    cure: '',
  },
  letters_wait_request: {
    what: 'Personne n’apprend les demandes',
    why: 'Aucun service de courrier n’est réglé ici : qui demande attend que quelqu’un regarde.',
    cure: '',
  },
  invitations_open: {
    what: 'Aucune invitation n’est revenue | Une invitation est revenue | {count} invitations sont revenues',
    why: 'Qui devait l’avoir n’en sait rien : corrigez l’adresse.',
    cure: '',
  },
  invitations_open_unanswered: {
    what: 'Aucune invitation sans réponse | Une invitation est sans réponse depuis une semaine | {count} invitations sont sans réponse depuis une semaine',
    why: 'Renvoyez-la, ou retirez-la.',
    cure: '',
  },
  requests_open: {
    what: 'Personne ne demande à entrer | Une personne demande à entrer | {count} personnes demandent à entrer',
    why: 'Elles attendent votre réponse.',
    cure: '',
  },
  registry_empty: {
    what: 'L’entrée depuis la scolarité est ouverte, et le cours n’en suit aucune classe',
    why: 'Personne n’entre par là.',
    cure: '',
  },
  registry_over_seats: {
    what: '{listed} participants sont sur les listes de la scolarité, et il y a {seats} places',
    why: 'Les autres attendent dans la file que quelqu’un parte.',
    cure: 'Des places pour tous',
  },
  registry_asks: {
    what: 'La scolarité dit une chose que vous devez régler | La scolarité dit {count} choses que vous devez régler',
    why: 'D’ici là, ce que vous avez reste.',
    cure: '',
  },
  registry_away: {
    what: 'La scolarité n’a pas été lue depuis le {day}',
    why: 'Elle ne répond pas : arrivées et départs tardifs ne sont pas dans le cours.',
    cure: '',
  },
  registry_away_never: {
    what: 'La scolarité n’a jamais été lue',
    why: 'Elle ne répond pas : personne n’entre par là.',
    cure: '',
  },
  class_left_out: {
    what: 'Personne de la classe {name} n’est dans un groupe | De {count} classes personne n’est dans un groupe, {name} d’abord',
    why: 'Ici les groupes travaillent à part, et une classe entière ne prend part à rien.',
    cure: '',
  },
  ungrouped: {
    what: 'Personne n’est sans groupe | Un participant n’est dans aucun groupe | {count} participants ne sont dans aucun groupe',
    why: 'Ici les groupes travaillent à part : qui n’est dans aucun ne prend part à rien.',
    cure: '',
  },
  instructor_alone: {
    what: 'Un enseignant pour {learners} participants',
    why: 'S’il tombe malade, personne d’autre ne peut rien changer ni répondre.',
    cure: '',
  },
  pays_nothing: {
    what: 'Entrer en payant ne coûte rien',
    why: 'Aucun prix n’est réglé, ou il est nul : qui veut payer ne le peut pas, ou entre sans payer.',
    cure: '',
  },
  pays_nothing_desk: {
    what: 'Personne ne peut payer',
    why: 'La voie payante est ouverte, et aucun service de paiement n’est réglé ici.',
    cure: '',
  },
  ends_before_start: {
    what: 'Le dernier jour, {lastDay}, vient avant le premier, {firstDay}',
    why: 'Le cours finirait avant de commencer. Changez l’un des deux.',
    cure: '',
  },
  no_pattern: {
    what: 'Il n’y a pas de séances',
    why: 'Séance par séance, ce sont les séances qui font les sections : dites quels jours elles ont lieu.',
    cure: '',
  },
  no_days: {
    what: 'Il ne reste pas un jour de cours',
    why: 'Les pauses, ou le dernier jour, prennent tous les jours de cours à partir du {firstDay}.',
    cure: '',
  },
  meeting_pace: {
    what: 'Les séances vont avec un calendrier pour tous',
    why: 'Une horloge à soi n’a pas de place parmi des séances tenues ensemble.',
    cure: 'Rythme : Ensemble',
  },
  around_missing: {
    what: 'L’élément autour duquel est le cours n’est pas là',
    why: 'Choisissez-en un qui est montré aux participants.',
    cure: '',
  },
  past_term: {
    what: 'Le cours va jusqu’au {lastDay} ; {term} finit le {termEnds}',
    why: 'Salles, gens et notes se prévoient par période.',
    cure: '',
  },
  spare_weeks_meetings: {
    what: 'La séance {first} n’a pas de section | {count} séances n’ont pas de section, à partir de la séance {first}',
    why: 'Elles seraient vides dans le calendrier de tous.',
    cure: 'Finir après {filled} séances',
  },
  unplaced_sections_meetings: {
    what: 'Une section n’a pas de séance où se placer | {count} sections n’ont pas de séance où se placer',
    why: 'Il y a {weeks} séances, et les sections en demandent {needed}.',
    cure: 'En faire {needed} séances',
  },
  past_last_day: {
    what: 'Une section dépasse le dernier jour, {lastDay} | {count} sections dépassent le dernier jour, {lastDay}',
    why: 'Les participants n’atteindraient pas ce qui est au-delà.',
    cure: 'Finir le {needs}',
  },
  unit_overlap: {
    what: 'Une section épinglée commence avant que la précédente soit finie | {count} sections épinglées commencent avant que les précédentes soient finies',
    why: 'Deux sections à la fois se suivent mal.',
    cure: 'La laisser suivre | Les laisser suivre',
  },
  typed_numbers: {
    what: 'Un titre commence par un numéro à lui | {count} titres commencent par des numéros à eux',
    why: 'À côté du numéro calculé, il sera faux au prochain déplacement.',
    cure: 'L’enlever | Les enlever',
  },
  work_undated: {
    what: 'Un travail n’a pas de date | {count} travaux n’ont pas de date',
    why: 'Ce à partir de quoi on compte n’en a pas, ou a disparu.',
    cure: 'Enlever l’échéance | Enlever les échéances',
  },
  takes_nothing: {
    what: '{title} ne prend rien | {count} devoirs ne prennent rien',
    why: 'On ne peut remettre ni texte, ni adresse, ni fichier.',
    cure: 'Prendre un texte | Prendre un texte dans chacun',
  },
  late_before_due: {
    what: '{title} est pris en retard jusqu’avant son échéance | {count} travaux sont pris en retard jusqu’avant leur échéance',
    why: 'Alors rien n’est jamais en retard.',
    cure: 'Ne rien prendre en retard',
  },
  pass_out_of_reach: {
    what: '{title} se réussit avec {points} points sur {total} | {count} travaux demandent pour réussir plus de points qu’il n’y en a',
    why: 'Personne ne peut le réussir.',
    cure: 'Réussir avec tous les points',
  },
  no_questions: {
    what: '{title} ne demande rien | {count} questionnaires ne demandent rien',
    why: 'On y trouve un questionnaire où il n’y a rien à répondre.',
    cure: '',
  },
  question_unanswerable: {
    what: 'La question {question} de {title} n’a pas de réponse juste | {count} questionnaires ont des questions sans réponse juste',
    why: 'Rien n’est indiqué comme juste, ou il n’y a rien entre quoi choisir.',
    cure: '',
  },
  pool_uneven: {
    what: 'Dans {title}, les questions de « {pool} » valent des points différents | {count} questionnaires tirent parmi des questions de points différents',
    why: 'Un essai peut alors valoir plus qu’un autre.',
    cure: '',
  },
  pool_uneven_short: {
    what: '{title} tire {draws} questions de « {pool} », qui en a {has} | {count} questionnaires tirent plus de questions qu’il n’y en a',
    why: 'Chaque essai les reçoit toutes, et pas davantage.',
    cure: '',
  },
  points_unlike_total: {
    what: 'Les questions de {title} font {points} points, et il en donne {total} | Dans {count} questionnaires, la somme des questions n’est pas le total',
    why: 'Ce que l’on compte en additionnant n’est pas ce que l’on obtient.',
    cure: 'Laisser les questions dire le total',
  },
  limit_beyond_opening: {
    what: '{title} donne {limit} minutes et est ouvert {open} minutes | {count} questionnaires donnent plus de temps qu’ils ne sont ouverts',
    why: 'Qui commence à l’ouverture est coupé avant la fin de son temps.',
    cure: 'Donner la durée d’ouverture',
  },
  limit_too_short: {
    what: '{title} devrait prendre {minutes} minutes, et en donne {limit} | {count} questionnaires donnent moins de temps qu’ils n’en devraient prendre',
    why: 'La plupart ne finissent pas.',
    cure: 'Donner la durée prévue',
  },
  no_time_between: {
    what: '{title} a {tries} essais séparés de {wait} minutes et est ouvert {open} minutes | Dans {count} questionnaires, les attentes ne laissent pas de temps pour tous les essais',
    why: 'Les derniers essais ne peuvent jamais commencer.',
    cure: 'Enlever l’attente',
  },
  discussion_shut: {
    what: '{title} est fermée et s’achève en publiant | {count} discussions sont fermées et s’achèvent en publiant',
    why: 'Personne ne peut y publier, donc personne ne l’achève jamais.',
    cure: 'L’ouvrir | Les ouvrir',
  },
  choice_unseen: {
    what: '{title} a une image à choisir que personne ne décrit, à la question {question} | {count} quiz ont des images à choisir que personne ne décrit',
    why: 'Qui ne la voit pas ne peut pas la choisir.',
    cure: '',
  },
  film_silent: {
    what: '{title} n’a pas de sous-titres | {count} films n’ont pas de sous-titres',
    why: 'Qui n’entend pas, ou le regarde dans le bruit, n’a rien de ce qui est dit.',
    cure: '',
  },
  watch_unnoticed: {
    what: '{title} s’achève en le regardant, et personne ne le remarque | {count} films s’achèvent en les regardant, et personne ne le remarque',
    why: 'Seul un film qui est un fichier ici, avec une durée, est suivi.',
    cure: 'Que l’ouvrir compte | Que les ouvrir compte',
  },
  chapter_beyond: {
    what: '{title} a une partie qui commence après sa fin | {count} films ont des parties qui commencent après leur fin',
    why: 'Personne n’y arrive. Le film est peut-être un autre désormais.',
    cure: 'Retirer ces parties',
  },
  meeting_nowhere: {
    what: '{title} n’a pas de lieu | {count} séances n’ont pas de lieu',
    why: 'Personne ne sait où aller : il n’y a ni lieu ni salle sur le réseau.',
    cure: '',
  },
  attendance_unnoticed: {
    what: '{title} s’achève en y étant, et personne ne dit qui y était | {count} séances s’achèvent en y étant, et personne ne dit qui y était',
    why: 'Personne ne l’achève jamais.',
    cure: 'Que l’équipe coche une liste',
  },
  survey_asks_nothing: {
    what: '{title} n’a rien à quoi répondre, ou rien entre quoi choisir | {count} enquêtes n’ont rien à quoi répondre, ou rien entre quoi choisir',
    why: 'Qui l’ouvre ne trouve rien à dire.',
    cure: '',
  },
  survey_too_few: {
    what: '{title} veut {least} réponses avant de montrer quoi que ce soit, et {learners} apprennent ici | {count} enquêtes veulent plus de réponses avant de montrer quoi que ce soit qu’il n’y a de monde',
    why: 'Ses totaux ne se voient jamais.',
    cure: '',
  },
  largest_beyond: {
    what: '{title} dit {largest} Mo, et le cours en prend {limit} | {count} devoirs disent prendre de plus grands fichiers que le cours',
    why: 'Un fichier plus grand est refusé quand même.',
    cure: 'Laisser faire le cours',
  },
  work_circle: {
    what: '{count} échéances se comptent l’une à partir de l’autre',
    why: 'En cercle, aucune n’a de date.',
    cure: 'Leur donner l’heure habituelle de remise',
  },
  work_outside: {
    what: '{title} est à rendre le {day}, hors de sa section | {count} travaux sont à rendre hors de leur section',
    why: 'Les participants le cherchent dans les jours de sa section.',
    cure: 'Lui donner l’heure habituelle de remise | Leur donner l’heure habituelle de remise',
  },
  work_in_pause: {
    what: '{title} est à rendre le {day}, dans la pause {pause} | {count} travaux sont à rendre dans une pause',
    why: 'Il n’y a personne à qui demander.',
    cure: '',
  },
  work_at_clock_change: {
    what: '{title} est à rendre à {time} le {day}, une heure que les horloges sautent | {count} travaux sont à rendre à une heure que les horloges sautent ou montrent deux fois',
    why: 'Cela compte d’autant après le saut. Une autre heure évite la question.',
    cure: '',
  },
  work_at_clock_change_twice: {
    what: '{title} est à rendre à {time} le {day}, une heure que les horloges montrent deux fois | {count} travaux sont à rendre à une heure que les horloges montrent deux fois ou sautent',
    why: 'La première compte. Une autre heure évite la question.',
    cure: '',
  },
  work_before_opening: {
    what: '{title} est à rendre le {day}, avant d’ouvrir | {count} travaux sont à rendre avant d’ouvrir',
    why: 'On ne pourrait jamais le rendre.',
    cure: 'L’ouvrir avec sa section | Les ouvrir avec leur section',
  },
  work_same_night: {
    what: '{works} travaux sont à rendre le {day} | {count} jours ont plus d’un travail à rendre',
    why: 'L’un d’eux sera mal fait.',
    cure: '',
  },
  work_no_such_weekday: {
    what: '{title} est à rendre un jour de semaine que sa section n’a pas | {count} travaux sont à rendre un jour de semaine que leur section n’a pas',
    why: 'Le jour le plus proche a été pris : {day}. | Les jours les plus proches ont été pris.',
    cure: '',
  },
  heavy_sections: {
    what: 'Une section demande plus de {hours} heures par semaine | {count} sections demandent plus de {hours} heures par semaine',
    why: 'La plus lourde contient {minutes} minutes.',
    cure: '',
  },
  stated_hours: {
    what: 'Le cours promet {stated} heures ; ses éléments en font {hours}',
    why: 'Les participants s’organisent d’après la promesse.',
    cure: 'Promettre {hours} heures',
  },
  outcome_unassessed: {
    what: 'Rien n’évalue l’acquis « {outcome} » | Rien n’évalue {count} acquis',
    why: 'Personne ne saurait s’il est atteint.',
    cure: '',
  },
  largest_upload: {
    what: 'Le plus grand envoi est de {limit} Mo ; rien ici n’en demande autant',
    why: 'Cela donne des lignes lentes et des disques pleins.',
    cure: 'Le mettre à {needed} Mo',
  },
  largest_upload_below: {
    what: 'Le plus grand envoi est de {limit} Mo, et un fichier d’ici a {largest} Mo',
    why: 'Ce qui est demandé n’entre pas.',
    cure: 'Le mettre à {needed} Mo',
  },
  link_gone: {
    what: 'Des mots d’un texte mènent à un élément que les participants n’ont pas | Des mots de textes mènent à {count} éléments que les participants n’ont pas',
    why: 'Les mots restent, et ne mènent nulle part. Montrez de nouveau l’élément, ou enlevez le lien.',
    cure: '',
  },
  nothing_open: {
    what: 'Rien n’est ouvert le premier jour, {day} | Rien n’est ouvert le premier jour, {day}',
    why: 'Tout ce qui est montré ouvre plus tard : les participants trouvent porte close. Qu’une chose soit ouverte : par où commencer.',
    cure: '',
  },
  closed_before_due: {
    what: '{title} est à rendre le {day}, après la fermeture du cours | {count} travaux sont à rendre après la fermeture du cours',
    why: 'Personne ne peut plus le rendre.',
    cure: 'Laisser le cours ouvert après son dernier jour',
  },
  picture_alt: {
    what: 'Une image ne dit pas ce qu’elle montre | {count} images ne disent pas ce qu’elles montrent',
    why: 'Ceux qui ne la voient pas n’en ont rien. Quelques mots suffisent ; un ornement peut dire qu’il en est un.',
    cure: '',
  },
  rules_circle: {
    what: '{title} s’attend lui-même | {count} éléments s’attendent en cercle',
    why: '{titles} : personne ne peut jamais commencer. Couper un lien suffit.',
    cure: 'Couper le cercle',
  },
  rules_never_over_before_open: {
    what: '{title} est fini avant d’ouvrir | {count} éléments ne peuvent jamais ouvrir, {title} d’abord',
    why: 'Son dernier instant vient avant le premier.',
    cure: '',
  },
  rules_never_after_the_end: {
    what: '{title} n’ouvre qu’après la fermeture du cours | {count} éléments ne peuvent jamais ouvrir, {title} d’abord',
    why: 'Les participants n’ont alors plus rien où travailler.',
    cure: '',
  },
  rules_never_waits_for_hidden: {
    what: '{title} ne peut jamais ouvrir | {count} éléments ne peuvent jamais ouvrir, {title} d’abord',
    why: 'Il attend {waits}, que les participants n’ont pas, ou qui ne compte pas comme fait.',
    cure: '',
  },
  rules_never: {
    what: '{title} ne peut jamais ouvrir | {count} éléments ne peuvent jamais ouvrir, {title} d’abord',
    why: 'Il attend {waits}, qui n’ouvre jamais lui-même.',
    cure: '',
  },
  rules_due_after_end: {
    what: '{title} attend un travail à rendre après la fermeture du cours | {count} éléments attendent un travail à rendre après la fermeture du cours',
    why: '{waits} est à rendre trop tard pour qui prend le temps qu’il a.',
    cure: '',
  },
  nothing_to_look_at: {
    what: 'Avant le premier jour les participants peuvent regarder, et il n’y a rien à voir',
    why: 'Tout a sa propre ouverture, le programme aussi. Qu’une page ouvre aussitôt.',
    cure: '',
  },
  live_too_late: {
    what: 'Le cours s’ouvre le {day}, après son premier jour, {first}',
    why: 'Jusque-là les participants ne trouvent pas de cours du tout.',
    cure: 'Ouvrir le premier jour',
  },
  visitors_lost: {
    what: 'Les visiteurs peuvent regarder, et seuls les membres peuvent trouver le cours',
    why: 'Il leur faudrait connaître son adresse, et ils ne l’auraient pas.',
    cure: 'Que tous ceux d’ici le trouvent',
  },
  passphrase_easy_none: {
    what: 'On demande une phrase de passe aux visiteurs, et il n’y en a pas',
    why: 'Quoi qu’ils écrivent, c’est faux.',
    cure: '',
  },
  passphrase_easy: {
    what: 'La phrase de passe des visiteurs se devine',
    why: 'Elle est courte, ou faite de ce que tous savent du cours. Trois mots sans rapport valent mieux.',
    cure: '',
  },
  nothing_counted: {
    what: 'Rien ne compte comme fait, bien que ce soit demandé',
    why: 'La règle du cours, ou d’une section, demande ce qui compte.',
    cure: 'S’en passer',
  },
  cannot_finish: {
    what: 'Le cours ne peut pas être terminé | Le cours ne peut pas être terminé, pour {count} raisons',
    why: 'Même qui fait tout n’y arrive pas : {title}.',
    cure: 'Le corriger',
  },
  section_cannot_give: {
    what: 'Une section en veut {wants}, et {are} y comptent | {count} sections veulent plus que ce qui y compte',
    why: 'Personne ne peut en finir.',
    cure: 'En vouloir autant qu’il y en a',
  },
  counted_unlisted: {
    what: '{title} compte et n’est dans aucune liste | {count} éléments comptent et ne sont dans aucune liste',
    why: 'Qui n’a pas son adresse ne le remarque jamais.',
    cure: 'Le mettre en liste | Les mettre en liste',
  },
  counts_otherwise_stated: {
    what: 'Le cours promet {stated} heures ; ce qui compte comme fait en prend {hours}',
    why: 'Qui a tout fait n’a pas fait ce qui était promis.',
    cure: '',
  },
  all_due_at_once: {
    what: '{count} éléments sont tous à rendre le {day} | {count} éléments sont tous à rendre le {day}',
    why: 'Tout le monde a la même soirée pour tout cela.',
    cure: 'Les répartir',
  },
  samples_showing: {
    what: '{title} peut se lire avant l’inscription | {count} éléments peuvent se lire avant l’inscription',
    why: 'Par qui peut trouver le cours. Bon pour un avant-goût ; vérifiez que rien n’y est pour les seuls membres.',
    cure: 'Le garder pour les membres | Les garder pour les membres',
  },
  groups_missing: {
    what: '{title} est pour un groupe où il n’y a personne | {count} éléments sont pour des groupes où il n’y a personne',
    why: 'Aucun participant ne les a, et personne ne saurait pourquoi.',
    cure: 'L’ouvrir à tous | Les ouvrir à tous',
  },
  group_work_without: {
    what: 'Le travail est en groupes, et le cours n’en a pas',
    why: 'Chacun travaillerait seul, et ne verrait personne.',
    cure: 'Pas de groupes',
  },
  group_work_without_items: {
    what: 'Un élément se fait en groupes, et le cours n’en a pas | {count} éléments se font en groupes, et le cours n’en a pas',
    why: 'Chacun travaillerait seul, et ne verrait personne.',
    cure: 'Comme l’a le cours',
  },
  menu_long: {
    what: 'Le menu a {count} entrées | Le menu a {count} entrées',
    why: 'On en saisit environ {most} d’un regard ; au-delà on lit, et on manque ce qu’on cherchait.',
    cure: '',
  },
  menu_twice: {
    what: 'Deux entrées du menu mènent au même endroit : {entry} | {count} entrées mènent là où une autre mène déjà',
    why: 'Les participants ouvrent les deux pour savoir s’il y a une différence.',
    cure: 'Sortir la seconde | Sortir les suivantes',
  },
  menu_empty_page: {
    what: 'Une entrée mène à une page vide : {entry} | {count} entrées mènent à des pages vides',
    why: 'Les participants ne l’ont pas dans leur menu tant que rien n’est sur la page.',
    cure: 'La sortir du menu | Les sortir du menu',
  },
  menu_tool_first: {
    what: '{entry} est au-dessus de {content} dans le menu',
    why: 'Ce pour quoi on vient devrait se voir d’abord.',
    cure: 'Mettre {content} devant',
  },
  menu_no_start: {
    what: 'Rien dans le menu n’est un endroit où commencer',
    why: 'Il ne mène ni à une page d’accueil, ni aux sections, ni à une page.',
    cure: 'Remettre les sections',
  },
  menu_no_contact: {
    what: 'Rien ne mène les participants à qui demander',
    why: 'Les cartes de contact ne sont ni dans le menu ni sur l’accueil.',
    cure: 'Les mettre sur l’accueil',
  },
  menu_no_contact_cards: {
    what: 'Les participants n’ont aucun moyen de joindre l’enseignant',
    why: 'Aucune carte de contact ne dit comment.',
    cure: '',
  },
  menu_address: {
    what: 'Une entrée mène à {address} sans https | {count} entrées mènent à des adresses sans https',
    why: 'N’importe qui en chemin peut lire, et les navigateurs avertissent.',
    cure: 'La mettre en https | Les mettre en https',
  },
  menu_address_none: {
    what: 'Une entrée mène à {address}, où les participants ne peuvent pas aller | {count} entrées ne mènent nulle part ; la première est {address}',
    why: 'Les participants y trouveraient une erreur.',
    cure: '',
  },
  menu_label_long: {
    what: '« {label} » est trop long pour le menu d’un téléphone | {count} noms sont trop longs pour le menu d’un téléphone ; le premier est « {label} »',
    why: 'Il a {length} lettres, et deux lignes en tiennent {most}.',
    cure: '',
  },
  arrive_lost: {
    what: 'Les participants doivent arriver à ce qu’ils n’ont pas | Les participants doivent arriver à ce qu’ils n’ont pas, la première fois et ensuite',
    why: 'Ils arrivent à la page d’accueil à la place.',
    cure: 'Qu’ils arrivent où tous arrivent',
  },
  course_picture_silent: {
    what: 'L’image du cours ne dit rien à qui ne la voit pas | Deux images du cours ne disent rien à qui ne les voit pas',
    why: 'Dites ce qu’elle montre, ou que c’est un ornement.',
    cure: '',
  },
  announcement_undated: {
    what: '« {subject} » est prête et ne s’affiche jamais | {count} annonces sont prêtes et ne s’affichent jamais',
    why: 'Elle n’a pas de date, ou se retire avant de s’afficher.',
    cure: '',
  },
  contact_gone: {
    what: 'Une carte de contact est de quelqu’un qui n’est plus de l’équipe | {count} cartes de contact sont de gens qui ne sont plus de l’équipe',
    why: 'Elle n’est montrée à personne.',
    cure: 'L’enlever | Les enlever',
  },
};
