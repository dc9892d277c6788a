/** What one body can do: nothing to anybody else, and it is told what is wrong with it. */
import { createHash } from 'node:crypto';
import { request as httpRequest } from 'node:http';
import { gzipSync } from 'node:zlib';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import type { Agent } from 'supertest';
import { MAX_MARKUP_DEPTH, tooDeepAt } from '../../src/text/rich-text.ts';
import { mustBeShallow } from '../../src/http/shallow.ts';
import { openCleaning } from '../../src/text/cleaning.ts';
import { courseIds, DRAFT, signedIn, testServer } from '../support/server.ts';
import type { TestServer } from '../support/server.ts';

let server: TestServer;
let agent: Agent;
let id: string;
beforeAll(async () => {
  server = await testServer();
  agent = await signedIn(server, 'instructor');
  id = (await courseIds(server))[DRAFT] as string;
});
afterAll(() => server.stop());

interface Said {
  readonly status: number;
  readonly type: string;
  readonly body: string;
}

/** Bytes as they are, with whatever headers are claimed for them. */
function post(path: string, body: Buffer, headers: Record<string, string> = {}): Promise<Said> {
  return new Promise((resolve, reject) => {
    const all = { 'Content-Type': 'application/json', 'Content-Length': String(body.length), ...headers };
    httpRequest(`${server.address}${path}`, { method: 'POST', headers: all, agent: false }, (answer) => {
      let text = '';
      answer.setEncoding('utf8').on('data', (piece: string) => (text += piece));
      answer.once('end', () =>
        resolve({ status: answer.statusCode ?? 0, type: answer.headers['content-type'] ?? '', body: text }),
      );
    })
      .once('error', reject)
      .end(body);
  });
}
const nested = (depth: number, open: string, close: string): Buffer =>
  Buffer.from(open.repeat(depth) + 'null' + close.repeat(depth));
const OURS = /\/(work|home|tmp|node_modules|packages|src|dist)\/|\bat \w+ \(|\.[tj]s:\d/;

describe('a body that cannot be read', () => {
  const good = Buffer.from('{"address":"a@b.example","password":"x"}');
  test.each<readonly [string, Buffer, Record<string, string>]>([
    ['nested 20,000 deep in lists', nested(20_000, '[', ']'), {}],
    ['nested 20,000 deep in objects', nested(20_000, '{"a":', '}'), {}],
    [
      'nested deep below a name that is known',
      Buffer.from(`{"address":${nested(20_000, '[', ']').toString()}}`),
      {},
    ],
    ['as gzip that it is not', good, { 'Content-Encoding': 'gzip' }],
    ['as brotli that it is not', good, { 'Content-Encoding': 'br' }],
    ['as deflate that it is not', good, { 'Content-Encoding': 'deflate' }],
    ['in an encoding that there is none of', good, { 'Content-Encoding': 'tar' }],
    ['gzip that breaks off', gzipSync(good).subarray(0, 20), { 'Content-Encoding': 'gzip' }],
    ['in letters that there are none of', good, { 'Content-Type': 'application/json; charset=utf-99' }],
    ['that is no JSON', Buffer.from('{"address":'), {}],
    [
      'with a name that is dropped in silence',
      Buffer.from('{"__proto__":{"address":"a"},"address":"a","password":"b"}'),
      {},
    ],
  ])('%s is refused in words, with nothing of ours in them', async (_name, body, headers) => {
    const { status, type, body: said } = await post('/api/session', body, headers);
    expect([400, 415]).toContain(status);
    expect(type).toMatch(/^application\/problem\+json/);
    expect(JSON.parse(said)).toMatchObject({ code: 'bad_input' });
    expect(said).not.toMatch(OURS);
    expect(said.length).toBeLessThan(1000);
  });

  test('brackets in words do not nest', async () => {
    const words = `${'[{'.repeat(45)}\\" ${'[{'.repeat(45)}`;
    const body = Buffer.from(JSON.stringify({ address: words, password: 'x' }));
    expect((await post('/api/session', body)).status).toBe(401);
    expect(() => mustBeShallow(null, null, Buffer.from('[1]'.repeat(5000)))).not.toThrow();
    expect(() => mustBeShallow(null, null, Buffer.from(`"x\\\\"${'['.repeat(200)}`))).toThrow(
      'cannot be read',
    );
  });

  test('is told its first twenty mistakes, and how many more there are', async () => {
    const changes = Array.from({ length: 90 }, (_, at) => ({ id: `c${at}`, edits: 'none' }));
    const answer = await agent.post(`/api/courses/${id}/changes`).send({ since: 0, texts: {}, changes });
    const { detail, errors } = answer.body as { detail: string; errors: unknown[] };
    expect(answer.status).toBe(400);
    expect(errors).toHaveLength(20);
    expect(detail).toMatch(/changes\.19\.edits, and 70 more$/);
  });
});

const sha = (html: string): string => createHash('sha256').update(html).digest('hex');
const lists = (depth: number): string => `${'<ul><li>'.repeat(depth)}x${'</li></ul>'.repeat(depth)}`;

describe('a text', () => {
  const send = (html: string) =>
    agent.post(`/api/courses/${id}/changes`).send({ since: 0, texts: { [sha(html)]: html }, changes: [] });

  test('that nests deeper than anybody reads is refused in words', async () => {
    expect(tooDeepAt(lists(MAX_MARKUP_DEPTH / 2))).toBeNull();
    expect(tooDeepAt(lists(MAX_MARKUP_DEPTH / 2 + 1))).toBe(8 * (MAX_MARKUP_DEPTH / 2));
    // Tags that need no end do not nest.
    expect(tooDeepAt('<p>a<br>b<img>c<p>'.repeat(100))).toBeNull();
    await send(lists(10)).expect(200);
    const answer = await send(lists(10_000));
    expect(answer.status).toBe(400);
    expect(answer.body).toMatchObject({
      detail: 'A text nests too deep',
      errors: [{ expected: `markup that nests at most ${MAX_MARKUP_DEPTH} deep` }],
    });
  });

  test('that is long comes out of a thread of its own as it does at once', async () => {
    const cleaning = openCleaning();
    const paragraph = '<p onclick="x()">Mud &amp; <script>bad()</script><em>silt</em><br /></p>';
    const long = paragraph.repeat(2000);
    const cleaned = await cleaning.clean({ [sha(long)]: long });
    const clean = '<p>Mud &amp; <em>silt</em><br></p>'.repeat(2000);
    expect(cleaned).toEqual({ ok: true, texts: { [sha(long)]: { hash: sha(clean), html: clean } } });
    expect(await cleaning.clean({ [sha('other')]: long })).toEqual({
      ok: false,
      sent: sha('other'),
      why: 'hash',
    });
    await cleaning.close();
    const answer = await send(long);
    expect(answer.body).toMatchObject({ renamed: { [sha(long)]: sha(clean) } });
  });

  test('is one of a bounded number that wait', async () => {
    const cleaning = openCleaning();
    const long = (at: number): string => `<p>${at}</p>`.repeat(4000);
    const all = await Promise.allSettled(
      Array.from({ length: 60 }, (_, at) => cleaning.clean({ [sha(long(at))]: long(at) })),
    );
    const refused = all.flatMap((one) => (one.status === 'rejected' ? [one.reason as unknown] : []));
    expect(refused.length).toBeGreaterThan(0);
    expect(refused.length).toBeLessThan(30);
    for (const one of refused) expect(one).toMatchObject({ retryAfter: 5 });
    for (const one of all) if (one.status === 'fulfilled') expect(one.value.ok).toBe(true);
    await cleaning.close();
  });
});
