/**
 * What the answer denies, nobody gets by any route. The requests are derived from the OpenAPI document: whatever
 * names a course is asked by everybody about a course that holds something of every kind, and what comes back must
 * hold nothing of what is absent for them, and of what is named nothing but its name.
 */
import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { accessAt, parseCourse, subtree } from '@itinerary/core';
import type { AccessState, Course, CourseNode, NodeAnswers, Viewer } from '@itinerary/core';
import request from 'supertest';
import type { Agent, Response } from 'supertest';
import { deniedCourse, nameOf, PASSPHRASE, RIGHT } from '../support/denied-course.ts';
import { NOW, putOn, signedIn, testServer } from '../support/server.ts';
import type { TestServer, Who } from '../support/server.ts';

let server: TestServer;
let id = '';
let course: Course;
const agents = new Map<Asker, Agent>();
let fileHashes: ReadonlyMap<string, string>;
let hiddenWords: ReadonlyMap<string, string>;

type Asker = Who | 'nobody' | 'guest';
const ASKERS: readonly Asker[] = ['nobody', 'outsider', 'visitor', 'guest', 'learner', 'assistant', 'staff'];
const AT = Date.parse(NOW);

/** Everybody as core sees them; the guest is an outsider who has given the passphrase. */
const VIEWERS: Readonly<Record<Asker, Viewer>> = {
  nobody: { role: null, institutionStaff: false },
  outsider: { role: null, institutionStaff: false, here: true },
  guest: { role: null, institutionStaff: false, here: true, passphrase: true },
  visitor: { role: 'visitor', institutionStaff: false, joinedAt: NOW },
  learner: { role: 'learner', institutionStaff: false, joinedAt: NOW, groups: ['k'] },
  assistant: { role: 'assistant', institutionStaff: false, joinedAt: NOW },
  instructor: { role: 'instructor', institutionStaff: false, joinedAt: NOW },
  coInstructor: { role: null, institutionStaff: false, here: true },
  staff: { role: null, institutionStaff: true, here: true },
};

beforeAll(async () => {
  server = await testServer();
  for (const who of ASKERS) {
    if (who === 'nobody') agents.set(who, request.agent(server.address));
    else agents.set(who, await signedIn(server, who === 'guest' ? 'outsider' : who));
  }
  const instructor = await signedIn(server, 'instructor');
  ({ id, fileHashes, hiddenWords } = await deniedCourse(instructor));
  const noor = await putOn(instructor, id, 'noor', 'learner');
  await putOn(instructor, id, 'kenji', 'visitor');
  await putOn(instructor, id, 'adaeze', 'assistant');
  await instructor
    .put(`/api/courses/${id}/members/${noor}/groups`)
    .send({ groups: ['k'] })
    .expect(200);
  const guest = agents.get('guest') as Agent;
  await guest.post(`/api/learn/${id}/visit`).send({ passphrase: PASSPHRASE }).expect(204);
  const plan = await instructor.get(`/api/courses/${id}/plan`);
  const parsed = parseCourse((plan.body as { course: unknown }).course);
  if (!parsed.ok) throw new Error('the course cannot be read');
  course = parsed.value;
});
afterAll(() => server.stop());

interface Operation {
  readonly operationId: string;
  readonly 'x-access': string;
}

async function operations(): Promise<readonly (readonly [path: string, method: string, Operation])[]> {
  const { body } = await (agents.get('nobody') as Agent).get('/api/openapi.json');
  const { paths } = body as { paths: Record<string, Record<string, Operation>> };
  return Object.entries(paths).flatMap(([path, methods]) =>
    Object.entries(methods).map(([method, operation]) => [path, method, operation] as const),
  );
}

/** Ending one's session would answer every question after it. */
const APART = new Set(['signOut', 'signIn', 'demoSignIn', 'events']);

function bodyFor(path: string): object {
  if (path.endsWith('/text')) return { html: '<p>x</p>', was: null };
  const version = 0;
  if (path.endsWith('/quiz/attempts')) return { id: randomUUID() };
  if (path.includes('/quiz/') && path.endsWith('/handed')) return { answers: {} };
  if (path.endsWith('/checked')) return { version };
  if (path.endsWith('/discussion/threads'))
    return { id: randomUUID(), post: randomUUID(), title: 'Mud', html: '<p>Mud</p>' };
  if (path.endsWith('/posts')) return { id: randomUUID(), html: '<p>Mud</p>', answers: null };
  if (path.endsWith('/following')) return { follow: true };
  if (path.includes('/drafts/')) return { version: 0, title: '', html: '<p>Mud</p>', files: [] };
  if (path.includes('/posts/')) return { html: '<p>Mud</p>', was: null };
  if (path.includes('/answers/')) return { version, answer: { kind: 'short', text: 'Mud' } };
  if (path.endsWith('/anew')) return { token: 'none' };
  if (path.endsWith('/marks'))
    return { answers: [{ attempt: 'never-was', after: null }], points: 1, comment: '' };
  if (path.endsWith('/watched')) return { id: randomUUID(), film: 'a'.repeat(64), runs: [], position: 0 };
  if (path.endsWith('/done')) return { people: ['never-was'], what: 'marked', reason: 'Mud' };
  if (path.endsWith('/here')) return { code: 'ABC234' };
  if (path.endsWith('/meeting/people'))
    return { people: [{ person: 'never-was', attended: 'there', was: null }] };
  if (path.endsWith('/meeting/codes')) return { id: randomUUID() };
  if (path.endsWith('/survey/answers')) return { answers: { q: { kind: 'open', text: 'Mud' } } };
  if (path.endsWith('/draft')) return { version: 0, text: 'Mud', address: '', files: [] };
  return path.endsWith('/handed') ? { id: randomUUID(), version: 0 } : {};
}

async function ask(who: Asker, method: string, path: string): Promise<Response> {
  const agent = agents.get(who) as Agent;
  switch (method) {
    case 'get':
      // A letter that nearly every word has.
      return agent.get(path.replace('{hash}', 'none').replace(/\/found$/, '/found?find=e'));
    case 'delete':
      return agent.delete(path);
    case 'put':
      // What can be asked of any item, so that the answer is about the item.
      return agent.put(path).send(bodyFor(path));
    default:
      if (!/\/(?:coursework|drafts\/new)\/files$/.test(path)) return agent.post(path).send(bodyFor(path));
      return agent.post(`${path}?name=a.txt`).set('Content-Type', 'application/octet-stream').send('Mud');
  }
}

const nodes = (): readonly CourseNode[] => course.sections.flatMap((section) => subtree(section));
/** Reckoned once for each of them: it is asked of every answer. */
const known = new Map<Asker, NodeAnswers>();
function stateFor(who: Asker, node: string): AccessState {
  const answers = known.get(who) ?? accessAt(course, VIEWERS[who], AT).nodes;
  known.set(who, answers);
  return answers.get(node)?.state ?? 'absent';
}
const filled = (path: string, node: string): string =>
  path
    .replace('{course}', id)
    .replace('{item}', node)
    .replace('{person}', 'never-was')
    .replace('{exception}', 'never-was')
    .replace('{attempt}', 'never-was')
    .replace('{question}', 'q')
    .replace('{thread}', 'never-was')
    .replace('{post}', 'never-was')
    .replace('{place}', 'new')
    .replace('{handed}', 'never-was')
    .replace('{holiday}', 'never-was')
    .replace('{code}', 'FREE-9');
/** All that came back, as far as it can be read. */
const said = ({ text, body, headers }: Response): string =>
  `${text ?? ''}${Buffer.isBuffer(body) ? body.toString('utf8') : ''}${headers['content-disposition'] ?? ''}`;

test('the course holds every kind of thing for everybody', () => {
  const seen = new Set(
    ASKERS.flatMap((who) => nodes().map(({ id: node }) => `${who} ${stateFor(who, node)}`)),
  );
  for (const state of ['absent', 'named', 'look', 'open'])
    expect([...seen].some((one) => one.endsWith(state))).toBe(true);
  expect(nodes().filter(({ id: node }) => stateFor('learner', node) === 'absent').length).toBeGreaterThan(8);
  expect(stateFor('outsider', 'sample')).toBe('look');
  expect(stateFor('guest', 'open')).toBe('look');
});

/** What a reader must not be told of a node, found in what they were told. */
function leaks(who: Asker, words: string): readonly string[] {
  const ofNodes = nodes().flatMap(({ id: node }) => {
    const state = stateFor(who, node);
    const isUnlisted = node === 'unlisted' && state !== 'absent';
    const isHidden = state === 'absent' || state === 'named' || isUnlisted;
    return [
      ...(state === 'absent' && words.includes(nameOf(node)) ? [nameOf(node)] : []),
      ...(isHidden && words.includes(hiddenWords.get(node) ?? 'no such words anywhere')
        ? [`inside ${node}`]
        : []),
    ];
  });
  const isStaff = ['assistant', 'staff'].includes(who);
  if (isStaff) return ofNodes;
  return [...ofNodes, ...['working copy', RIGHT].filter((one) => words.includes(one))];
}

const isFor = (who: Asker, { id: node, kind }: CourseNode): boolean =>
  kind !== 'section' && ['look', 'open'].includes(stateFor(who, node));

/** Those who are not in the course share what is asked of each of them: one asks what the next one does not. */
const LOOKERS: readonly Asker[] = ['nobody', 'outsider', 'visitor', 'guest'];

/**
 * Of which nodes it is asked: of all that are not for them, turn by turn where several have no part in it. Whoever has
 * not the right to look at work is told so before anybody looks at the node: one of each is enough. That what is theirs
 * is there is asked where items are read.
 */
function asking(who: Asker, operation: string, access: string, turn: number): readonly CourseNode[] {
  if (operation === 'readItem') return nodes();
  const hidden = nodes().filter((node) => !isFor(who, node));
  if (access !== 'mark' || ['assistant', 'staff'].includes(who)) {
    const place = LOOKERS.indexOf(who);
    const isTurn = (node: CourseNode): boolean =>
      (nodes().indexOf(node) + turn + place) % LOOKERS.length === 0;
    return place === -1 ? hidden : hidden.filter(isTurn);
  }
  return [
    hidden.find(({ kind }) => kind === 'section'),
    hidden.find(({ kind }) => kind !== 'section'),
  ].filter((node) => node !== undefined);
}

/** Many questions at once; as many answers, in their order. */
async function together<One, Answer>(
  all: readonly One[],
  work: (one: One) => Promise<Answer>,
): Promise<readonly Answer[]> {
  const answers: Answer[] = [];
  const waiting = [...all.entries()];
  const lane = async (): Promise<void> => {
    for (let next = waiting.shift(); next !== undefined; next = waiting.shift()) {
      answers[next[0]] = await work(next[1]);
    }
  };
  await Promise.all(Array.from({ length: 6 }, lane));
  return answers;
}

describe.each(ASKERS)('%s', (who) => {
  test('gets nothing by any route of what is absent, and of what is named only the name', async () => {
    const isStaff = ['assistant', 'staff'].includes(who);
    const questions = (await operations()).flatMap(([path, method, { operationId, 'x-access': access }]) => {
      if (APART.has(operationId) || path.includes('{item}')) return [];
      // Those who plan the course get its plan: that is what the right to it says.
      if (['plan', 'state', 'members'].includes(access) && isStaff) return [];
      const hashes = path.includes('{hash}') ? [...fileHashes.values()] : [''];
      return hashes.map((hash) => ({ operationId, method, path: filled(path, '').replace('{hash}', hash) }));
    });
    const found = await together(questions, async ({ operationId, method, path }) =>
      leaks(who, said(await ask(who, method, path))).map((leak) => `${operationId}: ${leak}`),
    );
    expect(found.flat()).toEqual([]);
    expect(found.length).toBeGreaterThan(20);
  });

  test('is told of an item that is absent or named the same as of one that never existed', async () => {
    const asked = { count: 0, of: asking };
    for (const [turn, [path, method, { operationId, 'x-access': access }]] of (
      await operations()
    ).entries()) {
      if (!path.includes('{item}')) continue;
      const nothing = await ask(who, method, filled(path, 'never-was'));
      // Whoever has not the right to look at work is told that of any item.
      expect(access === 'mark' ? [404, 403, 401] : [404, 401]).toContain(nothing.status);
      const asking = asked.of(who, operationId, access, turn);
      const answers = await together(asking, ({ id: node }) => ask(who, method, filled(path, node)));
      for (const [at, { id: node, kind }] of asking.entries()) {
        const { status, body } = answers[at] as Response;
        const state = stateFor(who, node);
        const isThere = state === 'look' || state === 'open';
        asked.count += 1;
        if (!isThere || kind === 'section') {
          expect({ operationId, node, status, body: body as unknown }).toEqual({
            operationId,
            node,
            status: nothing.status,
            body: nothing.body as unknown,
          });
        } else if (operationId === 'readItem') {
          expect({ node, status }).toEqual({ node, status: 200 });
        }
      }
    }
    expect(asked.count).toBeGreaterThan(40);
  });
});

test('a wrong passphrase opens nothing, and trying is stopped', async () => {
  const agent = await signedIn(server, 'coInstructor');
  const statuses: number[] = [];
  for (let at = 0; at < 11; at += 1) {
    const answer = await agent.post(`/api/learn/${id}/visit`).send({ passphrase: `heron ${at}` });
    statuses.push(answer.status);
  }
  expect(statuses.slice(0, 10)).toEqual(Array(10).fill(403));
  expect(statuses[10]).toBe(429);
  const read = (await agent.get(`/api/learn/${id}`)).body as { course: { access: string; asks: string } };
  expect(read.course).toMatchObject({ access: 'named', asks: 'passphrase' });
});
