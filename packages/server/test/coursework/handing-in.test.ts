/** Handing in: begun on one device and gone on with on another, by the server's clock, once however often it is sent. */
import { createHash, randomUUID } from 'node:crypto';
import { request as httpRequest } from 'node:http';
import { afterAll, beforeAll, beforeEach, describe, expect, test } from '@jest/globals';
import type { OwnWorkAnswer } from '@itinerary/contract';
import { receiptWords, USUAL_TAKES } from '@itinerary/core';
import { zipSync } from 'fflate';
import type { Agent, Response } from 'supertest';
import { toldClock } from '../../src/config/clock.ts';
import { DUE, openWork, said } from '../support/coursework.ts';
import type { Coursework } from '../support/coursework.ts';
import { cookieOf } from '../support/listening.ts';
import { changeCourse, setting, signedIn, testServer } from '../support/server.ts';
import type { TestServer } from '../support/server.ts';
import { png } from '../support/pictures.ts';

const BEGIN = '2027-03-02T09:00:00.000Z';
const clock = toldClock(BEGIN);

let server: TestServer;
let ines: Agent;
let noor: Agent;
let hye: Agent;
let its: Coursework;
let made = 0;

const rows = (sql: string, values: readonly unknown[] = []): Promise<Record<string, unknown>[]> =>
  server.database.em.fork().execute(sql, [...values]);
const work = (agent = noor): Promise<OwnWorkAnswer> => its.work(agent);
const set: Coursework['set'] = (field, value, was) => its.set(field, value, was);
const draft: Coursework['draft'] = (agent, version, what) => its.draft(agent, version, what);
const upload: Coursework['upload'] = (agent, name, bytes) => its.upload(agent, name, bytes);
const handIn: Coursework['handIn'] = (agent, version, one) => its.handIn(agent, version, one);

beforeAll(async () => {
  server = await testServer({ clock });
  [ines, noor, hye] = await Promise.all([
    signedIn(server, 'instructor'),
    signedIn(server, 'learner'),
    signedIn(server, 'outsider'),
  ]);
});
afterAll(() => server.stop());
beforeEach(async () => {
  clock.tell(BEGIN);
  made += 1;
  its = await openWork(server, ines, `WORK-${made}`);
});

test('typed, sent, and handed in: a receipt that can be checked, and it counts as done', async () => {
  expect(await work()).toMatchObject({
    mayHandIn: true,
    punctual: 'on_time',
    due: '2027-03-05T12:01:00.000Z',
    takenTo: '2027-03-05T12:01:00.000Z',
    draft: null,
    handed: [],
    tries: { most: null, used: 0 },
  });
  const one = (await draft(noor, 0, { text: 'Low tide  at nine\n' })) as Response;
  expect([one.status, (one.body as OwnWorkAnswer).draft?.version]).toEqual([200, 1]);
  const two = await upload(noor, 'Sketch.png', await png(20, 20));
  expect(two.status).toBe(201);
  const begun = (await work()).draft;
  expect(begun).toMatchObject({ version: 2, text: 'Low tide  at nine\n', files: [{ name: 'Sketch.png' }] });
  clock.tell('2027-03-05T12:00:59.999Z');
  const done = (await handIn(noor, 2)).body as OwnWorkAnswer;
  const [receipt] = done.handed;
  expect(receipt).toMatchObject({ attempt: 1, isLate: false, by: null, at: '2027-03-05T12:00:59.999Z' });
  const words = receiptWords({
    course: its.id,
    item: its.item,
    person: its.noor,
    attempt: 1,
    at: receipt!.at,
    text: 'Low tide  at nine\n',
    address: '',
    files: receipt!.files,
  });
  expect(createHash('sha256').update(words).digest('hex')).toBe(receipt!.hash);
  // It can be had again later, and by nobody else.
  const again = `${its.at}/handed/${receipt!.id}/receipt`;
  const had = await noor.get(again).expect(200);
  expect([had.text, createHash('sha256').update(had.text).digest('hex')]).toEqual([words, receipt!.hash]);
  expect((await hye.get(again)).status).toBe(404);
  expect(done.draft).toBeNull();
  const deeds = await rows('select done_at from deed where course_id = ? and person_id = ?', [
    its.id,
    its.noor,
  ]);
  expect(deeds).toEqual([{ done_at: '2027-03-05T12:00:59.999Z' }]);
  const file = await noor.get(`${its.at}/files/${receipt!.files[0]!.hash}`).expect(200);
  expect(file.headers['content-type']).toBe('image/png');
});

describe('the server’s clock decides', () => {
  const when = async (instant: string, what: object = {}): Promise<unknown> => {
    await draft(noor, 0, { text: 'Mud' });
    for (const [field, value] of Object.entries(what)) await set(field, value, field === 'grace' ? 0 : null);
    clock.tell(instant);
    const answer = await handIn(noor, 1);
    return answer.status === 200 ? (answer.body as OwnWorkAnswer).handed[0]?.isLate : said(answer);
  };
  const OVER = [409, 'cannot_hand_in', 'over'];
  test('over with the due minute', async () => expect(await when('2027-03-05T12:01:00.000Z')).toEqual(OVER));
  test('within the grace it is on time', async () =>
    expect(await when('2027-03-05T12:10:59.999Z', { grace: 10 })).toBe(false));
  test('and over with it', async () =>
    expect(await when('2027-03-05T12:11:00.000Z', { grace: 10 })).toEqual(OVER));
  const LATE = { kind: 'fixed', day: '2027-03-06', time: '12:00' };
  test('late to the late end', async () =>
    expect(await when('2027-03-06T12:00:59.999Z', { lateUntil: LATE })).toBe(true));
  test('and over with that', async () =>
    expect(await when('2027-03-06T12:01:00.000Z', { lateUntil: LATE })).toEqual(OVER));
  test('the grace wins over an earlier late end', async () => {
    const sooner = { kind: 'fixed', day: '2027-03-05', time: '12:05' };
    expect(await when('2027-03-05T12:20:00.000Z', { grace: 30, lateUntil: sooner })).toBe(false);
  });
  test('nobody is told of the grace', async () => {
    await set('grace', 600, 0);
    expect(JSON.stringify(await work())).not.toContain('22:01');
  });
});

test('another window’s words are not written over: whoever builds on what is gone is told', async () => {
  await draft(noor, 0, { text: 'From the desk' });
  const answer = await draft(noor, 0, { text: 'From the phone' });
  expect(said(answer)).toEqual([409, 'changed_elsewhere', 'version']);
  expect(said(await handIn(noor, 0))).toEqual([409, 'changed_elsewhere', 'version']);
  expect((await work()).draft).toMatchObject({ version: 1, text: 'From the desk' });
  // Eight at once, built on the same: one is taken.
  const eight = await Promise.all(
    Array.from({ length: 8 }, (_, n) => draft(noor, 1, { text: `Window ${n}` })),
  );
  expect(eight.map(({ status }) => status).sort()).toEqual([200, ...Array.from({ length: 7 }, () => 409)]);
});

test('handed in eight times at once it is once, under one number; and again, as often as may be', async () => {
  await draft(noor, 0, { text: 'Once' });
  const one = randomUUID();
  const same = await Promise.all(Array.from({ length: 8 }, () => handIn(noor, 1, one)));
  expect(same.map(({ status }) => status)).toEqual(same.map(() => 200));
  await draft(noor, 0, { text: 'Twice' });
  const different = await Promise.all(Array.from({ length: 8 }, () => handIn(noor, 1)));
  expect(different.filter(({ status }) => status === 200)).toHaveLength(1);
  expect((await work()).handed.map(({ attempt, text }) => [attempt, text])).toEqual([
    [2, 'Twice'],
    [1, 'Once'],
  ]);
  await set('tries', 2, null);
  await draft(noor, 0, { text: 'Thrice' });
  expect(said(await handIn(noor, 1))).toEqual([409, 'cannot_hand_in', 'no_tries']);
  // What was acknowledged is acknowledged again, though it is over meanwhile.
  clock.tell('2027-04-05T12:00:00.000Z');
  expect((await handIn(noor, 7, one)).status).toBe(200);
  expect((await work()).handed).toHaveLength(2);
});

test('it takes what it says, and nothing else', async () => {
  expect(said(await handIn(noor, 0))).toEqual([409, 'cannot_hand_in', 'empty']);
  await draft(noor, 0, { text: ' \n\t ' });
  expect(said(await handIn(noor, 1))).toEqual([409, 'cannot_hand_in', 'empty']);
  await set(
    'takes',
    { ...USUAL_TAKES, text: false, address: true, files: 1, kinds: ['picture'] },
    USUAL_TAKES,
  );
  await draft(noor, 1, { text: 'Words' });
  expect(said(await handIn(noor, 2))).toEqual([409, 'cannot_hand_in', 'no_text']);
  expect((await draft(noor, 2, { address: 'javascript:alert(1)' })).status).toBe(400);
  expect((await upload(noor, 'notes.txt', 'Low tide at nine')).status).toBe(400);
  expect((await upload(noor, 'run.exe', 'MZ and more')).status).toBe(400);
  expect((await upload(noor, 'one.png', await png(20, 20))).status).toBe(201);
  expect((await upload(noor, 'two.png', await png(21, 20))).status).toBe(400);
  await set('largest', 1, null);
  expect((await upload(noor, 'large.png', Buffer.alloc(1_000_001, 1))).status).toBe(413);
  const { draft: begun, limit } = await work();
  expect(limit).toEqual({ megabytes: 1, by: 'item' });
  expect(begun?.files.map(({ name }) => name)).toEqual(['one.png']);
  // A file of somebody else's is nobody's to name.
  const theirs = begun!.files[0]!.hash;
  expect((await draft(hye, 0, { files: [theirs] })).status).toBe(400);
  expect((await hye.get(`${its.at}/files/${theirs}`)).status).toBe(404);
});

/** @returns what is answered to one that says that so many bytes come, and sends five */
async function claiming(path: string, bytes: number): Promise<number | undefined> {
  const headers = { 'Content-Type': 'application/octet-stream', 'Content-Length': String(bytes) };
  const cookie = await cookieOf(server, 'learner');
  return new Promise((resolve, reject) => {
    const asking = httpRequest(
      `${server.address}${path}`,
      { method: 'POST', headers: { ...headers, cookie }, agent: false },
      ({ statusCode }) => {
        resolve(statusCode);
        asking.destroy();
      },
    ).once('error', reject);
    asking.write('short');
  });
}

test('what is handed in to do harm does none: it is kept as bytes, sent as something to save, or refused in words', async () => {
  // A hundred megabytes of nothing in a hundred kilobytes: nobody here unpacks it.
  const bomb = Buffer.from(zipSync({ 'nothing.txt': new Uint8Array(100_000_000) }, { level: 9 }));
  expect(bomb.length).toBeLessThan(200_000);
  const page = '<!doctype html><html><script>parent.hurt = true</script></html>';
  const drawing = '<svg xmlns="http://www.w3.org/2000/svg" onload="parent.hurt = true"/>';
  for (const [name, bytes] of [
    ['sheets.zip', bomb],
    ['page.html', Buffer.from(page)],
    ['drawing.svg', Buffer.from(drawing)],
  ] as const) {
    const { status, body } = (await upload(noor, name, bytes)) as Response;
    expect({ name, status }).toEqual({ name, status: 201 });
    const { hash, size } = (body as OwnWorkAnswer).draft!.files.at(-1)!;
    expect(size).toBe(bytes.length);
    const { headers } = await noor.get(`${its.at}/files/${hash}`);
    expect(headers['content-disposition']).toMatch(/^attachment;/);
    expect(headers['content-security-policy']).toBe("default-src 'none'; sandbox");
    expect(headers['x-content-type-options']).toBe('nosniff');
  }
  const million = await draft(noor, 3, { text: 'a'.repeat(1_000_001) });
  expect([400, 413]).toContain(million.status);
  // It says that it is longer than anything may be, and little of it ever comes.
  expect(await claiming(`${its.at}/files?name=a.txt`, 900_000_000)).toBe(413);
  expect((await work()).draft?.files.map(({ name }) => name)).toEqual([
    'sheets.zip',
    'page.html',
    'drawing.svg',
  ]);
});

test('one hands in for the group: it counts for all who are in it then, each by their own due moment', async () => {
  await changeCourse(ines, its.id, [
    setting(its.id, 'groups.kelp', { name: 'Kelp', kind: 'group', at: 1 }),
    setting(its.item, 'groupWork', 'apart'),
  ]);
  for (const person of [its.noor, its.hye]) {
    await ines
      .put(`/api/courses/${its.id}/members/${person}/groups`)
      .send({ groups: ['kelp'] })
      .expect(200);
  }
  await ines
    .put(`/api/courses/${its.id}/exceptions/own`)
    .send({ person: its.hye, node: its.item, opens: null, until: null, due: { ...DUE, day: '2027-03-09' } })
    .expect(200);
  await set('lateUntil', { kind: 'fixed', day: '2027-03-12', time: null }, null);
  await draft(noor, 0, { text: 'Ours' });
  clock.tell('2027-03-06T09:00:00.000Z');
  await handIn(noor, 1);
  expect((await work()).handed).toMatchObject([{ text: 'Ours', by: null, isLate: true }]);
  expect((await work(hye)).handed).toMatchObject([{ text: 'Ours', by: 'Noor Rahimi', isLate: false }]);
  expect((await its.list()).people.map(({ handIn }) => handIn !== null)).toEqual([true, true]);
  expect(
    (await rows('select 1 from deed where course_id = ? and done_at is not null', [its.id])).length,
  ).toBe(2);
});

test('what was handed in for somebody who has no account yet is theirs once they have one', async () => {
  await changeCourse(ines, its.id, [
    setting(its.id, 'groups.kelp', { name: 'Kelp', kind: 'group', at: 1 }),
    setting(its.item, 'groupWork', 'apart'),
  ]);
  const address = `newcomer.${made}@away.example`;
  const { stamp } = (await ines.get(`/api/courses/${its.id}/roster`).expect(200)).body as { stamp: string };
  const newcomer = { line: 1, name: 'New Comer', address };
  const taken = await ines.post(`/api/courses/${its.id}/lists`).send({
    ...{ id: randomUUID(), stamp, source: '', shape: { heading: null, columns: [] } },
    ...{ rows: [newcomer], choices: [], remove: [] },
  });
  const place = (taken.body as { members: { person: string; name: string }[] }).members.find(
    ({ name }) => name === 'New Comer',
  )!.person;
  for (const person of [its.noor, place]) {
    await ines
      .put(`/api/courses/${its.id}/members/${person}/groups`)
      .send({ groups: ['kelp'] })
      .expect(200);
  }
  await draft(noor, 0, { text: 'Ours' });
  expect((await handIn(noor, 1)).status).toBe(200);
  const account = `account-${made}`;
  await rows(
    `insert into person (id, institution_id, name, address, password_hash, kind)
     values (?, (select institution_id from course where id = ?), 'New Comer', ?, '', 'learner')`,
    [account, its.id, address],
  );
  const { claimIn } = await import('../../src/usecases/members/lists/claim.ts');
  const [course] = await rows('select institution_id from course where id = ?', [its.id]);
  const claimed = await server.database.em
    .fork()
    .transactional((em) => claimIn(em, its.id, String(course?.['institution_id'])));
  expect(claimed).toBe(1);
  const theirs = await rows('select person_id from hand_in_for where course_id = ? order by person_id', [
    its.id,
  ]);
  expect(theirs.map((row) => row['person_id']).sort()).toEqual([account, its.noor].sort());
});

test('nobody hands in what is closed to them, nor staff who only look', async () => {
  expect((await work(ines)).mayHandIn).toBe(false);
  expect(said(await draft(ines, 0, { text: 'Me too' }))).toEqual([409, 'cannot_hand_in', 'item']);
  await set('opens', { kind: 'fixed', day: '2027-03-03', time: null }, null);
  expect((await draft(noor, 0, { text: 'Early' })).status).not.toBe(200);
  await set('shown', false, true);
  expect((await noor.get(its.at)).status).toBe(404);
});

test('files of what is begun or handed in are not tidied away', async () => {
  const { tidyFiles } = await import('../../src/usecases/files/tidy.ts');
  await upload(noor, 'one.png', await png(23, 20));
  const { draft: begun } = await work();
  const store = { find: () => Promise.resolve(null), drop: () => Promise.resolve() };
  const later = '2027-03-09T09:00:00.000Z';
  await tidyFiles(server.database.em.fork(), store as never, later);
  const left = async (): Promise<number> =>
    (await rows('select 1 from stored_file where course_id = ?', [its.id])).length;
  expect(await left()).toBe(1);
  await draft(noor, begun!.version, { text: 'Without it', files: [] });
  await tidyFiles(server.database.em.fork(), store as never, later);
  expect(await left()).toBe(0);
});
