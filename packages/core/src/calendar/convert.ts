/**
 * From one format to another: the edits that turn a course, with every section and item kept. What the new
 * format does not use (spans, pins, patterns, pauses) stays in the document and comes back with the old one.
 */
import type { Edit, FieldValue } from '../course/edits/edits.ts';
import { MAX_MEETINGS, MAX_WEEKS } from '../course/schema/dates-schema.ts';
import type { Format, Pattern } from '../course/schema/dates-schema.ts';
import { readField } from '../course/edits/fields.ts';
import { isWork } from '../course/schema/items-schema.ts';
import type { Course } from '../course/schema/schema.ts';
import { allLivingItems, livingSections } from '../course/tree.ts';
import { planSections } from './plan.ts';
import { isContentKind, traitsOf } from '../course/schema/kinds.ts';

/** @param patternId the id of the pattern that is made when the course has none. */
export function convertFormat(course: Course, to: Format, patternId: string): readonly Edit[] {
  const edits: Edit[] = [];
  const set = (field: string, value: FieldValue): void => {
    const was = readField(course, field);
    if (was !== value) edits.push({ kind: 'set', target: course.id, field, value, was });
  };
  set('dates.format', to);
  const sections = livingSections(course).filter(({ outside }) => !outside).length;
  switch (to) {
    case 'weeks':
      if (course.dates.ends === 'weeks') set('dates.weeks', roomFor(course, sections));
      break;
    case 'meetings':
      set('dates.pace', 'together');
      if (course.dates.ends === 'weeks') set('dates.meetings', clamp(sections, MAX_MEETINGS));
      if (Object.keys(course.dates.patterns).length === 0) {
        set(`dates.patterns.${patternId}`, firstPattern(course));
      }
      break;
    case 'item':
      if (course.dates.around === null) set('dates.around', likelyItem(course));
      break;
    case 'units':
      break;
  }
  return edits;
}

const clamp = (count: number, most: number): number => Math.min(Math.max(count, 1), most);

/** As many weeks as the sections need, and never fewer than there are. Counted pauses take weeks too. */
function roomFor(course: Course, sections: number): number {
  const weeks = Math.max(course.dates.weeks, clamp(sections, MAX_WEEKS));
  const asWeeks = { ...course.dates, format: 'weeks' as const, weeks };
  const { unplaced } = planSections({ ...course, dates: asWeeks });
  return clamp(weeks + unplaced.length, MAX_WEEKS);
}

/** An hour at ten on the first teaching day: something to begin with, shown before it is done. */
function firstPattern({ dates }: Course): Pattern {
  const days = [...dates.teachingDays].sort(
    (a, b) => ((a - dates.weekStart + 7) % 7) - ((b - dates.weekStart + 7) % 7),
  );
  return { weekdays: [days[0] ?? dates.weekStart], time: '10:00', minutes: 60, place: null };
}

/** What a course around one item is most likely around: the first thing to do in it, else to read. */
function likelyItem(course: Course): string | null {
  const items = livingSections(course).flatMap((section) => allLivingItems(section));
  const found =
    items.find((item) => isWork(item)) ??
    items.find((item) => traitsOf(item).isText) ??
    items.find(({ kind }) => isContentKind(kind));
  return found?.id ?? null;
}
