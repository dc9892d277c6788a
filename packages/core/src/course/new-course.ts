/** What a new course starts as. Ids are arguments: core makes none. */
import type { Course, Purpose, Section } from './schema.ts';

export interface NewCourse {
  readonly id: string;
  readonly title: string;
  readonly code: string;
  readonly purpose: Purpose;
  readonly department: string | null;
  readonly term: string | null;
  readonly firstDay: string | null;
  readonly weeks: number;
  readonly zone: string;
  /** One for each section; a week-by-week course begins with one section a week. */
  readonly sectionIds: readonly string[];
}

export function newSection(id: string, title: string | null = null): Section {
  return { id, kind: 'section', title, shown: true, removed: false, outside: false, items: [] };
}

export function newCourse(start: NewCourse): Course {
  return {
    id: start.id,
    title: start.title,
    code: start.code,
    purpose: start.purpose,
    state: 'draft',
    department: start.department,
    term: start.term,
    description: null,
    tags: [],
    dates: { format: 'weeks', firstDay: start.firstDay, weeks: start.weeks, zone: start.zone, weekStart: 1 },
    sections: start.sectionIds.map((id) => newSection(id)),
  };
}
