/** Letters in every language, addresses to which they come back, and the words of a long text. */
import { describe, expect, test } from '@jest/globals';
import { letterOfReturn, returnAddress } from '../../src/mail/carrier.ts';
import { compose, LETTER_KINDS, MAIL_WORDS } from '../../src/mail/letters.ts';
import { reasonIn } from '../../src/mail/returns.ts';
import { plainText } from '../../src/text/plain-text.ts';

const FACTS = {
  institution: 'MARKER-institution',
  path: '/join/KEY',
  course: 'MARKER <b>course</b>\r\nBcc: somebody@away.example',
  description: 'MARKER-description',
  by: 'MARKER-by',
  role: 'learner' as const,
  until: '2027-02-16T10:00:00.000Z',
  zone: 'Europe/Lisbon',
  reason: 'MARKER-reason',
  question: 'MARKER-question',
  answer: 'MARKER-answer',
  amount: 12_050,
  currency: 'EUR',
  receipt: 7,
  on: '2027-02-16T10:00:00.000Z',
};
const LANGS = ['en', 'es', 'fr', 'ar'] as const;

describe.each(LETTER_KINDS)('%s', (kind) => {
  test('reads in every language, leads to its page, and takes nothing that it is given for its own', () => {
    const letters = LANGS.map((lang) => compose(kind, lang, FACTS, 'https://here.example'));
    letters.forEach(({ subject, text, html }, at) => {
      expect(subject).not.toMatch(/[\r\n]/);
      expect(text).toContain('https://here.example/join/KEY');
      expect(html).toContain('href="https://here.example/join/KEY"');
      expect(html).not.toContain('<b>');
      expect(text).not.toMatch(/undefined|null|\[object/);
      expect(html).toContain(`lang="${LANGS[at] ?? ''}" dir="${LANGS[at] === 'ar' ? 'rtl' : 'ltr'}"`);
    });
    expect(new Set(letters.map(({ text }) => text)).size).toBe(LANGS.length);
    // Each says the same facts.
    const facts = (text: string): string[] => [...new Set(text.match(/MARKER-\w+/g) ?? [])].sort();
    for (const { text } of letters) expect(facts(text)).toEqual(facts(letters[0]!.text));
  });
});

test('each language has words for each letter and role', () => {
  for (const words of Object.values(MAIL_WORDS)) {
    expect(Object.keys(words.letters).sort()).toEqual([...LETTER_KINDS].sort());
    expect(Object.keys(words.roles).sort()).toEqual(['assistant', 'instructor', 'learner', 'visitor']);
  }
});

test('a letter comes back to an address that nobody else can write', () => {
  const id = 'b6c2b7a6-4f6e-4a3e-9a51-0d6e7c1b2a10';
  const address = returnAddress('secret', id, 'itinerary@here.example');
  expect(address).toMatch(/@here\.example$/);
  expect(letterOfReturn('secret', address)).toBe(id);
  expect(letterOfReturn('secret', address.toUpperCase())).toBe(id);
  expect(letterOfReturn('another', address)).toBeNull();
  expect(letterOfReturn('secret', address.replace(/^returned\+b/, 'returned+c'))).toBeNull();
  expect(letterOfReturn('secret', 'somebody@here.example')).toBeNull();
});

test('a report says why in one line, however it is folded', () => {
  expect(
    reasonIn('Status: 5.1.1\r\nDiagnostic-Code: smtp; 550 no such\r\n  mailbox here\r\nAction: failed', ''),
  ).toBe('550 no such mailbox here');
  expect(reasonIn('', ' It could not\nbe delivered ')).toBe('It could not be delivered');
});

test.each([
  ['<p>Mud &amp; sand</p><p>Two <b>days</b></p>', 'Mud & sand\n\nTwo days'],
  ['<ul><li>Boots</li><li>A coat</li></ul>', '– Boots\n– A coat'],
  ['<p>One<br>two</p>', 'One\ntwo'],
  ['', ''],
])('%s in words', (html, words) => {
  expect(plainText(html)).toBe(words);
});
