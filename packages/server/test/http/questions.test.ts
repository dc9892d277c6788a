/**
 * How many questions each reading route asks the database, once what is kept is there: who asks is one, all of theirs in a
 * course is another. A page that asks one for each of its lines is found here before it is slow.
 */
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import pg from 'pg';
import type { Agent } from 'supertest';
import { courseIds, LIVE, signedIn, testServer } from '../support/server.ts';
import type { TestServer } from '../support/server.ts';

/** At most so many, whoever asks. What is for staff alone, and not a page that a class opens, may ask for more. */
const MOST: Readonly<Record<string, number>> = {
  // A page for a learner.
  ...{
    readCourse: 3,
    frame: 3,
    readItem: 3,
    readGuide: 3,
    pageText: 3,
    announcements: 3,
    ownProgress: 3,
    ownLog: 3,
  },
  ...{ news: 3, choices: 3, renewal: 3, desk: 3, me: 3, agenda: 3, classmates: 3 },
  ...{ ownWork: 7, ownQuiz: 5, talk: 8, film: 4, meeting: 4, survey: 4 },
  ...{ allNews: 3, allProgress: 3, joinCoursePage: 8 },
  // Five for each of its discussions, whose posts are looked through.
  findInCourse: 23,
  // Who one is, and what is one's own.
  ...{
    demoPeople: 2,
    sessions: 2,
    ownFeed: 2,
    health: 1,
    alive: 0,
    openapi: 0,
    menuTemplates: 2,
    library: 2,
    code: 2,
  },
  // Those who plan the course.
  ...{ plan: 8, ownPictures: 6, members: 6, candidates: 4, roster: 5, lists: 4, ownMoments: 4, waysIn: 13 },
  ...{ taught: 3, registry: 11, grid: 13, progressCsv: 9, progressStatements: 4, deedDays: 12 },
  ...{
    workList: 11,
    quizList: 12,
    whoPosted: 9,
    whoWatched: 9,
    attendance: 11,
    surveyTotals: 6,
    lookAnew: 8,
  },
};
/** What names something that only a look at something else gives: files, letters, one person, one thread. */
const APART = new Set([
  ...[
    'events',
    'accountKey',
    'feed',
    'text',
    'courseFile',
    'libraryPicture',
    'firstMembers',
    'standing',
    'joinPage',
  ],
  ...[
    'announcementFile',
    'comments',
    'learnerProgress',
    'itemFile',
    'textPicture',
    'facePicture',
    'ownWorkFile',
  ],
  ...[
    'ownReceipt',
    'attachment',
    'workExample',
    'lookAtWork',
    'workFile',
    'quizPicture',
    'quizAnswers',
    'readThread',
  ],
  ...['postFile', 'postDraft', 'pageText'],
]);
/** The kind of item that an address is about, by a word of it. */
const KINDS = { quiz: 'quiz', discussion: 'discussion', film: 'video', meeting: 'meeting', survey: 'survey' };
const QUERIES: Readonly<Record<string, string>> = {
  agenda: '?from=2027-02-01&to=2027-02-28',
  findInCourse: '?find=mud',
  candidates: '?find=a',
};

let server: TestServer;
let id: string;
let items: ReadonlyMap<string, string>;
const agents = new Map<string, Agent>();
const TRIES = 3;
const asked: string[] = [];
const client = pg.Client.prototype as unknown as { query: (...args: readonly unknown[]) => unknown };
const { query } = client;

interface Node {
  readonly id: string;
  readonly kind: string;
  readonly items?: readonly Node[];
}
const within = (nodes: readonly Node[]): readonly Node[] =>
  nodes.flatMap((node) => [node, ...within(node.items ?? [])]);

beforeAll(async () => {
  server = await testServer();
  for (const who of ['learner', 'instructor', 'outsider'] as const)
    agents.set(who, await signedIn(server, who));
  id = (await courseIds(server))[LIVE] as string;
  const { body } = await (agents.get('instructor') as Agent).get(`/api/courses/${id}/plan`).expect(200);
  const { sections } = (body as { course: { sections: readonly Node[] } }).course;
  items = new Map(within(sections).map((node) => [node.kind, node.id]));
  client.query = function counted(this: unknown, ...args: readonly unknown[]): unknown {
    const [what] = args;
    const sql = typeof what === 'string' ? what : (what as { readonly text?: string }).text;
    if (sql !== undefined && !/^(begin|commit|rollback)/i.test(sql)) asked.push(sql);
    return query.apply(this, [...args]);
  };
});
afterAll(async () => {
  client.query = query;
  await server.stop();
});

interface Operation {
  readonly operationId: string;
}

async function readingRoutes(): Promise<readonly (readonly [path: string, name: string])[]> {
  const { body } = await (agents.get('learner') as Agent).get('/api/openapi.json');
  const { paths } = body as { paths: Record<string, Record<string, Operation>> };
  return Object.entries(paths).flatMap(([path, { get }]) =>
    get === undefined || APART.has(get.operationId) ? [] : [[path, get.operationId] as const],
  );
}

function addressOf(path: string, name: string): string {
  const word = Object.keys(KINDS).find((one) => new RegExp(`/${one}\\b`).test(path));
  const kind = word === undefined ? null : KINDS[word as keyof typeof KINDS];
  const fitting = kind ?? (/coursework|workList/.test(path + name) ? 'assignment' : 'page');
  return (
    path
      .replace('{course}', id)
      .replace('{item}', items.get(fitting) ?? 'none')
      .replace('{code}', 'FREE-1') + (QUERIES[name] ?? '')
  );
}

describe('once what is kept is there', () => {
  test('no reading route asks more than its share', async () => {
    const routes = await readingRoutes();
    const over: string[] = [];
    const answered = new Set<string>();
    for (const [path, name] of routes) {
      const address = addressOf(path, name);
      for (const [who, agent] of agents) {
        await agent.get(address);
        const most = MOST[name] ?? -1;
        const found: string[][] = [];
        // A job or a timer may ask something beside it, and only adds: what a route asks itself, it asks each time.
        do {
          asked.length = 0;
          const { status } = await agent.get(address);
          if (status === 200) answered.add(name);
          found.push([...asked]);
        } while ((found.at(-1) ?? []).length > most && found.length < TRIES);
        const fewest = found.toSorted((one, other) => one.length - other.length)[0] ?? [];
        if (fewest.length > most)
          over.push(`${name} by ${who}: ${fewest.length}, of ${most} at most: ${fewest.join('; ')}`);
      }
    }
    expect(over).toEqual([]);
    // Whatever is counted was there to be read; a route that nobody gets would pass with any number.
    expect(routes.map(([, name]) => name).filter((name) => !answered.has(name))).toEqual([]);
  });

  test('a course page asks who that is with their session, and for all of theirs: two', async () => {
    asked.length = 0;
    await (agents.get('learner') as Agent).get(`/api/learn/${id}`).expect(200);
    expect(asked).toHaveLength(2);
    expect(asked[0]).toContain('from session');
  });
});
