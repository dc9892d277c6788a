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
      lines: ({ amount, course, institution, on, receipt }) => [
        `Payé : ${amount ?? ''}`,
        `Pour « ${course ?? ''} » à ${institution}, le ${on ?? ''}. Reçu ${receipt ?? 0}. Vous êtes dans le cours.`,
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
  },
};
