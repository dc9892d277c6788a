/** Uploads: taken while they arrive, told by their content, handed out to whoever gets their item. */
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { createHash, randomUUID } from 'node:crypto';
import { readdir } from 'node:fs/promises';
import { request as httpRequest } from 'node:http';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Problem, UploadAnswer } from '@itinerary/contract';
import { newItem } from '@itinerary/core';
import type { Course } from '@itinerary/core';
import type { Agent } from 'supertest';
import { fileKind } from '../../src/files/file-kind.ts';
import { fileRef, courseIds, DRAFT, LIVE, signedIn, testServer } from '../support/server.ts';
import { hashText } from '../../src/text/rich-text.ts';
import type { TestServer } from '../support/server.ts';

const PNG = Buffer.from(
  'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
  'base64',
);
const sha = (bytes: Buffer): string => createHash('sha256').update(bytes).digest('hex');

describe('what a file is', () => {
  const kind = async (name: string, bytes: Buffer | string): Promise<string> => {
    const found = await fileKind(name, new Uint8Array(Buffer.from(bytes as string)));
    return found.ok ? found.type : `${found.why}: ${found.found}`;
  };

  test.each([
    ['shore.png', PNG, 'image/png'],
    ['shore', PNG, 'image/png'],
    ['notes.txt', 'High water at ten.', 'text/plain'],
    ['page.html', '<script>alert(1)</script>', 'text/plain'],
    ['drawing.svg', '<?xml version="1.0"?><svg xmlns="http://www.w3.org/2000/svg"/>', 'text/plain'],
    ['strange.bin', Buffer.from([1, 2, 3, 0, 255]), 'application/octet-stream'],
    ['report.pdf', '%PDF-1.7\n%âãÏÓ\n', 'application/pdf'],
  ])('%s', async (name, bytes, type) => expect(await kind(name, bytes)).toBe(type));

  test.each([
    ['shore.png', Buffer.from([0x4d, 0x5a, 0x90, 0, 3]), 'program: png'],
    ['shore.pdf', Buffer.from([0x7f, 0x45, 0x4c, 0x46, 2]), 'program: pdf'],
    ['run.txt', '#!/bin/sh\nrm -r /\n', 'program: txt'],
    ['setup.exe', 'harmless words', 'program: exe'],
    ['shore.jpg', PNG, 'name: image/png'],
    ['report.pdf', 'only words', 'name: text/plain'],
    ['words.csv', PNG, 'name: image/png'],
  ])('%s is refused', async (name, bytes, why) => expect(await kind(name, bytes)).toBe(why));
});

describe('on the server', () => {
  let server: TestServer;
  let ines: Agent;
  let noor: Agent;
  let ids: Readonly<Record<string, string>>;
  const folder = join(tmpdir(), `itinerary-files-${randomUUID()}`);
  beforeAll(async () => {
    server = await testServer({ filesFolder: folder });
    ids = await courseIds(server);
    [ines, noor] = [await signedIn(server, 'instructor'), await signedIn(server, 'learner')];
  });
  afterAll(() => server.stop());

  const upload = (code: string, name: string, bytes: Buffer) =>
    ines
      .post(`/api/courses/${ids[code] ?? ''}/files`)
      .query({ name })
      .set('content-type', 'application/octet-stream')
      .send(bytes);
  const change = async (
    code: string,
    edits: readonly object[],
  ): Promise<{ refused: { refusal: object }[] }> =>
    (
      await ines
        .post(`/api/courses/${ids[code] ?? ''}/changes`)
        .send({ since: 0, changes: [{ id: randomUUID(), edits }], texts: {} })
        .expect(200)
    ).body as { refused: { refusal: object }[] };
  const planOf = async (code: string): Promise<Course> =>
    ((await ines.get(`/api/courses/${ids[code] ?? ''}/plan`)).body as { course: Course }).course;
  const incoming = (): Promise<string[]> => readdir(join(folder, 'incoming')).catch(() => []);

  test('a file comes, is named by an item, and reaches whoever gets the item', async () => {
    const got = (await upload(LIVE, 'shore.png', PNG).expect(201)).body as UploadAnswer;
    expect(got).toEqual({
      hash: sha(PNG),
      name: 'shore.png',
      size: PNG.length,
      type: 'image/png',
      width: 1,
      height: 1,
    });
    expect((await upload(LIVE, 'again.png', PNG).expect(201)).body).toMatchObject({ hash: got.hash });
    const course = await planOf(LIVE);
    const section = course.sections[0]!.id;
    const file = { ...fileRef(got), alt: 'A shore' };
    const node = newItem('file', { id: randomUUID(), title: 'Shore', file });
    expect((await change(LIVE, [{ kind: 'insert', parent: section, after: null, node }])).refused).toEqual(
      [],
    );
    const at = `/api/learn/${course.id}/items/${node.id}/file`;
    const answer = await noor.get(at).expect(200);
    expect(answer.headers).toMatchObject({
      'content-type': 'image/png',
      'content-disposition': "inline; filename*=UTF-8''shore.png",
      'x-content-type-options': 'nosniff',
    });
    expect(answer.headers['content-security-policy']).toContain('sandbox');
    expect(Buffer.compare(answer.body as Buffer, PNG)).toBe(0);
    await noor.get(at).set('range', 'bytes=0-3').expect(206);
    // Hidden, it is not there for a learner, and still there for those who plan.
    await change(LIVE, [{ kind: 'set', target: node.id, field: 'shown', value: false, was: true }]);
    await noor.get(at).expect(404);
    await ines.get(at).expect(200);
    await ines.get(`/api/courses/${course.id}/files/${got.hash}`).expect(200);
    expect(await incoming()).toEqual([]);
  });

  test('an item cannot name a file that never came to its course', async () => {
    await upload(LIVE, 'shore.png', PNG).expect(201);
    const course = await planOf(DRAFT);
    const file = { hash: sha(PNG), name: 'shore.png', size: 1, type: 'image/png' };
    const node = newItem('file', {
      id: randomUUID(),
      title: 'Shore',
      file: { ...file, alt: null, author: null, licence: null },
    });
    const parent = course.sections[0]!.id;
    const { refused } = await change(DRAFT, [{ kind: 'insert', parent, after: null, node }]);
    expect(refused).toMatchObject([{ refusal: { code: 'file_missing', target: node.id } }]);
    await ines.get(`/api/courses/${course.id}/files/${file.hash}`).expect(404);
  });

  test('a picture in a text reaches whoever gets the text, and a text cannot name one that never came', async () => {
    const { hash } = (await upload(LIVE, 'mud.png', PNG).expect(201)).body as UploadAnswer;
    const course = await planOf(LIVE);
    const html = `<p>Low water</p><img data-picture="${hash}" alt="Mud">`;
    const written = async (code: string, target: string, field: string, text: string): Promise<unknown> => {
      const edits = [{ kind: 'set', target, field, value: hashText(text), was: null }];
      const body = { since: 0, changes: [{ id: randomUUID(), edits }], texts: { [hashText(text)]: text } };
      const answer = await ines
        .post(`/api/courses/${ids[code] ?? ''}/changes`)
        .send(body)
        .expect(200);
      return answer.body as unknown;
    };
    const page = newItem('page', { id: randomUUID(), title: 'Mud' });
    await change(LIVE, [{ kind: 'insert', parent: course.sections[0]!.id, after: null, node: page }]);
    const taken = await written(LIVE, page.id, 'text', html);
    expect(taken).toMatchObject({
      refused: [],
      texts: { [hashText(html)]: { pictures: [hash], silent: 0, links: [] } },
    });

    const at = `/api/learn/${course.id}/pictures/${hash}`;
    const read = (await noor.get(`/api/learn/${course.id}/items/${page.id}`)).body as { html: string };
    expect(read.html).toContain(`src="${at}?item=${page.id}" alt="Mud"`);
    const answer = await noor.get(`${at}?item=${page.id}`).expect(200);
    expect(Buffer.compare(answer.body as Buffer, PNG)).toBe(0);
    // It is in that item's text, and nowhere in the course's own.
    await noor.get(at).expect(404);
    await noor.get(`/api/learn/${course.id}/pictures/${'0'.repeat(64)}?item=${page.id}`).expect(404);
    await change(LIVE, [{ kind: 'set', target: page.id, field: 'shown', value: false, was: true }]);
    const hidden = await noor.get(`${at}?item=${page.id}`).expect(404);
    const never = await noor.get(`${at}?item=never-was`).expect(404);
    expect(hidden.body).toEqual(never.body);

    expect(await written(DRAFT, ids[DRAFT] ?? '', 'introduction', html)).toMatchObject({
      refused: [{ refusal: { code: 'file_missing', target: ids[DRAFT] } }],
    });
  });

  test('a program, a false name and an empty file are refused, by place and value; nothing is kept', async () => {
    const program = await upload(LIVE, 'shore.png', Buffer.from([0x4d, 0x5a, 0x90, 0])).expect(400);
    expect(program.body as Problem).toMatchObject({
      code: 'bad_input',
      detail: 'shore.png is a program; those are not taken',
      errors: [{ path: 'file', value: 'shore.png' }],
    });
    const misnamed = await upload(LIVE, 'shore.jpg', PNG).expect(400);
    expect((misnamed.body as Problem).detail).toContain('it is image/png');
    await upload(LIVE, 'nothing.txt', Buffer.alloc(0)).expect(400);
    await noor
      .post(`/api/courses/${ids[LIVE] ?? ''}/files`)
      .query({ name: 'a.txt' })
      .send('x')
      .expect(403);
    expect(await incoming()).toEqual([]);
  });

  test('two gigabytes are refused before they come, and an unannounced flood while it arrives', async () => {
    await change(DRAFT, [{ kind: 'set', target: ids[DRAFT], field: 'largestUpload', value: 1, was: null }]);
    const flood = (
      headers: Record<string, string>,
      bytes: number,
    ): Promise<{ status: number; sent: number }> =>
      new Promise((resolve, reject) => {
        const url = new URL(`${server.address}/api/courses/${ids[DRAFT] ?? ''}/files?name=film.bin`);
        const cookie = cookieOf(ines, url);
        let sent = 0;
        let isAnswered = false;
        const outgoing = httpRequest(
          url,
          { method: 'POST', headers: { ...headers, cookie, 'content-type': 'application/octet-stream' } },
          (answer) => {
            isAnswered = true;
            answer.resume();
            answer.once('end', () => resolve({ status: answer.statusCode ?? 0, sent }));
          },
        );
        outgoing.once('error', (error) => (isAnswered ? undefined : reject(error)));
        const chunk = Buffer.alloc(64 * 1024, 1);
        const more = (): void => {
          while (!isAnswered && sent < bytes) {
            sent += chunk.length;
            if (!outgoing.write(chunk)) {
              outgoing.once('drain', more);
              return;
            }
          }
        };
        more();
      });
    const announced = await flood({ 'content-length': '2000000000' }, 1_000_000);
    expect(announced.status).toBe(413);
    const unannounced = await flood({ 'transfer-encoding': 'chunked' }, 400_000_000);
    expect(unannounced.status).toBe(413);
    expect(unannounced.sent).toBeLessThan(100_000_000);
    expect(await incoming()).toEqual([]);
  });
});

/** The session of an agent, for a request that it cannot make itself. */
function cookieOf(agent: Agent, url: URL): string {
  const jar = (agent as unknown as { jar: { getCookies: (access: object) => { toValueString(): string } } })
    .jar;
  const access = { domain: url.hostname, path: url.pathname, secure: false, script: false };
  return jar.getCookies(access).toValueString();
}
