/**
 * The server, and in turn PostgreSQL, killed at random moments while learners open, tick, untick and answer: what was
 * acknowledged is there afterwards, counted once, and what is kept of each of them equals what their deeds come to from
 * nothing. ITINERARY_KILLS says how many (`npm run kills -- 100 deeds`), under the deeds of ITINERARY_WRITERS learners.
 */
import { afterAll, beforeAll, expect, test } from '@jest/globals';
import type { PlanAnswer } from '@itinerary/contract';
import {
  countingFor,
  fold,
  newItem,
  newSection,
  NO_FACTS_YET,
  parseCourse,
  planFor,
  reckon,
} from '@itinerary/core';
import type { Course, DeedKind, Facts } from '@itinerary/core';
import { connect } from '../../src/db/orm.ts';
import { randomness } from '../../../core/test/support/randomness.ts';
import { ALL } from '../../../core/test/support/runs.ts';
import { pause } from '../support/mortal.ts';
import { killInTurn, startMortalServer } from '../support/mortal-server.ts';
import type { MortalServer } from '../support/mortal-server.ts';
import { PEOPLE } from '../support/server.ts';

const SEED = 20270303;
const KILLS = Number(process.env['ITINERARY_KILLS'] ?? (ALL ? '8' : '3'));
const LEARNERS = Number(process.env['ITINERARY_WRITERS'] ?? '4');
const ANSWERS_BETWEEN_KILLS = 40;
const ITEMS = ['a', 'b', 'c', 'd', 'e'];

let mortal: MortalServer;
beforeAll(async () => {
  mortal = await startMortalServer('deeds');
}, 60_000);
afterAll(() => mortal.remove());

interface Opened {
  readonly id: string;
  readonly course: Course;
  readonly learners: readonly { readonly id: string; readonly cookie: string }[];
}

/** A live course of pages: opened and ticked they are done, three of them are a section, and all of them the course. */
async function opened(ines: string): Promise<Opened> {
  const { id } = (await mortal.ask(ines, '/api/courses', {
    ...{ title: 'Falling', code: 'FALL-2', purpose: 'learners', department: null, term: null },
    ...{ firstDay: null, weeks: 1, zone: 'UTC' },
  })) as { id: string };
  const done = { by: 'all', of: [{ by: 'opened' }, { by: 'ticked' }] } as const;
  const section = newSection({
    ...{ id: 'S', title: 'Mud', done: { want: { how: 'least', count: 3 }, named: [] } },
    items: ITEMS.map((one) => newItem('page', { id: one, title: one, done: { ...done, of: [...done.of] } })),
  });
  const edits = [{ kind: 'insert', parent: id, after: null, node: section }];
  await mortal.ask(ines, `/api/courses/${id}/changes`, {
    since: 0,
    texts: {},
    changes: [{ id: 's', edits }],
  });
  const database = await connect(mortal.databaseUrl());
  const run = <T>(sql: string, values: readonly unknown[]): Promise<T[]> =>
    database.em.fork().execute<T[]>(sql, [...values]);
  // The college has fewer people than may be wanted here: these enter as one of theirs does.
  const people = await run<{ readonly id: string }>(
    `insert into person (id, institution_id, name, address, password_hash, kind, demo_part)
       select gen_random_uuid()::text, institution_id, 'Faller ' || n, 'faller' || n || '@ternpoint.example', password_hash, 'learner', 'learner'
       from person cross join generate_series(1, ?) n where address = ? returning id`,
    [LEARNERS, PEOPLE.learner],
  );
  expect(people).toHaveLength(LEARNERS);
  await mortal.ask(ines, `/api/courses/${id}/members`, {
    people: people.map((one) => one.id),
    role: 'learner',
  });
  await run(`update course set state = 'live', seq = seq + 1 where id = ?`, [id]);
  await database.close(true);
  await database.close(true);
  const plan = (await mortal.ask(ines, `/api/courses/${id}/plan`)) as PlanAnswer;
  const course = parseCourse(plan.course);
  if (!course.ok) throw new Error('the course cannot be read');
  const learners: { id: string; cookie: string }[] = [];
  for (const one of people) learners.push({ id: one.id, cookie: await mortal.enter(one.id) });
  return { id, course: course.value, learners };
}

test(
  'what was acknowledged is there, once, and what is kept is what it comes to from nothing',
  async () => {
    const random = randomness(SEED);
    const { id, course, learners } = await opened(await mortal.signIn(PEOPLE.instructor));
    /** By learner and item: whether it was last acknowledged as ticked; null: an answer was lost since. */
    const said = new Map<string, boolean | null>();
    const seen = new Set<string>();
    let answers = 0;
    let unanswered = 0;
    let isDone = false;

    const learn = async (
      { id: person, cookie }: Opened['learners'][number],
      own: () => number,
    ): Promise<void> => {
      while (!isDone) {
        const item = ITEMS[Math.floor(own() * ITEMS.length)] as string;
        const key = `${person} ${item}`;
        const at = `/api/learn/${id}/items/${item}`;
        const what = own();
        if (what < 0.3) {
          const answer = await mortal.send(cookie, 'GET', at);
          if (answer?.status === 200) seen.add(key);
          if (answer === null) unanswered += 1;
          else answers += 1;
          continue;
        }
        const isTick = what < 0.75;
        const answer = await mortal.send(cookie, isTick ? 'PUT' : 'DELETE', `${at}/done`);
        if (answer === null) {
          // It may have been taken, or not: what stands is what is acknowledged next.
          said.set(key, null);
          unanswered += 1;
          await pause(30);
          continue;
        }
        answers += 1;
        expect(answer.status).toBeLessThan(300);
        said.set(key, isTick);
      }
    };
    const kills = async (): Promise<void> => {
      const told = { kills: KILLS, between: ANSWERS_BETWEEN_KILLS, done: () => answers, random };
      await killInTurn(mortal, told);
      isDone = true;
    };
    await Promise.all([...learners.map((one, at) => learn(one, randomness(SEED + at))), kills()]);
    await mortal.fell();

    const database = await connect(mortal.databaseUrl());
    const rows = <T>(sql: string): Promise<T[]> => database.em.fork().execute<T[]>(sql, [id]);
    try {
      expect(unanswered).toBeGreaterThan(KILLS / 4);
      const log = await rows<{ person: string; item: string; at: string; deed: DeedKind }>(
        'select person_id as person, item_id as item, at, deed from deed_log where course_id = ? order by id',
      );
      const kept = await rows<{ person: string; item: string; facts: Facts }>(
        'select person_id as person, item_id as item, facts from deed where course_id = ?',
      );
      const stands = await rows<{ person: string; done: object; reached: object; basis: string }>(
        'select person_id as person, done, reached, basis from progress where course_id = ?',
      );
      const folded = new Map<string, Map<string, Facts>>();
      for (const { person, item, at, deed } of log) {
        const own = folded.get(person) ?? new Map<string, Facts>();
        folded.set(person, own);
        own.set(item, fold(own.get(item) ?? NO_FACTS_YET, { ...deed, at: Number(at) }));
      }
      for (const { person, item, facts } of kept) expect(facts).toEqual(folded.get(person)?.get(item));
      const counting = countingFor(planFor(course, { role: 'learner', institutionStaff: false }), []);
      expect(stands).toHaveLength(LEARNERS);
      for (const { person, done, reached, basis } of stands) {
        const anew = reckon(counting, folded.get(person) ?? new Map());
        expect(basis).toBe(counting.sign);
        expect(done).toEqual(Object.fromEntries(anew.done));
        // What a section was done by may have been another way; whether, and since when, is the same.
        const since = (of: object): unknown =>
          Object.entries(of as Record<string, { since: number }>).map(([key, one]) => [key, one.since]);
        expect(since(reached)).toEqual(since(Object.fromEntries(anew.reached)));
      }
      for (const key of seen) {
        const [person = '', item = ''] = key.split(' ');
        expect(folded.get(person)?.get(item)?.opened).toBeDefined();
      }
      for (const [key, isTicked] of said) {
        if (isTicked === null) continue;
        const [person = '', item = ''] = key.split(' ');
        expect([key, folded.get(person)?.get(item)?.ticked !== undefined]).toEqual([key, isTicked]);
      }
      // Opened once, it is one deed, however often somebody was there.
      const opens = log
        .filter(({ deed }) => deed.kind === 'opened')
        .map((one) => `${one.person} ${one.item}`);
      expect(new Set(opens).size).toBe(opens.length);
      expect(said.size).toBeGreaterThan(LEARNERS);
    } finally {
      await database.close(true);
    }
  },
  Math.max(120_000, KILLS * 30_000),
);
