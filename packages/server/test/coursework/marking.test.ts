/** Marking: every mark is kept, of many at once one stands, and a score counts where it is enough. */
import { afterAll, beforeAll, beforeEach, describe, expect, test } from '@jest/globals';
import { randomUUID } from 'node:crypto';
import type { LookedAtAnswer } from '@itinerary/contract';
import type { Agent, Response } from 'supertest';
import { toldClock } from '../../src/config/clock.ts';
import { openWork, said } from '../support/coursework.ts';
import type { Coursework } from '../support/coursework.ts';
import { png } from '../support/pictures.ts';
import { openCourse, signedIn, testServer } from '../support/server.ts';
import type { TestServer } from '../support/server.ts';

const BEGIN = '2027-03-02T09:00:00.000Z';

let server: TestServer;
let ines: Agent;
let adaeze: Agent;
let noor: Agent;
let hye: Agent;
let its: Coursework;
let made = 0;

const rows = (sql: string, values: readonly unknown[] = []): Promise<Record<string, unknown>[]> =>
  server.database.em.fork().execute(sql, [...values]);

beforeAll(async () => {
  server = await testServer({ clock: toldClock(BEGIN) });
  [ines, adaeze, noor, hye] = await Promise.all([
    signedIn(server, 'instructor'),
    signedIn(server, 'assistant'),
    signedIn(server, 'learner'),
    signedIn(server, 'outsider'),
  ]);
});
afterAll(() => server.stop());
beforeEach(async () => {
  made += 1;
  its = await openWork(server, ines, `MARK-${made}`);
});

describe('marking', () => {
  const one = async (): Promise<string> => {
    await its.draft(noor, 0, { text: 'Low tide' });
    await its.handIn(noor, 1);
    return (await its.list()).people.find(({ person }) => person === its.noor)?.handIn ?? '';
  };
  const mark = (agent: Agent, handed: string, body: object): PromiseLike<Response> =>
    agent
      .put(`/api/courses/${its.id}/coursework/${handed}/mark`)
      .send({ after: null, points: null, comment: '', ...body });
  const look = async (handed: string): Promise<LookedAtAnswer> =>
    (await ines.get(`/api/courses/${its.id}/coursework/${handed}`).expect(200)).body as LookedAtAnswer;

  const add = (agent: Agent, handed: string, name: string, bytes: Buffer): PromiseLike<Response> =>
    agent
      .post(`/api/courses/${its.id}/coursework/${handed}/files`)
      .query({ name })
      .set('Content-Type', 'application/octet-stream')
      .send(bytes);

  test('learners see of their mark what the assignment shows: points, whether it passes, or what was said', async () => {
    await its.set('passAt', 10, null);
    const handed = await one();
    await mark(ines, handed, { points: 8, comment: 'More mud' });
    const shown = async (): Promise<unknown> => {
      const { points, hasPassed, comment } = (await its.work(noor)).mark!;
      return [points, hasPassed, comment];
    };
    expect(await shown()).toEqual([8, false, 'More mud']);
    await its.set('markShown', 'passed', 'points');
    expect(await shown()).toEqual([null, false, 'More mud']);
    await its.set('markShown', 'comment', 'passed');
    expect(await shown()).toEqual([null, null, 'More mud']);
    // Staff see all of it.
    expect((await look(handed)).marks[0]?.points).toBe(8);
  });

  test('files go back with the mark that names them, and stay with the next that does', async () => {
    const handed = await one();
    const { hash } = (await add(adaeze, handed, 'Notes on it.png', png(9, 9))).body as { hash: string };
    const files = [{ hash, name: 'Notes on it.png' }];
    expect((await add(noor, handed, 'a.png', png(9, 9))).status).toBe(403);
    // What was sent for other work, or is merely there, does not go back with this.
    const other = { hash: 'a'.repeat(64), name: 'x' };
    expect(said(await mark(ines, handed, { files: [other] }))).toEqual([400, 'bad_input', 'files.0']);
    expect((await mark(adaeze, handed, { points: 3, files })).status).toBe(200);
    expect((await its.work(noor)).mark?.files).toMatchObject([
      { hash, name: 'Notes on it.png', type: 'image/png' },
    ]);
    const own = `${its.at}/files/${hash}`;
    expect((await noor.get(own)).headers['content-type']).toBe('image/png');
    expect((await hye.get(own)).status).toBe(404);
    const after = (await look(handed)).marks[0]!.id;
    expect((await mark(ines, handed, { after, points: 4, files })).status).toBe(200);
    const last = (await look(handed)).marks[0]!.id;
    await mark(ines, handed, { after: last, points: 4 });
    expect((await noor.get(own)).status).toBe(404);
    expect((await ines.get(`/api/courses/${its.id}/coursework/${handed}/files/${hash}`)).status).toBe(200);
  });

  test('notes are among staff: sent twice they are once, taken away by whoever made them, and told to no learner', async () => {
    const handed = await one();
    const id = randomUUID();
    const note = (agent: Agent, text: string, as = id): PromiseLike<Response> =>
      agent.post(`/api/courses/${its.id}/coursework/${handed}/notes`).send({ id: as, text });
    const eight = await Promise.all(Array.from({ length: 8 }, () => note(adaeze, 'only-staff-know-this')));
    expect(eight.map(({ status }) => status)).toEqual(Array(8).fill(200));
    expect((await look(handed)).notes).toMatchObject([
      { text: 'only-staff-know-this', by: 'Adaeze Okpara', isOwn: false },
    ]);
    expect(said(await note(adaeze, 'something else'))).toEqual([400, 'bad_input', 'id']);
    expect((await note(noor, 'x')).status).toBe(403);
    const told = [await its.work(noor), (await noor.get(`/api/learn/${its.id}`)).body];
    expect(JSON.stringify(told)).not.toContain('only-staff-know');
    const drop = (agent: Agent): PromiseLike<Response> =>
      agent.delete(`/api/courses/${its.id}/coursework/${handed}/notes/${id}`);
    expect((await drop(ines)).status).toBe(403);
    expect((await drop(adaeze)).status).toBe(200);
    expect((await drop(adaeze)).status).toBe(200);
    expect((await look(handed)).notes).toEqual([]);
  });

  test('where names are left out, nothing says whose it is until it is marked', async () => {
    await its.set('namesLeftOut', true, false);
    await its.upload(noor, 'Noor Rahimi.png', png(7, 7));
    await its.handIn(noor, 1);
    const before = await its.list();
    const [first] = before.people;
    const handed = first!.handIn ?? '';
    expect(first).toMatchObject({ person: handed, name: null, groups: [], isMarked: false });
    const looked = await look(handed);
    expect(looked.people).toEqual([{ person: handed, name: null, isLate: false }]);
    expect(looked.files).toMatchObject([{ name: '1.png' }]);
    const { hash } = looked.files[0]!;
    const file = await ines.get(`/api/courses/${its.id}/coursework/${handed}/files/${hash}`);
    const said = [before.people[0], looked, file.headers['content-disposition']];
    for (const name of ['Noor', 'Rahimi', its.noor]) expect(JSON.stringify(said)).not.toContain(name);
    await mark(ines, handed, { points: 9 });
    expect((await look(handed)).people).toMatchObject([{ name: 'Noor Rahimi' }]);
    expect((await its.list()).people[0]).toMatchObject({ name: 'Noor Rahimi', person: its.noor });
  });

  test('what goes with it is had by whoever gets it, and the worked example by staff alone', async () => {
    const send = async (name: string, side: number): Promise<object> => {
      const { body } = await ines
        .post(`/api/courses/${its.id}/files`)
        .query({ name })
        .set('Content-Type', 'application/octet-stream')
        .send(png(side, side))
        .expect(201);
      const { hash, size, type } = body as { hash: string; size: number; type: string };
      return { hash, name, size, type, alt: null, author: null, licence: null };
    };
    const sheet = await send('Sheet.png', 11);
    const example = await send('only-staff-know.png', 12);
    await its.set('attachments', [sheet], []);
    await its.set('exampleWords', 'only-staff-know: three bands', '');
    await its.set('exampleFile', example, null);
    const work = await its.work(noor);
    const hashOf = (file: object): string => (file as { hash: string }).hash;
    expect(work.attachments).toMatchObject([{ name: 'Sheet.png' }]);
    const at = `/api/learn/${its.id}/items/${its.item}/attachments`;
    expect((await noor.get(`${at}/${hashOf(sheet)}`)).status).toBe(200);
    expect((await noor.get(`${at}/${hashOf(example)}`)).status).toBe(404);
    const desk = `/api/courses/${its.id}/items/${its.item}/coursework/example`;
    expect((await noor.get(desk)).status).toBe(403);
    expect((await adaeze.get(desk)).status).toBe(200);
    expect((await its.list()).item).toMatchObject({ exampleWords: 'only-staff-know: three bands' });
    const told = await Promise.all(
      [`/api/learn/${its.id}`, `/api/learn/${its.id}/items/${its.item}`].map((one) => noor.get(one)),
    );
    expect(JSON.stringify([work, ...told.map(({ body }) => body as unknown)])).not.toContain('only-staff');
  });

  test('by an assistant too: what it was before is kept, with by whom; the learner is told the last', async () => {
    const handed = await one();
    expect((await its.list()).groups).toEqual([]);
    expect((await its.list()).people).toMatchObject([
      { isMarked: false, points: null, attempts: 1 },
      { isMarked: false, handIn: null },
    ]);
    expect((await mark(adaeze, handed, { points: 12, comment: 'More mud' })).status).toBe(200);
    const [first] = (await look(handed)).marks;
    expect(said(await mark(ines, handed, { points: 1 }))).toEqual([409, 'changed_elsewhere', 'after']);
    await mark(ines, handed, { after: first!.id, points: 14.5, comment: '' });
    expect((await look(handed)).marks.map(({ points, by }) => [points, by])).toEqual([
      [14.5, 'Inês Carvalhal'],
      [12, 'Adaeze Okpara'],
    ]);
    expect((await its.work(noor)).mark).toMatchObject({ points: 14.5, comment: '' });
    const [deed] = await rows('select score from deed where course_id = ? and person_id = ?', [
      its.id,
      its.noor,
    ]);
    expect(deed?.['score']).toBe(72.5);
    expect((await mark(ines, handed, { points: 21 })).status).toBe(400);
  });

  test('of eight at once one stands', async () => {
    const handed = await one();
    const eight = await Promise.all(Array.from({ length: 8 }, (_, n) => mark(ines, handed, { points: n })));
    expect(eight.filter(({ status }) => status === 200)).toHaveLength(1);
    expect((await look(handed)).marks).toHaveLength(1);
  });

  test('enough of it is done, since then; marked less it is not, and neither is it with the mark taken back', async () => {
    await its.set('done', { by: 'scored', least: 60 }, { by: 'handed_in' });
    const handed = await one();
    const doneAt = async (): Promise<unknown> =>
      (await rows('select done_at from deed where course_id = ? and person_id = ?', [its.id, its.noor]))[0]?.[
        'done_at'
      ];
    const first = (await mark(ines, handed, { points: 11 })).body as LookedAtAnswer;
    expect(await doneAt()).toBeNull();
    const second = (await mark(ines, handed, { after: first.marks[0]!.id, points: 12 }))
      .body as LookedAtAnswer;
    // One after the other, though in the same moment by this clock.
    expect(await doneAt()).toBe(BEGIN.replace('.000Z', '.001Z'));
    const third = (await mark(ines, handed, { after: second.marks[0]!.id, points: 3 }))
      .body as LookedAtAnswer;
    expect(await doneAt()).toBeNull();
    const fourth = (await mark(ines, handed, { after: third.marks[0]!.id, points: 20 }))
      .body as LookedAtAnswer;
    expect(await doneAt()).not.toBeNull();
    await mark(ines, handed, { after: fourth.marks[0]!.id, points: null });
    expect(await doneAt()).toBeNull();
  });

  test('a learner sees nobody else’s work, and no list of it', async () => {
    const handed = await one();
    expect((await hye.get(`/api/courses/${its.id}/coursework/${handed}`)).status).toBe(403);
    expect((await hye.get(`/api/courses/${its.id}/items/${its.item}/coursework`)).status).toBe(403);
    expect(JSON.stringify(await its.work(hye))).not.toContain('Low tide');
    // Of another course one leads, it is not there.
    const other = await openCourse(ines, { code: `MARK-OTHER-${made}` });
    expect((await ines.get(`/api/courses/${other}/coursework/${handed}`)).status).toBe(404);
  });
});
