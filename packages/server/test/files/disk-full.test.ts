/** A disk that is full says so, whatever it was full for, and nothing half-written stays. */
import { spawnSync } from 'node:child_process';
import { mkdtemp, readdir, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import type { Agent, Response } from 'supertest';
import { diskStore } from '../../src/files/file-store.ts';
import { courseIds, DRAFT, signedIn, testServer } from '../support/server.ts';
import type { TestServer } from '../support/server.ts';

const folder = await mkdtemp(join(tmpdir(), 'itinerary-files-'));
const SIZE = 1_048_576;
const { status } = spawnSync('mount', ['-t', 'tmpfs', '-o', `size=${SIZE}`, 'tmpfs', folder]);
// Only whoever may mount has a small disk to fill.
const onSmallDisk = status === 0 ? describe : describe.skip;
if (status !== 0) console.warn('No small disk could be mounted here: what a full one says is not tried');

onSmallDisk('on a disk of one megabyte', () => {
  let server: TestServer;
  let ines: Agent;
  let at = '';
  beforeAll(async () => {
    server = await testServer({ filesFolder: folder });
    ines = await signedIn(server, 'instructor');
    at = `/api/courses/${(await courseIds(server))[DRAFT] ?? ''}/files`;
  });
  afterAll(async () => {
    await server.stop();
    spawnSync('umount', [folder]);
  });

  const full = { code: 'disk_full', title: 'The disk is full', status: 507 };
  const send = (bytes: Buffer): Promise<Response> =>
    ines.post(at).query({ name: 'notes.txt' }).set('Content-Type', 'application/octet-stream').send(bytes);
  const tus = { 'Tus-Resumable': '1.0.0' };
  const filesIn = async (shelf: string): Promise<readonly string[]> =>
    (await readdir(join(folder, shelf))).filter((name) => !name.startsWith('filling'));

  test('a file that does not fit is refused in words, and leaves nothing', async () => {
    const answer = await send(Buffer.alloc(2 * SIZE, 'a'));
    expect({ ...answer.body }).toMatchObject(full);
    expect(await filesIn('incoming')).toEqual([]);
    expect((await send(Buffer.from('There is room for this.'))).status).toBe(201);
  });

  test('a piece that does not fit is refused in words', async () => {
    const begun = await ines.post('/api/uploads').set({ ...tus, 'Upload-Length': String(3 * SIZE) });
    const answer = await ines
      .patch(String(begun.headers['location']))
      .set({ ...tus, 'Upload-Offset': '0', 'Content-Type': 'application/offset+octet-stream' })
      .send(Buffer.alloc(2 * SIZE, 'b'));
    expect([answer.status, JSON.parse(answer.text)]).toEqual([507, expect.objectContaining(full)]);
  });

  test('where nothing at all fits, nothing is begun, and pages go on', async () => {
    await writeFile(join(folder, 'incoming', 'filling'), Buffer.alloc(2 * SIZE)).catch(() => undefined);
    const answer = await ines.post('/api/uploads').set({ ...tus, 'Upload-Length': '10' });
    expect([answer.status, JSON.parse(answer.text)]).toEqual([507, expect.objectContaining(full)]);
    await ines.get('/api/desk').expect(200);
    const { body } = await ines.get('/api/health').expect(200);
    expect(body).toMatchObject({ status: 'degraded', ready: true, disk: 'full' });
    await rm(join(folder, 'incoming', 'filling'));
  });

  test('what is made from a file leaves no part of it', async () => {
    const store = diskStore(folder);
    const making = store.made('large.webp', () => Promise.resolve(Buffer.alloc(2 * SIZE)));
    await expect(making).rejects.toMatchObject({ code: 'ENOSPC' });
    expect(await filesIn('made')).toEqual([]);
  });
});
