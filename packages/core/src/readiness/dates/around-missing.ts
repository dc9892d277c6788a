import { isContent } from '../../course/schema/items-schema.ts';
import { findNode, isShown } from '../../course/tree.ts';
import type { Rule } from '../rule.ts';
import { WITH_PEOPLE } from '../rule.ts';

/** Around one item: there has to be that item, and learners have to see it. */
export const aroundMissing: Rule = {
  id: 'around_missing',
  stop: 'dates',
  purposes: WITH_PEOPLE,
  find: ({ course }) => {
    const { format, around } = course.dates;
    if (format !== 'item') return null;
    const place = around === null ? null : findNode(course, around);
    const isItem = place !== null && isContent(place.node);
    return isItem && isShown(place) ? null : { severity: 'blocker', field: 'around' };
  },
};
