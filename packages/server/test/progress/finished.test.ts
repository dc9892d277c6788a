/** Whoever has done a course is told so, in the words of its instructors, and where they can go on: if they find it. */
import { afterAll, beforeAll, expect, test } from '@jest/globals';
import type { ProgressAnswer, ReadCourseAnswer, StandingAnswer } from '@itinerary/contract';
import { newItem } from '@itinerary/core';
import type { FinishedView, PanelView } from '@itinerary/core';
import type { Agent } from 'supertest';
import { toldClock } from '../../src/config/clock.ts';
import { castOf, openWith } from '../support/coursework.ts';
import { changeCourse, openCourse, setting, testServer } from '../support/server.ts';
import type { TestServer } from '../support/server.ts';

const BEGIN = '2027-03-02T09:00:00.000Z';
const clock = toldClock(BEGIN);
let server: TestServer;
let ines: Agent;
let noor: Agent;
let hye: Agent;
let its: Awaited<ReturnType<typeof openWith>>;
let next = '';

const change = (edits: readonly object[], course = its.id): Promise<unknown> =>
  changeCourse(ines, course, edits);
const state = (course: string, now: string): Promise<unknown> =>
  server.database.em.fork().execute('update course set state = ?, seq = seq + 1 where id = ?', [now, course]);

beforeAll(async () => {
  server = await testServer({ clock });
  ({ ines, noor, hye } = await castOf(server));
  next = await openCourse(ines, { code: 'FIN-2', title: 'Where the eel goes' });
  its = await openWith(server, ines, 'FIN-1', {
    ...newItem('page', { id: '', title: 'Boots', done: { by: 'ticked' } }),
  });
  await change([
    setting(its.id, 'doneWords', 'Well walked.'),
    setting(its.id, 'doneNext', { course: next, title: 'Eels, once' }),
  ]);
});
afterAll(() => server.stop());

/** As the page about progress and the home page say it: the same. */
async function told(agent: Agent): Promise<FinishedView> {
  const far = (await agent.get(`/api/learn/${its.id}/progress`).expect(200)).body as ProgressAnswer;
  const { home } = (await agent.get(`/api/learn/${its.id}`).expect(200)).body as ReadCourseAnswer;
  const panel = home.panels.find(
    (one): one is Extract<PanelView, { readonly kind: 'progress' }> => one.kind === 'progress',
  );
  const { since, words, goOn } = far;
  expect(panel?.finished).toEqual({ since, words, goOn });
  expect(panel?.next?.id ?? null).toBe(far.next);
  return { since, words, goOn };
}

const NOTHING: FinishedView = { since: null, words: null, goOn: null };

test('nobody is told of it before they are done', async () => {
  expect(await told(noor)).toEqual(NOTHING);
});

test('whoever is done is told since when, in whose words, and of a course that they find', async () => {
  await noor.put(`/api/learn/${its.id}/items/${its.item}/done`).expect(204);
  const DONE = { since: BEGIN, words: 'Well walked.' };
  // A draft is not there for them, and its name is not told.
  expect(await told(noor)).toEqual({ ...DONE, goOn: null });
  await state(next, 'live');

  await ines
    .post(`/api/courses/${next}/members`)
    .send({ people: [its.noor], role: 'learner' })
    .expect(200);
  // By the name that it has now.
  expect(await told(noor)).toEqual({ ...DONE, goOn: { course: next, title: 'Where the eel goes' } });
  expect(await told(hye)).toEqual(NOTHING);
});

test('what opens when it is done is open to them, and to nobody else', async () => {
  const { course } = (await ines.get(`/api/courses/${next}/plan`)).body as {
    course: { sections: { id: string }[] };
  };
  const [section] = course.sections;
  const waits = { kind: 'course', course: its.id, title: 'Course FIN-1' };
  await change(
    [
      setting(section!.id, 'rule', { when: { kind: 'all', of: [waits] }, until: null, then: 'look' }),
      {
        kind: 'insert',
        parent: section!.id,
        after: null,
        node: newItem('page', { id: 'eel', title: 'The eel' }),
      },
    ],
    next,
  );
  await ines
    .post(`/api/courses/${next}/members`)
    .send({ people: [its.hye], role: 'learner' })
    .expect(200);
  await noor.get(`/api/learn/${next}/items/eel`).expect(200);
  await hye.get(`/api/learn/${next}/items/eel`).expect(404);
});

test('it stays done, and goes on being told, when more is added; See as knows of it too', async () => {
  const { course } = (await ines.get(`/api/courses/${its.id}/plan`)).body as {
    course: { sections: { id: string; items: { id: string }[] }[] };
  };
  const section = course.sections.find(({ items }) => items.some(({ id }) => id === its.item))?.id;
  const more = newItem('page', { id: 'more', title: 'More', done: { by: 'ticked' } });
  await change([{ kind: 'insert', parent: section, after: null, node: more }]);
  expect(await told(noor)).toMatchObject({ since: BEGIN, words: 'Well walked.' });
  const { body } = await ines.get(`/api/courses/${its.id}/members/${its.noor}/standing`).expect(200);
  expect((body as StandingAnswer).facts).toEqual({ [its.item]: { ticked: Date.parse(BEGIN) } });
});

test('of another institution, or of none, there is nothing to go on with', async () => {
  await change([
    setting(
      its.id,
      'doneNext',
      { course: 'nowhere', title: 'Nowhere' },
      { course: next, title: 'Eels, once' },
    ),
  ]);
  expect((await told(noor)).goOn).toBeNull();
});
