/**
 * The server, PostgreSQL, the letter box and the payment desk, killed in turn while lists are taken in, invitations go
 * out and people pay: what was acknowledged is there afterwards; nothing is sent or charged twice. ITINERARY_KILLS says
 * how many.
 */
import { afterAll, beforeAll, expect, test } from '@jest/globals';
import type { ChildProcess } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { SHUT_WAY } from '@itinerary/core';
import pg from 'pg';
import { connect } from '../../src/db/orm.ts';
import type { KeptLetter } from '../../src/standins/mail/letter-box.ts';
import type { TillPayment } from '../../src/standins/desk/till.ts';
import { ALL } from '../../../core/test/support/runs.ts';
import { freePort, killed, pause, randomness, started, startMortalPostgres } from '../support/mortal.ts';
import type { MortalPostgres } from '../support/mortal.ts';
import { PEOPLE } from '../support/server.ts';

/** Each of the four in turn. */
const KILLS = Number(process.env['ITINERARY_KILLS'] ?? (ALL ? '8' : '4'));
const ANSWERS_BETWEEN_KILLS = 4;
const DATABASE = 'doors';
const PRICE = {
  currency: 'EUR',
  amount: 5000,
  reduced: null,
  byKind: { teaching: null, staff: null, learner: null, visitor: null },
};

const folder = mkdtempSync(join(tmpdir(), 'itinerary-doors-'));
let postgres: MortalPostgres;
let ports: { server: number; page: number; smtp: number; returns: number; desk: number };
const running = new Map<Victim, ChildProcess>();
const VICTIMS = ['server', 'postgres', 'letters', 'desk'] as const;
type Victim = (typeof VICTIMS)[number];

async function start(victim: Exclude<Victim, 'postgres'>): Promise<void> {
  const child =
    victim === 'server'
      ? await started('main.js', /listening at/, {
          DATABASE_URL: postgres.url(DATABASE),
          SESSION_SECRET: 's',
          ITINERARY_DEMO: '1',
          PORT: String(ports.server),
          LOG_LEVEL: 'silent',
          ITINERARY_SMTP: `smtp://127.0.0.1:${ports.smtp}`,
          ITINERARY_DESK: `http://127.0.0.1:${ports.desk}`,
          ITINERARY_DESK_SECRET: 'secret',
        })
      : victim === 'letters'
        ? await started('letter-box.js', /letter box at/, {
            LETTER_BOX_PORT: String(ports.page),
            LETTER_BOX_SMTP: String(ports.smtp),
            LETTER_BOX_RETURNS: String(ports.returns),
            LETTER_BOX_FILE: join(folder, 'letters.jsonl'),
          })
        : await started('pay-desk.js', /payment desk at/, {
            PAY_DESK_PORT: String(ports.desk),
            PAY_DESK_SECRET: 'secret',
            PAY_DESK_FILE: join(folder, 'payments.jsonl'),
          });
  running.set(victim, child);
}

beforeAll(async () => {
  ports = {
    server: await freePort(),
    page: await freePort(),
    smtp: await freePort(),
    returns: await freePort(),
    desk: await freePort(),
  };
  postgres = await startMortalPostgres('doors-postgres', DATABASE);
  await start('letters');
  await start('desk');
  await start('server');
}, 90_000);

afterAll(async () => {
  for (const child of running.values()) child.kill('SIGKILL');
  await postgres.remove();
  rmSync(folder, { recursive: true, force: true });
});

const at = (path: string): string => `http://127.0.0.1:${ports.server}${path}`;

/** The answer, or null when none came or something was away. */
async function ask<T>(cookie: string, path: string, body?: unknown): Promise<T | null> {
  try {
    const init = body === undefined ? {} : { method: 'POST', body: JSON.stringify(body) };
    const response = await fetch(at(path), {
      ...init,
      headers: { 'content-type': 'application/json', cookie },
    });
    return response.ok ? ((await response.json()) as T) : null;
  } catch {
    return null;
  }
}

async function until<T>(get: () => Promise<T | null>): Promise<T> {
  for (;;) {
    const answer = await get();
    if (answer !== null) return answer;
    await pause(50);
  }
}

async function signIn(address: string): Promise<string> {
  const response = await fetch(at('/api/session'), {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ address, password: 'low-tide-at-nine' }),
  });
  const cookies = response.headers.getSetCookie();
  return cookies.find((one) => one.startsWith('itinerary='))?.split(';')[0] ?? '';
}

/** Past readiness, which these courses do not meet. */
async function goLive(id: string): Promise<true | null> {
  const client = new pg.Client({ connectionString: postgres.url(DATABASE) });
  client.on('error', () => undefined);
  try {
    await client.connect();
    await client.query(`update course set state = 'live', seq = seq + 1 where id = $1`, [id]);
    return true;
  } catch {
    return null;
  } finally {
    await client.end().catch(() => undefined);
  }
}

const standIn = async <T>(port: number, path: string): Promise<T> =>
  (await (await fetch(`http://127.0.0.1:${port}${path}`)).json()) as T;

test(
  'what was taken is there, each letter is there once, and nobody is charged twice',
  async () => {
    const random = randomness(20270216);
    const ines = await signIn(PEOPLE.instructor);
    const payers = [PEOPLE.learner, PEOPLE.outsider, PEOPLE.visitor];
    const cookies = await Promise.all(payers.map(signIn));
    const courses: string[] = [];
    const open = async (code: string): Promise<string> => {
      const { id } = await until(() =>
        ask<{ id: string }>(ines, '/api/courses', {
          title: `Course ${code}`,
          code,
          purpose: 'learners',
          department: null,
          term: null,
          firstDay: '2027-03-01',
          weeks: 3,
          zone: 'UTC',
        }),
      );
      const set = (field: string, value: unknown, was: unknown): object => ({
        kind: 'set',
        target: id,
        field,
        value,
        was,
      });
      const edits = [
        set('ways.invitation', { ...SHUT_WAY, on: true }, null),
        set('ways.paying', { ...SHUT_WAY, on: true, price: PRICE }, null),
        set('find', 'here', 'members'),
      ];
      const body = { since: 0, changes: [{ id: 'doors', edits }], texts: {} };
      await until(() => ask(ines, `/api/courses/${id}/changes`, body));
      await until(() => goLive(id));
      courses.push(id);
      return id;
    };
    const invited = await open('DOORS-0');
    const acknowledged: string[] = [];
    const lists: string[] = [];
    let answers = 0;
    let isDone = false;

    /** Sent again until it is answered: whoever has an invitation already is left out. */
    const inviting = async (): Promise<void> => {
      for (let batch = 0; !isDone; batch += 1) {
        const addresses = Array.from({ length: 5 }, (_, one) => `guest.${batch}.${one}@away.example`);
        const body = { addresses, role: 'learner', days: 7, keepsSeats: false, lang: 'en' };
        await until(() => ask(ines, `/api/courses/${invited}/ways/invitations`, body));
        acknowledged.push(...addresses);
        answers += 1;
      }
    };
    /** The same list under the same id, until it is answered. */
    const listing = async (): Promise<void> => {
      for (let batch = 0; !isDone; batch += 1) {
        const id = randomUUID();
        const rows = Array.from({ length: 8 }, (_, one) => ({
          line: one + 2,
          id: `${batch}-${one}`,
          name: `Listed ${batch} ${one}`,
        }));
        await until(async () => {
          const roster = await ask<{ stamp: string }>(ines, `/api/courses/${invited}/roster`);
          if (roster === null) return null;
          const list = {
            id,
            stamp: roster.stamp,
            source: '',
            shape: { heading: null, columns: [] },
            rows,
            choices: [],
            remove: [],
          };
          return ask(ines, `/api/courses/${invited}/lists`, list);
        });
        lists.push(id);
        answers += 1;
      }
    };
    /** Each of three pays for one course after another: pressed until there is a page, paid there, and waited for. */
    const paying = async (): Promise<void> => {
      for (let turn = 1; !isDone; turn += 1) {
        const id = await open(`DOORS-${turn}`);
        await Promise.all(
          cookies.map(async (cookie) => {
            const { page } = await until(async () => {
              const body = { way: 'paying', answer: null };
              const answer = await ask<{ page: string | null }>(cookie, `/api/join/to/${id}`, body);
              return answer?.page == null ? null : { page: answer.page };
            });
            await until(() =>
              fetch(page, {
                method: 'POST',
                headers: { 'content-type': 'application/x-www-form-urlencoded' },
                body: 'act=paid',
                redirect: 'manual',
              }).catch(() => null),
            );
            answers += 1;
          }),
        );
      }
    };
    const kills = async (): Promise<void> => {
      for (let kill = 0; kill < KILLS; kill += 1) {
        // Each falls among what is under way, however fast the machine is.
        const enough = answers + ANSWERS_BETWEEN_KILLS;
        while (answers < enough) await pause(10);
        await pause(random() * 300);
        const victim = VICTIMS[kill % VICTIMS.length] as Victim;
        if (victim === 'postgres') await postgres.kill();
        else {
          await killed(running.get(victim)!);
          await start(victim);
        }
      }
      await pause(500);
      isDone = true;
    };
    await Promise.all([inviting(), listing(), paying(), kills()]);
    // A server that comes back takes up what the one before it has left; nothing more is to be done then.
    await killed(running.get('server')!);
    await start('server');

    const database = await connect(postgres.url(DATABASE));
    const rows = (sql: string, values: readonly unknown[] = []): Promise<Record<string, unknown>[]> =>
      database.em.fork().execute(sql, [...values]);
    try {
      // What waits for its next try, or to ask the desk after a quarter of an hour, does so now.
      await until(async () => {
        await rows(
          `update graphile_worker._private_jobs set run_at = now() where locked_at is null and run_at > now()`,
        );
        const [left] = await rows(`select count(*)::int as n from letter where state = 'queued'`);
        const [begun] = await rows(`select count(*)::int as n from payment where state = 'begun'`);
        return left?.['n'] === 0 && begun?.['n'] === 0 ? true : pause(300).then(() => null);
      });
      const invitations = await rows('select address from invitation where course_id = ?', [invited]);
      const addresses = invitations.map((row) => String(row['address']));
      expect(acknowledged.filter((one) => !addresses.includes(one))).toEqual([]);
      expect(new Set(addresses).size).toBe(addresses.length);
      const taken = await rows('select id from member_list where course_id = ?', [invited]);
      expect(new Set(taken.map((row) => row['id']))).toEqual(new Set(lists));
      const letters = await standIn<KeptLetter[]>(ports.page, '/letters.json');
      const toGuests = letters.map(({ to }) => to).filter((to) => to.startsWith('guest.'));
      expect([...toGuests].sort()).toEqual([...addresses].sort());

      const atDesk = await standIn<TillPayment[]>(ports.desk, '/payments.json');
      expect(Math.max(...atDesk.map(({ charged }) => charged))).toBe(1);
      const kept = await rows(
        `select payment.id, payment.state, payment.receipt, member.left_at is null and member.way = 'paying' as is_in
         from payment left join member on member.course_id = payment.course_id
           and member.person_id = payment.person_id`,
      );
      const byId = new Map(kept.map((row) => [row['id'], row]));
      for (const { reference, state } of atDesk.filter(({ charged }) => charged === 1)) {
        const ours = byId.get(reference);
        // Whoever was charged is in, or has it back.
        expect({ state, ours: ours?.['state'], isIn: ours?.['is_in'] }).toEqual(
          state === 'paid'
            ? { state, ours: 'paid', isIn: true }
            : { state: 'taken_back', ours: 'late', isIn: true },
        );
      }
      const receipts = kept.flatMap((row) => (row['receipt'] === null ? [] : [Number(row['receipt'])]));
      expect(receipts.sort((a, b) => a - b)).toEqual(receipts.map((_, index) => index + 1));
      expect(receipts.length).toBeGreaterThan(0);
      expect(acknowledged.length + lists.length).toBeGreaterThan(KILLS);
    } finally {
      await database.close(true);
    }
  },
  Math.max(300_000, KILLS * 40_000),
);
