/** Whom a way is for, and the role that it gives: what somebody is, what they have completed, with no seat for who needs none. */
import { afterAll, beforeAll, beforeEach, expect, test } from '@jest/globals';
import type { JoinPageAnswer, MembersAnswer } from '@itinerary/contract';
import { SHUT_WAY } from '@itinerary/core';
import type { WayIn } from '@itinerary/core';
import type { Agent } from 'supertest';
import { changeCourse, openCourse, putOn, setting, signedIn, testServer } from '../support/server.ts';
import type { TestServer } from '../support/server.ts';

let server: TestServer;
let ines: Agent;
let noor: Agent;
let hyeJin: Agent;
let made = 0;

beforeAll(async () => {
  server = await testServer();
  [ines, noor, hyeJin] = await Promise.all([
    signedIn(server, 'instructor'),
    signedIn(server, 'learner'),
    signedIn(server, 'outsider'),
  ]);
});
afterAll(() => server.stop());

const rows = (sql: string, values: readonly unknown[] = []): Promise<Record<string, unknown>[]> =>
  server.database.em.fork().execute(sql, [...values]);

let id = '';
beforeEach(async () => {
  made += 1;
  id = await openCourse(ines, { code: `WHO-${made}` });
});
/** Live, with these ways; by its code. */
async function withWay(
  kind: 'link' | 'request',
  way: Partial<WayIn>,
  more: readonly object[] = [],
): Promise<string> {
  await changeCourse(ines, id, [
    setting(id, 'find', 'here', 'members'),
    setting(id, `ways.${kind}`, { ...SHUT_WAY, on: true, ...way }),
    ...more,
  ]);
  await rows(`update course set state = 'live', seq = seq + 1 where id = ?`, [id]);
  const { body } = await ines.post(`/api/courses/${id}/ways/code`).send({}).expect(200);
  return (body as { code: string }).code;
}
const pageOf = async (agent: Agent, code: string): Promise<JoinPageAnswer['ways'][number] | undefined> =>
  ((await agent.get(`/api/join/${code}`).expect(200)).body as JoinPageAnswer).ways[0];
const roleOf = async (name: string): Promise<string | undefined> =>
  ((await ines.get(`/api/courses/${id}/members`).expect(200)).body as MembersAnswer).members.find(
    (one) => one.name === name,
  )?.role;

test('for some of the institution', async () => {
  const code = await withWay('link', { kinds: ['teaching', 'visitor'] });
  expect((await pageOf(noor, code))?.answer).toMatchObject({
    can: 'no',
    because: 'not_for',
    missing: ['kind'],
  });
  await noor.post(`/api/join/${code}`).send({}).expect(403);
  await hyeJin.post(`/api/join/${code}`).send({}).expect(200);
  expect(await roleOf('Hye-jin Baek')).toBe('learner');
});

test('after another course, all of which counts is done', async () => {
  const first = await openCourse(ines, { code: `FIRST-${made}` });
  const done = {
    kind: 'page',
    title: 'Counts',
    minutes: 5,
    shown: true,

    done: { by: 'ticked' },
  };
  const plan = (await ines.get(`/api/courses/${first}/plan`).expect(200)).body as {
    course: { sections: { id: string }[] };
  };
  await changeCourse(ines, first, [
    { kind: 'insert', parent: plan.course.sections[0]?.id, after: null, node: { id: 'counts', ...done } },
  ]);
  await rows(`update course set state = 'live', seq = seq + 1 where id = ?`, [first]);
  const code = await withWay('link', { after: { course: first, title: 'The first' } });
  const person = await putOn(ines, first, 'noor', 'learner');
  expect(await pageOf(noor, code)).toMatchObject({
    after: 'The first',
    answer: { can: 'no', missing: ['completed'] },
  });
  await noor.post(`/api/join/${code}`).send({}).expect(403);
  await rows(`insert into deed (course_id, person_id, item_id, facts) values (?, ?, 'counts', ?)`, [
    first,
    person,
    JSON.stringify({ ticked: Date.parse('2027-02-01T00:00:00.000Z') }),
  ]);
  expect((await pageOf(noor, code))?.answer).toMatchObject({ can: 'yes' });
  await noor.post(`/api/join/${code}`).send({}).expect(200);
});

test('as a visitor one needs no seat, as a learner one does', async () => {
  await putOn(ines, id, 'pavel', 'learner');
  const code = await withWay('link', { gives: 'visitor' }, [setting(id, 'seats', 1)]);
  await noor.post(`/api/join/${code}`).send({}).expect(200);
  expect(await roleOf('Noor Rahimi')).toBe('visitor');
  await changeCourse(ines, id, [
    setting(id, 'ways.link', { ...SHUT_WAY, on: true }, { ...SHUT_WAY, on: true, gives: 'visitor' }),
  ]);
  expect((await pageOf(hyeJin, code))?.answer).toMatchObject({ can: 'no', because: 'full' });
});

test('on request as an assistant, who leads nothing before staff say yes', async () => {
  await withWay('request', { gives: 'assistant' });
  await noor.post(`/api/join/to/${id}`).send({ way: 'request', answer: null }).expect(200);
  expect(await roleOf('Noor Rahimi')).toBeUndefined();
  const { person } =
    (await rows('select person_id as person from join_request where course_id = ?', [id]))[0] ?? {};
  await ines
    .post(`/api/courses/${id}/ways/requests`)
    .send({ say: 'yes', people: [person] })
    .expect(200);
  expect(await roleOf('Noor Rahimi')).toBe('assistant');
});
