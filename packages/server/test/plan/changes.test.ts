import { afterAll, beforeAll, beforeEach, describe, expect, test } from '@jest/globals';
import { createHash, randomUUID } from 'node:crypto';
import fc from 'fast-check';
import { applyChange, newItem, withoutTombstones } from '@itinerary/core';
import type { Change, Course, Edit, SetEdit } from '@itinerary/core';
import type { Agent } from 'supertest';
import { changeFor, move } from '../../../core/test/support/random-changes.ts';
import { loadCourse } from '../../src/db/course-rows.ts';
import { keptCourse } from '../../src/db/kept-courses.ts';
import { ChangeRow, NodeRow, TextRow } from '../../src/db/entities.ts';
import { openCourse, putOn, signedIn, testServer } from '../support/server.ts';
import type { TestServer } from '../support/server.ts';

let server: TestServer;
let ines: Agent;
let tunde: Agent;
let adaeze: Agent;
let course: Course;
let count = 0;

beforeAll(async () => {
  server = await testServer();
  ines = await signedIn(server, 'instructor');
  tunde = await signedIn(server, 'coInstructor');
  adaeze = await signedIn(server, 'assistant');
});
afterAll(() => server.stop());

/** A fresh course that all three work on. */
beforeEach(async () => {
  count += 1;
  const id = await openCourse(ines, { title: 'Course', code: `NEW-${count}` });
  await putOn(ines, id, 'tunde', 'instructor');
  await putOn(ines, id, 'adaeze', 'assistant');
  course = await planOf(ines, id);
});

async function planOf(agent: Agent, id: string): Promise<Course> {
  return ((await agent.get(`/api/courses/${id}/plan`).expect(200)).body as { course: Course }).course;
}

interface Answer {
  seq: number;
  taken: { seq: number; change: Change; author: string; mine: boolean }[];
  refused: { id: string; refusal: { code: string } }[];
  renamed: Record<string, string>;
}

async function send(
  agent: Agent,
  changes: readonly Change[],
  texts: Record<string, string> = {},
  since = 0,
): Promise<Answer> {
  const answer = await agent.post(`/api/courses/${course.id}/changes`).send({ since, changes, texts });
  if (answer.status !== 200) throw new Error(answer.text);
  return answer.body as Answer;
}

const set = (field: string, value: SetEdit['value'], target = course.id): Change => ({
  id: randomUUID(),
  edits: [{ kind: 'set', target, field, value, was: null }],
});
const sha = (text: string): string => createHash('sha256').update(text).digest('hex');

describe('taking changes', () => {
  test('gives each its number, and the next answer everybody’s', async () => {
    const first = await send(ines, [set('title', 'Tides')]);
    expect(first).toMatchObject({
      seq: 1,
      refused: [],
      taken: [{ seq: 1, mine: true, author: 'Inês Carvalhal' }],
    });
    const second = await send(tunde, [set('tags', ['mud'])], {}, 0);
    expect(second.taken.map(({ seq, mine }) => [seq, mine])).toEqual([
      [1, false],
      [2, true],
    ]);
    expect(await planOf(ines, course.id)).toMatchObject({ title: 'Tides', tags: ['mud'] });
  });

  test('a change sent twice is taken once', async () => {
    const change = set('title', 'Once');
    await Promise.all([send(ines, [change]), send(ines, [change]), send(ines, [change])]);
    expect(await send(ines, [change])).toMatchObject({ seq: 1, refused: [] });
  });

  test('what core refuses is refused whole', async () => {
    const change: Change = {
      id: randomUUID(),
      edits: [set('title', 'Half').edits[0] as Edit, { kind: 'remove', target: 'nobody' }],
    };
    const answer = await send(ines, [change]);
    expect(answer).toMatchObject({
      seq: 0,
      taken: [],
      refused: [{ refusal: { code: 'unknown_target', edit: 1 } }],
    });
    expect(await planOf(ines, course.id)).toEqual(course);
  });

  test('an answer from the future is not believed', async () => {
    const answer = await ines
      .post(`/api/courses/${course.id}/changes`)
      .send({ since: 7, changes: [], texts: {} });
    expect(answer.body).toMatchObject({ status: 409, code: 'out_of_step' });
  });

  test('codes stay unique, departments known', async () => {
    const answer = await send(ines, [
      set('code', 'efm-210-spr27'),
      set('department', 'NONE'),
      set('department', 'ART'),
    ]);
    expect(answer.refused.map(({ refusal }) => refusal.code)).toEqual(['code_taken', 'unknown_choice']);
    expect(answer.seq).toBe(1);
  });

  test('texts are sanitised, kept by hash, and must arrive', async () => {
    const dirty =
      '<p onclick="x()">Low <script>alert(1)</script><strong>tide</strong> <a href="javascript:x" style="y">now</a></p>';
    const clean = '<p>Low <strong>tide</strong> now</p>';
    const missing = await send(ines, [set('description', sha('never sent'))]);
    expect(missing.refused[0]?.refusal.code).toBe('text_missing');
    const answer = await send(ines, [set('description', sha(dirty))], { [sha(dirty)]: dirty });
    expect(answer.taken[0]?.change.edits[0]).toMatchObject({ value: sha(clean) });
    expect(answer.renamed).toEqual({ [sha(dirty)]: sha(clean) });
    const text = await ines.get(`/api/courses/${course.id}/texts/${sha(clean)}`).expect(200);
    expect(text.body).toEqual({ html: clean });
    await ines
      .post(`/api/courses/${course.id}/changes`)
      .send({ since: 0, changes: [], texts: { [sha('a')]: 'b' } })
      .expect(400);
  });

  test('an assistant changes the plan and does not open it', async () => {
    const answer = await send(adaeze, [set('title', 'By Adaeze'), set('state', 'archived')]);
    expect(answer.refused.map(({ refusal }) => refusal.code)).toEqual(['not_allowed']);
    expect((await planOf(ines, course.id)).title).toBe('By Adaeze');
  });

  test('a course with blockers does not go live; without them it does', async () => {
    const blocked = await send(ines, [set('state', 'live')]);
    expect(blocked.refused[0]?.refusal).toMatchObject({ code: 'blocked', rules: ['no_item'] });
    const node = newItem('page', { id: randomUUID(), title: 'Start' });
    const insert: Change = {
      id: randomUUID(),
      edits: [{ kind: 'insert', parent: course.sections[0]!.id, after: null, node }],
    };
    expect((await send(ines, [insert, set('state', 'live')])).refused).toEqual([]);
    expect((await planOf(ines, course.id)).state).toBe('live');
  });
});

test('rows read back as core’s result, when two people’s edits interleave', async () => {
  let taken = 0;
  const acts = fc.array(fc.tuple(fc.boolean(), fc.array(move, { minLength: 1, maxLength: 3 })), {
    minLength: 6,
    maxLength: 14,
  });
  await fc.assert(
    fc.asyncProperty(acts, async (steps) => {
      const before = await loaded();
      // Both make their changes on what they saw at the start, and send them at the same time.
      const sent = await Promise.all(
        steps.map(([isInes, moves]) => {
          const change = changeFor(before.course, moves, randomUUID().slice(0, 30));
          return change === null ? null : send(isInes ? ines : tunde, [change], {}, before.seq);
        }),
      );
      const em = server.database.em.fork();
      const log = await em.find(
        ChangeRow,
        { courseId: course.id, seq: { $gt: before.seq } },
        { orderBy: { seq: 'asc' } },
      );
      taken += log.length;
      let expected = before.course;
      for (const { id, edits, undoes } of log) {
        const applied = applyChange(expected, { id, edits, ...(undoes === null ? {} : { undoes }) });
        if (!applied.ok)
          throw new Error(`change ${id} was stored and does not apply: ${applied.refusal.code}`);
        expected = applied.course;
      }
      const after = await loaded();
      expect(after.course).toEqual(expected);
      // What was kept instead of read says the same.
      expect((await keptCourse(server.database.em.fork(), course.id))?.course).toEqual(after.course);
      expect(after.seq).toBe(before.seq + log.length);
      expect(sent.flatMap((answer) => answer?.refused ?? []).length + log.length).toBe(
        sent.filter(Boolean).length,
      );
    }),
    { numRuns: 12, seed: 20270116 },
  );
  expect(taken).toBeGreaterThan(50);

  async function loaded(): Promise<{ course: Course; seq: number }> {
    const found = await loadCourse(server.database.em.fork(), course.id);
    if (found === null) throw new Error('the course is gone');
    return { course: found.course, seq: found.row.seq };
  }
}, 60_000);

/** The last writer of each row of the course and its nodes, by id. */
async function writers(): Promise<ReadonlyMap<string, string>> {
  const rows = await server.database.em.fork().execute<{ id: string; xmin: string }[]>(
    `select id, xmin::text as xmin from node where course_id = ?
     union all select 'course', xmin::text from course where id = ?`,
    [course.id, course.id],
  );
  return new Map(rows.map(({ id, xmin }) => [id, xmin]));
}

test('a change writes the rows that it touches, and no others', async () => {
  const [first, second] = course.sections.map(({ id }) => id) as [string, string];
  const pages = ['a', 'b', 'c'].map((title) => newItem('page', { id: randomUUID(), title }));
  const insert = (node: (typeof pages)[number]): Edit => ({
    kind: 'insert',
    parent: first,
    after: null,
    node,
  });
  const [a, b, c] = pages.map(({ id }) => id) as [string, string, string];
  const touched = async (...edits: Edit[]): Promise<readonly string[]> => {
    const before = await writers();
    const { refused } = await send(ines, [{ id: randomUUID(), edits }]);
    expect(refused).toEqual([]);
    return [...(await writers())].filter(([id, by]) => before.get(id) !== by).map(([id]) => id);
  };
  const title = (target: string, value: string, was: string): Edit => ({
    ...{ kind: 'set', target, field: 'title', value, was },
  });
  const sorted = (...ids: string[]): string[] => [...ids, 'course'].sort();
  expect((await touched(...pages.map(insert))).toSorted()).toEqual(sorted(a, b, c));
  expect((await touched(title(b, 'B', 'b'))).toSorted()).toEqual(sorted(b));
  expect((await touched({ kind: 'move', target: c, parent: second, after: null })).toSorted()).toEqual(
    sorted(c),
  );
  expect((await touched(title(a, 'A', 'a'), title(c, 'C', 'c'))).toSorted()).toEqual(sorted(a, c));
  expect((await touched({ kind: 'remove', target: first })).toSorted()).toEqual(sorted(first));
  // The course itself, which has the number of each change.
  expect(await touched(title(course.id, 'Another', 'Course'))).toEqual(['course']);
});

test('one move writes one row', async () => {
  const ids = course.sections.map(({ id }) => id);
  const keys = async (): Promise<Record<string, string>> => {
    const rows = await server.database.em.fork().find(NodeRow, { courseId: course.id });
    return Object.fromEntries(rows.map(({ id, orderKey }) => [id, orderKey]));
  };
  const before = await keys();
  await send(ines, [
    { id: randomUUID(), edits: [{ kind: 'move', target: ids[2]!, parent: course.id, after: null }] },
  ]);
  const after = await keys();
  expect(ids.filter((id) => before[id] !== after[id])).toEqual([ids[2]]);
  expect(withoutTombstones(await planOf(ines, course.id)).sections.map(({ id }) => id)).toEqual([
    ids[2],
    ids[0],
    ids[1],
  ]);
});

test('the same text in two places is kept once', async () => {
  const html = '<p>Twice</p>';
  await send(ines, [set('description', sha(html))], { [sha(html)]: html });
  const node = newItem('page', { id: randomUUID(), title: 'P', text: sha(html) });
  const answer = await send(ines, [
    { id: randomUUID(), edits: [{ kind: 'insert', parent: course.sections[0]!.id, after: null, node }] },
  ]);
  expect(answer.refused).toEqual([]);
  expect(await server.database.em.fork().count(TextRow, { courseId: course.id })).toBe(1);
});
