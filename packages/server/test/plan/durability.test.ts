/**
 * The server, and in turn PostgreSQL, killed at random moments under a stream of changes: what was
 * acknowledged is there afterwards, and none of it twice. PostgreSQL runs with its default durability. ITINERARY_KILLS
 * says how many (`npm run kills`), under the writing of as many people as ITINERARY_WRITERS.
 */
import { afterAll, beforeAll, expect, test } from '@jest/globals';
import type { ChildProcess } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { applyChange, newItem } from '@itinerary/core';
import type { Change, Course } from '@itinerary/core';
import { loadCourse } from '../../src/db/course-rows.ts';
import { ChangeRow } from '../../src/db/entities.ts';
import { connect } from '../../src/db/orm.ts';
import { ALL } from '../../../core/test/support/runs.ts';
import { randomness } from '../../../core/test/support/randomness.ts';
import { killed, pause, quietPort, started, startMortalPostgres } from '../support/mortal.ts';
import type { MortalPostgres } from '../support/mortal.ts';
import { PEOPLE } from '../support/server.ts';

const SEED = 20270117;
/** Each of the two in turn; more of them in the long run. */
const KILLS = Number(process.env['ITINERARY_KILLS'] ?? (ALL ? '8' : '4'));
const WRITERS = Number(process.env['ITINERARY_WRITERS'] ?? '3');
const ANSWERS_BETWEEN_KILLS = 8;
const DATABASE = 'durability';
let postgres: MortalPostgres;
let server: ChildProcess;
let port: number;

async function startServer(): Promise<void> {
  server = await started('main.js', /listening at/, {
    DATABASE_URL: postgres.url(DATABASE),
    SESSION_SECRET: 's',
    ITINERARY_DEMO: '1',
    PORT: String(port),
    LOG_LEVEL: 'silent',
  });
}

beforeAll(async () => {
  port = await quietPort();
  postgres = await startMortalPostgres('durability-postgres', DATABASE);
  await startServer();
}, 60_000);

afterAll(async () => {
  server.kill('SIGKILL');
  await postgres.remove();
});

/** The answer, or null when none came or the database was away. */
async function ask(cookie: string, path: string, body?: unknown): Promise<unknown> {
  try {
    const init = body === undefined ? {} : { method: 'POST', body: JSON.stringify(body) };
    const response = await fetch(`http://127.0.0.1:${port}${path}`, {
      ...init,
      headers: { 'content-type': 'application/json', cookie },
    });
    return response.ok ? await response.json() : null;
  } catch {
    return null;
  }
}

async function signIn(address: string): Promise<string> {
  const response = await fetch(`http://127.0.0.1:${port}/api/session`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ address, password: 'low-tide-at-nine' }),
  });
  const cookies = response.headers.getSetCookie();
  return cookies.find((one) => one.startsWith('itinerary='))?.split(';')[0] ?? '';
}

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
      for (let kill = 0; kill < KILLS; kill += 1) {
        // Each kill falls among changes that are under way, however fast the machine is.
        const enough = acknowledged.length + ANSWERS_BETWEEN_KILLS;
        while (acknowledged.length < enough) await pause(10);
        await pause(random() * 300);
        if (kill % 2 === 0) {
          await killed(server);
          await startServer();
        } else {
          await postgres.kill();
        }
      }
      await pause(500);
      isDone = true;
    };

    await Promise.all([...writers.map(stream), kills()]);
    await killed(server);

    const database = await connect(postgres.url(DATABASE));
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
