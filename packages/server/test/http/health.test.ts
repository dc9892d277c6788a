/** What a server says of itself, and that nobody waits for a database that has stopped. */
import { mkdtemp, readdir, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import request from 'supertest';
import type { Agent, Response } from 'supertest';
import type { RunningServer } from '../../src/server.ts';
import { openReaders } from '../../src/lanes/readers.ts';
import { lineTo } from '../support/line.ts';
import type { Line } from '../support/line.ts';
import { admin, courseIds, LIVE, newDatabase, serverOn, signedIn, urlOf } from '../support/server.ts';

let name: string;
let line: Line;
let server: RunningServer;
let folder: string;
let noor: Agent;
let live: string;
beforeAll(async () => {
  name = await newDatabase('college');
  line = await lineTo(urlOf(name));
  folder = await mkdtemp(join(tmpdir(), 'itinerary-files-'));
  server = await serverOn(name, { databaseUrl: line.url, filesFolder: folder });
  noor = await signedIn(server, 'learner');
  live = (await courseIds(server))[LIVE] as string;
});
afterAll(async () => {
  line.letGo();
  await server.stop();
  await line.end();
  await admin(`drop database ${name} with (force)`);
});

const health = (): Promise<Response> => Promise.resolve(request(server.address).get('/api/health'));
/** What one answer holds for others who ask. */
const aMoment = (): Promise<unknown> => new Promise((done) => setTimeout(done, 600));
const well = { status: 'ok', alive: true, ready: true, database: 'ok', disk: 'ok' };

describe('health', () => {
  test('names each part, and leaves nothing of what it tries', async () => {
    const answer = await health();
    expect([answer.status, answer.body]).toEqual([200, well]);
    expect(await readdir(join(folder, 'incoming'))).toEqual([]);
  });

  test('says that files cannot be kept, while pages go on', async () => {
    await aMoment();
    // Where its folder was there is a file: whoever may do everything is not kept out by rights.
    await rm(join(folder, 'incoming'), { recursive: true });
    await writeFile(join(folder, 'incoming'), '');
    const answer = await health();
    expect([answer.status, answer.body]).toEqual([200, { ...well, status: 'degraded', disk: 'away' }]);
    await noor.get('/api/desk').expect(200);
    await rm(join(folder, 'incoming'));
    await aMoment();
    expect((await health()).body).toEqual(well);
  });
});

describe('a database that has stopped', () => {
  test('is said by health, and in words to whoever waits; then everything goes on', async () => {
    await aMoment();
    line.hold();
    // It does not begin again by itself: an answer that comes at all is one that did not wait for it.
    const told = await health();
    expect([told.status, told.body]).toMatchObject([
      503,
      {
        code: 'database_away',
        errors: [{ path: 'database', value: 'away', expected: 'ok' }],
      },
    ]);
    expect((await request(server.address).get('/api/health/alive')).body).toEqual({ alive: true });
    const answers = await Promise.all([
      // More of them than there are connections of any kind.
      ...Array.from({ length: 20 }, () => noor.get(`/api/learn/${live}`)),
      noor.get('/api/desk'),
      noor.post('/api/courses').send({}),
      request(server.address).get('/api/me'),
    ]);
    for (const { status, headers, body } of answers) {
      expect([status, (body as { code: string }).code, headers['retry-after']]).toEqual([
        503,
        'database_away',
        '2',
      ]);
    }
    line.letGo();
    await aMoment();
    await aMoment();
    expect((await health()).status).toBe(200);
    await noor.get(`/api/learn/${live}`).expect(200);
  });
});

describe('those who look', () => {
  test('take turns, a few at once; what takes long keeps nobody waiting, and what fails fails alone', async () => {
    const { look: readers } = openReaders({ atOnce: 2, mostMs: 30 });
    let [now, most] = [0, 0];
    const look = (): Promise<number> =>
      readers(async () => {
        now += 1;
        most = Math.max(most, now);
        await Promise.resolve();
        now -= 1;
        return most;
      });
    await Promise.all(Array.from({ length: 20 }, look));
    expect(most).toBe(2);
    let end = (): void => undefined;
    const held = Array.from({ length: 2 }, () =>
      readers(() => new Promise<string>((done) => (end = ((before) => () => (before(), done('late')))(end)))),
    );
    // Both places are taken by what waits for something else.
    expect(await look()).toBe(2);
    await expect(readers(() => Promise.reject(new Error('broken')))).rejects.toThrow('broken');
    expect(await look()).toBe(2);
    end();
    expect(await Promise.all(held)).toEqual(['late', 'late']);
  });

  test('wait for whoever changes something, for a moment and not for ever', async () => {
    const { look, change } = openReaders({ mostHeldMs: 30 });
    const said: string[] = [];
    const say = (what: string) => () => Promise.resolve(void said.push(what));
    let end = (): void => undefined;
    const first = change(() => new Promise<void>((done) => (end = done)).then(say('changed')));
    const looked = look(say('looked'));
    end();
    await Promise.all([first, looked]);
    expect(said).toEqual(['changed', 'looked']);
    // One that does not end holds nobody for longer than that; and what fails lets go as well.
    const endless = change(() => new Promise<void>((done) => (end = done)));
    await look(say('all the same'));
    await expect(change(() => Promise.reject(new Error('broken')))).rejects.toThrow('broken');
    await look(say('and again'));
    expect(said.slice(2)).toEqual(['all the same', 'and again']);
    end();
    await endless;
  });
});
