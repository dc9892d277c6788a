/** A passphrase that whoever knows of the course would try first is called easy. */
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { isEasyPassphrase } from '../../src/index.ts';

const NAMES = ['EFM-210-SPR27', 'Estuary Field Methods'];

describe('easy', () => {
  test.each([
    ['short', 'tern'],
    ['long and the same over and over', 'abababababab'],
    ['what people write first', 'Password123'],
    ['that, spelled with signs', 'P-a-s-s-w-o-r-d 2027'],
    ['the code', 'efm-210-spr27'],
    ['the title and a number', 'Estuary Field Methods 27'],
    ['the title run together', 'estuaryfieldmethods'],
    ['figures alone', '8392746105'],
    ['a run of letters', 'abcdefghij'],
    ['a run backwards', 'zyxwvutsrq'],
    ['a word that everybody adds', 'welcome-guest-2027'],
    ['nothing but signs', '!!!!!!!!????'],
  ])('%s', (_, passphrase) => {
    expect(isEasyPassphrase(passphrase, NAMES)).toBe(true);
  });
});

describe('not easy', () => {
  test.each([
    ['words of one’s own', 'wet boots at noon'],
    ['the title with enough beside it', 'estuary, wet boots'],
    ['in another script', 'مد وجزر في الصباح'],
    ['words and figures', 'curlew 12 avocet'],
  ])('%s', (_, passphrase) => {
    expect(isEasyPassphrase(passphrase, NAMES)).toBe(false);
  });

  test('what is easy for one course need not be for another', () => {
    expect(isEasyPassphrase('estuaryfieldmethods', ['NAV-1', 'Night Sky'])).toBe(false);
  });
});

test('case, spaces and signs change nothing; a short name of the course is no reason', () => {
  fc.assert(
    fc.property(fc.stringMatching(/^[a-z]{1,14}$/), fc.constantFrom(' ', '-', '!', '_'), (word, sign) => {
      const spelled = [...word.toUpperCase()].join(sign);
      expect(isEasyPassphrase(spelled, NAMES)).toBe(isEasyPassphrase(word, NAMES));
      expect(isEasyPassphrase(word, [...NAMES, 'x'])).toBe(isEasyPassphrase(word, NAMES));
    }),
    { numRuns: 500 },
  );
});
