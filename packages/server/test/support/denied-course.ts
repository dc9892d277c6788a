/** A course that holds something of every kind that is denied to somebody, with markers in what must not be seen. */
import { expect } from '@jest/globals';
import { newItem, newSection } from '@itinerary/core';
import type { Ask, Item } from '@itinerary/core';
import type { UploadAnswer } from '@itinerary/contract';
import type { Agent } from 'supertest';
import { hashText } from '../../src/text/rich-text.ts';
import { fileRef, openCourse, setting } from './server.ts';

/** Lets visitors look. */
export const PASSPHRASE = 'heron lantern quay';
/** What is right in a quiz. */
export const RIGHT = 'right-answer-of-it-';
/** Words of a node that nobody can come by but from the node. */
const inside = (node: string): string => `inside-of-${node}-`;
export const nameOf = (node: string): string => `Name of ${node}.`;

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

/** What was made of it. */
export interface DeniedCourse {
  readonly id: string;
  /** By node, the hash of its file. */
  readonly fileHashes: ReadonlyMap<string, string>;
  /** By node, the words that nobody can come by but from it. */
  readonly hiddenWords: ReadonlyMap<string, string>;
}

export async function deniedCourse(agent: Agent): Promise<DeniedCourse> {
  const fileHashes = new Map<string, string>();
  const hiddenWords = new Map<string, string>();
  const id = await openCourse(agent, {
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
  /** Whose question is part of what is hidden, and whose right answer is told to nobody who answers. */
  const asking = (node: string): Item => {
    hiddenWords.set(node, inside(node));
    const shared = { text: inside(node), points: 1, required: false, pool: null, at: 1 };
    const accepted = [{ text: RIGHT, share: 1 }];
    const right = { kind: 'short' as const, accepted, otherwise: 'wrong' as const };
    const folds = { case: true, accents: true };
    return newItem('quiz', {
      id: node,
      title: nameOf(node),
      reveals: 'over',
      questions: { q: { ...shared, ...right, folds, why: RIGHT } },
    });
  };
  const talking = newItem('discussion', { id: 'talked', title: nameOf('talked'), summary: inside('talked') });
  hiddenWords.set('talked', inside('talked'));
  /** Whose room, questions and words afterwards nobody gets who does not get them. */
  const shared = (node: string): object => ({ id: node, title: nameOf(node), summary: inside(node) });
  for (const node of ['met', 'metlater', 'surveyed', 'surveyedlater']) hiddenWords.set(node, inside(node));
  const later = { opens: { kind: 'fixed' as const, day: '2027-12-01', time: null } };
  const ask = (node: string): Ask => ({ kind: 'open', text: inside(node), at: 1 });
  const meeting = (node: string): Item =>
    newItem('meeting', {
      ...(shared(node) as { id: string; title: string }),
      ...{ room: `https://rooms.example/${inside(node)}`, attendance: 'code', afterwards: inside(node) },
    });
  nodes.push(
    ...[asking('asked'), talking, meeting('met'), { ...meeting('metlater'), ...later }],
    newItem('survey', {
      ...(shared('surveyed') as { id: string; title: string }),
      asks: { q: ask('surveyed') },
    }),
    {
      ...newItem('survey', { id: 'surveyedlater', title: nameOf('surveyedlater') }),
      ...later,
      asks: { q: ask('surveyedlater') },
    },
  );
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
    {
      kind: 'insert',
      parent: id,
      after: 'main',
      node: { ...shut, items: [within('inshut'), asking('askedshut')] },
    },
    {
      kind: 'insert',
      parent: id,
      after: 'shut',
      node: { ...closed, items: [within('inclosed'), asking('askedclosed')] },
    },
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
  return { id, fileHashes, hiddenWords };
}
