/** A letter as it is read: subject, plain text and HTML, in its reader's language. */
import { escapeHtml } from '@itinerary/core';
import { amountWords } from '@itinerary/core/people';
import { AR } from './words/ar.ts';
import { EN } from './words/en.ts';
import { ES } from './words/es.ts';
import { FR } from './words/fr.ts';

export const LETTER_KINDS = [
  'confirm',
  'known',
  'reset',
  'invitation',
  'offer',
  'asked',
  'accepted',
  'refused',
  'in_line',
  'receipt',
  'paid_back',
  'renews',
  'ends',
  'not_renewed',
  'lapsed',
  'posted',
] as const;
export type LetterKind = (typeof LETTER_KINDS)[number];

/** What is filled in. Instants are ISO, UTC. */
export interface LetterFacts {
  readonly institution: string;
  /** The page that it leads to: what stands behind the site's own address. */
  readonly path: string;
  readonly course?: string;
  /** Of the course, in plain paragraphs. */
  readonly description?: string;
  /** Who has invited, or who asks. */
  readonly by?: string;
  readonly role?: 'instructor' | 'assistant' | 'learner' | 'visitor';
  readonly until?: string;
  readonly zone?: string;
  readonly reason?: string;
  readonly question?: string;
  readonly answer?: string;
  /** In the smallest unit of the currency. */
  readonly amount?: number;
  readonly currency?: string;
  readonly receipt?: number;
  /** When it was paid. */
  readonly on?: string;
  /** Its title. */
  readonly thread?: string;
}

/** What the words of a language fill in: moments are written out. */
export type Filled = Omit<LetterFacts, 'path' | 'role' | 'amount'> & {
  readonly role: string;
  readonly amount?: string;
};

export interface LetterWords {
  readonly subject: (filled: Filled) => string;
  readonly lines: (filled: Filled) => readonly (string | null)[];
  /** On what leads to the page. */
  readonly press: string;
}
export interface MailWords {
  readonly roles: Readonly<Record<NonNullable<LetterFacts['role']>, string>>;
  /** Below every letter: why it has come. */
  readonly foot: (filled: Filled) => string;
  readonly letters: Readonly<Record<LetterKind, LetterWords>>;
}
export const MAIL_WORDS = { en: EN, es: ES, fr: FR, ar: AR } as const satisfies Record<string, MailWords>;

/** As the pages write days and figures. */
const INTL = { en: 'en-GB', es: 'es', fr: 'fr', ar: 'ar-u-nu-latn' } as const;

export interface Composed {
  readonly subject: string;
  readonly text: string;
  readonly html: string;
}

/** With the zone's short name: whoever reads it may be elsewhere. */
function moment(instant: string, zone: string, lang: string): string {
  return new Intl.DateTimeFormat(lang, {
    dateStyle: 'full',
    timeStyle: 'short',
    timeZone: zone,
  })
    .format(new Date(instant))
    .concat(` (${zone})`);
}

/** @param site where the pages are: `https://host`, without a slash at its end */
export function compose(
  kind: LetterKind,
  lang: keyof typeof MAIL_WORDS,
  facts: LetterFacts,
  site: string,
): Composed {
  const words: MailWords = MAIL_WORDS[lang];
  const { path, role, until, on, amount, ...rest } = facts;
  const zone = facts.zone ?? 'UTC';
  const filled: Filled = {
    ...rest,
    role: words.roles[role ?? 'learner'],
    ...(until === undefined ? {} : { until: moment(until, zone, INTL[lang]) }),
    ...(on === undefined ? {} : { on: moment(on, zone, INTL[lang]) }),
    ...(amount === undefined ? {} : { amount: amountWords(amount, facts.currency ?? 'EUR', INTL[lang]) }),
  };
  const { subject, lines, press } = words.letters[kind];
  const said: readonly string[] = lines(filled).filter((line) => line !== null);
  const foot = words.foot(filled);
  const address = `${site}${path}`;
  return {
    // A title may hold anything; a subject is one line.
    subject: subject(filled).replaceAll(/\s+/g, ' ').trim(),
    text: [...said, `${press}:\n${address}`, `-- \n${foot}`].join('\n\n'),
    html: page(lang, said, press, address, foot),
  };
}

const paragraph = (text: string): string =>
  `<p style="margin:0 0 14px;line-height:1.5">${escapeHtml(text).replaceAll('\n', '<br>')}</p>`;

function page(lang: string, said: readonly string[], press: string, address: string, foot: string): string {
  const href = escapeHtml(address);
  return `<!doctype html>
<html lang="${lang}" dir="${lang === 'ar' ? 'rtl' : 'ltr'}"><head><meta charset="utf-8"></head>
<body style="margin:0;padding:24px;background:#eef2ee;color:#15241f;font:16px system-ui,sans-serif">
<div style="max-width:560px;margin:0 auto;padding:24px;background:#ffffff;border-top:4px solid #a8720a">
${said.map(paragraph).join('\n')}
<p style="margin:20px 0"><a href="${href}" style="display:inline-block;padding:10px 18px;background:#15493b;color:#ffffff;text-decoration:none;font-weight:600">${escapeHtml(press)}</a></p>
<p style="margin:0 0 14px;font-size:13px;word-break:break-all" dir="ltr">${href}</p>
<p style="margin:18px 0 0;font-size:13px;color:#4b5a54">${escapeHtml(foot)}</p>
</div></body></html>
`;
}
