import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { demoBreak, demoCalendar } from '../../src/demo/calendar.ts';
import { newDates, newItem, newSection } from '@itinerary/core';
import { smallCourse } from '../../../core/test/support/arbitraries.ts';
import { loadCourse } from '../../src/db/course-rows.ts';
import { assignOrderKeys } from '../../src/db/order-keys.ts';
import { connect, migrate } from '../../src/db/orm.ts';
import type { Database } from '../../src/db/orm.ts';
import { admin, newDatabase, urlOf } from '../support/server.ts';

describe('the tables', () => {
  let name: string;
  let database: Database;
  beforeAll(async () => {
    name = await newDatabase('empty');
    database = await connect(urlOf(name));
    await migrate(database);
    await sql(`insert into institution values ('i', 'I', 'UTC')`);
    await sql(course('one', 'EFM-1'));
    await sql(node('s', null, 'section', 'a0'));
  });
  afterAll(async () => {
    await database.close(true);
    await admin(`drop database ${name} with (force)`);
  });

  const sql = (text: string): Promise<unknown> => database.em.fork().getConnection().execute(text);
  const course = (id: string, code: string, weeks = 2, format = 'weeks'): string =>
    `insert into course values ('${id}', 'i', '${code}', 'T', 'learners', 'draft', null, null, null, '[]', '{"weeks": ${weeks}, "format": "${format}"}', 0, 'now', '{}')`;
  const node = (id: string, parent: string | null, kind: string, key: string, title = 'T'): string =>
    `insert into node values ('one', '${id}', ${parent === null ? 'null' : `'${parent}'`}, '${kind}', '${key}', '${title}', true, false, '{}')`;

  test('migrating again changes nothing', async () => {
    await migrate(database);
    expect(await database.getMigrator().getPendingMigrations()).toEqual([]);
  });

  test.each([
    ['a code twice, whatever its case', course('two', 'efm-1'), /course_code/],
    ['a code with a space', course('two', 'EFM 2'), /check/],
    ['a course of no weeks', course('two', 'EFM-2', 0), /check/],
    ['a format that is not one', course('two', 'EFM-2', 2, 'days'), /check/],
    ['a kind that is not one', node('t', 's', 'poem', 'a1'), /node_kind_known/],
    ['an order key twice among siblings', node('t', null, 'section', 'a0'), /node_order/],
    ['an item outside a section', node('t', null, 'page', 'a1'), /check/],
    ['a section in a section', node('t', 's', 'section', 'a1'), /check/],
    ['an item in a section that is not there', node('t', 'zz', 'page', 'a1'), /foreign key/],
    ['an item without a title', node('t', 's', 'page', 'a1', ''), /check/],
  ])('refuse %s', async (_what, statement, why) => {
    await expect(sql(statement)).rejects.toThrow(why);
  });
});

test('a course of the release before is read as it was, with what is new at its beginning', async () => {
  const name = await newDatabase('empty');
  const database = await connect(urlOf(name));
  try {
    await database.getMigrator().up({ to: '0001-first-tables' });
    const sql = (text: string): Promise<unknown> => database.em.fork().getConnection().execute(text);
    const dates = { format: 'weeks', firstDay: '2027-01-11', weeks: 2, zone: 'Europe/Lisbon', weekStart: 1 };
    await sql(`insert into institution values ('i', 'I', 'UTC')`);
    await sql(
      `insert into course values ('one', 'i', 'EFM-1', 'T', 'learners', 'live', null, null, null, '["a"]', '${JSON.stringify(dates)}', 3, 'now')`,
    );
    await sql(
      `insert into node values ('one', 's', null, 'section', 'a0', null, true, false, '{"outside": true}')`,
    );
    await sql(
      `insert into node values ('one', 'p', 's', 'page', 'a0', 'P', true, false, '{"text": null, "minutes": 5}')`,
    );
    await migrate(database);
    const loaded = await loadCourse(database.em.fork(), 'one');
    expect(loaded?.course).toEqual({
      ...smallCourse(),
      id: 'one',
      title: 'T',
      code: 'EFM-1',
      state: 'live',
      tags: ['a'],
      dates: newDates({ firstDay: '2027-01-11', weeks: 2, zone: 'Europe/Lisbon' }),
      sections: [
        newSection({ id: 's', outside: true, items: [newItem('page', { id: 'p', title: 'P', minutes: 5 })] }),
      ],
    });
  } finally {
    await database.close(true);
    await admin(`drop database ${name} with (force)`);
  }
});

test('comments of the release before stand in the order in which they were said, and are all there', async () => {
  const name = await newDatabase('empty');
  const database = await connect(urlOf(name));
  try {
    await database.getMigrator().up({ to: '0007-changes-by-moment' });
    const sql = (text: string): Promise<unknown> => database.em.fork().getConnection().execute(text);
    await sql(`insert into institution (id, name, zone) values ('i', 'I', 'UTC')`);
    await sql(`insert into person (id, institution_id, name, address, kind, password_hash)
      values ('p', 'i', 'P', 'p@example.org', 'learner', 'x')`);
    await sql(`insert into course (id, institution_id, code, title, purpose, state, tags, dates, seq, created_at, settings)
      values ('one', 'i', 'EFM-1', 'T', 'learners', 'live', '[]', '{"weeks": 2, "format": "weeks"}', 0, 'now', '{}')`);
    for (const [id, on, at] of [
      ['z', 'a', '2027-02-01'],
      ['b', 'a', '2027-02-02'],
      ['a', 'a', '2027-02-03'],
      ['y', 'other', '2027-02-02'],
    ])
      await sql(`insert into remark (course_id, id, announcement_id, person_id, at, text)
        values ('one', '${id}', '${on}', 'p', '${at}', 'T')`);
    await migrate(database);
    const rows = await sql('select id, turn, removed_by from remark order by announcement_id, turn');
    expect(rows).toEqual([
      { id: 'z', turn: 0, removed_by: null },
      { id: 'b', turn: 1, removed_by: null },
      { id: 'a', turn: 2, removed_by: null },
      { id: 'y', turn: 0, removed_by: null },
    ]);
  } finally {
    await database.close(true);
    await admin(`drop database ${name} with (force)`);
  }
});

describe('order keys', () => {
  test('sort as the siblings stand, are unique, and keep what can be kept', () => {
    fc.assert(
      fc.property(
        fc.array(fc.nat({ max: 40 }), { maxLength: 30 }),
        fc.array(fc.boolean(), { minLength: 30, maxLength: 30 }),
        (order, isNew) => {
          const first = assignOrderKeys(
            Array.from({ length: 41 }, (_, at) => ({ id: String(at), key: null })),
          );
          const siblings = [...new Set(order)].map((id, at) => ({
            id: String(id),
            key: isNew[at] ? null : (first.get(String(id)) ?? null),
          }));
          const keys = assignOrderKeys(siblings);
          const inOrder = siblings.map(({ id }) => keys.get(id) as string);
          expect(inOrder).toEqual([...new Set(inOrder)].sort());
          const rising = siblings.every(
            ({ key }, at) => key !== null && (at === 0 || (siblings[at - 1]?.key ?? '') < key),
          );
          if (rising) expect(inOrder).toEqual(siblings.map(({ key }) => key));
        },
      ),
      { numRuns: 300, seed: 17 },
    );
  });
});

test('the demo is in its sixth week on whatever day it is loaded, with two terms that follow one another', () => {
  fc.assert(
    fc.property(
      fc.date({ min: new Date('2026-01-01'), max: new Date('2036-01-01'), noInvalidDate: true }),
      (date) => {
        const today = date.toISOString().slice(0, 10);
        const { current, next } = demoCalendar(today);
        const passed = (Date.parse(today) - Date.parse(current.firstDay)) / 86_400_000;
        expect(Math.floor(passed / 7)).toBe(5);
        expect(current.lastDay < next.firstDay).toBe(true);
        expect(current.code).not.toBe(next.code);
      },
    ),
    { numRuns: 300, seed: 19 },
  );
});

test('the demo’s week without teaching is called by its season, and is midwinter’s where that is still to come', () => {
  const day = (text: string): number => Date.parse(text) / 86_400_000;
  fc.assert(
    fc.property(
      fc.date({ min: new Date('2026-01-01'), max: new Date('2036-01-01'), noInvalidDate: true }),
      (date) => {
        const today = date.toISOString().slice(0, 10);
        const { firstDay } = demoCalendar(today).current;
        const { name, first, last, weeks } = demoBreak(firstDay, 15);
        expect(day(first) - day(firstDay)).toBe(7 * weeks);
        expect([day(last) - day(first), first > today]).toEqual([6, true]);
        const holds = (of: string): boolean =>
          [today.slice(0, 4), String(Number(today.slice(0, 4)) + 1)].some(
            (year) => first <= `${year}-${of}` && `${year}-${of}` <= last,
          );
        expect(name === 'Winter break').toBe(holds('12-25'));
        if (name === 'Spring break') expect(['03', '04']).toContain(first.slice(5, 7).replace('02', '03'));
        // In midwinter nothing is taught that is not over already.
        const christmas = `${firstDay.slice(0, 4)}-12-25`;
        const at = Math.floor((day(christmas) - day(firstDay)) / 7);
        if (at >= 6 && at < 15) expect(holds('12-25')).toBe(true);
      },
    ),
    { numRuns: 300, seed: 23 },
  );
  expect(demoBreak(demoCalendar('2027-02-16').current.firstDay, 15).name).toBe('Spring break');
  expect(demoBreak(demoCalendar('2026-12-01').current.firstDay, 15).name).toBe('Winter break');
  expect(demoBreak(demoCalendar('2026-07-20').current.firstDay, 15).name).toBe('Reading week');
});
