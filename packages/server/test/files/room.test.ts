/** Room for files: names that say what they are, no more than there is room for, and nothing kept that nothing names. */
import { randomUUID } from 'node:crypto';
import { access, utimes } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import type { UploadAnswer } from '@itinerary/contract';
import { fileNameSchema, newItem, newSection } from '@itinerary/core';
import type { Agent } from 'supertest';
import { InstitutionRow, StoredFileRow } from '../../src/db/entities.ts';
import { fileKind } from '../../src/files/file-kind.ts';
import { diskStore } from '../../src/files/file-store.ts';
import { tidyFiles } from '../../src/usecases/files/tidy.ts';
import { hashText } from '../../src/text/rich-text.ts';
import {
  changeCourse,
  fileRef,
  NOW,
  openCourse,
  putOn,
  setting,
  signedIn,
  testServer,
} from '../support/server.ts';
import type { TestServer } from '../support/server.ts';
import { png } from '../support/pictures.ts';

let server: TestServer;
let ines: Agent;
let tunde: Agent;
let id: string;
const folder = join(tmpdir(), `itinerary-files-${randomUUID()}`);
beforeAll(async () => {
  server = await testServer({ filesFolder: folder });
  [ines, tunde] = [await signedIn(server, 'instructor'), await signedIn(server, 'coInstructor')];
  id = await openCourse(ines, { code: 'ROOM-1' });
  await putOn(ines, id, 'tunde', 'instructor');
});
afterAll(() => server.stop());

const send = (agent: Agent, name: string, bytes: Buffer | string, course = id) =>
  agent
    .post(`/api/courses/${course}/files`)
    .query({ name })
    .set('Content-Type', 'application/octet-stream')
    .send(bytes as string);

describe('a name', () => {
  test.each(['notes.txt', 'Übung 3 (neu).pdf', 'مذكرة.pdf', '...notes', 'a'.repeat(200)])('%s', (name) =>
    expect(fileNameSchema.safeParse(name).success).toBe(true),
  );
  test.each([
    ['with a folder above it', '../../etc/passwd'],
    ['with a folder', 'a/b.txt'],
    ['with the other stroke', 'a\\b.txt'],
    ['that is the folder', '..'],
    ['with a line end', 'a\nb.txt'],
    ['with a carriage return', 'a\rb.txt'],
    ['that turns round', 'invoice\u202Efdp.exe'],
    ['with an isolate', 'a\u2066b.txt'],
    ['with a letter that is not seen', 'a\u200Bb.txt'],
    ['with a mark of direction', 'a\u200Fb.txt'],
    ['too long', 'a'.repeat(201)],
  ])('%s is refused in words', async (_what, name) => {
    expect(fileNameSchema.safeParse(name).success).toBe(false);
    const { status, body } = await send(ines, name, 'words');
    expect([status, (body as { code: string }).code]).toEqual([400, 'bad_input']);
    const node = newItem('file', { id: 'f', title: 'F' });
    const file = { hash: 'a'.repeat(64), name, size: 1, type: 'text/plain' };
    const edit = {
      kind: 'insert',
      parent: id,
      after: null,
      node: newSection({ id: 's', items: [{ ...node, file } as never] }),
    };
    const changed = await ines
      .post(`/api/courses/${id}/changes`)
      .send({ since: 0, texts: {}, changes: [{ id: randomUUID(), edits: [edit] }] });
    expect(changed.status).toBe(400);
  });
});

describe('what runs on a machine', () => {
  const names = [
    'a.docm',
    'a.XLSM',
    'a.command',
    'a.desktop',
    'a.php',
    'a.swf',
    'a.exe',
    'a.jar',
    'a.ps1',
    'a.lnk',
    'a.exe. .',
  ];
  test.each(names)('%s', async (name) => {
    const head = new TextEncoder().encode('harmless words');
    expect(await fileKind(name, head)).toMatchObject({ ok: false, why: 'program' });
    expect(await fileKind(name, head, true)).toMatchObject({ ok: true });
  });

  test('is taken where the course asks for it, and handed out to be saved', async () => {
    expect((await send(ines, 'tides.php', '<?php echo 1;')).status).toBe(400);
    await changeCourse(ines, id, [setting(id, 'programs', true, false)]);
    const answer = await send(ines, 'tides.php', '<?php echo 1;').expect(201);
    const { hash } = answer.body as UploadAnswer;
    const file = await ines.get(`/api/courses/${id}/files/${hash}`).expect(200);
    expect(file.headers['content-disposition']).toMatch(/^attachment/);
    await changeCourse(ines, id, [setting(id, 'programs', false, true)]);
  });
});

test('a course has so much room for one person, and another goes on', async () => {
  const em = server.database.em.fork();
  await em.nativeUpdate(InstitutionRow, {}, { largestUpload: 1 });
  const course = await openCourse(ines, { code: 'ROOM-2' });
  await putOn(ines, course, 'tunde', 'instructor');
  const file = (at: number): Buffer => Buffer.alloc(990_000, `${at} words `);
  // Ten files of the largest size are one person's; more than that is nobody's, however it is sent.
  const all = await Promise.all(
    Array.from({ length: 13 }, (_, at) => send(ines, `${at}.txt`, file(at), course)),
  );
  expect(all.map(({ status }) => status).toSorted()).toEqual([...Array<number>(10).fill(201), 413, 413, 413]);
  const refused = all.find(({ status }) => status === 413)?.body as { errors: unknown[] };
  expect(refused.errors).toEqual([{ path: 'file', value: '1 MB', expected: 'at most 10 MB all in all' }]);
  // The same content again takes no more of it.
  const [first] = await em.fork().find(StoredFileRow, { courseId: course });
  const at = Array.from({ length: 13 }, (_, one) => one).find(
    (one) => hashText(file(one).toString()) === first?.hash,
  );
  await send(ines, 'again.txt', file(at ?? 0), course).expect(413);
  await send(tunde, 'other.txt', file(77), course).expect(201);
  await em.fork().nativeUpdate(InstitutionRow, {}, { largestUpload: 200 });
});

describe('what nothing names', () => {
  const store = diskStore(folder);
  const later = (days: number): string => new Date(Date.parse(NOW) + days * 86_400_000).toISOString();
  const aged = async (hash: string): Promise<void> => {
    const path = (await store.find(hash)) ?? '';
    await utimes(path, 1_700_000_000, 1_700_000_000);
  };
  const isThere = async (hash: string): Promise<boolean> => (await store.find(hash)) !== null;
  const upload = async (words: string): Promise<UploadAnswer> => {
    const { body } = await send(ines, `${words}.txt`, words).expect(201);
    await aged((body as UploadAnswer).hash);
    return body as UploadAnswer;
  };

  test('goes after a day; what is named stays, wherever that is', async () => {
    const [loose, inItem, removed, held] = [
      await upload('loose'),
      await upload('in item'),
      await upload('removed'),
      await upload('held'),
    ];
    const picture = (await send(ines, 'a.png', png(10, 10)).expect(201)).body as UploadAnswer;
    const html = `<p>x</p><img data-picture="${picture.hash}" alt="">`;
    const item = (name: string, file: UploadAnswer) =>
      newItem('file', { id: name, title: name, file: fileRef(file) });
    const page = { ...newItem('page', { id: 'page', title: 'Page' }), text: hashText(html) };
    const section = newSection({
      id: 'files',
      items: [item('one', inItem), item('two', removed), page as never],
    });
    await changeCourse(ines, id, [{ kind: 'insert', parent: id, after: null, node: section }], {
      [hashText(html)]: html,
    });
    await changeCourse(ines, id, [
      { kind: 'remove', target: 'two' },
      setting(id, 'heldBack.one', { node: item('one', held), release: null }),
    ]);
    const em = server.database.em;
    // Of today's nothing goes.
    await tidyFiles(em.fork(), store, later(0.9));
    expect(await isThere(loose.hash)).toBe(true);
    await tidyFiles(em.fork(), store, later(1.1));
    for (const [file, stays] of [
      [loose, false],
      [inItem, true],
      [removed, true],
      [held, true],
      [picture, true],
    ] as const)
      expect([file.name, await isThere(file.hash)]).toEqual([file.name, stays]);
    await ines.get(`/api/courses/${id}/files/${loose.hash}`).expect(404);
    await ines.get(`/api/courses/${id}/files/${held.hash}`).expect(200);
  });

  test('stays as long as a change that took it out can be undone', async () => {
    const file = await upload('taken out');
    const node = newItem('file', { id: 'out', title: 'Out', file: fileRef(file) });
    await changeCourse(ines, id, [{ kind: 'insert', parent: 'files', after: null, node }]);
    await changeCourse(ines, id, [setting('out', 'file', null, fileRef(file))]);
    await tidyFiles(server.database.em.fork(), store, later(20));
    expect(await isThere(file.hash)).toBe(true);
    await tidyFiles(server.database.em.fork(), store, later(40));
    expect(await isThere(file.hash)).toBe(false);
  });

  test('stays where another course names it, or where it has just come', async () => {
    const other = await openCourse(ines, { code: 'ROOM-3' });
    const file = await upload('in two');
    await send(ines, 'in two.txt', 'in two', other).expect(201);
    const node = newItem('file', { id: 'kept', title: 'Kept', file: fileRef(file) });
    const section = newSection({ id: 'kept-in', items: [node] });
    await changeCourse(ines, other, [{ kind: 'insert', parent: other, after: null, node: section }]);
    const fresh = (await send(ines, 'fresh.txt', 'fresh').expect(201)).body as UploadAnswer;
    await aged(file.hash);
    await tidyFiles(server.database.em.fork(), store, later(2));
    expect([await isThere(file.hash), await isThere(fresh.hash)]).toEqual([true, true]);
    await ines.get(`/api/courses/${id}/files/${file.hash}`).expect(404);
    await ines.get(`/api/courses/${other}/files/${file.hash}`).expect(200);
  });

  test('is looked for by one process at a time', async () => {
    const all = await Promise.all(
      Array.from({ length: 4 }, () => tidyFiles(server.database.em.fork(), store, later(3))),
    );
    expect(all.filter((many) => many > 0).length).toBeLessThanOrEqual(1);
    await access(folder);
  });
});
