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
      lines: ({ amount, course, institution, on, receipt }) => [
        `Paid: ${amount ?? ''}`,
        `For “${course ?? ''}” at ${institution}, on ${on ?? ''}. Receipt ${receipt ?? 0}. You are in the course.`,
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
  },
};
