import type { Arrive } from '../../course/schema/menu-schema.ts';
import type { Course } from '../../course/schema/schema.ts';
import { findNode, isShown } from '../../course/tree.ts';
import type { Rule } from '../rule.ts';
import { EVERY_PURPOSE } from '../rule.ts';

function isLost(course: Course, arrive: Arrive | null): boolean {
  if (arrive === null) return false;
  if (arrive.at === 'page') {
    const place = findNode(course, arrive.item);
    return place === null || !isShown(place);
  }
  const needs = arrive.at === 'home' || arrive.at === 'sections' || arrive.at === 'announcements';
  return needs && course.areas[arrive.at] === 'off';
}

/** Learners are to arrive at what they cannot get. The cure lets them arrive where everybody does. */
export const arriveLost: Rule = {
  id: 'arrive_lost',
  stop: 'menu',
  purposes: EVERY_PURPOSE,
  find: ({ course }) => {
    const fields = (['arrive', 'firstArrive'] as const).filter((field) => isLost(course, course[field]));
    const [first] = fields;
    if (first === undefined) return null;
    return {
      severity: 'advice',
      field: first,
      values: { count: fields.length },
      cure: fields.map((field) => ({
        kind: 'set',
        target: course.id,
        field,
        value: field === 'arrive' ? { at: course.areas['home'] === 'off' ? 'current' : 'home' } : null,
        was: course[field],
      })),
    };
  },
};
