/** What stands around a course: menu, home, announcements, pictures, and the institution's own pages. */
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import type {
  AnnouncementsAnswer,
  FrameAnswer,
  LibraryAnswer,
  OwnPicturesAnswer,
  PlanAnswer,
  Problem,
  ReadCourseAnswer,
  TakenPicture,
  UploadAnswer,
} from '@itinerary/contract';
import { contrastOf, newItem, newSection } from '@itinerary/core';
import sharp from 'sharp';
import type { Agent, Test } from 'supertest';
import { hashText } from '../../src/text/rich-text.ts';
import { announcement } from '../support/announcement.ts';
import { photo, png, textChunk } from '../support/pictures.ts';
import {
  changeCourse,
  courseIds,
  fileRef,
  LIVE,
  openCourse,
  putOn,
  setting,
  signedIn,
  testServer,
} from '../support/server.ts';
import type { TestServer, Who } from '../support/server.ts';

let server: TestServer;
let ids: Readonly<Record<string, string>>;
const agents = new Map<Who, Agent>();
const as = (who: Who): Agent => agents.get(who) as Agent;
let id = '';

const set = (field: string, value: unknown, was: unknown = null): object => setting(id, field, value, was);
const change = (edits: readonly object[], texts: Readonly<Record<string, string>> = {}): Promise<void> =>
  changeCourse(as('instructor'), id, edits, texts);
const upload = (name: string, bytes: Buffer): Test =>
  as('instructor')
    .post(`/api/courses/${id}/files?name=${encodeURIComponent(name)}`)
    .set('content-type', 'application/octet-stream')
    .send(bytes);

beforeAll(async () => {
  server = await testServer();
  ids = await courseIds(server);
  for (const who of ['instructor', 'assistant', 'learner', 'outsider', 'visitor', 'staff'] as const)
    agents.set(who, await signedIn(server, who));
  id = await openCourse(as('instructor'), {
    title: 'A course with a face',
    code: 'FACE-1',
    purpose: 'practice',
    firstDay: '2027-02-15',
    weeks: 4,
    zone: 'Europe/Lisbon',
  });
  await putOn(as('instructor'), id, 'noor', 'learner');
  const page = (key: string, title: string): object => ({
    ...newItem('page', { id: key, title }),
    text: hashText('<p>Words</p>'),
  });
  const section = newSection({ id: 'start', title: 'Start', outside: true });
  await change(
    [
      { kind: 'insert', parent: id, after: null, node: section },
      { kind: 'insert', parent: 'start', after: null, node: page('welcome', 'Welcome') },
      { kind: 'insert', parent: 'start', after: 'welcome', node: page('second', 'Second') },
      set('state', 'live', 'draft'),
    ],
    { [hashText('<p>Words</p>')]: '<p>Words</p>' },
  );
});
afterAll(() => server.stop());

const frameFor = async (who: Who): Promise<FrameAnswer> =>
  (await as(who).get(`/api/learn/${id}/frame`).expect(200)).body as FrameAnswer;
const read = async (who: Who, arriving = false): Promise<ReadCourseAnswer> =>
  (
    await as(who)
      .get(`/api/learn/${id}${arriving ? '?arriving=1' : ''}`)
      .expect(200)
  ).body as ReadCourseAnswer;

describe('arriving', () => {
  test('the first time at the welcome page, later at the section that is on; following a link is no arriving', async () => {
    await change([
      set('firstArrive', { at: 'page', item: 'welcome' }),
      set('arrive', { at: 'current' }, { at: 'home' }),
    ]);
    expect((await read('learner')).arrival).toEqual({ to: 'item', id: 'welcome' });
    expect((await read('learner', true)).arrival).toEqual({ to: 'item', id: 'welcome' });
    const { arrival } = await read('learner', true);
    expect(arrival.to).toBe('section');
  });

  test('one carries on where one left off, on any device', async () => {
    await as('learner').get(`/api/learn/${id}/items/second`).expect(200);
    expect((await read('learner')).last).toBe('second');
    await change([{ kind: 'set', target: 'second', field: 'shown', value: false, was: true }]);
    // What has been taken out of sight since is not told of, not even by its id.
    expect((await read('learner')).last).toBeNull();
    await change([{ kind: 'set', target: 'second', field: 'shown', value: true, was: false }]);
  });
});

describe('the frame', () => {
  test('leads only where its reader can go, and to the institution’s own pages', async () => {
    await change([
      set('menu.extra', {
        leads: { to: 'institution', page: 'library' },
        names: {},
        at: 20,
        shown: true,
        staffOnly: false,
        removed: false,
      }),
    ]);
    const { menu, areas, isMember } = await frameFor('learner');
    const to = menu.groups.flatMap(({ entries }) => entries.map((one) => one.area ?? one.address));
    expect(to).toEqual([
      'home',
      'sections',
      'guide',
      'members',
      'contact',
      'https://ternpoint.example/library',
    ]);
    expect(menu.site?.address).toBe('https://ternpoint.example/');
    expect(menu.help['discussions']?.address).toContain('/help/discussions');
    expect(areas).not.toContain('discussions');
    expect(isMember).toBe(true);
  });

  test('has the colours computed, each readable', async () => {
    await change([set('look.seed', '#fff59d')]);
    const { look } = await frameFor('learner');
    expect(
      contrastOf(look.colours?.light.bottle ?? '#ffffff', look.colours?.light.card ?? '#ffffff'),
    ).toBeGreaterThanOrEqual(4.5);
    await change([set('look.seed', null, '#fff59d')]);
    expect((await frameFor('learner')).look.colours).toBeNull();
  });

  test('an area that is switched off is not there by its address either', async () => {
    await change([set('announcements.up', announcement('Up')), set('areas.announcements', 'off')]);
    await as('learner').get(`/api/learn/${id}/announcements`).expect(404);
    await change([set('areas.announcements', null, 'off')]);
    await as('learner').get(`/api/learn/${id}/announcements`).expect(200);
    await as('outsider').get(`/api/learn/${id}/announcements`).expect(404);
  });
});

describe('announcements', () => {
  test('say what is new since the last visit, with their files while they stand', async () => {
    const file = fileRef((await upload('list.txt', Buffer.from('Boots'))).body as UploadAnswer);
    const html = '<p>Bring <strong>boots</strong>.</p>';
    await change(
      [
        set(
          'announcements.boots',
          announcement('Boots', { text: hashText(html), files: [file], comments: true }),
        ),
        set('announcements.draft', announcement('Not yet', { ready: false, files: [file] })),
        set(
          'announcements.later',
          announcement('Later', { from: { kind: 'fixed', day: '2027-02-20', time: null } }),
        ),
      ],
      { [hashText(html)]: html },
    );
    const got = (await as('learner').get(`/api/learn/${id}/announcements`).expect(200))
      .body as AnnouncementsAnswer;
    expect(got.announcements.map(({ subject }) => subject)).toEqual(['Boots', 'Up']);
    expect(got.announcements[0]?.html).toBe(html);
    const at = `/api/learn/${id}/announcements`;
    expect(
      (await as('learner').get(`${at}/boots/files/${file.hash}`).expect(200)).headers['content-disposition'],
    ).toContain('attachment');
    await as('learner').get(`${at}/draft/files/${file.hash}`).expect(404);
    await as('learner')
      .get(`${at}/boots/files/${'0'.repeat(64)}`)
      .expect(404);
    await as('outsider').get(`${at}/boots/files/${file.hash}`).expect(404);
    const home = (await read('learner')).home.panels.find(({ kind }) => kind === 'announcements');
    expect(home).toMatchObject({ announcements: [{ id: 'boots' }, { id: 'up' }], more: 0 });
  });

  test('a text comes in harmless, also in an entry', async () => {
    const html = '<p onclick="steal()">Hello<script>steal()</script></p>';
    await change([set('announcements.bad', announcement('Bad', { text: hashText(html) }))], {
      [hashText(html)]: html,
    });
    const { course } = (await as('instructor').get(`/api/courses/${id}/plan`)).body as PlanAnswer;
    const kept = course.announcements['bad']?.text ?? '';
    expect(kept).not.toBe(hashText(html));
    const { body } = await as('instructor').get(`/api/courses/${id}/texts/${kept}`).expect(200);
    expect((body as { html: string }).html).toBe('<p>Hello</p>');
    await change([set('announcements.bad', null, course.announcements['bad'])]);
  });
});

describe('pictures', () => {
  test.each([
    ['50,000 pixels on a side', 'wide.png', png(50_000, 10), /too long a side: 50000 × 10 pixels/],
    [
      'one that unpacks to a hundred million pixels',
      'bomb.png',
      png(11_000, 11_000),
      /too many pixels: 11000 × 11000 pixels/,
    ],
    [
      'a script in a comment',
      'said.png',
      png(8, 8, [textChunk('<script>steal()</script>')]),
      /more than a picture: a script/,
    ],
    [
      'a page behind the picture',
      'tail.png',
      Buffer.concat([png(8, 8), Buffer.from('<html><script src=x>')]),
      /more than a picture/,
    ],
    [
      'a drawing with a script, under another name',
      'drawn.png',
      Buffer.from('<svg xmlns="http://www.w3.org/2000/svg"><script>steal()</script></svg>'),
      /not what its name says/,
    ],
    ['a program', 'shore.jpg', Buffer.from('MZ\u0090\u0000', 'latin1'), /program/],
    ['a picture that breaks off', 'half.png', png(3000, 3000).subarray(0, 60), /cannot be read as a picture/],
  ])('%s is refused with a sentence', async (_what, name, bytes, sentence) => {
    const answer = await upload(name, bytes);
    expect(answer.status).toBe(400);
    expect((answer.body as Problem).detail).toMatch(sentence);
    expect((answer.body as Problem).errors?.[0]?.expected).toBeTruthy();
  });

  test('one is cropped for each frame around its focal point, for whoever gets the course', async () => {
    const bytes = await photo(1200, 900);
    const came = (await upload('shore.png', bytes).expect(201)).body as UploadAnswer;
    expect(came).toMatchObject({ width: 1200, height: 900, type: 'image/png' });
    const banner = {
      file: { ...fileRef(came), alt: 'A shore', author: 'A. N. Other', licence: 'CC BY 4.0' },
      width: 1200,
      height: 900,
      focus: { x: 0.1, y: 0.5 },
      zoom: 2,
    };
    await change([set('banner', banner)]);
    const frame = await frameFor('learner');
    expect(frame.banner).toMatchObject({ alt: 'A shore', author: 'A. N. Other', licence: 'CC BY 4.0' });
    const version = frame.banner?.version ?? '';
    const at = `/api/learn/${id}/face`;
    const got = await as('learner').get(`${at}/thumbnail?width=320&v=${version}`).buffer(true).expect(200);
    expect(got.headers['content-type']).toBe('image/webp');
    expect(got.headers['cache-control']).toContain('immutable');
    const shown = await sharp(got.body as Buffer)
      .raw()
      .toBuffer({ resolveWithObject: true });
    expect([shown.info.width, Math.round((shown.info.width / shown.info.height) * 10)]).toEqual([320, 15]);
    // Close to the left edge there is nothing but the pale half.
    const [red, green] = [shown.data[0] ?? 0, shown.data[1] ?? 0];
    expect(red > 220 && green > 200).toBe(true);
    for (const name of ['banner', 'phone']) await as('learner').get(`${at}/${name}?width=480`).expect(200);
    await as('learner').get(`${at}/poster?width=480`).expect(404);
    await as('learner').get(`${at}/banner?width=481`).expect(400);
    await as('learner').get(`${at}/card?width=160&id=never-was`).expect(404);
    await as('outsider').get(`${at}/banner?width=480`).expect(404);
    const desk = (await as('learner').get('/api/desk')).body as {
      courses: { id: string; picture: unknown }[];
    };
    expect(desk.courses.find((one) => one.id === id)?.picture).toEqual({ version, alt: 'A shore' });
  });

  test('a course names only pictures that have come to it', async () => {
    const file = {
      hash: 'c'.repeat(64),
      name: 'x.png',
      size: 1,
      type: 'image/png',
      alt: '',
      author: null,
      licence: null,
    };
    const picture = { file, width: 9, height: 9, focus: { x: 0.5, y: 0.5 }, zoom: 1 };
    const body = { since: 0, changes: [{ id: 'foreign', edits: [set('thumbnail', picture)] }], texts: {} };
    const answer = await as('instructor').post(`/api/courses/${id}/changes`).send(body).expect(200);
    expect(answer.body).toMatchObject({ refused: [{ refusal: { code: 'file_missing' } }] });
  });

  test('the library is searched by words, and gives author and licence along', async () => {
    const all = (await as('instructor').get('/api/library').expect(200)).body as LibraryAnswer;
    expect(all.pictures.length).toBeGreaterThanOrEqual(24);
    const boats = (await as('instructor').get('/api/library?find=boat%20harbour').expect(200))
      .body as LibraryAnswer;
    expect(boats.pictures.map((one) => one.id)).toEqual(['harbour']);
    expect((await as('instructor').get('/api/library/harbour').expect(200)).headers['content-type']).toBe(
      'image/webp',
    );
    await as('instructor').get('/api/library/never-was').expect(404);
    await as('learner').get('/api/library').expect(403);
    const taken = (
      await as('instructor')
        .post(`/api/courses/${id}/pictures`)
        .send({ from: 'library', id: 'harbour' })
        .expect(201)
    ).body as TakenPicture;
    expect(taken.file.licence).toMatch(/^CC/);
    expect(taken.file.alt).toBeTruthy();
    await change([set('thumbnail', { ...taken, focus: { x: 0.5, y: 0.5 }, zoom: 1 })]);
    await as('instructor')
      .post(`/api/courses/${id}/pictures`)
      .send({ from: 'library', id: 'never-was' })
      .expect(400);
  });

  test('pictures of one’s own courses are there to be taken, and nobody else’s', async () => {
    const { pictures } = (
      await as('instructor')
        .get(`/api/courses/${ids[LIVE] ?? ''}/pictures`)
        .expect(200)
    ).body as OwnPicturesAnswer;
    const mine = pictures.find(({ course }) => course === id);
    expect(mine).toBeDefined();
    const choice = { from: 'course', course: id, hash: mine?.file.hash };
    await as('instructor')
      .post(`/api/courses/${ids[LIVE] ?? ''}/pictures`)
      .send(choice)
      .expect(201);
    const other = await openCourse(as('outsider'), { code: 'OUT-1', purpose: 'practice' });
    await as('outsider').post(`/api/courses/${other}/pictures`).send(choice).expect(404);
  });
});
