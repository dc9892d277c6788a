/** The desk in pages: of thousands for staff of the institution, and of what is there for everybody else. */
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import type { DeskAnswer } from '@itinerary/contract';
import { DESK_ROWS } from '@itinerary/contract';
import type { Agent } from 'supertest';
import { migrate } from '../../src/db/orm.ts';
import { courseIds, DRAFT, LIVE, NOW, signedIn, testServer } from '../support/server.ts';
import type { TestServer } from '../support/server.ts';

let server: TestServer;
let staff: Agent;
let ids: Readonly<Record<string, string>>;

const rows = <Row extends object = Record<string, unknown>>(
  sql: string,
  values: readonly unknown[] = [],
): Promise<Row[]> => server.database.em.fork().execute<Row[]>(sql, [...values]);

const deskOf = async (agent: Agent, query: object = {}): Promise<DeskAnswer> =>
  (await agent.get('/api/desk').query(query).expect(200)).body as DeskAnswer;

const MANY = 130;
const TERMS = ['SPR27', 'SUM27', null];
const WORDS = ['Señales', 'Mangue', 'Dunes 50%', 'Salt_marsh', 'Estuários'];

beforeAll(async () => {
  server = await testServer();
  staff = await signedIn(server, 'staff');
  ids = await courseIds(server);
  // As many more as make several pages, of every kind that a desk tells apart.
  await rows(
    `insert into course select (jsonb_populate_record(course, jsonb_build_object(
       'id', 'many-' || n, 'code', 'MANY-' || lpad((n * 37 % ?)::text, 3, '0'),
       'title', (?::jsonb ->> (n % 5)) || ' ' || n,
       'state', case n % 4 when 0 then 'archived' when 1 then 'live' else 'draft' end,
       'term', ?::jsonb ->> (n % 3),
       'tags', case when n % 6 = 0 then jsonb_build_array('Feldtage', 'é') else '[]'::jsonb end,
       'first_day', case when n % 7 = 0 then null else ('2027-01-01'::date + n % 60)::text end,
       'goes_live', case when n % 8 = 2 then ?::float8 + (n - 60) * 86400000::float8 end))).*
     from course, generate_series(1, ?) n where course.id = ?`,
    [MANY, JSON.stringify(WORDS), JSON.stringify(TERMS), Date.parse(NOW), MANY, ids[DRAFT]],
  );
});
afterAll(() => server.stop());

interface Row {
  readonly id: string;
  readonly code: string;
  readonly title: string;
  readonly state: string;
  readonly term: string | null;
  readonly tags: readonly string[];
  readonly firstDay: string | null;
  readonly goesLive: number | null;
}

const plain = (text: string): string =>
  text
    .normalize('NFD')
    .replaceAll(/[\u0300-\u036f]/g, '')
    .toLowerCase();

/** The same, worked out from all rows one by one. */
async function reckoned(query: {
  readonly find?: string;
  readonly term?: string;
  readonly state?: string;
  readonly tag?: string;
}): Promise<readonly string[]> {
  const all = await rows<Row>(
    `select id, code, title, state, term, tags, first_day as "firstDay", goes_live as "goesLive" from course`,
  );
  const now = Date.parse(NOW);
  const stateOf = ({ state, goesLive }: Row): string =>
    state === 'draft' && goesLive !== null && goesLive <= now ? 'live' : state;
  const words = (query.find ?? '').split(' ').filter((word) => word !== '');
  const rank = (row: Row): string =>
    `${stateOf(row) === 'archived' ? 1 : 0} ${row.firstDay ?? '9999'} ${row.code}`;
  return all
    .filter(
      (row) =>
        words.every((word) => plain([row.title, row.code, ...row.tags].join(' ')).includes(plain(word))) &&
        (query.term === undefined || row.term === query.term) &&
        (query.state === undefined || stateOf(row) === query.state) &&
        (query.tag === undefined || row.tags.includes(query.tag)),
    )
    .sort((a, b) => (rank(a) < rank(b) ? -1 : 1))
    .map(({ id }) => id);
}

describe('the desk of staff', () => {
  test('has every course once over its pages, in order; beyond the last page is the last', async () => {
    const expected = await reckoned({});
    const first = await deskOf(staff);
    const pages = Math.ceil(expected.length / DESK_ROWS);
    expect([first.page, first.total, first.all]).toEqual([1, expected.length, expected.length]);
    expect(pages).toBeGreaterThan(3);
    const seen: string[] = [];
    for (let page = 1; page <= pages; page += 1) {
      const { courses, page: is } = await deskOf(staff, { page });
      expect(is).toBe(page);
      seen.push(...courses.map(({ id }) => id));
    }
    expect(seen).toEqual(expected);
    const beyond = await deskOf(staff, { page: 9999 });
    expect([beyond.page, beyond.courses.map(({ id }) => id)]).toEqual([
      pages,
      expected.slice((pages - 1) * DESK_ROWS),
    ]);
    await staff.get('/api/desk?page=0').expect(400);
  });

  test.each([
    { find: 'senales' },
    { find: 'SEÑALES 1' },
    { find: 'feldtage many' },
    { find: '50%' },
    { find: 'salt_marsh' },
    { find: 'saltxmarsh' },
    { find: 'é', state: 'archived' },
    { term: 'SPR27', state: 'live' },
    { state: 'draft' },
    { tag: 'Feldtage', find: 'estuarios' },
    { term: 'NONE' },
  ])('asked for %j has what looking at each row would find', async (query) => {
    const expected = await reckoned(query);
    const { courses, total, all } = await deskOf(staff, query);
    expect(total).toBe(expected.length);
    expect(courses.map(({ id }) => id)).toEqual(expected.slice(0, DESK_ROWS));
    // What there is to ask for is said of all of it.
    expect(all).toBe((await reckoned({})).length);
  });

  test('says what there is to ask for, and what begins next', async () => {
    const { states, tags, next } = await deskOf(staff, { term: 'NONE' });
    expect([...states].sort()).toEqual(['archived', 'draft', 'live']);
    expect(tags).toEqual(expect.arrayContaining(['Feldtage', 'é']));
    const [row] = await rows(
      `select title, first_day as "firstDay" from course where first_day > ? and state <> 'archived' order by first_day, code limit 1`,
      [NOW.slice(0, 10)],
    );
    expect(next).toEqual(row);
  });

  test('says of a course that cannot be read that it cannot, and shows the others', async () => {
    const ines = await signedIn(server, 'instructor');
    const broken = { id: ids[DRAFT], code: DRAFT };
    const [{ dates } = { dates: null }] = await rows('select dates from course where id = ?', [broken.id]);
    await rows(`update course set dates = dates || '{"weekStart": 99}', seq = seq + 1 where id = ?`, [
      broken.id,
    ]);
    try {
      for (const agent of [staff, ines]) {
        const desk = await deskOf(agent, { find: 'EFM-210' });
        expect(desk.broken).toMatchObject([broken]);
        expect(desk.courses.map(({ code }) => code)).toContain(LIVE);
      }
      // Nobody who learns there is told of it.
      expect((await deskOf(await signedIn(server, 'learner'))).broken).toEqual([]);
    } finally {
      await rows(`update course set dates = ?::jsonb, seq = seq + 1 where id = ?`, [
        JSON.stringify(dates),
        broken.id,
      ]);
    }
    expect((await deskOf(staff, { find: 'EFM-210' })).broken).toEqual([]);
  });
});

describe('the desk of everybody else', () => {
  test('tells nothing of what is not there for them: no count, no state, no tag', async () => {
    const learner = await signedIn(server, 'learner');
    const before = await deskOf(learner);
    await rows(`insert into member (course_id, person_id, role, joined_at)
      select id, (select person_id from member where course_id = '${String(ids[LIVE])}' and person_id in
        (select id from person where name = 'Noor Rahimi')), 'learner', '${NOW}' from course where id = 'many-6'`);
    const hidden = await rows(`select state, tags from course where id = 'many-6'`);
    expect(hidden).toEqual([{ state: 'draft', tags: ['Feldtage', 'é'] }]);
    const { courses, total, all, states, tags, next, broken } = await deskOf(learner);
    expect({ courses, total, all, states, tags, next, broken }).toEqual({
      ...{ courses: before.courses, total: before.total, all: before.all, states: before.states },
      ...{ tags: before.tags, next: before.next, broken: [] },
    });
    expect(tags).not.toContain('Feldtage');
    expect((await deskOf(learner, { tag: 'Feldtage' })).courses).toEqual([]);
  });

  test('lists what can be found by its words, and says where there is more', async () => {
    const other = await signedIn(server, 'outsider');
    await rows(
      `update course set state = 'live', settings = settings || '{"find": "here"}', seq = seq + 1 where id like 'many-%'`,
    );
    const open = await deskOf(other);
    expect([open.courses, open.moreFound, open.found.length]).toEqual([[], true, 50]);
    const few = await deskOf(other, { find: 'manguE 1' });
    expect(few.moreFound).toBe(false);
    expect(few.found.map(({ title }) => title)).toEqual(expect.arrayContaining(['Mangue 1', 'Mangue 11']));
    expect(few.found.every(({ title }) => title.startsWith('Mangue'))).toBe(true);
  });
});

test('courses of an earlier release are put in order as they are first served, but one that cannot be read', async () => {
  const known = await rows('select id, first_day, goes_live from course where id = ?', [ids[LIVE]]);
  await rows('update course set first_day = null, goes_live = 1, listed = false where id = ?', [ids[LIVE]]);
  await rows(`update course set dates = '{}', listed = false where id = 'many-1'`);
  await migrate(server.database);
  expect(await rows('select id, first_day, goes_live from course where id = ?', [ids[LIVE]])).toEqual(known);
  expect(await rows('select id from course where not listed')).toEqual([{ id: 'many-1' }]);
});
