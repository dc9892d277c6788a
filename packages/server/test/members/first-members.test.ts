/** The beginning of the table of members: in the order of names, found by words without accents, told with how many there are. */
import { afterAll, beforeAll, expect, test } from '@jest/globals';
import type { FirstMembersAnswer, MembersAnswer } from '@itinerary/contract';
import type { Agent } from 'supertest';
import { openCourse, signedIn, testServer } from '../support/server.ts';
import type { TestServer } from '../support/server.ts';

let server: TestServer;
let ines: Agent;
let id = '';

const rows = (sql: string, values: readonly unknown[] = []): Promise<Record<string, unknown>[]> =>
  server.database.em.fork().execute(sql, [...values]);
const first = async (query: Record<string, string | number>): Promise<FirstMembersAnswer> =>
  (await ines.get(`/api/courses/${id}/members/first`).query(query).expect(200)).body as FirstMembersAnswer;
const names = ({ members }: FirstMembersAnswer): string[] => members.map(({ name }) => name);
const found = async (find: string): Promise<string[]> => names(await first({ first: 50, find }));

const PEOPLE = [
  'Ñandú Zorro',
  'Ángel Íñiguez',
  'Zoé Abel',
  'ana 100% sure',
  'Under_Score',
  'نُور',
  'Bea 2',
  'Bea 10',
];

beforeAll(async () => {
  server = await testServer();
  ines = await signedIn(server, 'instructor');
  id = await openCourse(ines, { code: 'FIRST-1' });
  const { stamp } = (await ines.get(`/api/courses/${id}/roster`).expect(200)).body as { stamp: string };
  const list = {
    id: '00000000-0000-4000-8000-000000000001',
    stamp,
    source: '',
    shape: { heading: null, columns: [] },
    rows: PEOPLE.map((name, at) => ({ line: at + 1, id: `N-${at}`, name, address: `p${at}@away.example` })),
    choices: [],
    remove: [],
  };
  await ines.post(`/api/courses/${id}/lists`).send(list).expect(200);
});
afterAll(() => server.stop());

test('the first so many by name, and how many there are; each as the whole table has them', async () => {
  const { members, total, found: many } = await first({ first: 3 });
  expect([members.map(({ name }) => name), total, many]).toEqual([
    ['ana 100% sure', 'Ángel Íñiguez', 'Bea 10'],
    9,
    9,
  ]);
  const whole = (await ines.get(`/api/courses/${id}/members`).expect(200)).body as MembersAnswer;
  for (const one of members) expect(whole.members).toContainEqual(one);
  // In Spanish, ñ comes after n.
  expect(names(await first({ first: 50, lang: 'es' })).indexOf('Ñandú Zorro')).toBeGreaterThan(0);
});

test.each<[string, string[]]>([
  ['angel', ['Ángel Íñiguez']],
  ['INIGUEZ ÁNG', ['Ángel Íñiguez']],
  ['abel  zoe', ['Zoé Abel']],
  ['N-4', ['Under_Score']],
  ['p0@away', ['Ñandú Zorro']],
  ['100%', ['ana 100% sure']],
  ['r_s', ['Under_Score']],
  ['نور', ['نُور']],
  ['nobody is called so', []],
  ["' or true --", []],
])('by “%s”', async (find, expected) => {
  expect(await found(find)).toEqual(expected);
});

test('whoever is off the course is neither found nor counted, and whose name changes is found by the new one', async () => {
  const [zoe] = (await first({ first: 5, find: 'zoe' })).members;
  await ines
    .post(`/api/courses/${id}/members/edit`)
    .send({ act: 'remove', people: [zoe?.person] })
    .expect(200);
  expect([await found('zoe'), (await first({ first: 1 })).total]).toEqual([[], 8]);
  await rows(
    `update person set name = 'Renée Brün', address = 'renee@new.example' where address = 'ines.carvalhal@ternpoint.example'`,
  );
  expect([await found('renee'), await found('brun new.example'), await found('carvalhal')]).toEqual([
    ['Renée Brün'],
    ['Renée Brün'],
    [],
  ]);
  // What a list says of somebody here comes before what their account says.
  await rows(
    `update member set listed = '{"given": "In", "family": "Here"}' where course_id = ? and person_id = (select id from person where name = 'Renée Brün')`,
    [id],
  );
  expect([await found('in here'), await found('renee')]).toEqual([['In Here'], ['In Here']]);
});

test('more than there may be at once, or a language that is none, is refused', async () => {
  for (const query of [{ first: 0 }, { first: 501 }, { first: 5, lang: 'xx' }, {}]) {
    await ines.get(`/api/courses/${id}/members/first`).query(query).expect(400);
  }
});

test('an institution may put the name of the family first: shown so, and sorted by it, in the whole table and its beginning', async () => {
  const { stamp } = (await ines.get(`/api/courses/${id}/roster`).expect(200)).body as { stamp: string };
  const halves = [
    ['Zaïde', 'Aalto'],
    ['Amal', 'Zubayr'],
  ] as const;
  await ines
    .post(`/api/courses/${id}/lists`)
    .send({
      id: '00000000-0000-4000-8000-000000000002',
      stamp,
      source: '',
      shape: { heading: null, columns: [] },
      rows: halves.map(([given, family], at) => ({ line: at + 1, id: `H-${at}`, given, family })),
      choices: [],
      remove: [],
    })
    .expect(200);
  const shown = async (): Promise<string[]> => {
    const begun = names(await first({ first: 50 }));
    const whole = (await ines.get(`/api/courses/${id}/members`).expect(200)).body as MembersAnswer;
    expect(whole.members.map(({ name }) => name).sort()).toEqual([...begun].sort());
    return begun;
  };
  const before = await shown();
  expect(before.indexOf('Zaïde Aalto')).toBeGreaterThan(before.indexOf('Amal Zubayr'));
  const staff = await signedIn(server, 'staff');
  await staff.put('/api/institution/names').send({ nameOrder: 'sideways' }).expect(400);
  await ines.put('/api/institution/names').send({ nameOrder: 'family_first' }).expect(403);
  await staff.put('/api/institution/names').send({ nameOrder: 'family_first' }).expect(200);
  expect((await ines.get('/api/me').expect(200)).body).toMatchObject({
    institution: { nameOrder: 'family_first' },
  });
  const after = await shown();
  expect(after[0]).toBe('Aalto, Zaïde');
  expect(after.indexOf('Zubayr, Amal')).toBeGreaterThan(after.indexOf('Under_Score'));
  // Found by either half, in the order in which people say them.
  expect(await found('zaide aalto')).toEqual(['Aalto, Zaïde']);
  await staff.put('/api/institution/names').send({ nameOrder: 'given_first' }).expect(200);
  expect(await shown()).toEqual(before);
});
