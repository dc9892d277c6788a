/** What is served besides the interface to programs, and how a process is told what to be. */
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { brotliCompressSync } from 'node:zlib';
import request from 'supertest';
import { readConfig, standingClock, systemClock } from '../../src/index.ts';
import { courseIds, signedIn, testServer } from '../support/server.ts';
import type { TestServer } from '../support/server.ts';

describe('the web application', () => {
  const folder = mkdtempSync(join(tmpdir(), 'itinerary-web-'));
  let server: TestServer;
  beforeAll(async () => {
    mkdirSync(join(folder, 'assets'));
    writeFileSync(
      join(folder, 'index.html'),
      '<!doctype html><head><title>Itinerary</title><script type="module" src="/assets/a-1.js"></script><link rel="stylesheet" crossorigin href="/assets/a-1.css"></head><body><div id="app"></div></body>',
    );
    mkdirSync(join(folder, '.vite'));
    writeFileSync(
      join(folder, '.vite/manifest.json'),
      JSON.stringify({
        'src/learner/shell/CourseShell.vue': { file: 'assets/shell-1.js', imports: ['shared'] },
        shared: { file: 'assets/shared-1.js', css: ['assets/shared-1.css'] },
      }),
    );
    writeFileSync(join(folder, 'assets/a-1.js'), 'export {}');
    writeFileSync(join(folder, 'assets/a-1.js.br'), brotliCompressSync('export {}'));
    writeFileSync(join(folder, 'assets/b-1.js'), 'export {}');
    writeFileSync(join(folder, 'assets/b-1.js.br'), brotliCompressSync('export {}'));
    writeFileSync(join(folder, 'favicon.svg'), '<svg xmlns="http://www.w3.org/2000/svg"/>');
    server = await testServer({ webFolder: folder });
  });
  afterAll(async () => {
    await server.stop();
    rmSync(folder, { recursive: true });
  });

  test.each(['/', '/desk', '/courses/any/items/thing', '/setup/x/outline'])(
    'answers %s with its one page',
    async (path) => {
      const answer = await request(server.address).get(path).expect(200);
      expect(answer.text).toContain('<title>Itinerary</title>');
      expect(answer.headers['cache-control']).toBe('no-cache');
    },
  );

  test('keeps a connection that rests for longer than whoever is before it', async () => {
    const answer = await fetch(`${server.address}/`);
    await answer.text();
    const seconds = Number(/timeout=(\d+)/.exec(answer.headers.get('keep-alive') ?? '')?.[1]);
    expect(seconds).toBeGreaterThan(60);
  });

  test('sends a course’s home with what it asks for first, and its picture before any sheet or script', async () => {
    const learner = await signedIn(server, 'learner');
    const id = (await courseIds(server))['EFM-210-SPR27'] as string;
    const { text, headers } = await learner.get(`/courses/${id}/home`).expect(200);
    expect(headers['cache-control']).toBe('no-store');
    const [, json = ''] = /id="first-answers">(.*?)<\/script>/.exec(text) ?? [];
    const first = JSON.parse(json) as Record<string, unknown>;
    expect(Object.keys(first)).toEqual(['/api/me', `/api/learn/${id}/frame`, `/api/learn/${id}`]);
    for (const [address, answer] of Object.entries(first))
      expect(answer).toEqual((await learner.get(address).expect(200)).body);
    const places = [
      'rel="preload" as="style" crossorigin href="/assets/a-1.css"',
      'id="first-face"',
      'rel="stylesheet" crossorigin href="/assets/a-1.css"',
      'a-1.js',
      'modulepreload" crossorigin href="/assets/shared-1.js',
      'id="app"',
    ];
    const found = places.map((place) => text.indexOf(place));
    expect(found).not.toContain(-1);
    expect(found).toEqual([...found].sort((a, b) => a - b));
    expect(text).toContain('as="style" crossorigin href="/assets/shared-1.css"');
  });

  test('tells nobody of a course that they do not get', async () => {
    const id = (await courseIds(server))['EFM-210-SPR27'] as string;
    const outsider = await signedIn(server, 'outsider');
    const there = (await outsider.get(`/courses/${id}/home`).expect(200)).text;
    const never = (await outsider.get('/courses/00000000-0000-4000-8000-000000000000/home').expect(200)).text;
    expect(there).toBe(never);
    expect(there).toContain('<div id="app"></div>');
    expect(there).toContain('a-1.js');
  });

  test('has assets that are kept for a year, and says when there is none', async () => {
    const there = await request(server.address).get('/assets/a-1.js').expect(200);
    expect(there.headers['cache-control']).toMatch(/max-age=31536000, ?immutable/);
    expect(there.headers['content-encoding']).toBeUndefined();
    const pressed = await request(server.address).get('/assets/a-1.js').set('Accept-Encoding', 'br');
    expect(pressed.headers['content-encoding']).toBe('br');
    const gone = await request(server.address).get('/assets/a-2.js').expect(404);
    expect(gone.body).toMatchObject({ code: 'not_found' });
    await request(server.address).get('/favicon.svg').expect(200);
  });

  test('goes on where one of its files has gone since the start', async () => {
    for (const ending of ['', '.br']) rmSync(join(folder, `assets/b-1.js${ending}`));
    for (const encoding of ['br', 'identity'])
      await request(server.address).get('/assets/b-1.js').set('Accept-Encoding', encoding).expect(404);
    await request(server.address).get('/assets/a-1.js').expect(200);
  });

  test.each(['/../package.json', '/assets/../../package.json', '/assets/%2e%2e/index.html/..%2f..'])(
    'leads nowhere by %s',
    async (path) => {
      const answer = await request(server.address).get(path);
      expect(answer.text).not.toContain('"name"');
    },
  );

  test('is protected by its headers', async () => {
    const { headers } = await request(server.address).get('/');
    const policy = String(headers['content-security-policy']);
    expect(policy).toContain("default-src 'self'");
    expect(policy).toContain("frame-ancestors 'none'");
    expect(policy).not.toContain('unsafe-eval');
    expect(headers['x-content-type-options']).toBe('nosniff');
    expect(headers['x-powered-by']).toBeUndefined();
  });

  test('answers of the interface are never kept', async () => {
    const { headers } = await request(server.address).get('/api/me');
    expect(headers['cache-control']).toBe('no-store');
  });
});

describe('settings', () => {
  const least = { DATABASE_URL: 'postgresql://x', SESSION_SECRET: 's' };

  test('have sensible values where nothing is said', () => {
    expect(readConfig(least)).toMatchObject({
      port: 4600,
      host: '127.0.0.1',
      demo: false,
      secure: false,
      webFolder: null,
      clock: { stands: false },
    });
  });

  test('are read from the environment', () => {
    const config = readConfig({
      ...least,
      PORT: '80',
      ITINERARY_DEMO: '1',
      ITINERARY_NOW: '2027-02-16T09:42:00+01:00',
    });
    expect([config.port, config.demo, config.clock.stands, config.clock.now()]).toEqual([
      80,
      true,
      true,
      '2027-02-16T08:42:00.000Z',
    ]);
  });

  test.each([
    [{ ...least, PORT: 'http' }, 'PORT is "http"; expected a whole number from 1 to 65535'],
    [{ ...least, PORT: '70000' }, 'PORT is "70000"'],
    [{ ...least, ITINERARY_NOW: 'tomorrow' }, 'ITINERARY_NOW is "tomorrow"; expected an instant'],
    [{ SESSION_SECRET: 's' }, 'DATABASE_URL is not set'],
    [{ DATABASE_URL: 'x' }, 'SESSION_SECRET is not set'],
  ])('name what is wrong with %p', (env, sentence) => {
    expect(() => readConfig(env)).toThrow(sentence);
  });

  test('a clock runs, unless it was set', () => {
    expect(Math.abs(Date.parse(systemClock.now()) - Date.now())).toBeLessThan(5000);
    const clock = standingClock('2027-02-16T09:42:00Z');
    expect([clock.now(), clock.now()]).toEqual(['2027-02-16T09:42:00.000Z', '2027-02-16T09:42:00.000Z']);
  });
});
