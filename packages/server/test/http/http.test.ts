import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import request from 'supertest';
import type { Agent, Response } from 'supertest';
import { ROUTES } from '@itinerary/contract';
import { hashPassword, passwordMatches } from '../../src/usecases/people/passwords.ts';
import {
  changeCourse,
  courseIds,
  deskOf,
  DRAFT,
  LIVE,
  PEOPLE,
  setting,
  signedIn,
  testServer,
} from '../support/server.ts';
import type { TestServer } from '../support/server.ts';

let server: TestServer;
let ids: Readonly<Record<string, string>>;
beforeAll(async () => {
  server = await testServer();
  ids = await courseIds(server);
});
afterAll(() => server.stop());

const anyone = (): ReturnType<typeof request> => request(server.address);

describe('passwords', () => {
  test('are kept as hashes that only they match', async () => {
    const hash = await hashPassword('sea lavender');
    expect(hash).toMatch(/^scrypt\$16384\$8\$5\$/);
    expect(await passwordMatches('sea lavender', hash)).toBe(true);
    expect(await passwordMatches('sea purslane', hash)).toBe(false);
    expect(await passwordMatches('sea lavender', null)).toBe(false);
  });
});

describe('signing in', () => {
  test('gives a session that only the browser holds, and signing out ends it', async () => {
    const agent = request.agent(server.address);
    const answer = await agent
      .post('/api/session')
      .send({ address: ` ${PEOPLE.learner.toUpperCase()} `, password: 'low-tide-at-nine' });
    expect(answer.body).toMatchObject({
      person: { name: 'Noor Rahimi', kind: 'learner' },
      mayCreate: false,
      now: '2027-02-16T09:42:00.000Z',
    });
    const cookies = answer.headers['set-cookie'] as unknown as string[];
    expect(cookies.find((one) => one.startsWith('itinerary='))).toMatch(/HttpOnly; SameSite=Lax/);
    await agent.get('/api/desk').expect(200);
    await agent.delete('/api/session').expect(204);
    await agent.get('/api/desk').expect(401);
  });

  test('says the same for a wrong password and for nobody', async () => {
    const wrong = await anyone().post('/api/session').send({ address: PEOPLE.visitor, password: 'no' });
    const nobody = await anyone()
      .post('/api/session')
      .send({ address: 'nobody@ternpoint.example', password: 'no' });
    expect([wrong.status, nobody.status]).toEqual([401, 401]);
    expect(wrong.body).toEqual(nobody.body);
    expect(wrong.headers['content-type']).toMatch(/^application\/problem\+json/);
  });

  test('as a demo person exists in demo mode only', async () => {
    const { people } = (await anyone().get('/api/demo/people').expect(200)).body as {
      people: { id: string; part: string }[];
    };
    const parts = people.map(({ part }) => part).sort();
    expect(parts).toEqual([
      'assistant',
      'co_instructor',
      'instructor',
      'learner',
      'learner',
      'learner',
      'staff',
      'visitor',
    ]);
    await anyone().post('/api/demo/session').send({ person: people[0]?.id }).expect(200);
    const plain = await testServer({ demo: false });
    try {
      await request(plain.address).get('/api/demo/people').expect(404);
      await request(plain.address).post('/api/demo/session').send({ person: people[0]?.id }).expect(404);
    } finally {
      await plain.stop();
    }
  });
});

describe('requests', () => {
  test('of another site are not taken', async () => {
    const agent = await signedIn(server, 'learner');
    const foreign = await agent.delete('/api/session').set('Origin', 'https://elsewhere.example');
    expect(foreign.body).toMatchObject({ status: 403, code: 'foreign_origin' });
    await agent.delete('/api/session').set('Sec-Fetch-Site', 'cross-site').expect(403);
    await agent.get('/api/desk').expect(200);
  });

  test('for what somebody has already are answered with no word, and else with all of it', async () => {
    const noor = await signedIn(server, 'learner');
    const ines = await signedIn(server, 'instructor');
    const page = `/api/learn/${ids[LIVE] ?? ''}/frame`;
    const first = await noor.get(page).expect(200);
    const tag = String(first.headers['etag']);
    // A browser says that it takes nothing from its caches, wherever a page names the mark itself.
    const again = (agent: Agent): PromiseLike<Response> =>
      agent.get(page).set({ 'If-None-Match': tag, 'Cache-Control': 'no-cache' });
    const same = await again(noor);
    expect([same.status, same.text, same.headers['etag']]).toEqual([304, '', tag]);
    expect(same.headers['cache-control']).toBe('no-store');
    // The mark is of what is said, to whomever: it opens nothing.
    const theirs = await again(ines);
    expect([theirs.status, theirs.headers['etag'] === tag]).toEqual([200, false]);
    expect((await request(server.address).get(page).set('If-None-Match', tag)).status).toBe(401);
    await changeCourse(ines, ids[LIVE] ?? '', [
      setting(ids[LIVE] ?? '', 'title', 'Estuary Methods', first.body.title),
    ]);
    const changed = await again(noor);
    expect([changed.status, changed.body.title]).toEqual([200, 'Estuary Methods']);
    await changeCourse(ines, ids[LIVE] ?? '', [
      setting(ids[LIVE] ?? '', 'title', first.body.title, 'Estuary Methods'),
    ]);
    expect((await again(noor)).status).toBe(304);
  });

  test('with bad input get a sentence that names the place, the value and what was expected', async () => {
    const agent = await signedIn(server, 'instructor');
    const body = {
      title: '',
      code: 'A B',
      purpose: 'fun',
      department: null,
      term: null,
      firstDay: '2027-02-30',
      weeks: 0,
      zone: 'Moon',
    };
    const answer = await agent.post('/api/courses').send(body).expect(400);
    const places = (answer.body as { errors: { path: string; value: unknown; expected: string }[] }).errors;
    expect(places.map(({ path }) => path).sort()).toEqual([
      'code',
      'firstDay',
      'purpose',
      'title',
      'weeks',
      'zone',
    ]);
    expect(places.find(({ path }) => path === 'firstDay')).toEqual({
      path: 'firstDay',
      value: '2027-02-30',
      expected: 'a day that exists, written YYYY-MM-DD',
    });
  });

  test('that are not JSON, or too large, are said to be', async () => {
    const broken = await anyone()
      .post('/api/session')
      .set('content-type', 'application/json')
      .send('{"address":');
    expect(broken.body).toMatchObject({ status: 400, code: 'bad_input' });
    const huge = await anyone()
      .post('/api/session')
      .send({ address: 'x'.repeat(5_000_000), password: 'x' });
    expect(huge.body).toMatchObject({ status: 413, code: 'too_large' });
  });

  test('for what does not exist get a problem document', async () => {
    const answer = await anyone().get('/api/nothing');
    expect(answer.body).toMatchObject({
      status: 404,
      code: 'not_found',
      type: 'urn:itinerary:problem:not_found',
    });
  });
});

describe('the interface to programs', () => {
  test('the OpenAPI document names every route', async () => {
    const { body } = await anyone().get('/api/openapi.json').expect(200);
    const document = body as {
      openapi: string;
      paths: Record<string, Record<string, { operationId: string; responses: object }>>;
    };
    expect(document.openapi).toBe('3.1.0');
    const operations = Object.values(document.paths).flatMap((path) =>
      Object.values(path).map(({ operationId }) => operationId),
    );
    expect(operations.sort()).toEqual(Object.keys(ROUTES).sort());
    const login = document.paths['/api/session']?.['post'] as unknown as {
      requestBody: { content: Record<string, { schema: { required: string[] } }> };
    };
    expect(login.requestBody.content['application/json']?.schema.required).toEqual(['address', 'password']);
  });
});

describe('courses', () => {
  test('codes are checked whatever their case, with the course that has them and a free one', async () => {
    const agent = await signedIn(server, 'instructor');
    const taken = await agent.get('/api/codes/efm-210-spr27').expect(200);
    expect(taken.body).toEqual({
      free: false,
      heldBy: { title: 'Estuary Field Methods', code: LIVE },
      proposal: 'efm-210-spr27-2',
    });
    const own = await agent.get(`/api/codes/${LIVE}?except=${ids[LIVE] ?? ''}`).expect(200);
    expect(own.body).toMatchObject({ free: true });
  });

  test('a new one is a draft with a section a week; its code is taken once', async () => {
    const agent = await signedIn(server, 'instructor');
    const body = {
      title: 'Estuary Field Methods',
      code: 'EFM-300',
      purpose: 'learners',
      department: 'ECO',
      term: null,
      firstDay: '2027-03-01',
      weeks: 4,
      zone: 'Europe/Lisbon',
    };
    const { id } = (await agent.post('/api/courses').send(body).expect(201)).body as { id: string };
    const plan = (await agent.get(`/api/courses/${id}/plan`).expect(200)).body as {
      course: { state: string; sections: unknown[] };
      rights: object;
    };
    expect(plan).toMatchObject({
      course: { state: 'draft' },
      seq: 0,
      learners: 0,
      rights: { plan: true, state: true, members: true },
    });
    expect(plan.course.sections).toHaveLength(4);
    const races = await Promise.all(
      ['efm-301', 'EFM-301', 'Efm-301'].map((code) => agent.post('/api/courses').send({ ...body, code })),
    );
    expect(races.map(({ status }) => status).sort()).toEqual([201, 409, 409]);
    await agent
      .post('/api/courses')
      .send({ ...body, code: 'EFM-302', department: 'NONE' })
      .expect(400);
  });

  test('a course that is sent again is the same one, also six times at once; its id is nobody else’s to use', async () => {
    const agent = await signedIn(server, 'instructor');
    const body = {
      ...{ id: randomUUID(), title: 'Twice', code: 'TWICE-1', purpose: 'learners', department: null },
      ...{ term: null, firstDay: null, weeks: 2, zone: 'UTC' },
    };
    const six = await Promise.all(Array.from({ length: 6 }, () => agent.post('/api/courses').send(body)));
    expect(six.map(({ status, body: { id } }) => [status, id])).toEqual(Array(6).fill([201, body.id]));
    const other = await (
      await signedIn(server, 'coInstructor')
    )
      .post('/api/courses')
      .send({ ...body, code: 'TWICE-2' });
    expect([other.status, other.body.errors[0].path]).toEqual([400, 'id']);
    // It has not become theirs, nor another one.
    expect((await deskOf(agent)).filter(({ code }) => code.startsWith('TWICE'))).toHaveLength(1);
  });

  test('the desk of a learner holds what is open to them, and of staff everything', async () => {
    const codes = async (who: 'learner' | 'staff' | 'outsider'): Promise<string[]> =>
      (await deskOf(await signedIn(server, who))).map(({ code }) => code);
    // Not the drafts, nor courses that they are not on.
    expect((await codes('learner')).sort()).toEqual([LIVE, 'SBR-010-SPR27']);
    expect(await codes('outsider')).toEqual([]);
    expect(await codes('staff')).toEqual(expect.arrayContaining([LIVE, DRAFT]));
  });

  test('people come on a course and go again; the last instructor stays', async () => {
    const agent = await signedIn(server, 'instructor');
    const at = `/api/courses/${ids[DRAFT] ?? ''}`;
    const found = (await agent.get(`${at}/candidates?find=noor`).expect(200)).body as {
      people: { id: string; name: string }[];
    };
    expect(found.people.map(({ name }) => name)).toEqual(['Noor Rahimi']);
    const noor = found.people[0]?.id ?? '';
    const added = await agent
      .post(`${at}/members`)
      .send({ people: [noor, noor], role: 'learner' })
      .expect(200);
    expect((added.body as { members: { name: string; role: string }[] }).members.at(-1)).toMatchObject({
      name: 'Noor Rahimi',
      role: 'learner',
    });
    const gone = await agent.delete(`${at}/members/${noor}`).expect(200);
    expect(JSON.stringify(gone.body)).not.toContain('Noor');
    await agent.delete(`${at}/members/${noor}`).expect(404);
    await agent
      .post(`${at}/members`)
      .send({ people: ['00000000-0000-4000-8000-000000000000'], role: 'learner' })
      .expect(400);
    const members = (gone.body as { members: { person: string; role: string }[] }).members.filter(
      ({ role }) => role === 'instructor',
    );
    await agent.delete(`${at}/members/${members[0]?.person ?? ''}`).expect(200);
    const last = await (await signedIn(server, 'staff')).delete(`${at}/members/${members[1]?.person ?? ''}`);
    expect(last.body).toMatchObject({ status: 403, code: 'not_allowed' });
  });
});

describe('what no database can hold', () => {
  test('is refused by name, and never breaks the server', async () => {
    const agent = await signedIn(server, 'staff');
    const draft = ids[DRAFT] ?? '';
    const set = (value: string): object => ({
      since: 0,
      changes: [{ id: 'x', edits: [{ kind: 'set', target: draft, field: 'title', value, was: null }] }],
      texts: {},
    });
    for (const value of ['nul \u0000 here', 'half \ud83d of one']) {
      const answer = await agent.post(`/api/courses/${draft}/changes`).send(set(value));
      expect(answer.body).toMatchObject({ status: 400, code: 'bad_input' });
    }
    const whole = await agent.post(`/api/courses/${draft}/changes`).send(set('whole 🌊'));
    expect(whole.body).toMatchObject({ refused: [] });
    for (const address of [
      '/api/learn/%00',
      '/api/courses/%00/plan',
      `/api/learn/${ids[LIVE] ?? ''}/items/%00`,
      '/api/codes/%00',
      '/api/learn/%E0%A4%A',
    ]) {
      const { status } = await agent.get(address);
      expect({ address, status: status === 400 || status === 404 }).toEqual({ address, status: true });
    }
    await anyone().post('/api/session').send({ address: 'a\u0000b', password: 'x' }).expect(400);
  });

  test('a percent sign typed is a percent sign', async () => {
    const agent = await signedIn(server, 'staff');
    const { body } = await agent.get(`/api/courses/${ids[DRAFT] ?? ''}/candidates?find=%25`).expect(200);
    expect(body).toEqual({ people: [], more: false });
  });
});
