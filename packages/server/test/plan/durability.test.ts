/**
 * The server, and in turn PostgreSQL, killed at random moments under a stream of changes: what was
 * acknowledged is there afterwards, and none of it twice. PostgreSQL runs with its default durability. ITINERARY_KILLS
 * says how many (`npm run kills`), under the writing of as many people as ITINERARY_WRITERS.
 */
import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { randomUUID } from 'node:crypto';
import { applyChange, newItem } from '@itinerary/core';
import type { Change, Course } from '@itinerary/core';
import { loadCourse } from '../../src/db/course-rows.ts';
import { ChangeRow } from '../../src/db/entities.ts';
import { connect } from '../../src/db/orm.ts';
import { ALL } from '../../../core/test/support/runs.ts';
import { randomness } from '../../../core/test/support/randomness.ts';
import { pause } from '../support/mortal.ts';
import { killInTurn, startMortalServer } from '../support/mortal-server.ts';
import type { MortalServer } from '../support/mortal-server.ts';
import { PEOPLE } from '../support/server.ts';

const SEED = 20270117;
/** Each of the two in turn; more of them in the long run. */
const KILLS = Number(process.env['ITINERARY_KILLS'] ?? (ALL ? '8' : '4'));
const WRITERS = Number(process.env['ITINERARY_WRITERS'] ?? '3');
const ANSWERS_BETWEEN_KILLS = 8;
let mortal: MortalServer;

beforeAll(async () => {
  mortal = await startMortalServer('durability');
}, 60_000);
afterAll(() => mortal.remove());

const ask: MortalServer['ask'] = (cookie, path, body) => mortal.ask(cookie, path, body);
const signIn: MortalServer['signIn'] = (address) => mortal.signIn(address);

/** So many sessions of people who plan the course; those beyond the first are put on it for that. */
async function writersOf(instructor: string, id: string): Promise<readonly string[]> {
  if (WRITERS <= 3) return Array.from({ length: WRITERS }, () => instructor);
  const found = (await ask(instructor, `/api/courses/${id}/candidates?find=`)) as {
    people: { id: string; address: string }[];
  };
  const people = found.people.slice(0, WRITERS - 1);
  const body = { people: people.map((one) => one.id), role: 'assistant' };
  expect(await ask(instructor, `/api/courses/${id}/members`, body)).not.toBeNull();
  const cookies = [instructor];
  for (const { address } of people) cookies.push(await signIn(address));
  expect(cookies).toHaveLength(WRITERS);
  return cookies;
}

test(
  'every acknowledged change is there after the restart, and none twice',
  async () => {
    const random = randomness(SEED);
    const instructor = await signIn(PEOPLE.instructor);
    const { courses } = (await ask(instructor, '/api/desk')) as { courses: { id: string; state: string }[] };
    const id = courses.find(({ state }) => state === 'draft')?.id ?? '';
    const { course: before } = (await ask(instructor, `/api/courses/${id}/plan`)) as { course: Course };
    const writers = await writersOf(instructor, id);
    const acknowledged: string[] = [];
    let unanswered = 0;
    let isDone = false;

    const makeChange = (at: number): Change => {
      const section = before.sections[at % before.sections.length]!;
      const node = newItem('page', { id: randomUUID(), title: `Page ${at}`, minutes: at % 500 });
      // Holding and releasing among them: each is one entry of a table that others write to as well.
      if (at % 5 === 4) {
        const value = at % 2 === 0 ? { node: section, release: null } : null;
        const edit = { kind: 'set', target: id, field: `heldBack.${section.id}`, value, was: null };
        return { id: randomUUID(), edits: [edit as Change['edits'][number]] };
      }
      return {
        id: randomUUID(),
        edits: [
          { kind: 'insert', parent: section.id, after: null, node },
          // A section has so much room, and this goes on for hours.
          ...(at % 4 === 0 ? [] : [{ kind: 'remove' as const, target: node.id }]),
          { kind: 'set', target: id, field: 'title', value: `Title ${at}`, was: '' },
        ],
      };
    };

    /** Sends one change after another; what got no answer is sent again, as the browser does. */
    const stream = async (cookie: string): Promise<void> => {
      let since = 0;
      for (let at = 0; !isDone; at += 1) {
        const change = makeChange(at);
        for (;;) {
          const answer = (await ask(cookie, `/api/courses/${id}/changes`, {
            since,
            changes: [change],
            texts: {},
          })) as { seq: number; refused: unknown[] } | null;
          if (answer !== null) {
            expect(answer.refused).toEqual([]);
            acknowledged.push(change.id);
            since = answer.seq;
            break;
          }
          unanswered += 1;
          if (isDone) return;
          await pause(30);
        }
      }
    };

    const kills = async (): Promise<void> => {
      const done = (): number => acknowledged.length;
      await killInTurn(mortal, { kills: KILLS, between: ANSWERS_BETWEEN_KILLS, done, random });
      isDone = true;
    };

    await Promise.all([...writers.map(stream), kills()]);
    await mortal.fell();

    const database = await connect(mortal.databaseUrl());
    try {
      const em = database.em.fork();
      const log = await em.find(ChangeRow, { courseId: id }, { orderBy: { seq: 'asc' } });
      const stored = log.map((change) => change.id);
      expect(unanswered).toBeGreaterThan(KILLS / 2);
      expect(acknowledged.length).toBeGreaterThanOrEqual(KILLS * ANSWERS_BETWEEN_KILLS);
      expect(acknowledged.filter((change) => !stored.includes(change))).toEqual([]);
      expect(new Set(stored).size).toBe(stored.length);
      expect(log.map(({ seq }) => seq)).toEqual(log.map((_, at) => at + 1));
      // The rows are what the changes make of the course, each applied once.
      let expected = before;
      for (const { id: changeId, edits } of log) {
        const applied = applyChange(expected, { id: changeId, edits });
        if (!applied.ok) throw new Error(`a stored change does not apply: ${applied.refusal.code}`);
        expected = applied.course;
      }
      expect((await loadCourse(em, id))?.course).toEqual(expected);
    } finally {
      await database.close(true);
    }
  },
  Math.max(120_000, KILLS * 30_000),
);
