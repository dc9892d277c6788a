/**
 * The list of a meeting on a page: built on what stands there, by class, and as it is now where somebody else was quicker.
 *
 * @jest-environment ./scripts/jest/page.mjs
 */
import { beforeEach, expect, test } from '@jest/globals';
import type { AttendanceAnswer, SayAttended } from '@itinerary/contract';
import { useAttendance } from '../../src/marking/meeting/use-attendance.ts';

type Person = AttendanceAnswer['people'][number];
let people: Person[];
let said: SayAttended['people'][];
let codes: string[];
let isDeaf: boolean;

const person = (id: string, groups: string[], attended: Person['attended'] = null): Person => ({
  ...{ person: id, name: id, groups, attended, by: null, byCode: false, at: null },
});
const json = (body: object, status = 200): Promise<Response> =>
  Promise.resolve(
    new Response(JSON.stringify(body), { status, headers: { 'content-type': 'application/json' } }),
  );
function server(address: unknown, init?: RequestInit): Promise<Response> {
  const body = init?.body === undefined ? {} : (JSON.parse(String(init.body)) as object);
  if (String(address).endsWith('/codes')) {
    codes.push((body as { id: string }).id);
    if (isDeaf) return Promise.reject(new TypeError('lost'));
  }
  if (init?.method === 'PUT') {
    const { people: saying } = body as SayAttended;
    if (saying.some((one) => people.find((now) => now.person === one.person)?.attended !== one.was))
      return json({ type: 'about:blank', title: 'No', status: 409, code: 'changed_elsewhere' }, 409);
    said.push(saying);
    people = people.map((now) => ({
      ...now,
      attended: saying.find((one) => one.person === now.person)?.attended ?? now.attended,
    }));
  }
  const times = { phase: 'now', begins: null, ends: null, zone: 'UTC', attendance: 'code' };
  return json({ ...times, item: { id: 'i', title: 'Boats' }, groups: [], code: null, now: '', people });
}

beforeEach(() => {
  [said, codes, isDeaf] = [[], [], false];
  people = [person('noor', ['a']), person('hye', ['b'], 'late'), person('pavel', ['a'])];
  globalThis.fetch = server as typeof fetch;
});

test('all others of a class are said at once, and nobody of another', async () => {
  const its = useAttendance('c', 'i');
  await its.load();
  expect(its.unsaid.value.map(({ person: id }) => id)).toEqual(['noor', 'pavel']);
  its.group.value = 'b';
  expect([its.people.value.length, its.unsaid.value]).toEqual([1, []]);
  await its.say(its.unsaid.value, 'there');
  expect(said).toEqual([]);
  its.group.value = 'a';
  await its.say(its.unsaid.value, 'there');
  expect(said).toEqual([
    [
      { person: 'noor', attended: 'there', was: null },
      { person: 'pavel', attended: 'there', was: null },
    ],
  ]);
  expect(its.unsaid.value).toEqual([]);
});

test('what somebody else has said meanwhile stands, is shown, and can be built on', async () => {
  const its = useAttendance('c', 'i');
  await its.load();
  const [noor] = its.people.value;
  people = people.map((one) => (one.person === 'noor' ? { ...one, attended: 'excused' } : one));
  await its.say([noor!], 'there');
  expect([its.isChanged.value, its.people.value[0]?.attended, said]).toEqual([true, 'excused', []]);
  await its.say([its.people.value[0]!], 'there');
  expect([its.isChanged.value, its.people.value[0]?.attended]).toEqual([false, 'there']);
});

test('a code that was asked for, and whose answer was lost, is asked for under the same id', async () => {
  const its = useAttendance('c', 'i');
  await its.load();
  isDeaf = true;
  await expect(its.newCode()).rejects.toThrow();
  isDeaf = false;
  await its.newCode();
  await its.newCode();
  expect([codes[0] === codes[1], codes[1] === codes[2]]).toEqual([true, false]);
});
