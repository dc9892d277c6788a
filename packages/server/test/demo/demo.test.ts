/** The demo college: whole, the same each time, and nothing in it that leads nowhere. */
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import {
  allLivingItems,
  contactsOf,
  fileHashes,
  findings,
  livingSections,
  isBlocker,
  parseCourse,
  resolveMenu,
  textFacts,
  textHashes,
} from '@itinerary/core';
import type { Course, Finding } from '@itinerary/core';
import { coursesWhere } from '../../src/db/kept-courses.ts';
import { comingTo } from '../../src/db/coming.ts';
import { MemberRow, PersonRow, StoredFileRow, TextRow } from '../../src/db/entities.ts';
import { connect, migrate } from '../../src/db/orm.ts';
import type { Database, EntityManager } from '../../src/db/orm.ts';
import { emptyDatabase, writeDemoCollege } from '../../src/demo/demo-college.ts';
import { addressOf, DEMO_PEOPLE } from '../../src/demo/people.ts';
import { hashText, sanitiseText } from '../../src/text/rich-text.ts';
import { faceFacts } from '../../src/usecases/reading/face.ts';
import { factsOfTexts } from '../../src/usecases/plan/texts.ts';
import { admin, newDatabase, NOW, urlOf } from '../support/server.ts';

let name = '';
let database: Database;
let courses: readonly Course[] = [];
const kept: Buffer[] = [];
const em = (): EntityManager => database.em.fork();

async function load(): Promise<readonly Course[]> {
  kept.length = 0;
  await writeDemoCollege(em(), NOW, (bytes) => {
    kept.push(bytes);
    return Promise.resolve();
  });
  const fork = em();
  return [...(await coursesWhere(fork, {}))].sort((a, b) => (a.code < b.code ? -1 : 1));
}

beforeAll(async () => {
  name = await newDatabase('empty');
  database = await connect(urlOf(name));
  await migrate(database);
  courses = await load();
});
afterAll(async () => {
  await database.close(true);
  await admin(`drop database ${name} with (force)`);
});

const byCode = (code: string): Course => {
  const found = courses.find((course) => course.code === code);
  if (found === undefined) throw new Error(`no ${code}`);
  return found;
};
async function textsOf(course: Course): Promise<ReadonlyMap<string, string>> {
  const rows = await em().find(TextRow, { courseId: course.id });
  return new Map(rows.map(({ hash, html }) => [hash, html]));
}
describe('every course', () => {
  test('is one that can be read again, in each format', () => {
    expect(courses.map(({ code }) => code)).toHaveLength(7);
    for (const course of courses) {
      const parsed = parseCourse(JSON.parse(JSON.stringify(course)));
      expect({ code: course.code, ok: parsed.ok }).toEqual({ code: course.code, ok: true });
    }
    expect(new Set(courses.map(({ dates }) => dates.pace)).size).toBeGreaterThan(1);
  });

  test('has each of its texts, as the server itself would keep it', async () => {
    let count = 0;
    for (const course of courses) {
      const texts = await textsOf(course);
      for (const hash of textHashes(course)) {
        const html = texts.get(hash);
        expect({ code: course.code, html }).toEqual({ code: course.code, html: expect.any(String) });
        expect(hashText(html ?? '')).toBe(hash);
        expect(sanitiseText(html ?? '')).toBe(html);
        count += 1;
      }
    }
    expect(count).toBeGreaterThan(50);
  });

  test('links only to items that it has, and shows only files that are there', async () => {
    let links = 0;
    for (const course of courses) {
      const ids = new Set(
        livingSections(course)
          .flatMap(allLivingItems)
          .map(({ id }) => id),
      );
      const stored = new Set(
        (await em().find(StoredFileRow, { courseId: course.id })).map(({ hash }) => hash),
      );
      const pictures: string[] = [];
      for (const html of (await textsOf(course)).values()) {
        const { links: found, pictures: seen } = textFacts(html) ?? { links: [], pictures: [] };
        links += found.length;
        expect(found.filter((id) => !ids.has(id))).toEqual([]);
        pictures.push(...seen);
      }
      expect([...fileHashes(course), ...pictures].filter((hash) => !stored.has(hash))).toEqual([]);
    }
    expect(links).toBeGreaterThan(2);
  });

  test('has staff to ask, and a menu that leads somewhere', async () => {
    for (const course of courses) {
      const facts = faceFacts((await comingTo(em(), null, course.id)).around);
      expect(contactsOf(course, facts.staff).length).toBeGreaterThan(0);
      const menu = resolveMenu(course, { role: 'instructor', institutionStaff: false }, NOW, facts);
      expect(menu.filter(({ unseen }) => unseen?.kind === 'gone')).toEqual([]);
      expect(menu.some(({ unseen }) => unseen === null)).toBe(true);
    }
  });

  test('that is live has nothing that blocks, and the draft has something left to settle', async () => {
    const found = async (course: Course): Promise<readonly Finding[]> => {
      const learners = await em().count(MemberRow, { courseId: course.id, role: 'learner' });
      const texts = await factsOfTexts(em(), course.id);
      const face = faceFacts((await comingTo(em(), null, course.id)).around);
      return findings(course, { moment: NOW, learners, texts, face });
    };
    for (const course of courses.filter(({ state }) => state === 'live')) {
      const blockers = (await found(course)).filter(isBlocker).map(({ rule }) => rule);
      expect({ code: course.code, blockers }).toEqual({ code: course.code, blockers: [] });
    }
    expect((await found(byCode('EFM-210-SUM27'))).length).toBeGreaterThan(0);
  });
});

describe('the people', () => {
  test('have addresses that are theirs alone, and one for each part that the sign-in page offers', async () => {
    const people = await em().find(PersonRow, {});
    expect(people).toHaveLength(DEMO_PEOPLE.length);
    expect(new Set(people.map(({ address }) => address)).size).toBe(people.length);
    expect(people.map(({ address }) => address)).toContain(addressOf('Inês Carvalhal'));
    const parts = people.flatMap(({ demoPart }) => (demoPart === null ? [] : [demoPart]));
    expect(new Set(parts)).toEqual(
      new Set(['instructor', 'co_instructor', 'assistant', 'learner', 'staff', 'visitor']),
    );
  });

  test('are on courses once each', async () => {
    const members = await em().find(MemberRow, {});
    const keys = members.map(({ courseId, personId }) => `${courseId} ${personId}`);
    expect(new Set(keys).size).toBe(keys.length);
    const live = byCode('EFM-210-SPR27').id;
    expect(members.filter(({ courseId, role }) => courseId === live && role === 'learner')).toHaveLength(24);
  });
});

test('emptied, nothing is left; loaded again, it is the same to the last id', async () => {
  const before = courses;
  const files = kept.map((bytes) => hashText(bytes.toString('latin1'))).sort();
  await emptyDatabase(em());
  const tables = await em()
    .getConnection()
    .execute<{ table_name: string }[]>(
      // The kinds of items are core's own list, and no data of anybody's.
      `select table_name from information_schema.tables where table_schema = 'public'
         and table_name not like 'mikro_orm%' and table_name <> 'node_kind'`,
    );
  expect(tables.length).toBeGreaterThan(15);
  for (const { table_name: table } of tables) {
    const rows = await em().getConnection().execute<{ n: string }[]>(`select count(*) as n from "${table}"`);
    expect({ table, rows: Number(rows[0]?.n) }).toEqual({ table, rows: 0 });
  }
  expect(await load()).toEqual(before);
  expect(kept.map((bytes) => hashText(bytes.toString('latin1'))).sort()).toEqual(files);
});
