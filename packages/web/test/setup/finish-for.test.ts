/** For whom it is asked whether a course can be finished, and whose answer is another one. */
import { describe, expect, test } from '@jest/globals';
import { ANY_LEARNER, newItem } from '@itinerary/core';
import type { Course, PersonException } from '@itinerary/core';
import { smallCourse } from '../../../core/test/support/arbitraries.ts';
import { differing, MOST_PERSONS, useFinishFor } from '../../src/setup/progress/finish-for.ts';
import { usePlan } from '../../src/stores/plan.ts';
import { inSetup } from '../support/in-setup.ts';
import { answering, miniature } from '../support/mini-server.ts';

const at = miniature();
const its = answering(at);

const BOAT = { kind: 'group', name: 'Boat Avocet', at: 0, exceptions: {} } as never;
/** One page that is ticked, and opens on the first day. */
function course(): Course {
  const base = smallCourse();
  const [A] = base.sections;
  const done = { by: 'ticked' as const };
  const opens = { kind: 'fixed' as const, day: '2027-01-12', time: '09:00' };
  return {
    ...base,
    progress: true,
    sections: [{ ...A!, items: [newItem('page', { id: 'a1', title: 'a1', done, opens })] }],
  };
}
const later = { kind: 'fixed', day: '2027-01-14', time: '09:00' } as const;
const moments: PersonException = { node: 'a1', opens: later, due: null, until: null, factor: null, at: 0 };
const exception = (person: string): object => ({ ...moments, id: `x-${person}`, name: person, person });
const member = (person: string, role = 'learner'): object => ({
  ...{ person, name: `N. ${person}`, role, joinedAt: '2027-01-01T00:00:00.000Z', groups: [] },
});

describe('whose answer is another one', () => {
  const ask = (name: string, exceptions: readonly PersonException[]) => ({
    ...{ id: name, name, isPerson: true, viewer: { ...ANY_LEARNER, exceptions } },
  });

  test('is told with theirs, and nobody else', () => {
    const never = { ...moments, until: { ...later, day: '2027-01-13' } };
    const found = differing(course(), [ask('as all', []), ask('later', [moments]), ask('never', [never])]);
    expect(found.map(({ name, can, day }) => [name, can, day])).toEqual([
      ['later', 'yes', '2027-01-14'],
      ['never', 'no', null],
    ]);
  });
});

describe('for whom', () => {
  const opened = async (): Promise<ReturnType<typeof useFinishFor>> => {
    at.server.course = { ...course(), groups: { boat: BOAT } };
    await usePlan().open('course');
    const { used } = await inSetup(useFinishFor, { pinia: at.pinia });
    await used.load();
    return used;
  };

  test('there are groups, and learners with moments of their own', async () => {
    its.answers['/api/courses/course/exceptions'] = { exceptions: [exception('noor'), exception('tunde')] };
    its.answers['/api/courses/course/members'] = { members: [member('noor'), member('tunde', 'assistant')] };
    const used = await opened();
    expect(used.asked.value.map(({ id, name }) => [id, name])).toEqual([
      ['boat', 'Boat Avocet'],
      ['noor', 'N. noor'],
    ]);
    expect(used.others.value.map(({ id, day }) => [id, day])).toEqual([['noor', '2027-01-14']]);
    expect([used.unasked.value, used.failure.value]).toEqual([0, null]);
  });

  test('nobody’s list is asked for where nobody has any', async () => {
    its.answers['/api/courses/course/exceptions'] = { exceptions: [] };
    const used = await opened();
    expect(used.asked.value).toHaveLength(1);
    expect(its.asked).not.toContain('GET /api/courses/course/members');
  });

  test('of very many, how many more there are is said', async () => {
    const many = Array.from({ length: MOST_PERSONS + 3 }, (_one, index) => `p${index}`);
    its.answers['/api/courses/course/exceptions'] = { exceptions: many.map(exception) };
    its.answers['/api/courses/course/members'] = { members: many.map((one) => member(one)) };
    const used = await opened();
    expect([used.others.value.length, used.unasked.value]).toEqual([MOST_PERSONS, 3]);
    expect(used.asked.value).toHaveLength(MOST_PERSONS + 4);
  });

  test('that it could not be asked is said', async () => {
    const asOthers = globalThis.fetch;
    globalThis.fetch = (path, init) =>
      String(path).endsWith('/exceptions')
        ? Promise.reject(new TypeError('Failed to fetch'))
        : asOthers(path, init);
    const used = await opened();
    expect(used.failure.value).not.toBeNull();
  });
});
