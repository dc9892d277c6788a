/** One's own calendar: each course as one gets it, and an address that is one's own, can be made anew, and ends. */
import { afterAll, beforeAll, beforeEach, describe, expect, test } from '@jest/globals';
import { execFile } from 'node:child_process';
import { existsSync } from 'node:fs';
import { mkdtemp, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { promisify } from 'node:util';
import type { AgendaAnswer, FeedAnswer } from '@itinerary/contract';
import { newItem } from '@itinerary/core';
import request from 'supertest';
import type { Agent } from 'supertest';
import { openWith } from '../support/coursework.ts';
import { changeCourse, setting, signedIn, testServer } from '../support/server.ts';
import type { TestServer } from '../support/server.ts';

const FROM = '2027-03-01';
const TO = '2027-04-30';
const fixed = (day: string, time: string | null = null) => ({ kind: 'fixed' as const, day, time });
let server: TestServer;
let ines: Agent;
let noor: Agent;
let hye: Agent;
let made = 0;
let its: Awaited<ReturnType<typeof openWith>>;

const calendar = async (agent: Agent, from = FROM, to = TO): Promise<AgendaAnswer> =>
  (await agent.get('/api/calendar').query({ from, to }).expect(200)).body as AgendaAnswer;
const own = ({ things }: AgendaAnswer): readonly (readonly [string, string, string | null])[] =>
  things.filter(({ course }) => course === its.id).map(({ what, day, time }) => [what, day, time]);
const put = (...nodes: readonly object[]): Promise<unknown> =>
  changeCourse(
    ines,
    its.id,
    nodes.map((node) => ({ kind: 'insert', parent: section, after: null, node })),
  );
let section = '';

beforeAll(async () => {
  server = await testServer();
  [ines, noor, hye] = await Promise.all([
    signedIn(server, 'instructor'),
    signedIn(server, 'learner'),
    signedIn(server, 'outsider'),
  ]);
});
afterAll(() => server.stop());
beforeEach(async () => {
  const node = { ...newItem('assignment', { id: '', title: 'Core log' }), due: fixed('2027-03-27', '23:59') };
  its = await openWith(server, ines, `CAL-${(made += 1)}`, node as never);
  await changeCourse(ines, its.id, [setting(its.id, 'dates.zone', 'Europe/Lisbon', 'UTC')]);
  const { body } = await ines.get(`/api/courses/${its.id}/plan`);
  section = (body as { course: { sections: { id: string }[] } }).course.sections[0]?.id ?? '';
});

describe('a calendar', () => {
  test('has what one gets and nothing else: not of drafts, of courses that were left, or what is another’s', async () => {
    await put(
      newItem('assignment', { id: 'hidden', title: 'marker-hidden', shown: false, due: fixed('2027-03-28') }),
      newItem('assignment', {
        id: 'staff',
        title: 'marker-staff',
        staffOnly: true,
        due: fixed('2027-03-28'),
      }),
      newItem('assignment', {
        id: 'other',
        title: 'marker-other',
        audience: ['none'],
        due: fixed('2027-03-28'),
      }),
    );
    expect(own(await calendar(noor))).toEqual([['due', '2027-03-27', '23:59']]);
    expect(JSON.stringify(await calendar(noor))).not.toContain('marker-');
    expect(JSON.stringify(await calendar(ines))).toContain('marker-staff');
    // A moment of one's own is in one's own.
    const exception = { node: its.item, opens: null, due: fixed('2027-04-02', '12:00'), until: null };
    const at = '/00000000-0000-4000-8000-000000000001';
    await ines
      .put(`/api/courses/${its.id}/exceptions${at}`)
      .send({ person: its.noor, ...exception })
      .expect(200);
    expect(own(await calendar(noor))).toEqual([['due', '2027-04-02', '12:00']]);
    expect(own(await calendar(hye))).toEqual([['due', '2027-03-27', '23:59']]);
    await server.database.em
      .fork()
      .execute(
        `update member set left_at = '2027-03-01', left_how = 'removed' where course_id = ? and person_id = ?`,
        [its.id, its.hye],
      );
    expect(own(await calendar(hye))).toEqual([]);
    await server.database.em
      .fork()
      .execute(`update course set state = 'draft', seq = seq + 1 where id = ?`, [its.id]);
    expect([own(await calendar(noor)), own(await calendar(ines)).length > 0]).toEqual([[], true]);
  });

  test('wants days that are days, in their order, and not more than one looks at', async () => {
    const ask = (from: string, to: string) => noor.get('/api/calendar').query({ from, to });
    for (const [from, to] of [
      ['2027-02-30', '2027-03-01'],
      ['2027-03-02', '2027-03-01'],
      ['2027-01-01', '2028-03-01'],
      ['today', TO],
    ])
      expect((await ask(from ?? '', to ?? '')).status).toBe(400);
    expect((await request(server.address).get('/api/calendar').query({ from: FROM, to: TO })).status).toBe(
      401,
    );
  });
});

describe('at an address', () => {
  const make = async (agent: Agent): Promise<string> =>
    ((await agent.post('/api/calendar/feed').send({}).expect(200)).body as FeedAnswer).path ?? '';
  const read = (path: string) => request(server.address).get(path);

  test('is read by whoever has it, and by nobody who guesses; made anew or ended, the one before leads nowhere', async () => {
    expect((await noor.get('/api/calendar/feed').expect(200)).body).toEqual({ path: null });
    const first = await make(noor);
    const answer = await read(first).expect(200);
    expect(answer.headers['content-type']).toMatch(/^text\/calendar/);
    expect(answer.text).toContain('SUMMARY:Due: Core log (CAL-');
    expect((await noor.get('/api/calendar/feed')).body).toEqual({ path: first });
    const [, , , , person = '', key = ''] = first.split('/');
    const other = await make(hye);
    const [, , , , hyeId = '', hyeKey = ''] = other.split('/');
    for (const wrong of [
      `/api/calendar/feed/${person}/${key.slice(0, -1)}`,
      `/api/calendar/feed/${person}/${hyeKey}`,
      `/api/calendar/feed/${hyeId}/${key}`,
      `/api/calendar/feed/nobody/${key}`,
      `/api/calendar/feed/${its.hye}/`,
    ])
      expect((await read(wrong)).status).toBe(404);
    const second = await make(noor);
    expect([(await read(first)).status, (await read(second)).status]).toEqual([404, 200]);
    await noor.delete('/api/calendar/feed').expect(200);
    expect((await read(second)).status).toBe(404);
    // Of eight who make it at once each has another, and the last is good.
    const eight = await Promise.all(Array.from({ length: 8 }, () => make(noor)));
    expect(new Set([first, second, ...eight]).size).toBe(10);
    const good = await Promise.all(eight.map(async (path) => (await read(path)).status === 200));
    expect(good.filter(Boolean)).toHaveLength(1);
  });

  test('says it in the language of whoever it is for', async () => {
    await noor
      .put('/api/me/language')
      .send({ lang: 'fr' })
      .expect((answer) => answer.status < 300);
    expect((await read(await make(noor))).text).toContain('SUMMARY:À rendre : Core log');
    await noor.put('/api/me/language').send({ lang: 'en' });
  });

  test('khal, a calendar program, has the same days and times, over the change of clocks', async () => {
    // Installed by the tests themselves where it can be (scripts/lib/test-server.mjs).
    expect(existsSync('/usr/bin/khal')).toBe(true);
    await put(
      newItem('meeting', {
        id: 'winter',
        title: 'Before clocks',
        held: fixed('2027-03-27', '09:30'),
        minutes: 90,
      }),
      newItem('meeting', {
        id: 'summer',
        title: 'After clocks',
        held: fixed('2027-03-28', '09:30'),
        minutes: 90,
      }),
      newItem('meeting', { id: 'day', title: 'All day', held: fixed('2027-03-29') }),
    );
    const folder = await mkdtemp(join(tmpdir(), 'itinerary-khal-'));
    const { text } = await read(await make(noor));
    await writeFile(join(folder, 'own.ics'), text);
    const config = `[calendars]\n[[own]]\npath = ${folder}/calendar\n[locale]\nlocal_timezone = UTC\ndefault_timezone = UTC\ntimeformat = %H:%M\ndateformat = %Y-%m-%d\nlongdateformat = %Y-%m-%d\ndatetimeformat = %Y-%m-%d %H:%M\nlongdatetimeformat = %Y-%m-%d %H:%M\n[sqlite]\npath = ${folder}/khal.db\n`;
    await writeFile(join(folder, 'config'), config);
    const khal = promisify(execFile);
    const env = { ...process.env, LC_ALL: 'C.UTF-8', HOME: folder };
    await khal('mkdir', ['-p', join(folder, 'calendar')]);
    await khal(
      '/usr/bin/khal',
      ['-c', join(folder, 'config'), 'import', '--batch', '-a', 'own', join(folder, 'own.ics')],
      {
        env,
      },
    );
    const { stdout } = await khal(
      '/usr/bin/khal',
      ['-c', join(folder, 'config'), 'list', '-df', '', '-f', '{start}|{end}|{title}', FROM, '60d'],
      { env },
    );
    const lines = stdout.split('\n').filter((line) => line.includes(`(CAL-${made})`));
    // Lisbon is at UTC in winter and an hour before it in summer.
    expect(lines.map((line) => line.replace(/ \(CAL-\d+\)/, '').trim())).toEqual([
      '2027-03-27 09:30|2027-03-27 11:00|Before clocks',
      '2027-03-27 23:59|2027-03-28 00:00|Due: Core log',
      '2027-03-28 08:30|2027-03-28 10:00|After clocks',
      '2027-03-29|2027-03-29|All day',
    ]);
    const { things } = await calendar(noor);
    expect(things.filter(({ course }) => course === its.id)).toHaveLength(4);
  }, 120_000);
});
