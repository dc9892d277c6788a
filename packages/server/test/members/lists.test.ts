/** Class lists taken into a course and taken back, as the database has it. */
import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, expect, test } from '@jest/globals';
import type { ListsAnswer, RosterAnswer, SentRow, TakeList } from '@itinerary/contract';
import { readList, reconcile } from '@itinerary/core/people';
import type { EntryChoice, Roster, RosterMember } from '@itinerary/core/people';
import type { Agent, Response } from 'supertest';
import { changeCourse, openCourse, putOn, setting, signedIn, testServer } from '../support/server.ts';
import type { TestServer } from '../support/server.ts';

let server: TestServer;
let ines: Agent;
let tunde: Agent;
beforeAll(async () => {
  server = await testServer();
  ines = await signedIn(server, 'instructor');
  tunde = await signedIn(server, 'coInstructor');
});
afterAll(() => server.stop());

const newOne = (code: string): Promise<string> => openCourse(ines, { code });
const rosterOf = async (course: string): Promise<RosterAnswer> =>
  (await ines.get(`/api/courses/${course}/roster`).expect(200)).body as RosterAnswer;
const asRoster = ({ members }: RosterAnswer): Roster =>
  new Map(members.map((member): [string, RosterMember] => [member.key, member as RosterMember]));

const sent = (text: string): SentRow[] =>
  readList(text).rows.map(
    (row) =>
      Object.fromEntries(
        Object.entries(row).filter(([field, value]) => value !== null && field !== 'doubts'),
      ) as unknown as SentRow,
  );

interface More {
  readonly remove?: readonly string[];
  readonly choices?: readonly [string, EntryChoice][];
  readonly id?: string;
  readonly stamp?: string;
}
async function listOf(course: string, text: string, more: More = {}): Promise<TakeList> {
  const stamp = more.stamp ?? (await rosterOf(course)).stamp;
  return {
    id: more.id ?? randomUUID(),
    stamp,
    source: 'section-a.csv',
    shape: { heading: ['Name'], columns: ['name'] },
    rows: sent(text),
    choices: (more.choices ?? []).map(([entry, choice]) => ({ entry, choice })),
    remove: [...(more.remove ?? [])],
  };
}
const send = (course: string, list: TakeList, agent = ines): PromiseLike<Response> =>
  agent.post(`/api/courses/${course}/lists`).send(list);
async function take(course: string, text: string, more: More = {}): Promise<string> {
  const list = await listOf(course, text, more);
  const answer = await send(course, list);
  expect([answer.status, answer.body]).toMatchObject([200, {}]);
  return list.id;
}
const undo = (course: string, list: string): PromiseLike<Response> =>
  ines.delete(`/api/courses/${course}/lists/${list}`);
const inCourse = async (course: string): Promise<readonly string[]> =>
  (await rosterOf(course)).members
    .filter(({ state, role }) => state === 'in' && role !== 'instructor')
    .map(({ given, family, name }) => name ?? `${given ?? ''} ${family ?? ''}`.trim())
    .sort();

const LIST = `Student ID;Given;Family;E-mail;Class
1001;Noor;Rahimi;NOOR.RAHIMI@ternpoint.example;Shore A
1002;Maelle;Tréguier;maelle@away.example;Shore A
1003;Odhran;Keane;;Shore B`;

test('whoever has an account is it, the others are places; classes are made; twice is once; taken back it is as before', async () => {
  const course = await newOne('LIST-1');
  const before = await rosterOf(course);
  const first = await take(course, LIST);
  const { members } = await rosterOf(course);
  const byId = new Map(members.map((member) => [member.id, member]));
  expect(byId.get('1001')).toMatchObject({ isPlace: false, isListed: true, classes: ['Shore A'] });
  expect(byId.get('1002')).toMatchObject({ isPlace: true, address: 'maelle@away.example' });
  expect(byId.get('1003')).toMatchObject({ isPlace: true, address: null, classes: ['Shore B'] });
  expect((await ines.get(`/api/courses/${course}/plan`)).body).toMatchObject({ learners: 3, places: 2 });
  const plan = (await ines.get(`/api/courses/${course}/plan`)).body as {
    course: { groups: Record<string, { name: string; kind: string; at: number }> };
    groupSizes: Record<string, number>;
  };
  const groups = Object.values(plan.course.groups).sort((a, b) => a.at - b.at);
  expect(groups.map(({ name, kind }) => [name, kind])).toEqual([
    ['Shore A', 'class'],
    ['Shore B', 'class'],
  ]);
  expect(Object.values(plan.groupSizes).sort()).toEqual([1, 2]);
  // Read again, it says nothing new.
  const again = reconcile(readList(LIST).rows, asRoster(await rosterOf(course)));
  expect(again.outcomes.map(({ kind }) => kind)).toEqual(['unchanged', 'unchanged', 'unchanged']);
  expect(again.gone).toEqual([]);
  const answer = await undo(course, first);
  expect(answer.status).toBe(200);
  expect(await rosterOf(course)).toEqual(before);
  const after = (await ines.get(`/api/courses/${course}/plan`)).body as { course: { groups: object } };
  expect(after.course.groups).toEqual({});
  const { lists } = answer.body as ListsAnswer;
  expect(lists).toMatchObject([{ id: first, source: 'section-a.csv', counts: { added: 3 }, undone: {} }]);
  // Taken back twice is once.
  expect((await undo(course, first)).status).toBe(200);
});

test('sent six times at once it is one list; of two at once the second has to look again', async () => {
  const course = await newOne('LIST-2');
  const list = await listOf(course, LIST);
  const other = { ...list, id: randomUUID(), rows: sent('Name\nWren Aldous-Bay') };
  const answers = await Promise.all([
    ...Array.from({ length: 6 }, () => send(course, list)),
    send(course, other, ines),
  ]);
  const statuses = answers.map(({ status }) => status);
  const kept = (await ines.get(`/api/courses/${course}/lists`)).body as ListsAnswer;
  expect(kept.lists).toHaveLength(1);
  const isFirst = kept.lists[0]?.id === list.id;
  expect(statuses).toEqual(
    isFirst ? [200, 200, 200, 200, 200, 200, 409] : [409, 409, 409, 409, 409, 409, 200],
  );
  expect(await inCourse(course)).toHaveLength(isFirst ? 3 : 1);
});

test('later: changed, gone and returning; whoever goes keeps their place; nobody goes unasked', async () => {
  const course = await newOne('LIST-3');
  await take(course, LIST);
  const later = LIST.replace('1002;Maelle;', '1002;Maëlle;').replace(/\n1003.*/, '\n1004;Tove;Ness;;Shore B');
  const reading = reconcile(readList(later).rows, asRoster(await rosterOf(course)));
  const [gone] = reading.gone;
  await take(course, later);
  expect(await inCourse(course)).toContain('Odhran Keane');
  const third = await take(course, later, { remove: [gone?.key ?? ''] });
  expect(await inCourse(course)).toEqual(['Maëlle Tréguier', 'Noor Rahimi', 'Tove Ness']);
  expect((await undo(course, third)).status).toBe(200);
  expect(await inCourse(course)).toContain('Odhran Keane');
  await take(course, later, { remove: [gone?.key ?? ''] });
  await take(course, LIST);
  const back = (await rosterOf(course)).members.find(({ id }) => id === '1003');
  expect(back).toMatchObject({ key: gone?.key, state: 'in', classes: ['Shore B'] });
  // Somebody who is on the list cannot be sent away by it, nor anybody of whom it was not asked.
  const wrong = await send(course, await listOf(course, LIST, { remove: [gone?.key ?? ''] }));
  expect(wrong.status).toBe(400);
  expect(wrong.body).toMatchObject({ errors: [{ path: 'remove.0', value: gone?.key }] });
});

test('what has changed since stands against taking back, and is named; nothing is half taken back', async () => {
  const course = await newOne('LIST-4');
  const list = await take(course, LIST);
  const { members } = await rosterOf(course);
  const maelle = members.find(({ id }) => id === '1002')?.key ?? '';
  await ines
    .post(`/api/courses/${course}/members/edit`)
    .send({ act: 'remove', people: [maelle] })
    .expect(200);
  const before = await rosterOf(course);
  const answer = await undo(course, list);
  expect(answer.status).toBe(409);
  expect(answer.body).toMatchObject({
    code: 'members_changed',
    errors: [{ path: 'members', value: 'Maelle Tréguier' }],
  });
  expect(await rosterOf(course)).toEqual(before);
});

test('what somebody has done since is kept: they are off the course, and return with it', async () => {
  const course = await newOne('LIST-5');
  const list = await take(course, LIST);
  const noor = (await rosterOf(course)).members.find(({ id }) => id === '1001')?.key ?? '';
  await server.database.em
    .fork()
    .execute(`insert into visit (course_id, person_id, last_at) values (?, ?, '2027-02-16T10:00:00.000Z')`, [
      course,
      noor,
    ]);
  expect((await undo(course, list)).status).toBe(200);
  const { members } = await rosterOf(course);
  expect(members.filter(({ role }) => role !== 'instructor')).toMatchObject([{ key: noor, state: 'out' }]);
});

test('a class that changes, a name and an address: taken back, they are as they were', async () => {
  const course = await newOne('LIST-11');
  await take(course, LIST);
  const before = await rosterOf(course);
  const later = LIST.replace('1001;Noor;Rahimi', '1001;Noor;Rahimi-Vale')
    .replace('NOOR.RAHIMI', 'noor.rahimi')
    .replace('example;Shore A', 'example;Shore B')
    .replace('maelle@', 'maelle.treguier@');
  const list = await take(course, later);
  const { members } = await rosterOf(course);
  expect(members.find(({ id }) => id === '1001')).toMatchObject({
    family: 'Rahimi-Vale',
    classes: ['Shore B'],
  });
  expect((await undo(course, list)).body).toMatchObject({ lists: [{ undone: {} }, {}] });
  expect(await rosterOf(course)).toEqual(before);
});

test('whoever had left by themselves, and by which way they came, is as before when a list that brought them back is taken back', async () => {
  const course = await newOne('LIST-12');
  const noor = await putOn(ines, course, 'noor', 'learner');
  const em = server.database.em.fork();
  await em.execute(
    `update member set left_at = '2027-02-01T09:00:00.000Z', left_how = 'left', way = 'link'
     where course_id = ? and person_id = ?`,
    [course, noor],
  );
  const standing = async (): Promise<unknown> =>
    server.database.em
      .fork()
      .execute('select left_at, left_how, way, listed from member where course_id = ? and person_id = ?', [
        course,
        noor,
      ]);
  const before = await standing();
  const list = await take(course, LIST);
  expect(await standing()).toMatchObject([{ left_at: null, left_how: null, way: 'staff' }]);
  expect((await undo(course, list)).status).toBe(200);
  expect(await standing()).toEqual(before);
});

test('a row by name alone is asked; the answer decides', async () => {
  const course = await newOne('LIST-6');
  const noor = await putOn(ines, course, 'noor', 'learner');
  const text = 'Name\nRahimi Noor';
  await take(course, text);
  expect(await inCourse(course)).toEqual(['Noor Rahimi']);
  const open = reconcile(readList(text).rows, asRoster(await rosterOf(course)));
  const [asked] = open.outcomes;
  if (asked?.kind !== 'possible') throw new Error('it is not asked');
  await take(course, text, { choices: [[asked.entry.key, { is: 'member', key: noor }]] });
  expect((await rosterOf(course)).members.find(({ key }) => key === noor)).toMatchObject({ isListed: true });
  await take(course, text, { choices: [[asked.entry.key, { is: 'new' }]] });
  expect(await inCourse(course)).toHaveLength(2);
});

test('no list takes the last instructor away, and nobody but staff takes one', async () => {
  const course = await newOne('LIST-7');
  const text = 'Name,E-mail,Role\nInês,ines.carvalhal@ternpoint.example,student';
  const answer = await send(course, await listOf(course, text));
  expect([answer.status, (answer.body as { code: string }).code]).toEqual([403, 'not_allowed']);
  await putOn(ines, course, 'tunde', 'assistant');
  const list = await listOf(course, LIST);
  expect((await send(course, list, tunde)).status).toBe(403);
  const [first] = list.rows as SentRow[];
  const long = { ...list, rows: [{ ...first, line: 2, given: 'x'.repeat(301) }] };
  const refused = await send(course, long as TakeList);
  expect(refused.status).toBe(400);
  expect(refused.body).toMatchObject({ errors: [{ path: 'rows.0.given' }] });
  expect(await inCourse(course)).toEqual(['Tunde Balewa-Price']);
});

test('a place whose address turns out to be an account’s is that account’s from then on', async () => {
  const course = await newOne('LIST-8');
  await take(course, 'Student ID,Name,E-mail\n77,Pavel Dvořan,pavel@wrong.example');
  const place = (await rosterOf(course)).members.find(({ id }) => id === '77')?.key ?? '';
  await take(course, 'Student ID,Name,E-mail\n77,Pavel Dvořan,Pavel.Dvoran@ternpoint.example');
  const found = (await rosterOf(course)).members.filter(({ id }) => id === '77');
  expect(found).toMatchObject([{ isPlace: false, state: 'in' }]);
  expect(found[0]?.key).not.toBe(place);
  const people = await server.database.em.fork().execute('select id from person where id = ?', [place]);
  expect(people).toEqual([]);
});

test('a place is not found among the institution’s people, is no classmate, and nobody signs in by it', async () => {
  const course = await newOne('LIST-9');
  await take(course, LIST);
  const found = await ines.get(`/api/courses/${course}/candidates?find=Keane`).expect(200);
  expect(found.body).toEqual({ people: [], more: false });
  const { members } = (await ines.get(`/api/courses/${course}/members`)).body as {
    members: { name: string; isPlace: boolean; number: string | null; lastAt: string | null }[];
  };
  expect(members.find(({ name }) => name === 'Odhran Keane')).toMatchObject({
    isPlace: true,
    number: '1003',
    lastAt: null,
  });
});

test('several at once get a role, groups, or go: whole or not at all', async () => {
  const course = await newOne('LIST-10');
  await take(course, LIST);
  const edit = (body: object): PromiseLike<Response> =>
    ines.post(`/api/courses/${course}/members/edit`).send(body);
  const { members } = await rosterOf(course);
  const keys = members.filter(({ role }) => role === 'learner').map(({ key }) => key);
  const me = members.find(({ role }) => role === 'instructor')?.key ?? '';
  await changeCourse(ines, course, [
    setting(course, 'groups.boat', { name: 'Avocet', kind: 'group', at: 9 }),
  ]);
  const groups = [{ group: 'boat', add: keys, leave: [] as string[] }];
  expect((await edit({ act: 'groups', groups })).status).toBe(200);
  expect((await rosterOf(course)).members.filter((one) => one.groups[0] === 'Avocet')).toHaveLength(3);
  const stranger = await edit({
    act: 'groups',
    groups: [
      { group: 'boat', add: [], leave: keys },
      { group: 'boat', add: [randomUUID()], leave: [] },
    ],
  });
  expect(stranger.status).toBe(400);
  expect((await rosterOf(course)).members.filter((one) => one.groups[0] === 'Avocet')).toHaveLength(3);
  expect((await edit({ act: 'groups', groups: [{ group: 'no', add: [], leave: [] }] })).body).toMatchObject({
    errors: [{ path: 'groups.0.group', value: 'no' }],
  });
  expect((await edit({ act: 'role', people: [...keys, me], role: 'visitor' })).status).toBe(403);
  expect((await edit({ act: 'role', people: keys, role: 'visitor' })).status).toBe(200);
  expect((await edit({ act: 'remove', people: [keys[0], me] })).status).toBe(403);
  expect((await edit({ act: 'remove', people: keys })).status).toBe(200);
  expect(await inCourse(course)).toEqual([]);
});
