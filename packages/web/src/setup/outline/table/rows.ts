/** The outline as lines of a timetable. Pure: from the course's plan to what each line shows. */
import {
  allLivingItems,
  isContent,
  isForLearners,
  isHolder,
  livingItems,
  namedPauses,
} from '@itinerary/core';
import type {
  Accent,
  CoursePlan,
  Holder,
  Item,
  ItemKind,
  Resolved,
  SectionPlan,
  Slot,
  Span,
} from '@itinerary/core';
import { marksOf } from './marks.ts';
import type { NodeMark } from './marks.ts';

interface NodeRow {
  readonly id: string;
  readonly number: string | null;
  readonly title: string | null;
  readonly shown: boolean;
  /** Not shown itself, or in something that is not. */
  readonly dim: boolean;
  readonly accent: Accent | null;
  readonly opens: Resolved | null;
  readonly marks: readonly NodeMark[];
  /** Own minutes of an item, the sum of a section or folder. */
  readonly minutes: number | null;
  readonly folded: boolean;
}

export interface SectionRow extends NodeRow {
  readonly kind: 'section';
  readonly span: Span;
  readonly outside: boolean;
}

export interface ItemRow extends NodeRow {
  readonly kind: 'item';
  readonly of: ItemKind;
  readonly title: string;
  /** 0 in a section, 1 in a folder of it, … */
  readonly depth: number;
  /** Due, or for a meeting held. */
  readonly when: Resolved | null;
  readonly mayBeDue: boolean;
}

export interface SpareRow {
  readonly kind: 'spare';
  readonly id: string;
  readonly slot: Slot;
}

export interface PauseLine {
  readonly kind: 'pause';
  readonly id: string;
  readonly name: string;
  readonly number: string | null;
  readonly first: string;
  readonly last: string;
}

export type OutlineRow = SectionRow | ItemRow | SpareRow | PauseLine;

export interface Filter {
  /** Folded to lower case by the caller; titles must hold it. Empty: no matter. */
  readonly matches: (title: string) => boolean;
  readonly only: 'all' | 'due' | 'hidden' | ItemKind;
  /** Nothing is asked for: everything stands there, folded as it is. */
  readonly isOff: boolean;
}

export function outlineRows(
  plan: CoursePlan,
  folded: ReadonlySet<string>,
  filter: Filter,
  held: readonly string[] = [],
): readonly OutlineRow[] {
  const rows: OutlineRow[] = [];
  const pauses = pauseLines(plan);
  for (const planned of plan.sections) {
    const { span } = planned;
    if (filter.isOff && span.kind === 'slot') {
      while (pauses[0] !== undefined && pauses[0].first < span.slot.first)
        rows.push(pauses.shift() as PauseLine);
    }
    const isHeld = (id: string): boolean => held.includes(id);
    const inside = itemRows(planned, folded, filter, isHeld);
    const isFound = filter.isOff || inside.length > 0 || isSectionFound(planned, filter);
    if (isFound) {
      const row = sectionRow(planned, filter.isOff && folded.has(planned.id), isHeld(planned.id));
      rows.push(row, ...inside);
    }
  }
  if (!filter.isOff) return rows;
  const spare = plan.spare.map((slot): SpareRow => ({ kind: 'spare', id: `spare-${slot.number}`, slot }));
  return [...rows, ...pauses, ...spare];
}

function pauseLines(plan: CoursePlan): PauseLine[] {
  return namedPauses(plan).map(({ key, ...pause }) => ({ kind: 'pause', id: `pause-${key}`, ...pause }));
}

function isSectionFound({ section }: SectionPlan, { only, matches }: Filter): boolean {
  if (only === 'hidden') return !section.shown && matches(section.title ?? '');
  return only === 'all' && matches(section.title ?? '');
}

function sectionRow(
  { section, span, number, moments }: SectionPlan,
  folded: boolean,
  isHeld: boolean,
): SectionRow {
  return {
    kind: 'section',
    id: section.id,
    number,
    title: section.title,
    shown: section.shown,
    dim: !isForLearners(section),
    marks: marksOf(section, isHeld),
    accent: section.accent,
    opens: moments.get(section.id)?.opens ?? null,
    minutes: minutesIn(section),
    folded,
    span,
    outside: section.outside,
  };
}

function itemRows(
  { section, numbers, moments }: SectionPlan,
  folded: ReadonlySet<string>,
  filter: Filter,
  isHeld: (id: string) => boolean,
): readonly ItemRow[] {
  const rows: ItemRow[] = [];
  const visit = (holder: Holder, depth: number, dim: boolean): void => {
    for (const item of livingItems(holder)) {
      const own = moments.get(item.id);
      const isDim = dim || !isForLearners(item);
      const row: ItemRow = {
        kind: 'item',
        id: item.id,
        of: item.kind,
        number: numbers.get(item.id) ?? null,
        title: item.title,
        shown: item.shown,
        dim: isDim,
        marks: marksOf(item, isHeld(item.id)),
        accent: 'accent' in item ? item.accent : null,
        opens: own?.opens ?? null,
        minutes: isHolder(item) ? minutesIn(item) : 'minutes' in item ? item.minutes : null,
        folded: isHolder(item) && filter.isOff && folded.has(item.id),
        depth,
        when: own?.due ?? own?.held ?? null,
        mayBeDue: 'due' in item || 'held' in item,
      };
      const at = rows.length;
      if (isHolder(item) && !row.folded) visit(item, depth + 1, isDim);
      // A folder stays when something in it is found.
      if (filter.isOff || rows.length > at || isFound(item, row, filter)) rows.splice(at, 0, row);
    }
  };
  if (!(filter.isOff && folded.has(section.id))) visit(section, 0, !isForLearners(section));
  return rows;
}

function isFound(item: Item, row: ItemRow, { only, matches }: Filter): boolean {
  const isKind =
    only === 'all' ||
    (only === 'due' ? row.when !== null : only === 'hidden' ? !item.shown : item.kind === only);
  return isKind && matches(item.title);
}

function minutesIn(holder: Holder): number {
  return allLivingItems(holder).reduce((sum, item) => sum + (isContent(item) ? (item.minutes ?? 0) : 0), 0);
}

/** Only these can be selected, moved and changed. */
export function isNodeRow(row: OutlineRow | undefined): row is SectionRow | ItemRow {
  return row?.kind === 'section' || row?.kind === 'item';
}
