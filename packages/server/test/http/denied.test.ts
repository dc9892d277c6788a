/**
 * What the answer denies, nobody gets by any route. The requests are derived from the OpenAPI document: whatever
 * names a course is asked by everybody about a course that holds something of every kind, and what comes back must
 * hold nothing of what is absent for them, and of what is named nothing but its name.
 */
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { accessAt, newItem, newSection, parseCourse, subtree } from '@itinerary/core';
import type { AccessState, Course, CourseNode, Item, NodeAnswers, Viewer } from '@itinerary/core';
import type { UploadAnswer } from '@itinerary/contract';
import request from 'supertest';
import type { Agent, Response } from 'supertest';
import { hashText } from '../../src/text/rich-text.ts';
import { fileRef, NOW, openCourse, putOn, setting, signedIn, testServer } from '../support/server.ts';
import type { TestServer, Who } from '../support/server.ts';

let server: TestServer;
let id = '';
let course: Course;
const agents = new Map<Asker, Agent>();
const fileHashes = new Map<string, string>();

type Asker = Who | 'nobody' | 'guest';
const ASKERS: readonly Asker[] = ['nobody', 'outsider', 'visitor', 'guest', 'learner', 'assistant', 'staff'];
const PASSPHRASE = 'heron lantern quay';
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

/** Words of a node that nobody can come by but from the node. */
const inside = (node: string): string => `inside-of-${node}-`;
const nameOf = (node: string): string => `Name of ${node}.`;
const hiddenWords = new Map<string, string>();

interface Making {
  readonly id: string;
  readonly more?: Partial<Item>;
}

/** Something of every kind that is denied, each beside something that is not. */
const ITEMS: readonly Making[] = [
  { id: 'open', more: { done: { by: 'handed_in' } } as Partial<Item> },
  { id: 'hidden', more: { shown: false } },
  { id: 'staffonly', more: { staffOnly: true } },
  { id: 'elsewhere', more: { audience: ['other'] } },
  { id: 'ours', more: { audience: ['k'] } },
  { id: 'later', more: { opens: { kind: 'fixed', day: '2027-12-01', time: null } } },
  {
    id: 'laterunnamed',
    more: { opens: { kind: 'fixed', day: '2027-12-01', time: null }, closed: 'leave_out' },
  },
  {
    id: 'waiting',
    more: {
      rule: { when: { kind: 'all', of: [{ kind: 'done', items: ['open'] }] }, until: null, then: 'look' },
    },
  },
  {
    id: 'over',
    more: {
      rule: {
        when: { kind: 'all', of: [] },
        until: { kind: 'fixed', day: '2027-01-06', time: null },
        then: 'absent',
      },
    },
  },
  { id: 'unlisted', more: { listed: false } as Partial<Item> },
  { id: 'sample', more: { sample: true } as Partial<Item> },
  { id: 'removed' },
];

async function made(agent: Agent): Promise<void> {
  id = await openCourse(agent, {
    title: 'Denied things',
    code: 'DEN-1',
    purpose: 'practice',
    firstDay: '2027-01-04',
    weeks: 30,
  });
  const texts: Record<string, string> = {};
  const nodes: Item[] = [];
  for (const { id: node, more } of ITEMS) {
    const words = inside(node);
    const came = await agent
      .post(`/api/courses/${id}/files?name=${words}.txt`)
      .set('content-type', 'application/octet-stream')
      .send(`${words} in a file`);
    const file = fileRef(came.body as UploadAnswer);
    fileHashes.set(node, file.hash);
    const html = `<p>${words}</p>`;
    texts[hashText(html)] = html;
    hiddenWords.set(node, words);
    const item = newItem('file', {
      id: node,
      title: nameOf(node),
      text: hashText(html),
      file,
      summary: words,
    });
    nodes.push({ ...item, ...more } as Item);
  }
  const shut = newSection({ id: 'shut', title: nameOf('shut'), summary: inside('shut'), shown: false });
  const closed = newSection({
    id: 'closed',
    title: nameOf('closed'),
    opens: { kind: 'fixed', day: '2027-12-01', time: null },
  });
  const within = (node: string): Item =>
    newItem('page', { id: node, title: nameOf(node), summary: inside(node) });
  hiddenWords.set('shut', inside('shut')).set('inshut', inside('inshut')).set('inclosed', inside('inclosed'));
  const set = (field: string, value: unknown, was: unknown, target = id): object =>
    setting(target, field, value, was);
  const groups = ['k', 'other'].map((key, at) =>
    set(`groups.${key}`, { name: `Class ${at + 1}`, kind: 'class', at }, null),
  );
  const edits = [
    ...groups,
    {
      kind: 'insert',
      parent: id,
      after: null,
      node: newSection({ id: 'main', title: nameOf('main'), items: nodes }),
    },
    { kind: 'insert', parent: id, after: 'main', node: { ...shut, items: [within('inshut')] } },
    { kind: 'insert', parent: id, after: 'shut', node: { ...closed, items: [within('inclosed')] } },
    { kind: 'remove', target: 'removed' },
    set('find', 'here', 'members'),
    set('visitors', 'passphrase', 'off'),
    // Whoever could leave by one of the requests would be denied all that comes after.
    set('mayLeave', false, true),
  ];
  await agent.put(`/api/courses/${id}/passphrase`).send({ passphrase: PASSPHRASE }).expect(200);
  const first = { since: 0, changes: [{ id: 'make', edits }], texts };
  const answer = await agent.post(`/api/courses/${id}/changes`).send(first).expect(200);
  expect((answer.body as { refused: unknown[] }).refused).toEqual([]);
  // Held: learners go on seeing "open" as it was, and nothing of what has been written since.
  const rewritten = '<p>inside-of-working-copy-</p>';
  const open = nodes.find((node) => node.id === 'open') as Item;
  const held = [
    set('heldBack.open', { node: open, release: null }, null),
    set('text', hashText(rewritten), 'text' in open ? open.text : null, 'open'),
    set('title', 'Name of working copy.', nameOf('open'), 'open'),
    set('state', 'live', 'draft'),
  ];
  const second = {
    since: 0,
    changes: [{ id: 'hold', edits: held }],
    texts: { [hashText(rewritten)]: rewritten },
  };
  const live = await agent.post(`/api/courses/${id}/changes`).send(second).expect(200);
  expect((live.body as { refused: unknown[] }).refused).toEqual([]);
  hiddenWords.set('working copy', 'inside-of-working-copy-');
}

beforeAll(async () => {
  server = await testServer();
  for (const who of ASKERS) {
    if (who === 'nobody') agents.set(who, request.agent(server.address));
    else agents.set(who, await signedIn(server, who === 'guest' ? 'outsider' : who));
  }
  const instructor = await signedIn(server, 'instructor');
  await made(instructor);
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

async function ask(who: Asker, method: string, path: string): Promise<Response> {
  const agent = agents.get(who) as Agent;
  switch (method) {
    case 'get':
      return agent.get(path);
    case 'delete':
      return agent.delete(path);
    case 'put':
      // What can be asked of any item, so that the answer is about the item.
      return agent.put(path).send(path.endsWith('/text') ? { html: '<p>x</p>', was: null } : {});
    default:
      return agent.post(path).send({});
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
  return !isStaff && words.includes('working copy') ? [...ofNodes, 'working copy'] : ofNodes;
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
    let asked = 0;
    for (const [path, method, { operationId }] of await operations()) {
      if (!path.includes('{item}')) continue;
      const nothing = await ask(who, method, filled(path, 'never-was'));
      expect([404, 401]).toContain(nothing.status);
      const answers = await together(nodes(), ({ id: node }) => ask(who, method, filled(path, node)));
      for (const [at, { id: node, kind }] of nodes().entries()) {
        const { status, body } = answers[at] as Response;
        const state = stateFor(who, node);
        const isThere = state === 'look' || state === 'open';
        asked += 1;
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
    expect(asked).toBeGreaterThan(40);
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
