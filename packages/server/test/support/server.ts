/** A server of one's own for a test file, on a database of its own, made from a template in milliseconds. */
import { randomBytes, randomUUID } from 'node:crypto';
import { mkdtemp } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect } from '@jest/globals';
import type { NewCourseRequest, UploadAnswer } from '@itinerary/contract';
import type { CourseFileRef, Role } from '@itinerary/core';
import pg from 'pg';
import request from 'supertest';
import type { Agent, Response } from 'supertest';
import { standingClock, startServer } from '../../src/index.ts';
import type { Config, RunningServer } from '../../src/index.ts';

export const NOW = '2027-02-16T09:42:00.000Z';
const TEMPLATE = 'itinerary_template';

function adminUrl(): string {
  const url = process.env['TEST_DATABASE_URL'];
  if (url === undefined) throw new Error('TEST_DATABASE_URL is not set; server tests are run by npm test');
  return url;
}

export function urlOf(database: string): string {
  const url = new URL(adminUrl());
  url.pathname = `/${database}`;
  return url.href;
}

export async function admin(sql: string): Promise<void> {
  const client = new pg.Client({ connectionString: adminUrl() });
  await client.connect();
  try {
    await client.query(sql);
  } finally {
    await client.end();
  }
}

/** An empty database, or one that holds the demo college. */
export async function newDatabase(kind: 'empty' | 'college'): Promise<string> {
  const name = `test_${randomBytes(6).toString('hex')}`;
  await admin(kind === 'empty' ? `create database ${name}` : `create database ${name} template ${TEMPLATE}`);
  return name;
}

export interface TestServer extends RunningServer {
  readonly name: string;
}

/** A server on a database that may have one already. */
export async function serverOn(name: string, config: Partial<Config> = {}): Promise<RunningServer> {
  return startServer({
    port: 0,
    host: '127.0.0.1',
    databaseUrl: urlOf(name),
    sessionSecret: 'a secret for tests',
    demo: true,
    clock: standingClock(NOW),
    webFolder: null,
    filesFolder: await mkdtemp(join(tmpdir(), 'itinerary-files-')),
    logLevel: 'silent',
    secure: false,
    site: 'http://itinerary.example',
    mail: null,
    desk: null,
    registry: null,
    // Done when a test says so.
    jobs: false,
    checksAnswers: true,
    figuresPort: null,
    ...config,
  });
}

export async function testServer(config: Partial<Config> = {}): Promise<TestServer> {
  const name = await newDatabase('college');
  const running = await serverOn(name, config);
  return {
    ...running,
    name,
    stop: async () => {
      await running.stop();
      await admin(`drop database ${name} with (force)`);
    },
  };
}

export const PEOPLE = {
  instructor: 'ines.carvalhal@ternpoint.example',
  coInstructor: 'tunde.balewa.price@ternpoint.example',
  assistant: 'adaeze.okpara@ternpoint.example',
  learner: 'noor.rahimi@ternpoint.example',
  outsider: 'hye.jin.baek@ternpoint.example',
  visitor: 'kenji.morisawa@ternpoint.example',
  staff: 'marit.solvang@ternpoint.example',
} as const;
export type Who = keyof typeof PEOPLE;

export const signedIn = (server: RunningServer, who: Who): Promise<Agent> => signedInBy(server, PEOPLE[who]);

/** Anybody of the demo, by their address. */
export async function signedInBy(server: RunningServer, address: string): Promise<Agent> {
  const agent = request.agent(server.address);
  const answer = await agent.post('/api/session').send({ address, password: 'low-tide-at-nine' });
  if (answer.status !== 200) throw new Error(`${address} could not sign in: ${answer.text}`);
  return agent;
}

export interface DeskEntry {
  readonly id: string;
  readonly code: string;
  readonly state: string;
}

export async function deskOf(agent: Agent): Promise<readonly DeskEntry[]> {
  const answer: Response = await agent.get('/api/desk').expect(200);
  return (answer.body as { courses: DeskEntry[] }).courses;
}

export const DRAFT = 'EFM-210-SUM27';
export const LIVE = 'EFM-210-SPR27';
export const ARCHIVED = 'EFM-210-SPR26';

/** Ids of the demo's courses, by code. */
export async function courseIds(server: RunningServer): Promise<Readonly<Record<string, string>>> {
  const courses = await deskOf(await signedIn(server, 'staff'));
  return Object.fromEntries(courses.map(({ code, id }) => [code, id]));
}

/** Opens a course, and gives its id. */
export async function openCourse(
  agent: Agent,
  course: Partial<NewCourseRequest> & Pick<NewCourseRequest, 'code'>,
): Promise<string> {
  const usual: Omit<NewCourseRequest, 'code'> = {
    title: `Course ${course.code}`,
    purpose: 'learners',
    department: null,
    term: null,
    firstDay: '2027-03-01',
    weeks: 3,
    zone: 'UTC',
  };
  const answer = await agent
    .post('/api/courses')
    .send({ ...usual, ...course })
    .expect(201);
  return (answer.body as { id: string }).id;
}

/** Puts the first who is found by some words on a course, and gives their id. */
export async function putOn(agent: Agent, course: string, find: string, role: Role): Promise<string> {
  const { people } = (await agent.get(`/api/courses/${course}/candidates?find=${find}`).expect(200)).body as {
    people: { id: string }[];
  };
  const person = people[0]?.id ?? '';
  await agent
    .post(`/api/courses/${course}/members`)
    .send({ people: [person], role })
    .expect(200);
  return person;
}

/** An edit of one field. */
export function setting(target: string, field: string, value: unknown, was: unknown = null): object {
  return { kind: 'set', target, field, value, was };
}

/** Makes a change to a course, all of which has to be taken. */
export async function changeCourse(
  agent: Agent,
  course: string,
  edits: readonly object[],
  texts: Readonly<Record<string, string>> = {},
): Promise<void> {
  const changes = [{ id: randomUUID(), edits }];
  const { body } = await agent
    .post(`/api/courses/${course}/changes`)
    .send({ since: 0, changes, texts })
    .expect(200);
  expect((body as { refused: unknown[] }).refused).toEqual([]);
}

/** What came, as a document names it. */
export function fileRef({ hash, name, size, type }: UploadAnswer): CourseFileRef {
  return { hash, name, size, type, alt: null, author: null, licence: null };
}
