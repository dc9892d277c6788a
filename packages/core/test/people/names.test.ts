/** How names stand where people are looked up. */
import { expect, test } from '@jest/globals';
import { filedAs } from '../../src/people/index.ts';

test.each([
  [{ given: 'Adaeze', family: 'Okpara', name: null }, 'Adaeze Okpara', 'Okpara, Adaeze'],
  [{ given: 'ليلى', family: 'حدّاد', name: null }, 'ليلى حدّاد', 'حدّاد، ليلى'],
  [
    { given: 'María José', family: 'de la Vega', name: null },
    'María José de la Vega',
    'de la Vega, María José',
  ],
  // Nobody has said where it parts.
  [{ given: null, family: null, name: 'Noor Rahimi' }, 'Noor Rahimi', 'Noor Rahimi'],
  [{ given: 'Sukarno', family: null, name: null }, 'Sukarno', 'Sukarno'],
  [{ given: null, family: 'Morisawa', name: null }, 'Morisawa', 'Morisawa'],
  [{ given: null, family: null, name: null }, '', ''],
])('%j stands as %s, or as %s', (named, givenFirst, familyFirst) => {
  expect([filedAs(named, 'given_first'), filedAs(named, 'family_first')]).toEqual([givenFirst, familyFirst]);
});
