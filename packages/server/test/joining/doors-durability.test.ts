/**
 * The server, PostgreSQL, the letter box, the payment desk and the registry, killed in turn while lists are taken in,
 * invitations go out, people pay, and a course follows a class: what was acknowledged is there afterwards; nothing is
 * sent or charged twice, and whoever is in the class is in the course. ITINERARY_KILLS says how many.
 */
import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { randomUUID } from 'node:crypto';
import type { RegistryAnswer } from '@itinerary/contract';
import { SHUT_WAY } from '@itinerary/core';
import { connect } from '../../src/db/orm.ts';
import type { KeptLetter } from '../../src/standins/mail/letter-box.ts';
import type { TillPayment } from '../../src/standins/desk/till.ts';
import type { Enrolment } from '../../src/standins/registry/school-year.ts';
import { ALL } from '../../../core/test/support/runs.ts';
import {
  ask,
  closeDoors,
  databaseUrl,
  goLive,
  kill,
  openDoors,
  portOf,
  signIn,
  standIn,
  until,
  VICTIMS,
} from '../support/doors.ts';
import type { Victim } from '../support/doors.ts';
import { randomness } from '../../../core/test/support/randomness.ts';
import { pause } from '../support/mortal.ts';
import { PEOPLE } from '../support/server.ts';

/** Each of the five in turn. */
const KILLS = Number(process.env['ITINERARY_KILLS'] ?? (ALL ? '10' : '5'));
const ANSWERS_BETWEEN_KILLS = 4;
const PRICE = {
  currency: 'EUR',
  amount: 5000,
  reduced: null,
  byKind: { teaching: null, staff: null, learner: null, visitor: null },
};

beforeAll(openDoors, 90_000);
afterAll(closeDoors);

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
    const followed = await open('DOORS-R');
    const { classes } = await until(async () => {
      await ask(ines, '/api/registry/readings', {});
      const taught = await ask<{ classes: { id: string }[] }>(ines, '/api/registry/classes');
      return taught === null || taught.classes.length === 0 ? pause(100).then(() => null) : taught;
    });
    const inClass = classes[0]?.id ?? '';
    const followsIt = { classes: [{ id: inClass, asGroup: true }] };
    await until(() => ask(ines, `/api/courses/${followed}/registry`, followsIt, 'PUT'));
    /** Time passes in the registry, and it is read. */
    const following = async (): Promise<void> => {
      for (let turn = 0; !isDone; turn += 1) {
        await until(() =>
          fetch(`http://127.0.0.1:${portOf('registry')}/events`, {
            method: 'POST',
            headers: { 'content-type': 'application/x-www-form-urlencoded' },
            body: `event=${turn % 2 === 0 ? 'late' : 'drop'}`,
            redirect: 'manual',
          }).catch(() => null),
        );
        await until(() => ask(ines, '/api/registry/readings', {}));
        await pause(150);
        answers += 1;
      }
    };
    const kills = async (): Promise<void> => {
      for (let turn = 0; turn < KILLS; turn += 1) {
        // Each falls among what is under way, however fast the machine is.
        const enough = answers + ANSWERS_BETWEEN_KILLS;
        while (answers < enough) await pause(10);
        await pause(random() * 300);
        const victim = VICTIMS[turn % VICTIMS.length] as Victim;
        await kill(victim);
      }
      await pause(500);
      isDone = true;
    };
    await Promise.all([inviting(), listing(), paying(), following(), kills()]);
    // A server that comes back takes up what the one before it has left; nothing more is to be done then.
    await kill('server');

    const database = await connect(databaseUrl());
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
      const letters = await standIn<KeptLetter[]>(portOf('page'), '/letters.json');
      const toGuests = letters.map(({ to }) => to).filter((to) => to.startsWith('guest.'));
      expect([...toGuests].sort()).toEqual([...addresses].sort());

      const enrolled = (await standIn<Enrolment[]>(portOf('registry'), '/enrolments.json'))
        .filter((one) => one.class === inClass && one.role === 'student')
        .map(({ user }) => user);
      const inCourse = async (): Promise<unknown[]> =>
        (
          await rows(
            `select registry_id as id from registry_link join member using (course_id, person_id)
             where course_id = ? and left_at is null and role = 'learner' and way = 'registry' order by 1`,
            [followed],
          )
        ).map(({ id }) => id);
      // Once more, now that nobody falls any more: and then it is as the registry has it.
      await until(async () => {
        await ask(ines, '/api/registry/readings', {});
        await pause(300);
        // While it was away many may have dropped: they go when somebody says so.
        const { held } = await until(() => ask<RegistryAnswer>(ines, `/api/courses/${followed}/registry`));
        const people = held.map(({ registry }) => registry);
        if (people.length > 0) {
          await ask(ines, `/api/courses/${followed}/registry/settled`, { about: 'leaving', people });
        }
        return JSON.stringify(await inCourse()) === JSON.stringify([...enrolled].sort()) ? true : null;
      });
      const news = await rows(
        `select step ->> 'name' as name, count(*) filter (where step ->> 'kind' in ('came', 'returned'))::int as came,
           count(*) filter (where step ->> 'kind' = 'went')::int as went
         from registry_news, jsonb_array_elements(steps) step where course_id = ? group by 1`,
        [followed],
      );
      // Nobody is told twice to have come without having gone between.
      expect(news.filter(({ came, went }) => Number(came) - Number(went) > 1)).toEqual([]);

      const atDesk = await standIn<TillPayment[]>(portOf('desk'), '/payments.json');
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
