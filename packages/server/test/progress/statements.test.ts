/** What learners have done, as a file of statements that the standard takes: one of every kind of deed. */
import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { deedSchema, newItem } from '@itinerary/core';
import type { DeedKind } from '@itinerary/core';
import type { Agent } from 'supertest';
import { castOf, openWith } from '../support/coursework.ts';
import { testServer } from '../support/server.ts';
import type { TestServer } from '../support/server.ts';
import { statementsSchema } from '../support/xapi.ts';

const AT = Date.parse('2027-03-02T09:00:00.000Z');
let server: TestServer;
let ines: Agent;
let its: Awaited<ReturnType<typeof openWith>>;

/** Every kind that there is: one that is added to core is written out too, or this fails. */
const KINDS = deedSchema.options.flatMap(({ shape }) => [
  ...('options' in shape.kind ? shape.kind.options : [shape.kind.value]),
]) as readonly DeedKind['kind'][];
const deedOf = (kind: DeedKind['kind']): DeedKind => {
  if (kind === 'unposted') return { kind, reply: true, posted: AT };
  if (kind === 'watched') return { kind, percent: 40 };
  if (kind === 'scored') return { kind, percent: 62.5, by: 'learner' };
  if (kind === 'kept') return { kind, since: AT };
  return { kind };
};

beforeAll(async () => {
  server = await testServer();
  ({ ines } = await castOf(server));
  its = await openWith(server, ines, 'XAPI-1', newItem('page', { id: '', title: 'Boots “on”' }));
  const log = (item: string, deed: DeedKind, by: string | null = null): Promise<unknown> =>
    server.database.em
      .fork()
      .execute(
        'insert into deed_log (course_id, person_id, item_id, at, deed, "by", reason) values (?, ?, ?, ?, ?, ?, ?)',
        [its.id, its.noor, item, AT, JSON.stringify(deed), by, by === null ? null : 'Seen on the shore'],
      );
  for (const kind of KINDS) await log(its.item, deedOf(kind));
  await log(its.item, { kind: 'marked' }, its.hye);
  await log(its.item, { kind: 'scored', percent: null, by: 'staff' }, its.hye);
  // Of what is not in the course any more, and of more than can be reached by now.
  await log('gone', { kind: 'scored', percent: 130, by: 'staff' }, its.hye);
});
afterAll(() => server.stop());

const read = async (): Promise<unknown> =>
  JSON.parse((await ines.get(`/api/courses/${its.id}/progress.xapi`).expect(200)).text);

test('every kind of deed is a statement as the standard has it', async () => {
  expect(KINDS.length).toBeGreaterThan(12);
  const statements = statementsSchema.parse(await read());
  expect(statements).toHaveLength(KINDS.length + 3);
  const said = new Map(KINDS.map((kind, at) => [kind, statements[at]]));
  expect(said.get('scored')?.result?.score?.scaled).toBe(0.625);
  expect(said.get('taken_back')?.result?.completion).toBe(false);
  expect(said.get('watched')?.verb.id).toBe('http://adlnet.gov/expapi/verbs/progressed');
  expect(statements.at(-3)?.context?.instructor?.account?.name).toBe(its.hye);
  expect(statements.at(-3)?.result?.response).toBe('Seen on the shore');
  expect(statements.at(-2)?.result).toBeUndefined();
  expect(statements.at(-1)?.result?.score?.scaled).toBe(1);
});

test('the same deed is the same statement, however often it is written out', async () => {
  expect(await read()).toEqual(await read());
});

test('a statement with something else in it is not one', async () => {
  const [first] = (await read()) as object[];
  expect(statementsSchema.safeParse([{ ...first, mood: 'fine' }]).success).toBe(false);
  expect(statementsSchema.safeParse([{ ...first, id: 'first' }]).success).toBe(false);
  expect(statementsSchema.safeParse([first, first]).success).toBe(false);
});
