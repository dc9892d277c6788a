/** Reading a registry over REST: pages, what cannot be read, what changes meanwhile; and the stand-in's own answers. */
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { bundleList } from '@itinerary/core/people';
import { afterAll, afterEach, beforeAll, describe, expect, test } from '@jest/globals';
import { strFromU8, unzipSync } from 'fflate';
import { openRegistry, RegistryAway } from '../../src/registry/registry.ts';
import { bundleOf } from '../../src/standins/registry/oneroster.ts';
import { BadSelection, select } from '../../src/standins/registry/selection.ts';
import { takeReading } from '../../src/usecases/registry/take-reading.ts';
import { openTestRegistry } from '../support/registry.ts';
import type { TestRegistry } from '../support/registry.ts';
import { NOW, testServer } from '../support/server.ts';

interface Answer {
  readonly status?: number;
  readonly total?: number;
  readonly body?: unknown;
  readonly text?: string;
}

/** A registry that answers what a test says, collection by collection. */
async function scripted(answer: (collection: string, offset: number, times: number) => Answer): Promise<{
  readonly url: string;
  readonly asked: string[];
  readonly close: () => void;
}> {
  const asked: string[] = [];
  const times = new Map<string, number>();
  const http = createServer((request, response) => {
    const url = new URL(request.url ?? '', 'http://here');
    asked.push(`${url.pathname}${url.search}`);
    if (url.pathname === '/token') {
      response.end(JSON.stringify({ access_token: 'x', token_type: 'Bearer', expires_in: 1 }));
      return;
    }
    const count = (times.get(url.pathname) ?? 0) + 1;
    times.set(url.pathname, count);
    const said = answer(url.pathname.slice(1), Number(url.searchParams.get('offset')), count);
    response.statusCode = said.status ?? 200;
    if (said.status === 302) response.setHeader('Location', '/token');
    if (said.total !== undefined) response.setHeader('X-Total-Count', String(said.total));
    response.end(said.text ?? JSON.stringify(said.body ?? {}));
  });
  await new Promise<void>((resolve) => http.listen(0, '127.0.0.1', resolve));
  return {
    url: `http://127.0.0.1:${(http.address() as AddressInfo).port}`,
    asked,
    close: () => {
      http.close();
      http.closeAllConnections();
    },
  };
}
const NAMES: Readonly<Record<string, string>> = { terms: 'academicSessions' };
const list = (collection: string, all: readonly unknown[], total = all.length): Answer => ({
  total,
  body: { [NAMES[collection] ?? collection]: all },
});
const user = (sourcedId: string, more: object = {}): object => ({
  sourcedId,
  status: 'active',
  givenName: 'A',
  ...more,
});

let closing: (() => void)[] = [];
afterEach(() => {
  for (const close of closing) close();
  closing = [];
});
async function reading(answer: Parameters<typeof scripted>[0]) {
  const { url, asked, close } = await scripted(answer);
  closing.push(close);
  const read = openRegistry({ url, tokens: `${url}/token`, name: 'n', secret: 's' }).read();
  return { asked, read };
}

describe('what a registry answers', () => {
  test('page after page, and what is to be deleted is not there', async () => {
    const all = Array.from({ length: 1203 }, (_, at) =>
      user(`u${at}`, at === 7 ? { status: 'tobedeleted' } : {}),
    );
    const { asked, read } = await reading((of, offset) =>
      of === 'users' ? list(of, all.slice(offset, offset + 500), all.length) : list(of, []),
    );
    expect((await read).users).toHaveLength(1202);
    expect(
      asked.filter((one) => one.startsWith('/users')).map((one) => /offset=(\d+)/.exec(one)?.[1]),
    ).toEqual(['0', '500', '1000']);
  });

  test('what changes while it is being read is read from its beginning', async () => {
    const { read } = await reading((of, offset, times) => {
      if (of !== 'users') return list(of, []);
      const total = times < 2 ? 3 : 4;
      const all = Array.from({ length: total }, (_, at) => user(`u${at}`));
      return list(of, all.slice(offset, offset + 2), total);
    });
    expect((await read).users.map(({ sourcedId }) => sourcedId)).toEqual(['u0', 'u1', 'u2', 'u3']);
  });

  test('what cannot be read is named, and the rest is read', async () => {
    const { read } = await reading((of) =>
      of === 'users' ? list(of, [user('u1'), user('u2', { email: 'x'.repeat(400) }), 'what?']) : list(of, []),
    );
    const { users, unread } = await read;
    expect(users.map(({ sourcedId }) => sourcedId)).toEqual(['u1']);
    expect(unread).toMatchObject([
      { of: 'users', id: 'u2', why: expect.stringContaining('email') as unknown },
      { of: 'users', id: '' },
    ]);
  });

  test.each<[string, Answer, RegExp]>([
    ['an error', { status: 500 }, /answers 500/],
    ['another address', { status: 302 }, /does not answer/],
    ['no JSON', { text: '<html>' }, /not JSON/],
    ['something else', { body: { error: 'x' } }, /without academicSessions/],
    ['more than there can be', { total: 900_000, body: { academicSessions: [] } }, /more than 500000/],
    [
      'fewer than it says',
      { total: 3, body: { academicSessions: [] } },
      /has 3 academicSessions and gives 0/,
    ],
    ['too much', { text: `"${'x'.repeat(20_000_001)}"` }, /more than 20000000 bytes/],
  ])('%s is an answer that says why', async (_what, answer, says) => {
    const { read } = await reading(() => answer);
    const error: unknown = await read.catch((one: unknown) => one);
    expect(error).toBeInstanceOf(RegistryAway);
    expect((error as Error).message).toMatch(says);
  });
});

describe('the stand-in', () => {
  let registry: TestRegistry;
  beforeAll(async () => {
    registry = await openTestRegistry(NOW.slice(0, 10));
  });
  afterAll(() => registry.close());

  test('tells nobody who has not its secret', async () => {
    const { url } = registry.settings;
    expect((await fetch(`${url}/users`)).status).toBe(401);
    const wrong = openRegistry({ ...registry.settings, secret: 'guessed' });
    await expect(wrong.read()).rejects.toThrow('answers 401');
    const read = await openRegistry(registry.settings).read();
    expect([read.terms.length, read.classes.length, read.unread]).toEqual([2, 5, []]);
  });

  test('filters, sorts and pages as the standard says, or says what it did not understand', () => {
    const all = ['c', 'a', 'b'].map((sourcedId, at) => ({
      sourcedId,
      n: String(at),
      user: { sourcedId: `u${at}` },
    }));
    const ids = (query: Parameters<typeof select>[1]): unknown[] =>
      select(all, query).all.map(({ sourcedId }) => sourcedId);
    expect(ids({})).toEqual(['a', 'b', 'c']);
    expect(ids({ sort: 'n', orderBy: 'desc', limit: '2' })).toEqual(['b', 'a']);
    expect(ids({ offset: '1', limit: '1' })).toEqual(['b']);
    expect(ids({ filter: "n>='1' AND user.sourcedId='u2'" })).toEqual(['b']);
    expect(ids({ filter: "n='0' OR sourcedId='a'" })).toEqual(['a', 'c']);
    expect(select(all, { fields: 'sourcedId', limit: '1' })).toMatchObject({
      all: [{ sourcedId: 'a' }],
      total: 3,
    });
    expect(() => select(all, { filter: 'drop table' })).toThrow(BadSelection);
    expect(() => select(all, { limit: '5000' })).toThrow(BadSelection);
  });

  test('gives all of it as a bundle that Members reads as a list', () => {
    const files = unzipSync(bundleOf(registry.register));
    expect(Object.keys(files).sort()).toEqual([
      'academicSessions.csv',
      'classes.csv',
      'courses.csv',
      'enrollments.csv',
      'manifest.csv',
      'users.csv',
    ]);
    const text = (name: string): string => strFromU8(files[name] as Uint8Array);
    const rows = bundleList({
      'users.csv': text('users.csv'),
      'enrollments.csv': text('enrollments.csv'),
      'classes.csv': text('classes.csv'),
    })?.split('\n');
    expect(rows).toHaveLength(1 + registry.register.enrolments.size);
    expect(rows?.[1]).toContain('EFM-210 A');
  });
});

test('what could not be read keeps what was known of it: nobody goes by a mistake of the registry', async () => {
  const server = await testServer();
  try {
    const term = { sourcedId: 't', title: 'Term', startDate: '2027-03-01', endDate: '2027-06-01' };
    const course = { sourcedId: 'c', title: 'Course', courseCode: 'C' };
    const inClass = {
      sourcedId: 'k',
      title: 'Class',
      course: { sourcedId: 'c' },
      terms: [{ sourcedId: 't' }],
    };
    let isBad = false;
    const { url, close } = await scripted((of) => {
      const all: Readonly<Record<string, readonly unknown[]>> = {
        terms: [term],
        courses: [course],
        classes: [isBad ? { ...inClass, title: 7 } : inClass],
        users: [user('u1'), isBad ? user('u2', { username: {} }) : user('u2')],
        enrollments: ['u1', 'u2'].map((one) => ({
          sourcedId: `e${one}`,
          role: 'student',
          user: { sourcedId: one },
          class: { sourcedId: 'k' },
        })),
      };
      return list(of, all[of] ?? []);
    });
    closing.push(close);
    const registry = openRegistry({ url, tokens: `${url}/token`, name: 'n', secret: 's' });
    const em = server.database.em.fork();
    const counts = (): Promise<unknown> =>
      em.execute(
        `select (select count(*)::int from registry_class) as classes, (select count(*)::int from registry_person) as people,
           (select count(*)::int from registry_enrolment) as enrolled,
           (select jsonb_array_length(unread) from registry_reading) as unread`,
      );
    await takeReading(em, registry, NOW);
    expect(await counts()).toEqual([{ classes: 1, people: 2, enrolled: 2, unread: 0 }]);
    isBad = true;
    await takeReading(em, registry, NOW);
    expect(await counts()).toEqual([{ classes: 1, people: 2, enrolled: 2, unread: 2 }]);
  } finally {
    await server.stop();
  }
});
