/** Files in pieces: on after a break, nobody's but the sender's, and never more than was said. */
import { afterAll, beforeAll, beforeEach, describe, expect, test } from '@jest/globals';
import { utimes } from 'node:fs/promises';
import { mkdtemp, readdir } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { OwnWorkAnswer } from '@itinerary/contract';
import request from 'supertest';
import type { Agent, Response } from 'supertest';
import { openPieces } from '../../src/files/pieces.ts';
import { diskFull } from '../../src/http/problem.ts';
import { openWork } from '../support/coursework.ts';
import type { Coursework } from '../support/coursework.ts';
import { png } from '../support/pictures.ts';
import { signedIn, testServer } from '../support/server.ts';
import type { TestServer } from '../support/server.ts';

let folder: string;
let server: TestServer;
let ines: Agent;
let noor: Agent;
let hye: Agent;
let its: Coursework;
let made = 0;

const TUS = { 'Tus-Resumable': '1.0.0' };
const begin = (agent: Agent, size: number): PromiseLike<Response> =>
  agent
    .post('/api/uploads')
    .set({ ...TUS, 'Upload-Length': String(size), 'Upload-Metadata': 'name QS5wbmc=' });
const begun = async (agent: Agent, size: number): Promise<string> => {
  const { status, headers } = await begin(agent, size);
  if (status !== 201) throw new Error(String(status));
  return String(headers['location']);
};
const piece = (agent: Agent, address: string, from: number, bytes: Buffer): PromiseLike<Response> =>
  agent
    .patch(address)
    .set({ ...TUS, 'Upload-Offset': String(from), 'Content-Type': 'application/offset+octet-stream' })
    .send(bytes);
const head = (agent: Agent, address: string): PromiseLike<Response> => agent.head(address).set(TUS);
const idOf = (address: string): string => address.split('/').at(-1) ?? '';
const hand = (agent: Agent, upload: string): PromiseLike<Response> =>
  agent.post(`${its.at}/files`).query({ name: 'A.png', upload });

beforeAll(async () => {
  folder = await mkdtemp(join(tmpdir(), 'itinerary-files-'));
  server = await testServer({ filesFolder: folder });
  [ines, noor, hye] = await Promise.all([
    signedIn(server, 'instructor'),
    signedIn(server, 'learner'),
    signedIn(server, 'outsider'),
  ]);
});
afterAll(() => server.stop());
beforeEach(async () => {
  made += 1;
  its = await openWork(server, ines, `PIECE-${made}`);
});

describe('pieces', () => {
  test('are put together, asked for by how far they are, and given to what they are for, once', async () => {
    const bytes = png(60, 60);
    const address = await begun(noor, bytes.length);
    expect((await piece(noor, address, 0, bytes.subarray(0, 30))).status).toBe(204);
    // Half of it is no file yet.
    expect((await hand(noor, idOf(address))).status).toBe(404);
    expect((await head(noor, address)).headers['upload-offset']).toBe('30');
    // Sent again from before, or from beyond, is not taken.
    expect((await piece(noor, address, 0, bytes.subarray(0, 30))).status).toBe(409);
    expect((await piece(noor, address, 40, bytes.subarray(40))).status).toBe(409);
    expect((await piece(noor, address, 30, bytes.subarray(30))).status).toBe(204);
    const eight = await Promise.all(Array.from({ length: 8 }, () => hand(noor, idOf(address))));
    expect(eight.map(({ status }) => status)).toEqual(Array(8).fill(201));
    const { draft } = await its.work(noor);
    expect(draft?.files).toMatchObject([{ name: 'A.png', size: bytes.length, type: 'image/png' }]);
    const own = await noor.get(`${its.at}/files/${draft!.files[0]!.hash}`);
    expect(Buffer.compare(own.body as Buffer, bytes)).toBe(0);
  });

  test('are nobody else’s: neither asked for, added to, ended, read back nor given away', async () => {
    const bytes = png(20, 20);
    const address = await begun(noor, bytes.length);
    await piece(noor, address, 0, bytes);
    const others = [
      await head(hye, address),
      await piece(hye, address, 0, bytes),
      await hye.delete(address).set(TUS),
      await hand(hye, idOf(address)),
      await noor.get(address).set(TUS),
      await noor.get(`/api/uploads/${'0'.repeat(32)}`).set(TUS),
      await head(noor, '/api/uploads/..%2f..%2fetc'),
    ];
    expect(others.map(({ status }) => status)).toEqual(Array(7).fill(404));
    // Whose it is, is what the session says.
    const lying = await hye
      .post('/api/uploads')
      .set({ ...TUS, 'Upload-Length': '3', 'Upload-Metadata': `owner ${btoa(its.noor)}` });
    expect((await head(noor, String(lying.headers['location']))).status).toBe(404);
    const stranger = request(server.address);
    expect((await stranger.post('/api/uploads').set({ ...TUS, 'Upload-Length': '3' })).status).toBe(401);
    const foreign = await noor
      .post('/api/uploads')
      .set({ ...TUS, 'Upload-Length': '3', Origin: 'https://elsewhere.example' });
    expect(foreign.status).toBe(403);
    expect((await hand(noor, idOf(address))).status).toBe(201);
  });

  test('that come to more than was said, or than is taken, are refused, and lies about what they are as well', async () => {
    expect((await begin(noor, 201_000_000)).status).toBe(413);
    const address = await begun(noor, 10);
    expect((await piece(noor, address, 0, Buffer.alloc(200))).status).toBeGreaterThanOrEqual(400);
    const program = Buffer.concat([Buffer.from('MZ'), Buffer.alloc(200)]);
    const lie = await begun(noor, program.length);
    await piece(noor, lie, 0, program);
    expect((await hand(noor, idOf(lie))).status).toBe(400);
    // What was refused is gone, and counts for nobody.
    expect((await head(noor, lie)).status).toBe(404);
    expect(((await its.work(noor)) as OwnWorkAnswer).draft).toBeNull();
  });

  test('are not begun without end, and what nobody came back for goes after a day', async () => {
    for (let n = 0; n < 30; n += 1) await begin(hye, 100);
    const full = await begin(hye, 100);
    expect([full.status, (full.body as { detail?: string }).detail]).toEqual([
      429,
      'Many files are on their way already; wait until some have come',
    ]);
    // Those that were taken make room, though they are still there for whoever asks again.
    for (let n = 0; n < 25; n += 1) {
      const bytes = png(10 + n, 9);
      const address = await begun(noor, bytes.length);
      await piece(noor, address, 0, bytes);
      const given = await noor
        .post(`/api/learn/${its.id}/items/${its.item}/coursework/files`)
        .query({ name: 'A.png', upload: idOf(address) });
      expect([201, 400]).toContain(given.status);
    }
    expect((await begin(ines, 100)).status).toBe(201);
    const pieces = await openPieces(folder, diskFull);
    const before = (await readdir(join(folder, 'pieces'))).length;
    const old = new Date(Date.now() - 25 * 60 * 60 * 1000);
    for (const name of (await readdir(join(folder, 'pieces'))).slice(0, 10))
      await utimes(join(folder, 'pieces', name), old, old);
    await pieces.tidy();
    expect((await readdir(join(folder, 'pieces'))).length).toBe(before - 10);
  });
});
