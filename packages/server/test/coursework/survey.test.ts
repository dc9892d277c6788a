/** A survey: answered once, in batches, and in the whole database nothing joins an answer to whoever gave it. */
import { afterAll, beforeAll, beforeEach, describe, expect, test } from '@jest/globals';
import type { OwnSurvey, SurveyTotals } from '@itinerary/contract';
import { newItem } from '@itinerary/core';
import type { Survey } from '@itinerary/core';
import type { Agent, Response } from 'supertest';
import { toldClock } from '../../src/config/clock.ts';
import { castOf, openWith, said } from '../support/coursework.ts';
import { changeCourse, setting, signedInBy, testServer } from '../support/server.ts';
import type { TestServer } from '../support/server.ts';

const CROWD = 12;
const clock = toldClock('2027-03-02T09:00:00.000Z');
let server: TestServer;
let ines: Agent;
let adaeze: Agent;
let noor: Agent;
let visitor: Agent;
let made = 0;
const rows = <Row = Record<string, unknown>>(sql: string, values: readonly unknown[] = []): Promise<Row[]> =>
  server.database.em.fork().execute(sql, [...values]);

const ASKS: Survey['asks'] = {
  clear: { kind: 'scale', text: 'How clear was it?', at: 1, steps: 5, low: 'not at all', high: 'entirely' },
  pace: {
    ...{ kind: 'single', text: 'Pace?', at: 2 },
    choices: [
      { id: 'slow', text: 'too slow' },
      { id: 'right', text: 'about right' },
    ],
  },
  muddy: { kind: 'open', text: 'What is muddy?', at: 3 },
};
/** What nobody else says. */
const word = (at: number): string => `marker-${String(at).padStart(3, '0')}`;
const answers = (at: number): object => ({
  clear: { kind: 'scale', step: (at % 5) + 1 },
  pace: { kind: 'single', choice: at % 2 === 0 ? 'slow' : 'right' },
  muddy: { kind: 'open', text: word(at) },
});

async function open(settings: Partial<Survey> = {}) {
  const node = {
    ...newItem('survey', { id: '', title: 'How it went' }),
    ...{ asks: ASKS, done: { by: 'handed_in' } },
    ...settings,
  };
  const course = await openWith(server, ines, `SURV-${(made += 1)}`, node as never);
  const own = `/api/learn/${course.id}/items/${course.item}/survey`;
  return {
    ...{ ...course, own },
    look: async (agent: Agent): Promise<OwnSurvey> => (await agent.get(own).expect(200)).body as OwnSurvey,
    answer: (agent: Agent, what: object): PromiseLike<Response> =>
      agent.post(`${own}/answers`).send({ answers: what }),
    totals: async (agent: Agent = adaeze): Promise<SurveyTotals> =>
      (await agent.get(`/api/courses/${course.id}/items/${course.item}/survey`).expect(200))
        .body as SurveyTotals,
    set: (field: string, value: unknown, was: unknown) =>
      changeCourse(ines, course.id, [setting(course.item, field, value, was)]),
  };
}
type Its = Awaited<ReturnType<typeof open>>;
let its: Its;

/** Learners of the demo, who come to this course as well. */
let crowd: readonly { readonly id: string; readonly agent: Agent }[] = [];
async function crowdIn(of: Its, many: number): Promise<readonly Agent[]> {
  const some = crowd.slice(0, many);
  await ines
    .post(`/api/courses/${of.id}/members`)
    .send({ people: some.map(({ id }) => id), role: 'learner' })
    .expect(200);
  return some.map(({ agent }) => agent);
}

beforeAll(async () => {
  server = await testServer({ clock });
  ({ ines, adaeze, noor, visitor } = await castOf(server));
  const people = await rows<{ id: string; address: string }>(
    `select id, address from person where kind = 'learner' and demo_part is null order by address limit ?`,
    [CROWD],
  );
  crowd = await Promise.all(
    people.map(async ({ id, address }) => ({ id, agent: await signedInBy(server, address) })),
  );
});
afterAll(() => server.stop());
beforeEach(async () => {
  its = await open();
});

describe('a survey', () => {
  test('is answered once: sent again, and eight times at once, it is the one answer', async () => {
    expect(await its.look(noor)).toMatchObject({ mayAnswer: true, hasAnswered: false, least: 5 });
    const all = await Promise.all(Array.from({ length: 8 }, (_, at) => its.answer(noor, answers(at))));
    expect(all.map(({ status }) => status)).toEqual(Array(8).fill(200));
    expect(await its.look(noor)).toMatchObject({ mayAnswer: false, hasAnswered: true });
    expect(
      await rows('select jsonb_array_length(answers) as many from survey_batch where course_id = ?', [
        its.id,
      ]),
    ).toEqual([{ many: 1 }]);
    expect(await its.totals()).toMatchObject({ answered: 1, counted: 0, asks: [{ answered: 0 }, {}, {}] });
    const done = 'select person_id from deed where course_id = ? and done_at is not null';
    expect(await rows(done, [its.id])).toEqual([{ person_id: its.noor }]);
  });

  test('comes to totals of whole batches alone: the first five, then threes', async () => {
    const people = await crowdIn(its, 9);
    const counted: number[] = [];
    for (const [at, agent] of people.entries()) {
      await its.answer(agent, answers(at));
      counted.push((await its.totals()).counted);
      const shown = JSON.stringify(await its.totals());
      expect(counted.at(-1)).toBe([0, 0, 0, 0, 5, 5, 5, 8, 8][at]);
      // Of what is not in it nothing is told, by anything.
      for (let other = 0; other < people.length; other += 1)
        expect(shown.includes(word(other))).toBe(other < (counted.at(-1) ?? 0));
    }
    const { asks, answered } = await its.totals();
    expect(answered).toBe(9);
    expect(asks.map(({ answered: many }) => many)).toEqual([8, 8, 8]);
    expect(asks[0]?.counts.map(({ count }) => count)).toEqual([2, 2, 2, 1, 1]);
    expect(asks[0]?.mean).toBeCloseTo((1 + 2 + 3 + 4 + 5 + 1 + 2 + 3) / 8);
    expect(asks[1]?.counts).toEqual([
      { key: 'slow', text: 'too slow', count: 4 },
      { key: 'right', text: 'about right', count: 4 },
    ]);
    expect(asks[2]?.texts).toEqual(Array.from({ length: 8 }, (_, at) => word(at)));
  });

  test('wants as many as were wanted when the first one came', async () => {
    const of = await open({ least: 6 });
    const people = await crowdIn(of, 6);
    await of.answer(people[0] as Agent, answers(0));
    await of.set('least', 5, 6);
    for (const [at, agent] of people.slice(1, 5).entries()) await of.answer(agent, answers(at + 1));
    expect(await of.totals()).toMatchObject({ answered: 5, counted: 0, least: 6 });
    await of.answer(people[5] as Agent, answers(5));
    expect(await of.totals()).toMatchObject({ answered: 6, counted: 6 });
  });

  test('loses nobody’s who answer in one moment', async () => {
    const people = await crowdIn(its, CROWD);
    const all = await Promise.all(people.map((agent, at) => its.answer(agent, answers(at))));
    expect(all.map(({ status }) => status)).toEqual(Array(CROWD).fill(200));
    const batches = await rows<{ size: number; many: number }>(
      `select size, jsonb_array_length(answers) as many from survey_batch where course_id = ? order by number`,
      [its.id],
    );
    expect(batches).toEqual([
      { size: 5, many: 5 },
      { size: 3, many: 3 },
      { size: 3, many: 3 },
      { size: 3, many: 1 },
    ]);
    const kept = JSON.stringify(await rows('select answers from survey_batch where course_id = ?', [its.id]));
    for (let at = 0; at < CROWD; at += 1) expect(kept).toContain(word(at));
  });

  test('is refused in words where it answers nothing, or not what is asked', async () => {
    expect(said(await its.answer(noor, {}))).toEqual([409, 'cannot_hand_in', 'empty']);
    expect(said(await its.answer(noor, { muddy: { kind: 'open', text: '  ' } }))).toEqual([
      ...[409, 'cannot_hand_in', 'empty'],
    ]);
    for (const wrong of [
      { gone: { kind: 'open', text: 'Mud' } },
      { clear: { kind: 'scale', step: 6 } },
      { clear: { kind: 'open', text: 'Mud' } },
      { pace: { kind: 'single', choice: 'nowhere' } },
    ])
      expect(said(await its.answer(noor, wrong))).toEqual([409, 'cannot_hand_in', 'changed']);
    expect((await its.answer(noor, { muddy: { kind: 'open', text: 'a'.repeat(5001) } })).status).toBe(400);
    const whole = { muddy: { kind: 'open', text: 'a'.repeat(1_000_000) } };
    expect([400, 413]).toContain((await its.answer(noor, whole)).status);
    expect(said(await its.answer(adaeze, answers(1)))).toEqual([409, 'cannot_hand_in', 'item']);
    expect((await its.answer(visitor, answers(1))).status).toBe(404);
    expect((await noor.get(`/api/courses/${its.id}/items/${its.item}/survey`)).status).toBe(403);
    expect(await rows('select 1 from survey_batch where course_id = ?', [its.id])).toEqual([]);
  });

  test('while it is held, learners are asked, and totals say, what was asked before', async () => {
    const people = await crowdIn(its, 5);
    const { body } = await ines.get(`/api/courses/${its.id}/plan`);
    const [section] = (body as { course: { sections: { items: Survey[] }[] } }).course.sections;
    await changeCourse(ines, its.id, [
      setting(its.id, `heldBack.${its.item}`, { node: section?.items[0], release: null }),
      setting(its.item, 'asks.muddy', null, ASKS['muddy']),
      setting(its.item, 'asks.fresh', { kind: 'open', text: 'marker of what is held', at: 9 }),
    ]);
    expect((await its.look(noor)).asks.map(({ id }) => id)).toEqual(['clear', 'pace', 'muddy']);
    for (const [at, agent] of people.entries())
      expect((await its.answer(agent, answers(at))).status).toBe(200);
    expect((await its.totals()).asks.map(({ id, answered }) => [id, answered])).toEqual([
      ...[
        ['clear', 5],
        ['pace', 5],
        ['muddy', 5],
      ],
    ]);
  });

  test('what is asked no more is in no total, and comes back with its question', async () => {
    const people = await crowdIn(its, 5);
    for (const [at, agent] of people.entries()) await its.answer(agent, answers(at));
    await its.set('asks.muddy', null, ASKS['muddy']);
    expect(JSON.stringify(await its.totals())).not.toContain(word(0));
    await its.set('asks.muddy', ASKS['muddy'], null);
    expect((await its.totals()).asks[2]?.texts).toHaveLength(5);
  });
});

describe('whose an answer is', () => {
  /** Every row of every table, as text, with the transaction that wrote it last. */
  async function everything(): Promise<readonly { table: string; words: string; by: string }[]> {
    const tables = await rows<{ name: string }>(
      `select table_name as name from information_schema.tables
         where table_schema in ('public', 'graphile_worker') and table_type = 'BASE TABLE'`,
    );
    expect(tables.length).toBeGreaterThan(40);
    const all: { table: string; words: string; by: string }[] = [];
    for (const { name } of tables) {
      const schema = name.startsWith('_private') || name === 'migrations' ? 'graphile_worker' : 'public';
      const found = await rows<{ words: string; by: string }>(
        `select row_to_json(t)::text as words, t.xmin::text as by from "${schema}"."${name}" t`,
      );
      all.push(...found.map((row) => ({ table: name, ...row })));
    }
    return all;
  }

  test('stands in no row of any table, nor in the order of rows, nor in what wrote them', async () => {
    const people = await crowdIn(its, 8);
    for (const [at, agent] of people.entries()) await its.answer(agent, answers(at));
    const all = await everything();
    const holding = all.filter(({ words }) => /marker-\d/.test(words));
    // Only batches have anything of it, and they have nothing else: nobody, and no moment.
    expect(new Set(holding.map(({ table }) => table))).toEqual(new Set(['survey_batch']));
    for (const { words } of holding) {
      const row = JSON.parse(words) as Record<string, unknown>;
      expect(Object.keys(row).sort()).toEqual(['answers', 'course_id', 'item_id', 'number', 'size']);
      for (const { id } of crowd) expect(words).not.toContain(id);
      expect(words).not.toMatch(/\d{4}-\d{2}-\d{2}T/);
    }
    // One row a batch: what wrote it last, wrote all of it.
    expect(holding.filter(({ words }) => words.includes(its.id))).toHaveLength(2);
    const who = all.filter(({ table, words }) => table === 'survey_answered' && words.includes(its.id));
    expect(who).toHaveLength(8);
  });

  test('would be kept alike if others had given the same answers, in another order', async () => {
    const batches = async (of: Its): Promise<unknown> =>
      rows(
        'select number, size, answers::text as answers from survey_batch where course_id = ? order by number',
        [of.id],
      );
    const people = await crowdIn(its, 5);
    for (const [at, agent] of people.entries()) await its.answer(agent, answers(at));
    const other = await open();
    await crowdIn(other, 5);
    for (const [at, agent] of [...people].reverse().entries())
      await other.answer(agent, answers((at * 3) % 5));
    expect(await batches(other)).toEqual(await batches(its));
  });
});
