/** People written out as a list: what stands in it, that it is harmless, and that it says the same when it is read. */
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { composed, readList, unknownIn, writeList } from '../../src/people/index.ts';
import { member } from '../support/roster.ts';

const INES = member('k', { given: 'Inês', family: 'Carvalhal', userName: 'icarvalhal', classes: ['A', 'B'] });

describe('a column that is put together', () => {
  test.each([
    ['{given} {family} ({userName})', INES, 'Inês Carvalhal (icarvalhal)'],
    ['{given} {family} ({userName})', member('k', { name: 'Suharto' }), ''],
    ['{name} ({userName})', member('k', { name: 'Suharto' }), 'Suharto'],
    ['{name} <{address}>', INES, 'Inês Carvalhal'],
    ['{family}, {given}', INES, 'Carvalhal, Inês'],
    ['{family}, {given}', member('k', { family: 'Rahimi' }), 'Rahimi'],
    ['{class}', INES, 'A; B'],
    ['{role}: {id}', INES, 'learner:'],
    ['{shoe} {given}', INES, 'Inês'],
  ])('%s of somebody', (pattern, who, words) => expect(composed(pattern, who)).toBe(words));

  test('names fields that there are, or which there are not', () => {
    expect(unknownIn('{given} {shoe} ({userName}) {}')).toEqual(['shoe']);
    expect(unknownIn('{given}, {class}')).toEqual([]);
  });
});

test('what a spreadsheet would compute is words', () => {
  const evil = ['=1+1', '+cmd', '-2', '@sum', '=HYPERLINK("x","y")'].map((name) => member('k', { name }));
  const text = writeList([{ heading: 'Name', pattern: '{name}' }], evil);
  expect(text.split('\r\n').slice(1, 5)).toEqual(["'=1+1", "'+cmd", "'-2", "'@sum"]);
  expect(text).toContain(`"'=HYPERLINK(""x"",""y"")"`);
});

test('read again, a list says the same', () => {
  const word = fc.stringMatching(/^[A-Za-zÀ-ÿ]{2,8}(?: [A-Za-zÀ-ÿ]{2,8}|, [a-z]{2,5})?$/);
  const someone = fc.record({
    id: fc.option(fc.stringMatching(/^T-\d{5}$/)),
    given: fc.option(word),
    family: fc.option(word),
    address: fc.option(fc.stringMatching(/^[a-z]{2,8}@x\.example$/)),
    userName: fc.option(fc.stringMatching(/^[a-z]{3,8}\d$/)),
    classes: fc.subarray(['A'], { minLength: 0 }),
    role: fc.constantFrom('learner' as const, 'assistant' as const),
  });
  const columns = (['id', 'given', 'family', 'address', 'userName', 'class', 'role'] as const).map(
    (field) => ({
      heading:
        { id: 'Student ID', given: 'Given name', family: 'Family name', address: 'Email' }[field as 'id'] ??
        field,
      pattern: `{${field}}`,
    }),
  );
  fc.assert(
    fc.property(fc.array(someone, { minLength: 1, maxLength: 12 }), (people) => {
      const members = people.map((one, at) => member(`k${at}`, one));
      const { rows, leftOut } = readList(writeList(columns, members));
      expect(leftOut).toEqual([]);
      expect(
        rows.map(({ id, given, family, address, userName, class: inClass, role }) => ({
          id,
          given,
          family,
          address,
          userName,
          classes: inClass === null ? [] : [inClass],
          role,
        })),
      ).toEqual(people);
    }),
    { numRuns: 500, seed: 20270216 },
  );
});
