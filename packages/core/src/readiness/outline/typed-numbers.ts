import { MAX_EDITS } from '../../course/edits/edits.ts';
import { livingSections, shownItems } from '../../course/tree.ts';
import type { Rule } from '../rule.ts';
import { WITH_PEOPLE } from '../rule.ts';

// "2.3 Cores", "Week 4: Salt", "3) Mud": a number that somebody typed. "7 days on the shore" is a title: after
// a bare number the next word has to begin with a capital.
const TYPED =
  /^(?:(?:week|unit|section|chapter|lesson|part|semana|unidad|sección|capítulo|parte)\s+)?\d{1,3}(?:\.\d{1,3}){0,3}\s*(?:[.:)–—-]\s*|\s(?=\p{Lu}))(?=\S)/u;
const WORD = /^\p{L}/u;

/** The title without the number typed before it, or null when there is none. */
export function withoutTypedNumber(title: string): string | null {
  // The word before a number may be written with a capital; what comes after it must be one.
  const lowered = WORD.test(title) ? title.charAt(0).toLowerCase() + title.slice(1) : title;
  const match = TYPED.exec(lowered);
  return match === null ? null : title.slice(match[0].length);
}

/** Numbers typed into titles beside computed ones: after the next move they will differ. */
export const typedNumbers: Rule = {
  id: 'typed_numbers',
  stop: 'outline',
  purposes: WITH_PEOPLE,
  find: ({ course }) => {
    if (course.numbering.style === 'none') return null;
    const withItems = course.numbering.style === 'items';
    const nodes = livingSections(course).flatMap((section) =>
      withItems ? [section, ...shownItems(section)] : [section],
    );
    const typed = nodes.flatMap(({ id, title }) => {
      const bare = title === null ? null : withoutTypedNumber(title);
      return title === null || bare === null ? [] : [{ id, title, bare }];
    });
    if (typed.length === 0) return null;
    return {
      severity: 'advice',
      targets: typed.map(({ id }) => id),
      values: { count: typed.length },
      cure: typed
        .slice(0, MAX_EDITS)
        .map(({ id, title, bare }) => ({ kind: 'set', target: id, field: 'title', value: bare, was: title })),
    };
  },
};
