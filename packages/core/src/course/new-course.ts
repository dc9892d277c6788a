/** What a new course, section or item starts as. Ids are arguments: core makes none. */
import { itemSchema } from './schema/items-schema.ts';
import type { Item } from './schema/items-schema.ts';
import { datesSchema } from './schema/dates-schema.ts';
import type { Dates } from './schema/dates-schema.ts';
import { courseSchema, sectionSchema } from './schema/schema.ts';
import type { Course, Purpose, Section } from './schema/schema.ts';
import { ITEM_KINDS, traitsOf } from './schema/kinds.ts';
import type { ItemKind } from './schema/kinds.ts';

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

// The schemas' own defaults, asked once a kind.
const BLANK: Readonly<Record<string, Item>> = Object.fromEntries(
  ITEM_KINDS.map((kind) => {
    const bare = { id: 'x', kind, title: 'x', shown: true };
    const { part, address: leads } = traitsOf({ kind });
    const minutes = part === 'content' ? { minutes: null } : {};
    const address = leads === 'out' ? { address: null } : {};
    const items = part === 'holder' ? { items: [] } : {};
    return [kind, itemSchema.parse({ ...bare, ...minutes, ...address, ...items })];
  }),
);

const BLANK_SECTION = sectionSchema.parse({
  id: 'x',
  kind: 'section',
  title: null,
  shown: true,
  outside: false,
  items: [],
});

/** An item of a kind, with nothing in it but what is given. */
export function newItem<K extends ItemKind>(
  kind: K,
  given: { readonly id: string; readonly title: string } & Partial<Extract<Item, { kind: K }>>,
): Extract<Item, { kind: K }> {
  return { ...(BLANK[kind] as Extract<Item, { kind: K }>), ...given };
}

/** As `newItem`, counted as the course has it for new items of its kind. */
export function newItemIn<K extends ItemKind>(
  { usualDone }: Pick<Course, 'usualDone'>,
  kind: K,
  given: { readonly id: string; readonly title: string } & Partial<Extract<Item, { kind: K }>>,
): Extract<Item, { kind: K }> {
  const made = newItem(kind, given);
  const usual = usualDone[kind] ?? null;
  return 'done' in made && usual !== null && !('done' in given) ? { ...made, done: usual } : made;
}

export function newSection(given: { readonly id: string } & Partial<Section>): Section {
  return { ...BLANK_SECTION, ...given };
}

export function newDates(given: Pick<Dates, 'firstDay' | 'weeks' | 'zone'> & Partial<Dates>): Dates {
  return {
    ...datesSchema.parse({ format: 'weeks', firstDay: null, weeks: 1, zone: 'UTC', weekStart: 1 }),
    ...given,
  };
}

export function newCourse(start: NewCourse): Course {
  const { sectionIds, firstDay, weeks, zone, ...head } = start;
  return courseSchema.parse({
    ...head,
    state: 'draft',
    description: null,
    tags: [],
    dates: newDates({ firstDay, weeks, zone }),
    sections: sectionIds.map((id) => newSection({ id })),
  });
}
