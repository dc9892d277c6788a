/** A course is never changed into one that is too large to be read again. */
import { describe, expect, test } from '@jest/globals';
import {
  applyChange,
  courseEntries,
  courseSchema,
  ITEM_KINDS,
  MAX_ASKS,
  MAX_POOLS,
  MAX_QUESTIONS,
  newItem,
  newSection,
  nodeEntries,
  readField,
  SHUT_WAY,
} from '../../src/index.ts';
import type { Course, Edit, FieldValue } from '../../src/index.ts';
import { smallCourse } from '../support/arbitraries.ts';

const WORK = { kind: 'fixed', day: '2027-02-16', time: '08:00' } as const;
/** One of each table, as somebody would put it in. */
const ENTRIES: Readonly<Record<string, FieldValue>> = {
  'dates.pauses': { name: 'Break', first: '2027-03-08', last: '2027-03-12', policy: 'between' },
  'dates.patterns': { weekdays: [1], time: '09:00', minutes: 60, place: null },
  'dates.changes': { kind: 'cancelled', sections: 'keep' },
  outcomes: { text: 'Lay a line', at: 1 },
  groupings: { name: 'Boats', at: 1, choice: null },
  ways: SHUT_WAY,
  groups: { name: 'Boat one', kind: 'group', at: 1 },
  exceptions: { for: 'g', node: 'a1', opens: null, due: null, until: null, at: 1 },
  heldBack: { node: null, release: null },
  menu: { leads: { to: 'divider' }, names: {}, at: 1, shown: true, staffOnly: false, removed: false },
  areas: 'off',
  usualDone: { by: 'opened' },
  panels: { kind: 'outline', column: 'main', at: 1, shown: true },
  announcements: { subject: 'Boats leave early', from: WORK },
  contacts: { who: 'staff', person: 'p', at: 1 },
  roleNames: { one: 'Skipper', many: 'Skippers' },
};

const put = (of: Course, field: string, value: FieldValue): Edit => ({
  kind: 'set',
  target: of.id,
  field,
  value,
  was: null,
});

const after = (of: Course, edits: readonly Edit[]) => applyChange(of, { id: 'c', edits: [...edits] });

describe('a table takes as many entries as can be read again, and not one more', () => {
  test('every table is tried', () =>
    expect(Object.keys(ENTRIES).sort()).toEqual([...courseEntries()].sort()));

  test.each(courseEntries())('%s', (table) => {
    let of = smallCourse();
    const value = ENTRIES[table] as FieldValue;
    for (let at = 0; at < 1000; at += 1) {
      const applied = after(of, [put(of, `${table}.x${at}`, value)]);
      if (!applied.ok) {
        const most = Object.keys(readField(of, table) as object).length;
        expect(applied.refusal).toEqual({ code: 'too_many', target: of.id, most, edit: 0 });
        expect(at).toBeGreaterThan(0);
        // What is full can be read, and one more could not be.
        expect(courseSchema.safeParse(of).success).toBe(true);
        const [holder, name] = table.split('.') as [string, string?];
        const full = readField(of, table) as Record<string, FieldValue>;
        const more = { ...full, onemore: value };
        const larger =
          name === undefined ? { ...of, [holder]: more } : { ...of, dates: { ...of.dates, [name]: more } };
        expect(courseSchema.safeParse(larger).success).toBe(false);
        // Another version of one that is there takes no room, and one that goes makes some.
        expect(after(of, [put(of, `${table}.x0`, value)]).ok).toBe(true);
        expect(after(of, [put(of, `${table}.x0`, null), put(of, `${table}.onemore`, value)]).ok).toBe(true);
        return;
      }
      of = applied.course;
    }
    throw new Error(`${table} took a thousand entries`);
  });
});

test('a node’s own tables are set entry by entry, and take as many as can be read again', () => {
  const question = {
    kind: 'long',
    text: 'What did you see?',
    why: '',
    points: 1,
    required: false,
    pool: null,
    at: 1,
  };
  const entries: Readonly<Record<string, FieldValue>> = {
    questions: question,
    pools: { name: 'Shore', draws: 1, at: 1 },
    asks: { kind: 'open', text: 'What is still muddy?', at: 1 },
  };
  expect(ITEM_KINDS.flatMap((kind) => nodeEntries(kind)).sort()).toEqual(Object.keys(entries).sort());
  const base = smallCourse();
  const quiz = newItem('quiz', { id: 'quiz', title: 'Salt' });
  const survey = newItem('survey', { id: 'survey', title: 'How it went' });
  const holderOf = (table: string): string => (table === 'asks' ? 'survey' : 'quiz');
  const of = {
    ...base,
    sections: base.sections.map((one, at) => (at === 0 ? { ...one, items: [quiz, survey] } : one)),
  };
  const set = (field: string, value: FieldValue): Edit => ({
    kind: 'set',
    target: holderOf(field.split('.')[0] ?? ''),
    field,
    value,
    was: null,
  });
  for (const [table, value] of Object.entries(entries)) {
    const most = { pools: MAX_POOLS, questions: MAX_QUESTIONS, asks: MAX_ASKS }[table] ?? 0;
    const full = after(
      of,
      Array.from({ length: most }, (_, at) => set(`${table}.x${at}`, value)),
    );
    if (!full.ok) throw new Error(full.refusal.code);
    expect(courseSchema.safeParse(full.course).success).toBe(true);
    expect(after(full.course, [set(`${table}.onemore`, value)])).toMatchObject({
      ok: false,
      refusal: { code: 'too_many', target: holderOf(table), most },
    });
    // One that goes makes room, and undoing brings it back.
    const gone = after(full.course, [set(`${table}.x0`, null), set(`${table}.onemore`, value)]);
    if (!gone.ok) throw new Error(gone.refusal.code);
    const back = after(gone.course, gone.inverse);
    expect(back.ok && back.course).toEqual(full.course);
    expect(after(of, [set(table, {})])).toMatchObject({ ok: false, refusal: { code: 'unknown_field' } });
  }
  // Nothing of it is a field of the course, or of another kind.
  expect(after(of, [put(of, 'questions.x', question)])).toMatchObject({ ok: false });
  expect(
    after(of, [
      set('questions.x', { ...question, kind: 'several', choices: [], right: [], credit: 'whole' }),
    ]),
  ).toMatchObject({
    ok: false,
    refusal: { code: 'bad_value' },
  });
});

test('what has been removed counts as well, once there is very much of it', () => {
  const removed = Array.from({ length: 3999 }, (_, at) =>
    newSection({ id: `s${at}`, title: 'Gone', removed: true }),
  );
  const of: Course = { ...smallCourse(), sections: removed };
  const insert = (id: string): Edit => ({
    kind: 'insert',
    parent: of.id,
    after: null,
    node: newSection({ id, title: 'New' }),
  });
  const last = after(of, [insert('one')]);
  if (!last.ok) throw new Error(last.refusal.code);
  expect(courseSchema.safeParse(last.course).success).toBe(true);
  expect(after(last.course, [insert('two')])).toMatchObject({
    ok: false,
    refusal: { code: 'too_many', most: 200 },
  });
});
