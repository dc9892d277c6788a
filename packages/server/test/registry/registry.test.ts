/** A course that follows classes of the registry: who comes, waits, returns and goes, and what staff have decided. */
import { afterAll, beforeAll, beforeEach, describe, expect, test } from '@jest/globals';
import type { MembersAnswer, RegistryAnswer, TaughtAnswer } from '@itinerary/contract';
import { SHUT_WAY } from '@itinerary/core';
import type { Agent } from 'supertest';
import { toldClock } from '../../src/config/clock.ts';
import { openTestRegistry } from '../support/registry.ts';
import type { TestRegistry } from '../support/registry.ts';
import { changeCourse, NOW, openCourse, putOn, setting, signedIn, testServer } from '../support/server.ts';
import type { TestServer } from '../support/server.ts';

const clock = toldClock(NOW);
const [A, B] = ['cls-efm-210-a-sum27', 'cls-efm-210-b-sum27'];
const SKETCHING = 'cls-fsk-105-a-sum27';

let registry: TestRegistry;
let server: TestServer;
let ines: Agent;
let id = '';
let made = 0;

const rows = (sql: string, values: readonly unknown[] = []): Promise<Record<string, unknown>[]> =>
  server.database.em.fork().execute(sql, [...values]);
const live = (): Promise<unknown> =>
  rows(`update course set state = 'live', seq = seq + 1 where id = ?`, [id]);
const follow = (classes: readonly [string, boolean][], agent = ines): ReturnType<Agent['put']> =>
  agent
    .put(`/api/courses/${id}/registry`)
    .send({ classes: classes.map(([one, asGroup]) => ({ id: one, asGroup })) });
const page = async (): Promise<RegistryAnswer> =>
  (await ines.get(`/api/courses/${id}/registry`).expect(200)).body as RegistryAnswer;
const members = async (): Promise<MembersAnswer['members']> =>
  ((await ines.get(`/api/courses/${id}/members`).expect(200)).body as MembersAnswer).members;
const learners = async (): Promise<MembersAnswer['members']> =>
  (await members()).filter(({ role }) => role === 'learner');
const settle = (body: object): ReturnType<Agent['post']> =>
  ines.post(`/api/courses/${id}/registry/settled`).send(body);
async function read(): Promise<RegistryAnswer> {
  await ines.post('/api/registry/readings').send({}).expect(200);
  await server.jobs.runNow();
  return page();
}
const said = ({ news }: RegistryAnswer): string[] =>
  (news[0]?.steps ?? []).map(({ kind, name, fields }) =>
    [kind, name, ...fields.map(({ field, to }) => `${field}: ${to}`)].join(' '),
  );

beforeAll(async () => {
  registry = await openTestRegistry(NOW.slice(0, 10));
  server = await testServer({ clock, registry: registry.settings });
  ines = await signedIn(server, 'instructor');
});
afterAll(async () => {
  await server.stop();
  await registry.close();
});
beforeEach(async () => {
  clock.tell(NOW);
  // As it was before any time passed.
  const fresh = await openTestRegistry(NOW.slice(0, 10));
  Object.assign(registry.register, {
    mood: 'up',
    classes: fresh.register.classes,
    users: fresh.register.users,
    enrolments: fresh.register.enrolments,
  });
  registry.register.happened.length = 0;
  await fresh.close();
  await rows('delete from graphile_worker._private_jobs');
  await rows('delete from registry_follow');
  made += 1;
  id = await openCourse(ines, { code: `REG-${made}` });
  await read();
});

test('what one teaches in a term that is not over is offered, with how many are in it', async () => {
  const { body } = await ines.get('/api/registry/classes').expect(200);
  const { reading, classes } = body as TaughtAnswer;
  expect(reading).toMatchObject({ isThere: true, readAt: NOW, problem: null, unread: [] });
  expect(classes.map(({ title, learners: count, teachers }) => [title, count, teachers])).toEqual([
    ['EFM-210 A', 16, ['Inês Carvalhal']],
    ['EFM-210 B', 14, ['Inês Carvalhal']],
    ['TID-140 A', 16, ['Inês Carvalhal']],
  ]);
  expect(classes[0]?.term).toMatchObject({ title: 'Summer 2027' });
  const other = await signedIn(server, 'coInstructor');
  expect(((await other.get('/api/registry/classes').expect(200)).body as TaughtAnswer).classes).toHaveLength(
    1,
  );
});

describe('a course that follows two classes', () => {
  test('has nobody before it is live, says so, and then everybody, in a class each', async () => {
    const before = (
      await follow([
        [A, true],
        [B, true],
      ]).expect(200)
    ).body as RegistryAnswer;
    expect(before.expected).toEqual([{ because: 'draft', count: 30 }]);
    expect([before.listed, before.isIn, await learners()]).toEqual([30, 0, []]);
    await live();
    await server.jobs.runNow();
    const now = await page();
    expect([now.listed, now.isIn, now.waiting, now.expected]).toEqual([30, 30, 0, []]);
    const all = await learners();
    expect(all.every(({ way, groups }) => way === 'registry' && groups.length === 1)).toBe(true);
    // Whoever has an account is that account, the others have a place.
    expect(all.filter(({ isPlace }) => !isPlace).map(({ name }) => name)).toContain('Noor Rahimi');
    const inEach = new Map(all.map(({ groups }) => [groups[0], 0]));
    for (const { groups } of all) inEach.set(groups[0], (inEach.get(groups[0]) ?? 0) + 1);
    const sizes = [...inEach.values()];
    expect(sizes.sort()).toEqual([14, 16]);
    // Read again, nothing has changed; followed eight times at once, neither.
    await Promise.all(
      Array.from({ length: 8 }, () =>
        follow([
          [A, true],
          [B, true],
        ]),
      ),
    );
    const again = await read();
    expect([again.news.length, (await learners()).length]).toEqual([now.news.length, 30]);
  });

  test('with no class of its own for them, and one later', async () => {
    await live();
    await follow([[A, false]]).expect(200);
    expect((await learners()).map(({ groups }) => groups.length)).toEqual(
      Array.from({ length: 16 }, () => 0),
    );
    await follow([[A, true]]).expect(200);
    expect((await learners()).map(({ groups }) => groups.length)).toEqual(
      Array.from({ length: 16 }, () => 1),
    );
  });

  test('goes on with late joins, drops, another instructor, a corrected address', async () => {
    await live();
    await follow([[A, true]]).expect(200);
    for (const event of ['late', 'drop', 'address', 'teacher'] as const) registry.register.happen(event);
    const now = await read();
    expect(said(now).sort()).toEqual(
      [
        'came Yara Antoun',
        'came Zenón Abril',
        'changed Aroha Tamihere address: aroha.tamihere.2@ternpoint.example',
        'came Tunde Balewa-Price',
        'stays Inês Carvalhal',
        'went Pavel Dvořan',
      ].sort(),
    );
    const all = await members();
    expect(all.filter(({ role }) => role === 'instructor').map(({ name }) => name)).toEqual([
      'Inês Carvalhal',
      'Tunde Balewa-Price',
    ]);
    expect(all.find(({ name }) => name === 'Aroha Tamihere')?.address).toBe(
      'aroha.tamihere.2@ternpoint.example',
    );
    expect(
      await rows(`select left_how from member where course_id = ? and left_at is not null`, [id]),
    ).toEqual([{ left_how: 'removed' }]);
  });

  test('asks before half a class goes, and they stay where the new class is followed too', async () => {
    await live();
    await follow([[A, true]]).expect(200);
    registry.register.happen('split');
    const now = await read();
    expect([now.held.length, now.isIn, said(now).length]).toEqual([8, 16, 17]);
    const third = now.offered.find(({ title }) => title === 'EFM-210 C');
    await follow([
      [A, true],
      [third?.id ?? '', true],
    ]).expect(200);
    const both = await page();
    expect([both.held, both.isIn, both.listed]).toEqual([[], 16, 16]);
    // She teaches the new class as well.
    expect(both.news[0]?.steps.map(({ kind }) => kind)).toEqual(Array.from({ length: 9 }, () => 'changed'));
    // Without it, only those go of whom somebody says so.
    await follow([[A, true]]).expect(200);
    const people = (await page()).held.map(({ registry: one }) => one);
    await settle({ about: 'leaving', people: [...people, 'usr-0001'] }).expect(409);
    const after = (await settle({ about: 'leaving', people }).expect(200)).body as RegistryAnswer;
    expect([after.held, after.isIn, (await learners()).length]).toEqual([[], 8, 8]);
  });
});

test('what staff have decided stands, is told, and is settled by one press', async () => {
  await live();
  await follow([[A, true]]).expect(200);
  const all = await learners();
  const [lupe, pavel, bilal] = ['Lupe Arrieta', 'Pavel Dvořan', 'Bilal Sherzai'].map(
    (name) => all.find((one) => one.name === name)?.person ?? '',
  );
  await rows(
    `update member set listed = jsonb_set(listed, '{address}', '"by.hand@elsewhere.example"') where course_id = ? and person_id = ?`,
    [id, lupe],
  );
  await ines
    .post(`/api/courses/${id}/members/edit`)
    .send({ act: 'remove', people: [pavel] })
    .expect(200);
  await ines
    .post(`/api/courses/${id}/members/edit`)
    .send({ act: 'role', people: [bilal], role: 'assistant' })
    .expect(200);
  registry.register.happen('address');
  const now = await read();
  expect(said(now)).toEqual([
    'kept Lupe Arrieta address: lupe.arrieta.2@ternpoint.example',
    'kept Pavel Dvořan standing: in',
  ]);
  expect((await members()).find(({ person }) => person === bilal)?.role).toBe('assistant');
  expect(now.differs.map(({ name, field, ours, theirs }) => [name, field, ours, theirs])).toEqual([
    ['Lupe Arrieta', 'address', 'by.hand@elsewhere.example', 'lupe.arrieta.2@ternpoint.example'],
    ['Pavel Dvořan', 'standing', 'out', 'in'],
  ]);
  // Told once, and not again.
  expect((await read()).news.length).toBe(now.news.length);
  const [address, standing] = now.differs;
  await settle({ about: 'field', registry: address?.registry, field: 'address', take: true }).expect(200);
  await settle({ about: 'field', registry: address?.registry, field: 'address', take: true }).expect(409);
  expect((await members()).find(({ person }) => person === lupe)?.address).toBe(
    'lupe.arrieta.2@ternpoint.example',
  );
  const left = (
    await settle({ about: 'field', registry: standing?.registry, field: 'standing', take: false }).expect(200)
  ).body as RegistryAnswer;
  expect(left.differs).toEqual([]);
  const later = await read();
  // Settled, it is not asked again.
  expect([later.differs, later.news.length]).toEqual([[], left.news.length]);
  expect((await learners()).some(({ person }) => person === pavel)).toBe(false);
});

test('who finds no seat waits, and is taken in without an offer as one is free, in turn', async () => {
  await changeCourse(ines, id, [setting(id, 'seats', 14)]);
  await live();
  const now = (await follow([[A, true]]).expect(200)).body as RegistryAnswer;
  expect([now.isIn, now.waiting, (await learners()).length]).toEqual([14, 2, 14]);
  const waiting = (
    await rows('select person_id from waiting where course_id = ? order by arrival', [id])
  ).map(({ person_id: one }) => one);
  const [first] = await learners();
  await ines
    .post(`/api/courses/${id}/members/edit`)
    .send({ act: 'remove', people: [first?.person] })
    .expect(200);
  await server.jobs.runNow();
  const after = await learners();
  expect([after.length, after.some(({ person }) => person === waiting[0])]).toEqual([14, true]);
  expect(after.find(({ person }) => person === waiting[0])).toMatchObject({
    way: 'registry',
    groups: [expect.any(String)],
  });
  expect(await rows('select person_id from waiting where course_id = ?', [id])).toEqual([
    { person_id: waiting[1] },
  ]);
  expect(await rows('select kind from held_seat where course_id = ?', [id])).toEqual([]);
  // Of whom it was told that they wait, it is told that they have come.
  expect(said(await page())).toEqual([
    `came ${String(after.find(({ person }) => person === waiting[0])?.name)}`,
  ]);
});

test('whoever is there by name alone is asked for, and the answer is kept', async () => {
  await live();
  const list = {
    id: '00000000-0000-4000-8000-000000000001',
    stamp: ((await ines.get(`/api/courses/${id}/roster`).expect(200)).body as { stamp: string }).stamp,
    source: 'by hand',
    shape: { heading: null, columns: ['name'] },
    rows: [{ line: 1, name: 'Noor Rahimi' }],
    choices: [],
    remove: [],
  };
  await ines.post(`/api/courses/${id}/lists`).send(list).expect(200);
  const now = (await follow([[A, false]]).expect(200)).body as RegistryAnswer;
  expect(now.questions).toMatchObject([
    { entries: [{ name: 'Noor Rahimi' }], members: [{ name: 'Noor Rahimi' }] },
  ]);
  expect((await learners()).length).toBe(16);
  const [entry, member] = [now.questions[0]?.entries[0]?.key, now.questions[0]?.members[0]?.key];
  await settle({
    about: 'person',
    answers: [{ entry, member: '00000000-0000-4000-8000-00000000ffff' }],
  }).expect(409);
  const after = (await settle({ about: 'person', answers: [{ entry, member }] }).expect(200))
    .body as RegistryAnswer;
  expect([after.questions, (await learners()).length, after.isIn]).toEqual([[], 16, 16]);
  expect((await read()).news.length).toBe(after.news.length);
});

test('a name in pieces is told and changes nothing; a registry that is away leaves all as it was', async () => {
  await live();
  await follow([[A, true]]).expect(200);
  registry.register.happen('broken');
  const now = await read();
  expect([now.broken, said(now).length]).toEqual([
    [{ name: expect.stringContaining('Å') as unknown, known: 'Pavel Dvořan' }],
    17,
  ]);
  registry.register.happen('drop');
  for (const mood of ['down', 'failing', 'halfway'] as const) {
    registry.register.mood = mood;
    clock.tell('2027-02-16T10:00:00.000Z');
    const { reading, isIn } = await read();
    expect([reading.readAt, reading.triedAt, isIn]).toEqual([NOW, '2027-02-16T10:00:00.000Z', 16]);
    expect(reading.problem).toMatch(/the registry/);
  }
  registry.register.mood = 'up';
  expect((await read()).isIn).toBe(15);
});

test('switched off nobody comes or goes by it; only who teaches a class follows it', async () => {
  await live();
  await follow([[SKETCHING, true]]).expect(400);
  const tunde = await signedIn(server, 'coInstructor');
  await follow([[A, true]], tunde).expect(404);
  await putOn(ines, id, 'tunde', 'instructor');
  await follow([[A, true]], tunde).expect(400);
  await follow([[A, true]]).expect(200);
  // What a colleague follows already stays in what is sent.
  await follow(
    [
      [A, true],
      [SKETCHING, false],
    ],
    tunde,
  ).expect(200);
  expect((await page()).listed).toBe(30);
  await changeCourse(ines, id, [
    setting(id, 'ways.registry', { ...SHUT_WAY, on: false }, { ...SHUT_WAY, on: true }),
  ]);
  registry.register.happen('drop');
  await read();
  expect((await learners()).length).toBe(30);
});
