import type { MailWords } from '../letters.ts';

export const EN: MailWords = {
  roles: {
    instructor: 'an instructor',
    assistant: 'an assistant',
    learner: 'a learner',
    visitor: 'a visitor',
  },
  foot: ({ institution }) =>
    `Sent by Itinerary for ${institution}. Nobody reads what is sent back to this address.`,
  letters: {
    confirm: {
      subject: ({ institution }) => `Your account at ${institution}`,
      lines: ({ institution, until }) => [
        `Somebody, we hope you, wants an account at ${institution} with this address.`,
        `Choose a password, and it is there. This works once, until ${until ?? ''}.`,
        'If it was not you, do nothing: there will be no account.',
      ],
      press: 'Choose a password',
    },
    known: {
      subject: ({ institution }) => `You have an account at ${institution} already`,
      lines: ({ institution }) => [
        `Somebody, we hope you, wanted to make an account at ${institution} with this address. There is one already.`,
        'Sign in with it. If you do not know your password any more, you can set a new one there.',
      ],
      press: 'Sign in',
    },
    reset: {
      subject: () => 'A new password',
      lines: ({ institution, until }) => [
        `Somebody, we hope you, wants a new password for your account at ${institution}.`,
        `This works once, until ${until ?? ''}. All who are signed in with the old one are signed out then.`,
        'If it was not you, do nothing: your password stays as it is.',
      ],
      press: 'Set a new password',
    },
    invitation: {
      subject: ({ course }) => `You are invited to ${course ?? ''}`,
      lines: ({ by, course, institution, role, description, until }) => [
        `${by ?? ''} invites you to “${course ?? ''}” at ${institution}, as ${role}.`,
        description ?? null,
        until === undefined ? null : `The invitation is good until ${until}.`,
      ],
      press: 'Look at the course, and join it',
    },
    offer: {
      subject: ({ course }) => `A seat for you in ${course ?? ''}`,
      lines: ({ course, until }) => [
        `You have been waiting for a seat in “${course ?? ''}”. One is free now, and it is kept for you.`,
        `Take it by ${until ?? ''}; after that it goes to whoever is next.`,
      ],
      press: 'Take the seat',
    },
    asked: {
      subject: ({ by, course }) => `${by ?? ''} asks to join ${course ?? ''}`,
      lines: ({ by, course, question, answer }) => [
        `${by ?? ''} asks to join “${course ?? ''}”.`,
        question === undefined ? null : `${question}\n${answer ?? ''}`,
      ],
      press: 'Answer them',
    },
    accepted: {
      subject: ({ course }) => `You are in ${course ?? ''}`,
      lines: ({ course }) => [`You asked to join “${course ?? ''}”. The answer is yes: you are in it.`],
      press: 'Open the course',
    },
    refused: {
      subject: ({ course }) => `Your request to join ${course ?? ''}`,
      lines: ({ course, reason }) => [
        `You asked to join “${course ?? ''}”. The answer is no, for this reason:`,
        reason ?? null,
      ],
      press: 'Look at the course',
    },
    in_line: {
      subject: ({ course }) => `You are in the line for ${course ?? ''}`,
      lines: ({ course }) => [
        `You asked to join “${course ?? ''}”. The answer is yes, and every seat is taken: you wait in the line. We write to you as soon as one is free.`,
      ],
      press: 'See where you are in the line',
    },
    receipt: {
      subject: ({ receipt, course }) => `Receipt ${receipt ?? 0}: ${course ?? ''}`,
      lines: ({ amount, course, institution, on, receipt, until }) => [
        `Paid: ${amount ?? ''}`,
        `For “${course ?? ''}” at ${institution}, on ${on ?? ''}. Receipt ${receipt ?? 0}. You are in the course.`,
        until === undefined ? null : `It counts until ${until}.`,
      ],
      press: 'Open the course',
    },
    paid_back: {
      subject: ({ course }) => `Your money for ${course ?? ''}`,
      lines: ({ amount, course }) => [
        `${amount ?? ''} for “${course ?? ''}” has gone back to you, and you are no longer in the course. All that you have done in it is kept.`,
      ],
      press: 'Look at the course',
    },
    renews: {
      subject: ({ course }) => `${course ?? ''} is paid for again soon`,
      lines: ({ amount, course, until }) => [
        `Your place in “${course ?? ''}” is paid until ${until ?? ''}. Then ${amount ?? ''} is taken for as long again. If you want that no more, say so before.`,
      ],
      press: 'Look, or end it',
    },
    ends: {
      subject: ({ course }) => `Your place in ${course ?? ''} ends soon`,
      lines: ({ course, until }) => [
        `Your place in “${course ?? ''}” is paid until ${until ?? ''}, and you have said that it ends then. All that you have done in it is kept.`,
      ],
      press: 'Look, or go on with it',
    },
    not_renewed: {
      subject: ({ course }) => `${course ?? ''} could not be paid for again`,
      lines: ({ amount, course, until }) => [
        `${amount ?? ''} for “${course ?? ''}” could not be taken. You are in the course until ${until ?? ''}; pay before then to stay in it.`,
      ],
      press: 'Pay',
    },
    lapsed: {
      subject: ({ course }) => `Your place in ${course ?? ''} has ended`,
      lines: ({ course, until }) => [
        `Your place in “${course ?? ''}” was paid until ${until ?? ''}. You are no longer in the course; all that you have done in it is kept, and you can come back.`,
      ],
      press: 'Look at the course',
    },
    posted: {
      subject: ({ thread }) => `New in “${thread ?? ''}”`,
      lines: ({ by, course, thread }) => [
        by === undefined
          ? `Something new has been posted in “${thread ?? ''}”, in “${course ?? ''}”.`
          : `${by} has posted in “${thread ?? ''}”, in “${course ?? ''}”.`,
        'You follow this thread. The next letter about it comes once you have read what is there; you can stop following it on its page.',
      ],
      press: 'Read it',
    },
  },
};
