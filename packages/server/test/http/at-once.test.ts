/** What several do in the same moment, or one does several times: done once, and no rule of the course is broken. */
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import type { Agent, Response } from 'supertest';
import { courseIds, LIVE, openCourse, putOn, signedIn, testServer } from '../support/server.ts';
import type { TestServer } from '../support/server.ts';
import { png } from '../support/pictures.ts';

let server: TestServer;
let ines: Agent;
let tunde: Agent;
let staff: Agent;
let id: string;
let noor: string;
beforeAll(async () => {
  server = await testServer();
  ines = await signedIn(server, 'instructor');
  tunde = await signedIn(server, 'coInstructor');
  staff = await signedIn(server, 'staff');
  id = await openCourse(ines, { code: 'AT-ONCE' });
  noor = await putOn(ines, id, 'noor', 'learner');
  const edits = [
    { kind: 'set', target: id, field: 'groups.a', value: { name: 'A', kind: 'group', at: 0 }, was: null },
    { kind: 'set', target: id, field: 'groups.b', value: { name: 'B', kind: 'group', at: 1 }, was: null },
  ];
  await ines.post(`/api/courses/${id}/changes`).send({ since: 0, texts: {}, changes: [{ id: 'g', edits }] });
});
afterAll(() => server.stop());

const TIMES = 6;
const times = <T>(make: (at: number) => T): T[] => Array.from({ length: TIMES }, (_, at) => make(at));
const rows = (sql: string, values: readonly unknown[] = []): Promise<Record<string, unknown>[]> =>
  server.database.em
    .fork()
    .getConnection()
    .execute<Record<string, unknown>[]>(sql, [...values]);

async function sixTimes(send: () => PromiseLike<Response>): Promise<void> {
  const answers = await Promise.all(times(send));
  const [first] = answers;
  expect(answers.map(({ status }) => status)).toEqual(times(() => first?.status));
  expect([200, 201, 204]).toContain(first?.status);
  for (const { body } of answers) expect(body).toEqual(first?.body);
}

describe('the same six times at once is done once, and answered alike', () => {
  const moment = { kind: 'fixed', day: '2027-03-10', time: '09:00' };
  const section = async (): Promise<string> => {
    const plan = (await ines.get(`/api/courses/${id}/plan`)).body as {
      course: { sections: { id: string }[] };
    };
    return plan.course.sections[0]?.id ?? '';
  };

  test('moments of one person', async () => {
    const body = { person: noor, node: await section(), opens: moment, due: null, until: null };
    await sixTimes(() => ines.put(`/api/courses/${id}/exceptions/own-1`).send(body));
    expect(await rows('select id from person_exception where course_id = ?', [id])).toHaveLength(1);
  });

  test('of two that want the same place one has it, and the other is told', async () => {
    const body = { person: noor, node: id, opens: moment, due: null, until: null };
    const plan = (await ines.get(`/api/courses/${id}/plan`)).body as {
      course: { sections: { id: string }[] };
    };
    const node = plan.course.sections[1]?.id ?? '';
    const answers = await Promise.all(
      times((at) => ines.put(`/api/courses/${id}/exceptions/other-${at}`).send({ ...body, node })),
    );
    expect(answers.map(({ status }) => status).toSorted()).toEqual([200, 400, 400, 400, 400, 400]);
  });

  test('a member’s groups, and being put on the course', async () => {
    await sixTimes(() => ines.put(`/api/courses/${id}/members/${noor}/groups`).send({ groups: ['a', 'b'] }));
    expect(await rows('select * from member_group where course_id = ?', [id])).toHaveLength(2);
    const { people } = (await ines.get(`/api/courses/${id}/candidates?find=hye`)).body as {
      people: { id: string }[];
    };
    const body = { people: [people[0]?.id], role: 'learner' };
    await sixTimes(() => ines.post(`/api/courses/${id}/members`).send(body));
  });

  test('a passphrase', () =>
    sixTimes(() => ines.put(`/api/courses/${id}/passphrase`).send({ passphrase: 'nine grey seals' })));

  test('pictures from the library and from elsewhere, and a file', async () => {
    const { pictures } = (await ines.get('/api/library').expect(200)).body as { pictures: { id: string }[] };
    const body = { from: 'library', id: pictures[0]?.id };
    await sixTimes(() => ines.post(`/api/courses/${id}/pictures`).send(body));
    const bytes = png(20, 20);
    await sixTimes(() =>
      ines
        .post(`/api/courses/${id}/files?name=a.png`)
        .set('Content-Type', 'application/octet-stream')
        .send(bytes),
    );
    expect(await rows('select hash from stored_file where course_id = ?', [id])).toHaveLength(2);
  });

  test('what the institution keeps', async () => {
    const page = {
      use: 'help',
      names: { en: 'Help' },
      address: 'https://help.ternpoint.example',
      beside: null,
    };
    await sixTimes(() => staff.put('/api/institution/pages/six').send(page));
    await sixTimes(() => staff.put('/api/menus/six').send({ name: 'Six', menu: {} }));
    const calendar = [
      ...[
        'BEGIN:VCALENDAR',
        'VERSION:2.0',
        'PRODID:-//x//y//EN',
        'BEGIN:VEVENT',
        'UID:six@x',
        'DTSTAMP:20270101T000000Z',
      ],
      ...[
        'DTSTART;VALUE=DATE:20270501',
        'DTEND;VALUE=DATE:20270502',
        'SUMMARY:Six',
        'END:VEVENT',
        'END:VCALENDAR',
        '',
      ],
    ].join('\r\n');
    await sixTimes(() => staff.post('/api/holidays').send({ calendar }));
    expect(await rows("select id from holiday where name = 'Six'")).toHaveLength(1);
  });
});

test('two instructors who take each other off leave one', async () => {
  for (let round = 0; round < 8; round += 1) {
    const course = await openCourse(ines, { code: `TWO-${round}` });
    const other = await putOn(ines, course, 'tunde', 'instructor');
    const me = ((await ines.get('/api/me')).body as { person: { id: string } }).person.id;
    const answers = await Promise.all([
      ines.delete(`/api/courses/${course}/members/${other}`),
      tunde.delete(`/api/courses/${course}/members/${me}`),
    ]);
    const left = await rows(
      "select person_id from member where course_id = ? and role = 'instructor' and left_at is null",
      [course],
    );
    expect(left).toHaveLength(1);
    // Whoever came second is off the course, or is told that one has to stay.
    expect(answers.filter(({ status }) => status === 200)).toHaveLength(1);
    expect(answers.every(({ status }) => [200, 403, 404].includes(status))).toBe(true);
  }
});

test('as many pages as there is room for, however many are sent at once', async () => {
  const there = (await rows('select id from institution_page')).length;
  const body = {
    use: 'other',
    names: { en: 'More' },
    address: 'https://more.ternpoint.example',
    beside: null,
  };
  const answers = await Promise.all(
    Array.from({ length: 66 }, (_, at) => staff.put(`/api/institution/pages/more-${at}`).send(body)),
  );
  expect(answers.filter(({ status }) => status === 200)).toHaveLength(60 - there);
  expect(answers.filter(({ status }) => status === 400)).toHaveLength(66 - 60 + there);
  expect(await rows('select id from institution_page')).toHaveLength(60);
});

test('a live course stays one whatever is sent at it', async () => {
  const live = (await courseIds(server))[LIVE] as string;
  const plan = (await ines.get(`/api/courses/${live}/plan`)).body as { seq: number };
  const edits = [{ kind: 'set', target: live, field: 'tags', value: ['mud'], was: [] }];
  const body = { since: plan.seq, texts: {}, changes: [{ id: 'once', edits }] };
  await sixTimes(() => ines.post(`/api/courses/${live}/changes`).send(body));
  expect(await rows("select id from change where course_id = ? and id = 'once'", [live])).toHaveLength(1);
});
