/** A live course with one assignment, and what learners do in it. */
import { randomUUID } from 'node:crypto';
import type { OwnWorkAnswer, Problem, WorkListAnswer } from '@itinerary/contract';
import { newItem, newSection } from '@itinerary/core';
import type { Leaf } from '@itinerary/core';
import type { Agent, Response } from 'supertest';
import { changeCourse, openCourse, putOn, setting, signedIn } from './server.ts';
import type { TestServer } from './server.ts';

/** On the fifth, at noon. */
export const DUE = { kind: 'fixed', day: '2027-03-05', time: '12:00' };

export interface Coursework {
  readonly id: string;
  readonly item: string;
  /** Learners, by id. */
  readonly noor: string;
  readonly hye: string;
  readonly set: (field: string, value: unknown, was: unknown) => Promise<unknown>;
  readonly work: (agent: Agent) => Promise<OwnWorkAnswer>;
  readonly draft: (agent: Agent, version: number, what?: object) => PromiseLike<Response>;
  readonly upload: (agent: Agent, name: string, bytes: Buffer | string) => PromiseLike<Response>;
  readonly handIn: (agent: Agent, version: number, one?: string) => PromiseLike<Response>;
  readonly list: () => Promise<WorkListAnswer>;
  /** Where a learner's own work is. */
  readonly at: string;
}

export interface Cast {
  readonly ines: Agent;
  readonly adaeze: Agent;
  readonly noor: Agent;
  readonly hye: Agent;
  readonly visitor: Agent;
}

/** Whoever leads, assists, learns and only looks, each signed in. */
export async function castOf(server: TestServer): Promise<Cast> {
  const [ines, adaeze, noor, hye, visitor] = await Promise.all([
    signedIn(server, 'instructor'),
    signedIn(server, 'assistant'),
    signedIn(server, 'learner'),
    signedIn(server, 'outsider'),
    signedIn(server, 'visitor'),
  ]);
  return { ines, adaeze, noor, hye, visitor };
}

interface OneItem {
  readonly id: string;
  readonly item: string;
  readonly noor: string;
  readonly hye: string;
}

/** Live, with one item: Noor and Hye-jin learn in it, Adaeze assists. @param ines leads it */
export async function openWith(
  server: TestServer,
  ines: Agent,
  code: string,
  node: Omit<Leaf, 'id'>,
): Promise<OneItem> {
  const id = await openCourse(ines, { code });
  const item = randomUUID();
  const section = newSection({ id: randomUUID(), title: 'Mud' });
  await changeCourse(ines, id, [
    { kind: 'insert', parent: id, after: null, node: section },
    { kind: 'insert', parent: section.id, after: null, node: { ...node, id: item } },
  ]);
  const noor = await putOn(ines, id, 'noor', 'learner');
  const hye = await putOn(ines, id, 'hye', 'learner');
  await putOn(ines, id, 'adaeze', 'assistant');
  const em = server.database.em.fork();
  await em.execute(`update course set state = 'live', seq = seq + 1 where id = ?`, [id]);
  return { id, item, noor, hye };
}

export async function openWork(server: TestServer, ines: Agent, code: string): Promise<Coursework> {
  const node = {
    ...newItem('assignment', { id: '', title: 'Field notes' }),
    due: DUE,
    done: { by: 'handed_in' },
    total: 20,
  };
  const { id, item, noor, hye } = await openWith(server, ines, code, node as never);
  const at = `/api/learn/${id}/items/${item}/coursework`;
  return {
    id,
    item,
    noor,
    hye,
    at,
    set: (field, value, was) => changeCourse(ines, id, [setting(item, field, value, was)]),
    work: async (agent) => (await agent.get(at).expect(200)).body as OwnWorkAnswer,
    draft: (agent, version, what = {}) =>
      agent.put(`${at}/draft`).send({ version, text: '', address: '', files: [], ...what }),
    upload: (agent, name, bytes) =>
      agent
        .post(`${at}/files`)
        .query({ name })
        .set('Content-Type', 'application/octet-stream')
        .send(bytes as string),
    handIn: (agent, version, one = randomUUID()) => agent.post(`${at}/handed`).send({ id: one, version }),
    list: async () =>
      (await ines.get(`/api/courses/${id}/items/${item}/coursework`).expect(200)).body as WorkListAnswer,
  };
}

/** Why it was refused: status, code, and the place that is wrong. */
export function said({ status, body }: Response): readonly unknown[] {
  const { code, errors } = body as Problem;
  return [status, code, errors?.[0]?.path];
}
