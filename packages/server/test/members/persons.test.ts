/** What persons have of their own in a course: groups, moments, names that they see, a passphrase they give. */
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import type { StandingAnswer } from '@itinerary/contract';
import type { Agent, Response } from 'supertest';
import { changeCourse, courseIds, LIVE, signedIn, testServer } from '../support/server.ts';
import type { TestServer } from '../support/server.ts';

let server: TestServer;
let id = '';
let instructor: Agent;
let learner: Agent;
let noor = '';
let work = '';
let page = '';

interface Member {
  readonly person: string;
  readonly name: string;
  readonly role: string;
  readonly groups: readonly string[];
}
const members = async (): Promise<readonly Member[]> =>
  ((await instructor.get(`/api/courses/${id}/members`)).body as { members: Member[] }).members;
const errorsOf = ({ body }: Response): unknown => (body as { errors?: unknown }).errors;
const change = (edits: readonly object[]): Promise<void> => changeCourse(instructor, id, edits);

beforeAll(async () => {
  server = await testServer();
  id = (await courseIds(server))[LIVE] as string;
  instructor = await signedIn(server, 'instructor');
  learner = await signedIn(server, 'learner');
  noor = (await members()).find(({ name }) => name === 'Noor Rahimi')?.person ?? '';
  const { course } = (await instructor.get(`/api/courses/${id}/plan`)).body as {
    course: { sections: { items: { id: string; kind: string }[] }[] };
  };
  const items = course.sections.flatMap((section) => section.items);
  work = items.find(({ kind }) => kind === 'assignment')?.id ?? '';
  page = items.find(({ kind }) => kind === 'page')?.id ?? '';
});
afterAll(() => server.stop());

describe('groups', () => {
  test('of the demo: two classes and two boats, half of the learners in each', async () => {
    const plan = (await instructor.get(`/api/courses/${id}/plan`)).body as { groupSizes: object };
    expect(plan.groupSizes).toEqual({ 'class-a': 12, 'class-b': 12, 'boat-avocet': 12, 'boat-curlew': 12 });
  });

  test('are set whole for one member, and only such as the course has', async () => {
    const at = `/api/courses/${id}/members/${noor}/groups`;
    await instructor
      .put(at)
      .send({ groups: ['class-b'] })
      .expect(200);
    expect((await members()).find(({ person }) => person === noor)?.groups).toEqual(['class-b']);
    const wrong = await instructor
      .put(at)
      .send({ groups: ['class-a', 'class-z'] })
      .expect(400);
    expect(errorsOf(wrong)).toEqual([
      { path: 'groups', value: 'class-z', expected: 'ids of groups and classes of the course' },
    ]);
    expect((await members()).find(({ person }) => person === noor)?.groups).toEqual(['class-b']);
    await instructor.put(`/api/courses/${id}/members/nobody/groups`).send({ groups: [] }).expect(404);
  });
});

describe('moments of one’s own', () => {
  const due = { kind: 'fixed', day: '2027-03-14', time: '12:00' };
  const moments = { opens: null, due, until: null };
  const put = (exception: string, body: object): Promise<Response> =>
    instructor.put(`/api/courses/${id}/exceptions/${exception}`).send(body) as unknown as Promise<Response>;

  test('reach exactly that person, and go again', async () => {
    expect((await put('x', { person: noor, node: work, ...moments })).status).toBe(200);
    const read = async (agent: Agent): Promise<unknown> =>
      ((await agent.get(`/api/learn/${id}/items/${work}`)).body as { item: { due: object } }).item.due;
    expect(await read(learner)).toMatchObject({ day: '2027-03-14', time: '12:00' });
    expect(await read(instructor)).not.toMatchObject({ day: '2027-03-14' });
    const standing = (await instructor.get(`/api/courses/${id}/members/${noor}/standing`)).body as object;
    expect(standing).toMatchObject({
      name: 'Noor Rahimi',
      role: 'learner',
      exceptions: [{ node: work, due }],
    });
    await instructor.delete(`/api/courses/${id}/exceptions/x`).expect(200);
    await instructor.delete(`/api/courses/${id}/exceptions/x`).expect(200);
    expect(await read(learner)).not.toMatchObject({ day: '2027-03-14' });
  });

  test('are refused whole, with the place, the value and what was expected', async () => {
    const cases: readonly (readonly [object, string, string])[] = [
      [{ person: noor, node: 'nowhere', ...moments }, 'node', 'the id of a section or item of the course'],
      [{ person: noor, node: page, ...moments }, 'due', 'null: nothing is handed in there'],
      [
        { person: noor, node: work, ...moments, due: null },
        'opens',
        'at least one of opens, due, until and factor',
      ],
      [
        { person: '00000000-0000-4000-8000-000000000000', node: work, ...moments },
        'person',
        'the id of somebody on the course',
      ],
    ];
    for (const [body, path, expected] of cases) {
      const answer = await put('y', body);
      expect([answer.status, errorsOf(answer)]).toMatchObject([400, [{ path, expected }]]);
    }
    await put('y', { person: noor, node: work, ...moments });
    const twice = await put('z', { person: noor, node: work, ...moments });
    expect([twice.status, errorsOf(twice)]).toMatchObject([400, [{ path: 'node', value: work }]]);
    const listed = (await instructor.get(`/api/courses/${id}/exceptions`)).body as {
      exceptions: { id: string }[];
    };
    expect(listed.exceptions.map((one) => one.id)).toEqual(['y']);
  });
});

test('whose names a learner sees is the course’s to say, and a visitor sees nobody’s', async () => {
  const seen = async (agent: Agent): Promise<Response> => agent.get(`/api/learn/${id}/members`);
  const count = async (): Promise<number> =>
    ((await seen(learner)).body as { people: unknown[] }).people.length;
  expect(await count()).toBe(27);
  await change([{ kind: 'set', target: id, field: 'names', value: 'class', was: 'everybody' }]);
  // Three who teach, and class B, which Noor has come to.
  expect(await count()).toBe(3 + 13);
  await change([{ kind: 'set', target: id, field: 'names', value: 'staff', was: 'class' }]);
  expect(await count()).toBe(3);
  await change([
    { kind: 'set', target: id, field: 'find', value: 'here', was: 'members' },
    { kind: 'set', target: id, field: 'visitors', value: 'anyone', was: 'off' },
  ]);
  const visitor = await signedIn(server, 'visitor');
  await visitor.get(`/api/learn/${id}`).expect(200);
  await visitor.get(`/api/learn/${id}/members`).expect(404);
});

test('what counts as done when it is opened is done once a learner has opened it, and by nobody else', async () => {
  const done = async (): Promise<readonly string[]> => {
    const { body } = await instructor.get(`/api/courses/${id}/members/${noor}/standing`);
    const { facts } = body as StandingAnswer;
    return facts[page]?.opened !== undefined ? [page] : [];
  };
  await instructor.get(`/api/learn/${id}/items/${page}`).expect(200);
  expect(await done()).toEqual([]);
  await learner.get(`/api/learn/${id}/items/${page}`).expect(200);
  await learner.get(`/api/learn/${id}/items/${page}`).expect(200);
  expect(await done()).toEqual([page]);
  const standing = (await instructor.get(`/api/courses/${id}/members/${noor}/standing`))
    .body as StandingAnswer;
  expect(standing.last).toBe(page);
  const ticked = await learner.put(`/api/learn/${id}/items/${page}/done`).expect(400);
  expect(errorsOf(ticked)).toMatchObject([{ path: 'item', value: page }]);
});

test('a passphrase is kept as a hash, judged, and taken away', async () => {
  const set = async (passphrase: string | null): Promise<string> =>
    (
      (await instructor.put(`/api/courses/${id}/passphrase`).send({ passphrase }).expect(200)).body as {
        passphrase: string;
      }
    ).passphrase;
  expect(await set('estuary field methods')).toBe('easy');
  expect(await set('12345678')).toBe('easy');
  expect(await set('heron lantern quay')).toBe('good');
  const rows = await server.database.em.fork().getConnection().execute('select * from course_secret');
  expect(JSON.stringify(rows)).not.toContain('heron');
  expect(await set(null)).toBe('none');
});

test('a page that learners may change is changed with what they saw, and not over somebody else’s words', async () => {
  const at = `/api/learn/${id}/items/${page}/text`;
  expect((await learner.get(at)).status).toBe(403);
  await change([
    { kind: 'set', target: page, field: 'changedBy', value: 'learners', was: null },
    { kind: 'set', target: page, field: 'text', value: null, was: '' },
  ]);
  const { hash } = (await learner.get(at).expect(200)).body as { hash: string | null };
  expect(hash).toBeNull();
  const html = '<p>The gate sticks.</p><script>alert(1)</script>';
  await learner.put(at).send({ html, was: null }).expect(200);
  const read = (await learner.get(`/api/learn/${id}/items/${page}`)).body as {
    html: string;
    mayChange: boolean;
  };
  expect(read).toMatchObject({ html: '<p>The gate sticks.</p>', mayChange: true });
  const late = await learner.put(at).send({ html: '<p>Other words.</p>', was: null });
  expect([late.status, (late.body as { code: string }).code]).toEqual([409, 'out_of_step']);
});

test('where work is in groups, a learner is told whom they work with, and nobody else is', async () => {
  interface Read {
    group: { mode: string; own: string | null; people: string[] } | null;
  }
  const group = async (agent: Agent): Promise<Read['group']> =>
    ((await agent.get(`/api/learn/${id}/items/${work}`)).body as Read).group;
  expect(await group(learner)).toBeNull();
  await change([{ kind: 'set', target: id, field: 'groupWork', value: 'apart', was: 'none' }]);
  // Noor is in a class now, and in no boat.
  expect(await group(learner)).toEqual({ mode: 'apart', own: null, people: [] });
  await instructor
    .put(`/api/courses/${id}/members/${noor}/groups`)
    .send({ groups: ['boat-avocet'] })
    .expect(200);
  const told = await group(learner);
  expect(told).toMatchObject({ mode: 'apart', own: 'Boat Avocet' });
  expect(told?.people).toHaveLength(12);
  expect(told?.people).toContain('Noor Rahimi');
  expect(await group(instructor)).toBeNull();
  await change([{ kind: 'set', target: work, field: 'groupWork', value: 'none', was: null }]);
  expect(await group(learner)).toBeNull();
});
