import type { MailWords } from '../letters.ts';

export const FR: MailWords = {
  roles: {
    instructor: 'enseignant',
    assistant: 'assistant',
    learner: 'étudiant',
    visitor: 'visiteur',
  },
  foot: ({ institution }) =>
    `Envoyé par Itinerary pour ${institution}. Personne ne lit les réponses à cette adresse.`,
  letters: {
    confirm: {
      subject: ({ institution }) => `Votre compte à ${institution}`,
      lines: ({ institution, until }) => [
        `Quelqu’un, vous-même espérons-le, demande un compte à ${institution} avec cette adresse.`,
        `Choisissez un mot de passe, et il est créé. Ceci fonctionne une seule fois, jusqu’au ${until ?? ''}.`,
        'Si ce n’était pas vous, ne faites rien : aucun compte ne sera créé.',
      ],
      press: 'Choisir un mot de passe',
    },
    known: {
      subject: ({ institution }) => `Vous avez déjà un compte à ${institution}`,
      lines: ({ institution }) => [
        `Quelqu’un, vous-même espérons-le, voulait créer un compte à ${institution} avec cette adresse. Il en existe déjà un.`,
        'Connectez-vous avec celui-ci. Si vous ne savez plus votre mot de passe, vous pouvez en définir un nouveau.',
      ],
      press: 'Se connecter',
    },
    reset: {
      subject: () => 'Un nouveau mot de passe',
      lines: ({ institution, until }) => [
        `Quelqu’un, vous-même espérons-le, demande un nouveau mot de passe pour votre compte à ${institution}.`,
        `Ceci fonctionne une seule fois, jusqu’au ${until ?? ''}. Toutes les sessions ouvertes avec l’ancien seront alors fermées.`,
        'Si ce n’était pas vous, ne faites rien : votre mot de passe reste le même.',
      ],
      press: 'Définir un nouveau mot de passe',
    },
    invitation: {
      subject: ({ course }) => `Invitation à ${course ?? ''}`,
      lines: ({ by, course, institution, role, description, until }) => [
        `${by ?? ''} vous invite à « ${course ?? ''} » à ${institution}, comme ${role}.`,
        description ?? null,
        until === undefined ? null : `L’invitation est valable jusqu’au ${until}.`,
      ],
      press: 'Voir le cours et s’y inscrire',
    },
    offer: {
      subject: ({ course }) => `Une place pour vous dans ${course ?? ''}`,
      lines: ({ course, until }) => [
        `Vous attendiez une place dans « ${course ?? ''} ». Il y en a une, et elle vous est réservée.`,
        `Prenez-la avant le ${until ?? ''} ; ensuite elle va à la personne suivante.`,
      ],
      press: 'Prendre la place',
    },
    asked: {
      subject: ({ by, course }) => `${by ?? ''} demande à entrer dans ${course ?? ''}`,
      lines: ({ by, course, question, answer }) => [
        `${by ?? ''} demande à entrer dans « ${course ?? ''} ».`,
        question === undefined ? null : `${question}\n${answer ?? ''}`,
      ],
      press: 'Répondre',
    },
    accepted: {
      subject: ({ course }) => `Vous êtes dans ${course ?? ''}`,
      lines: ({ course }) => [
        `Vous avez demandé à entrer dans « ${course ?? ''} ». La réponse est oui : vous y êtes.`,
      ],
      press: 'Ouvrir le cours',
    },
    refused: {
      subject: ({ course }) => `Votre demande pour ${course ?? ''}`,
      lines: ({ course, reason }) => [
        `Vous avez demandé à entrer dans « ${course ?? ''} ». La réponse est non, pour cette raison :`,
        reason ?? null,
      ],
      press: 'Voir le cours',
    },
    in_line: {
      subject: ({ course }) => `Vous êtes dans la file d’attente de ${course ?? ''}`,
      lines: ({ course }) => [
        `Vous avez demandé à entrer dans « ${course ?? ''} ». La réponse est oui, mais toutes les places sont prises : vous êtes dans la file d’attente. Nous vous écrirons dès qu’une place se libère.`,
      ],
      press: 'Voir votre rang',
    },
    receipt: {
      subject: ({ receipt, course }) => `Reçu ${receipt ?? 0} : ${course ?? ''}`,
      lines: ({ amount, course, institution, on, receipt, until }) => [
        `Payé : ${amount ?? ''}`,
        `Pour « ${course ?? ''} » à ${institution}, le ${on ?? ''}. Reçu ${receipt ?? 0}. Vous êtes dans le cours.`,
        until === undefined ? null : `Il compte jusqu’à : ${until}.`,
      ],
      press: 'Ouvrir le cours',
    },
    paid_back: {
      subject: ({ course }) => `Votre argent pour ${course ?? ''}`,
      lines: ({ amount, course }) => [
        `${amount ?? ''} pour « ${course ?? ''} » vous ont été rendus, et vous n’êtes plus dans le cours. Tout ce que vous y avez fait est conservé.`,
      ],
      press: 'Voir le cours',
    },
    renews: {
      subject: ({ course }) => `${course ?? ''} sera bientôt payé de nouveau`,
      lines: ({ amount, course, until }) => [
        `Votre place dans « ${course ?? ''} » est payée jusqu’à : ${until ?? ''}. ${amount ?? ''} seront alors pris pour autant de temps. Si vous n’en voulez plus, dites-le avant.`,
      ],
      press: 'Voir, ou y mettre fin',
    },
    ends: {
      subject: ({ course }) => `Votre place dans ${course ?? ''} prend bientôt fin`,
      lines: ({ course, until }) => [
        `Votre place dans « ${course ?? ''} » est payée jusqu’à : ${until ?? ''}, et vous avez dit qu’elle finit alors. Tout ce que vous y avez fait est conservé.`,
      ],
      press: 'Voir, ou continuer',
    },
    not_renewed: {
      subject: ({ course }) => `${course ?? ''} n’a pas pu être payé de nouveau`,
      lines: ({ amount, course, until }) => [
        `${amount ?? ''} pour « ${course ?? ''} » n’ont pas pu être pris. Vous êtes dans le cours jusqu’à : ${until ?? ''} ; payez avant pour y rester.`,
      ],
      press: 'Payer',
    },
    lapsed: {
      subject: ({ course }) => `Votre place dans ${course ?? ''} a pris fin`,
      lines: ({ course, until }) => [
        `Votre place dans « ${course ?? ''} » était payée jusqu’à : ${until ?? ''}. Vous n’êtes plus dans le cours ; tout ce que vous y avez fait est conservé, et vous pouvez revenir.`,
      ],
      press: 'Voir le cours',
    },
    posted: {
      subject: ({ thread }) => `Du nouveau dans « ${thread ?? ''} »`,
      lines: ({ by, course, thread }) => [
        by === undefined
          ? `Quelque chose de nouveau a été écrit dans « ${thread ?? ''} », dans « ${course ?? ''} ».`
          : `${by} a écrit dans « ${thread ?? ''} », dans « ${course ?? ''} ».`,
        'Vous suivez ce fil. La prochaine lettre à son sujet viendra quand vous aurez lu ce qui s’y trouve ; vous pouvez cesser de le suivre sur sa page.',
      ],
      press: 'Le lire',
    },
  },
};
