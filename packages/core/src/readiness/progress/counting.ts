/** What is wrong with what counts: nothing does, nobody notices it, a section wants too much, or all is due at once. */
import { setField } from '../../course/edits/making.ts';
import { MAX_EDITS } from '../../course/edits/edits.ts';
import type { ContentItem } from '../../course/schema/items-schema.ts';
import type { Course, Section } from '../../course/schema/schema.ts';
import { livingSections } from '../../course/tree.ts';
import { countedItems } from '../../progress/counting.ts';
import { momentsOf } from '../../calendar/course-plan.ts';
import { totalMinutes } from '../../forecast/load.ts';
import { isNear, wholeHours } from '../about/stated-hours.ts';
import type { Rule } from '../rule.ts';
import { WITH_PEOPLE } from '../rule.ts';

const countedOf = (course: Course): readonly ContentItem[] => countedItems(course).map(([item]) => item);

/** The course, or a section, asks for what counts, and nothing does. */
export const nothingCounted: Rule = {
  id: 'nothing_counted',
  stop: 'progress',
  purposes: WITH_PEOPLE,
  find: ({ course }) => {
    if (!course.progress || countedOf(course).length > 0) return null;
    const isAsked = course.done !== null || livingSections(course).some(({ done }) => done !== null);
    return isAsked
      ? {
          severity: 'advice',
          field: 'progress',
          cure: [setField<Course, 'progress'>(course, 'progress', false)],
        }
      : null;
  },
};

/** It counts, and stands in no list. */
export const countedUnlisted: Rule = {
  id: 'counted_unlisted',
  stop: 'progress',
  purposes: WITH_PEOPLE,
  find: ({ course }) => {
    const wrong = countedOf(course).filter(({ listed }) => !listed);
    const [first] = wrong;
    if (first === undefined) return null;
    return {
      severity: 'advice',
      targets: wrong.map(({ id }) => id),
      values: { count: wrong.length, title: first.title },
      cure: wrong.slice(0, MAX_EDITS).map((item) => setField<ContentItem, 'listed'>(item, 'listed', true)),
    };
  },
};

/** More is wanted of a section than counts in it. The cure wants as many as there are. */
export const sectionCannotGive: Rule = {
  id: 'section_cannot_give',
  stop: 'progress',
  purposes: WITH_PEOPLE,
  find: ({ course }) => {
    if (!course.progress) return null;
    const counted = countedItems(course);
    const wrong = livingSections(course).flatMap((section) => {
      const { done } = section;
      if (done === null || done.want.how !== 'least') return [];
      const own = counted.filter(([, id]) => id === section.id);
      const are = done.named.length > 0 ? new Set(done.named).size : own.length;
      return are > 0 && done.want.count > are ? [{ section, done, are, wants: done.want.count }] : [];
    });
    const [first] = wrong;
    if (first === undefined) return null;
    return {
      severity: 'advice',
      targets: wrong.map(({ section }) => section.id),
      values: { count: wrong.length, wants: first.wants, are: first.are },
      cure: wrong.map(({ section, done, are }) =>
        setField<Section, 'done'>(section, 'done', { ...done, want: { how: 'least', count: are } }),
      ),
    };
  },
};

/**
 * All of it takes as long as the course promises, and what counts does not: whoever is done has not had what was promised.
 * Whether more is to count, or less to be promised, a person decides.
 */
export const countsOtherwiseStated: Rule = {
  id: 'counts_otherwise_stated',
  stop: 'progress',
  purposes: WITH_PEOPLE,
  find: ({ course, plan }) => {
    const { statedHours: stated } = course;
    const minutes = countedOf(course).reduce((sum, item) => sum + (item.minutes ?? 0), 0);
    if (stated === null || minutes === 0 || !isNear(wholeHours(totalMinutes(plan)), stated)) return null;
    const hours = wholeHours(minutes);
    return isNear(hours, stated)
      ? null
      : { severity: 'advice', field: 'progress', values: { stated, hours } };
  },
};

/** So many at least, before anybody speaks of one evening. */
const MANY = 4;

export const allDueAtOnce: Rule = {
  id: 'all_due_at_once',
  stop: 'progress',
  purposes: WITH_PEOPLE,
  find: ({ course, plan }) => {
    const days = countedOf(course).flatMap(({ id }) => {
      const { due } = momentsOf(plan, id);
      return due?.kind === 'at' ? [{ id, day: due.day }] : [];
    });
    const [first] = days;
    if (first === undefined || days.length < MANY || days.some(({ day }) => day !== first.day)) return null;
    return {
      severity: 'advice',
      targets: days.map(({ id }) => id),
      values: { count: days.length, day: first.day },
    };
  },
};
