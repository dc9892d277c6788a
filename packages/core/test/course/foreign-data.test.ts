/** Whatever comes from outside is read whole, or refused with its place, its value and what was expected there. */
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  applyChange,
  changeSchema,
  fieldValueSchema,
  newItem,
  newSection,
  parseCourse,
  parseCourseFile,
  textHashes,
  toCourseFile,
} from '../../src/index.ts';
import type { Course, Edit, Item, Mistake } from '../../src/index.ts';
import { course, smallCourse } from '../support/arbitraries.ts';
import { facedCourse } from '../support/faces.ts';
import { changeFor, move } from '../support/random-changes.ts';
import { enough, runs } from '../support/runs.ts';

type Json = null | boolean | number | string | Json[] | { [key: string]: Json };
type Step = string | number;

/** What somebody's program, or somebody with bad intentions, might put in any place. */
const odd: fc.Arbitrary<Json> = fc.oneof(
  fc.constantFrom<Json>(
    null,
    true,
    0,
    -1,
    1e308,
    0.5,
    '',
    ' ',
    '\0',
    '\ud800',
    '2027-02-30',
    '25:00',
    'Europe/Atlantis',
    'javascript:alert(1)',
    '__proto__',
    'x'.repeat(5000),
    [],
    {},
    [[]],
    { kind: 'fixed' },
    { constructor: { prototype: {} } },
  ),
  fc.string({ unit: 'binary', maxLength: 8 }),
  fc.integer(),
);

function placesIn(data: Json, path: readonly Step[] = []): (readonly Step[])[] {
  if (data === null || typeof data !== 'object') return [path];
  const inner = Array.isArray(data) ? data.map((one, at) => [at, one] as const) : Object.entries(data);
  return [path, ...inner.flatMap(([key, one]) => placesIn(one, [...path, key]))];
}

/** The same with one place changed, taken away, or with something beside it that does not belong. */
function damaged(data: Json, pick: number, how: 'put' | 'drop' | 'beside', value: Json): Json {
  const places = placesIn(data).slice(1);
  const path = places[pick % places.length];
  if (path === undefined) return value;
  const copy = structuredClone(data);
  let holder = copy as Record<Step, Json>;
  for (const step of path.slice(0, -1)) holder = holder[step] as Record<Step, Json>;
  const last = path.at(-1) as Step;
  if (how === 'put') holder[last] = value;
  else if (how === 'beside' && !Array.isArray(holder)) holder['nobody_knows_this'] = value;
  else if (Array.isArray(holder)) (holder as Json[]).splice(Number(last), 1);
  else Reflect.deleteProperty(holder, last);
  return copy;
}

const damage = fc.record({
  pick: fc.nat({ max: 100_000 }),
  how: fc.constantFrom('put' as const, 'put' as const, 'drop' as const, 'beside' as const),
  value: odd,
});
const asJson = (value: unknown): Json => JSON.parse(JSON.stringify(value)) as Json;

function expectSentences(mistakes: readonly Mistake[]): void {
  expect(mistakes.length).toBeGreaterThan(0);
  for (const { path, expected } of mistakes) {
    expect(typeof path).toBe('string');
    expect(expected.trim()).not.toBe('');
  }
}

describe('a course that has been damaged in one place', () => {
  test('is refused with sentences, or is a course that reads back as the same one', () => {
    let [taken, refused] = [0, 0];
    fc.assert(
      fc.property(fc.oneof(course, facedCourse), damage, (whole, { pick, how, value }) => {
        const parsed = parseCourse(damaged(asJson(whole), pick, how, value));
        if (!parsed.ok) {
          refused += 1;
          expectSentences(parsed.mistakes);
          return;
        }
        taken += 1;
        expect(parseCourse(asJson(parsed.value))).toEqual(parsed);
      }),
      { numRuns: runs(700), seed: 23 },
    );
    // Both happen often enough to be worth the name of a test.
    expect(Math.min(taken, refused)).toBeGreaterThan(enough(50));
  });

  test('in a file says where in the file', () => {
    fc.assert(
      fc.property(course, damage, (whole, { pick, how, value }) => {
        const texts = Object.fromEntries(textHashes(whole).map((hash) => [hash, '<p>x</p>']));
        const file = damaged(asJson(toCourseFile(whole, texts)), pick, how, value);
        const parsed = parseCourseFile(file);
        if (!parsed.ok) expectSentences(parsed.mistakes);
        else expect(parseCourseFile(asJson(parsed.value))).toEqual(parsed);
      }),
      { numRuns: runs(200), seed: 24 },
    );
  });
});

test('a change that has been damaged is not one, or is refused by name, or gives a course that can be read', () => {
  const outcomes = { 'no change': 0, refused: 0, taken: 0 };
  fc.assert(
    fc.property(
      facedCourse,
      fc.array(move, { minLength: 1, maxLength: 4 }),
      damage,
      (whole, steps, { pick, how, value }) => {
        const change = changeFor(whole, steps, 'c');
        if (change === null) return;
        const parsed = changeSchema.safeParse(damaged(asJson(change), pick, how, value));
        if (!parsed.success) {
          outcomes['no change'] += 1;
          return;
        }
        const applied = applyChange(whole, parsed.data);
        outcomes[applied.ok ? 'taken' : 'refused'] += 1;
        if (applied.ok) expect(parseCourse(asJson(applied.course))).toMatchObject({ ok: true });
        else expect(applied.refusal.code).toMatch(/^[a-z_]+$/);
      },
    ),
    { numRuns: runs(800), seed: 25 },
  );
  expect(Math.min(...Object.values(outcomes))).toBeGreaterThan(enough(20));
});

describe('bounds', () => {
  const mistakesOf = (data: unknown): readonly Mistake[] => {
    const parsed = parseCourse(data);
    return parsed.ok ? [] : parsed.mistakes;
  };
  const withItems = (items: readonly Item[]): Course => ({
    ...smallCourse(),
    sections: [newSection({ id: 'A', title: 'A', items: [...items] })],
  });
  const nested = (depth: number): Item =>
    newItem('folder', {
      id: `f${depth}`,
      title: `f${depth}`,
      items: depth === 1 ? [] : [nested(depth - 1)],
    });

  test('folders nest so deep and no deeper, and the one too deep is named', () => {
    const deepest = [1, 2, 3, 4, 5, 6].filter((depth) => mistakesOf(withItems([nested(depth)])).length === 0);
    expect(deepest.length).toBeGreaterThan(0);
    const most = deepest.length;
    expect(mistakesOf(withItems([nested(most + 1)]))).toEqual([
      {
        path: `sections.0.items.0${'.items.0'.repeat(most)}`,
        value: 'f1',
        expected: `folders at most ${most} deep`,
      },
    ]);
  });

  test('data that nests without end is refused before it is read', () => {
    let deep: unknown = [];
    for (let at = 0; at < 100_000; at += 1) deep = [deep];
    expect(mistakesOf(deep)).toEqual([{ path: '', value: undefined, expected: 'less nesting' }]);
    expect(fieldValueSchema.safeParse(deep).success).toBe(false);
    const set: Edit = { kind: 'set', target: 'A', field: 'title', value: deep as never, was: null };
    expect(changeSchema.safeParse({ id: 'c', edits: [set] }).success).toBe(false);
    const insert = { kind: 'insert', parent: 'A', after: null, node: deep };
    expect(changeSchema.safeParse({ id: 'c', edits: [insert] }).success).toBe(false);
  });

  test.each([
    ['a NUL in a key', { 'a\0': 1 }],
    ['half a character in a list', ['x', '\ud800']],
    ['a NUL far inside', { a: [{ b: '\0' }] }],
    ['more than is ever written', 'x'.repeat(1_000_001)],
  ])('a value with %s is none', (_, value) => {
    expect(fieldValueSchema.safeParse(value).success).toBe(false);
  });

  test('what the same letters would be in another form is kept as it was typed', () => {
    const composed = 'Señales'.normalize('NFD');
    const parsed = parseCourse({ ...smallCourse(), title: composed });
    expect(parsed.ok && parsed.value.title).toBe(composed);
  });
});
