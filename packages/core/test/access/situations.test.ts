/** Every situation of the table, against core; and that the table is what it says it is. */
import { expect, test } from '@jest/globals';
import { newDates, newItem, newSection, parseCourse, resolveAccess } from '../../src/index.ts';
import type { Course, CourseNode, Viewer } from '../../src/index.ts';
import { smallCourse } from '../support/arbitraries.ts';
import { MOMENTS, SITUATIONS } from './situations.ts';
import type { Who } from './situations.ts';

const learner: Viewer = { role: 'learner', institutionStaff: false, joinedAt: '2027-01-11T08:00:00Z' };
const has = (done: string[], score: number | null = null, courses: string[] = []): Viewer => ({
  ...learner,
  deeds: {
    done: new Set(done),
    scores: new Map(score === null ? [] : [['a1', score]]),
    courses: new Set(courses),
  },
});
const outside: Viewer = { role: null, institutionStaff: false };

const PEOPLE: Readonly<Record<Who, Viewer>> = {
  learner,
  of_class: { ...learner, groups: ['k'] },
  of_group: { ...learner, groups: ['g'] },
  late: { ...learner, joinedAt: '2027-01-18T20:00:00Z' },
  did_a1: has(['a1']),
  did_a1_a2: has(['a1', 'a2']),
  scored_70: has([], 70),
  scored_80: has([], 80),
  knows_tides: has([], null, ['tides']),
  extended: {
    ...learner,
    exceptions: [
      {
        node: 'a1',
        opens: { kind: 'fixed', day: '2027-01-12', time: null },
        due: null,
        until: { kind: 'fixed', day: '2027-01-24', time: null },
        at: 1,
      },
    ],
  },
  instructor: { role: 'instructor', institutionStaff: false },
  assistant: { role: 'assistant', institutionStaff: false },
  staff: { role: null, institutionStaff: true },
  visitor: { role: 'visitor', institutionStaff: false },
  here: { ...outside, here: true },
  passer_by: outside,
  with_phrase: { ...outside, here: true, passphrase: true },
};

function base(): Course {
  const opened = { by: 'opened' as const };
  const page = (id: string, counts: boolean) =>
    newItem('page', { id, title: id, done: counts ? opened : null });
  return {
    ...smallCourse(),
    state: 'live',
    dates: newDates({
      firstDay: '2027-01-11',
      weeks: 2,
      zone: 'Europe/Lisbon',
      ends: 'day',
      lastDay: '2027-01-24',
    }),
    groups: { k: { name: 'Class A', kind: 'class', at: 0 }, g: { name: 'Boat 1', kind: 'group', at: 1 } },
    sections: [
      newSection({ id: 'A', title: 'A', items: [page('a1', true), page('a2', true), page('a3', false)] }),
      newSection({
        id: 'B',
        title: 'B',
        items: [page('b1', true), newItem('folder', { id: 'F', title: 'F', items: [page('f1', false)] })],
      }),
    ],
  };
}

function courseOf(fields: Readonly<Record<string, unknown>>): Course {
  const course = base();
  const nodes = new Map<string, CourseNode>();
  const visit = (node: CourseNode): void => {
    nodes.set(node.id, node);
    if ('items' in node) node.items.forEach(visit);
  };
  course.sections.forEach(visit);
  for (const [name, value] of Object.entries(fields)) {
    const [of, field] = name.split('.') as [string, string | undefined];
    if (field === undefined) Object.assign(course, { [of]: value });
    else Object.assign(of === 'dates' ? course.dates : (nodes.get(of) as object), { [field]: value });
  }
  const parsed = parseCourse(JSON.parse(JSON.stringify(course)));
  if (!parsed.ok) throw new Error(JSON.stringify(parsed.mistakes));
  return parsed.value;
}

test('there are at least 150 situations, no two of them the same', () => {
  expect(SITUATIONS.length).toBeGreaterThanOrEqual(150);
  expect(new Set(SITUATIONS.map((one) => JSON.stringify(one.slice(0, 4)))).size).toBe(SITUATIONS.length);
});

test.each(SITUATIONS)('%s, %s, %j: %s is %s', (who, when, set, node, expected) => {
  const access = resolveAccess(courseOf(set), PEOPLE[who], MOMENTS[when]);
  const answer = node === 'course' ? access.course : access.nodes.get(node);
  expect(`${answer?.state} ${answer?.because}`).toBe(expected);
});
