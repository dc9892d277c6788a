import { livingSections, subtree } from '../../course/tree.ts';
import type { Course } from '../../course/schema/schema.ts';
import type { Rule } from '../rule.ts';
import { WITH_PEOPLE } from '../rule.ts';
import { traitsOf } from '../../course/schema/kinds.ts';

const MEGABYTE = 1_000_000;
/** A written piece with its pictures. */
const USUAL = 20;
/** A short film from a phone. */
const FILM = 500;
const MOST = 2000;
/** Ten times what is asked for is no longer a margin. */
const FAR = 10;

/** In megabytes: twice the largest file, a film where films are, never less than usual. */
function askedFor(course: Course): { readonly largest: number; readonly needed: number } {
  const nodes = livingSections(course)
    .flatMap((section) => subtree(section))
    .filter(({ removed }) => !removed);
  const sizes = nodes.flatMap((node) => ('file' in node && node.file !== null ? [node.file.size] : []));
  const largest = Math.ceil(Math.max(0, ...sizes) / MEGABYTE);
  const hasFilms = nodes.some(
    (node) => traitsOf(node).file === 'film' && 'file' in node && node.file !== null,
  );
  return { largest, needed: Math.min(MOST, Math.max(USUAL, 2 * largest, hasFilms ? FILM : 0)) };
}

/** An upload limit far above or below what is asked for. The cure sets what is. */
export const largestUpload: Rule = {
  id: 'largest_upload',
  stop: 'outline',
  purposes: WITH_PEOPLE,
  find: ({ course }) => {
    const limit = course.largestUpload;
    if (limit === null) return null;
    const { largest, needed } = askedFor(course);
    const isBelow = limit < largest;
    if (!isBelow && limit <= FAR * needed) return null;
    return {
      severity: 'advice',
      field: 'largestUpload',
      values: { limit, largest, needed, variant: isBelow ? 'below' : '' },
      cure: [{ kind: 'set', target: course.id, field: 'largestUpload', value: needed, was: limit }],
    };
  },
};
