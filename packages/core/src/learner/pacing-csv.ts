/**
 * The pacing guide as CSV (RFC 4180): a course as one person gets it, one line an item; moments as local times
 * in the course's zone, days and times as ISO 8601 writes them.
 */
import { csvOf } from '../course/csv.ts';
import type { CsvCell } from '../course/csv.ts';
import type { MomentView } from '../views/moment-view.ts';
import type { CourseView, ItemView, SectionView } from '../views/course-view.ts';

const HEAD = [
  'section',
  'section_title',
  'first_day',
  'last_day',
  'number',
  'kind',
  'title',
  'minutes',
  'due',
  'held',
] as const;

export function pacingCsv(view: CourseView): string {
  const pausesBefore = (id: string | null): readonly CsvCell[][] =>
    view.pauses
      .filter(({ before }) => before === id)
      .map(({ number, name, first, last }) => [
        number,
        name,
        first,
        last,
        null,
        'pause',
        null,
        null,
        null,
        null,
      ]);
  const around =
    view.around === null ? [] : itemLines([null, null, view.firstDay, view.lastDay], [view.around]);
  const lines = [
    ...around,
    ...view.sections.flatMap((section) => [...pausesBefore(section.id), ...sectionLines(section)]),
    ...pausesBefore(null),
  ];
  return csvOf([HEAD, ...lines]);
}

function sectionLines({ number, title, days, items }: SectionView): readonly CsvCell[][] {
  const head = [number, title, days?.first ?? null, days?.last ?? null];
  const lines = itemLines(head, items);
  return lines.length > 0 ? lines : [[...head, null, 'section', null, null, null, null]];
}

/** Folders before what they hold. */
function itemLines(head: readonly CsvCell[], items: readonly ItemView[]): readonly CsvCell[][] {
  return items.flatMap((item) => {
    const { number, kind, title, minutes, due, held } = item;
    const line = [...head, number, kind, title, minutes, local(due), local(held)];
    return [line, ...itemLines(head, item.items)];
  });
}

function local(moment: MomentView | null): string | null {
  if (moment === null) return null;
  return moment.time === null ? moment.day : `${moment.day}T${moment.time}`;
}
