/** Random courses and random changes to them, for the property tests. */
import fc from 'fast-check';
import type { Change, Course, CourseNode, Edit, Item, Section } from '../src/index.ts';

const title = fc.string({ unit: 'grapheme', minLength: 1, maxLength: 12 }).map((text) => text.trim() || 'x');
const hash = fc.nat({ max: 9 }).map((digit) => String(digit).repeat(64));
const minutes = fc.option(fc.nat({ max: 300 }), { nil: null });

export const item = (id: string): fc.Arbitrary<Item> =>
  fc.oneof(
    fc.record({
      id: fc.constant(id),
      kind: fc.constant('page' as const),
      title,
      text: fc.option(hash, { nil: null }),
      minutes,
      shown: fc.boolean(),
      removed: fc.constant(false),
    }),
    fc.record({
      id: fc.constant(id),
      kind: fc.constant('link' as const),
      title,
      address: fc.option(fc.constant('https://tides.example/a'), { nil: null }),
      minutes,
      shown: fc.boolean(),
      removed: fc.constant(false),
    }),
  );

export const section = (id: string, itemIds: readonly string[]): fc.Arbitrary<Section> =>
  fc.record({
    id: fc.constant(id),
    kind: fc.constant('section' as const),
    title: fc.option(title, { nil: null }),
    shown: fc.boolean(),
    removed: fc.constant(false),
    outside: fc.boolean(),
    items: fc.tuple(...itemIds.map((itemId) => item(itemId))).map((items) => [...items]),
  });

export const day = fc
  .date({ min: new Date('2020-01-01T00:00:00Z'), max: new Date('2035-12-31T00:00:00Z'), noInvalidDate: true })
  .map((date) => date.toISOString().slice(0, 10));

export const zone = fc.constantFrom(
  'Europe/Lisbon',
  'America/Santiago',
  'Asia/Kathmandu',
  'Pacific/Apia',
  'UTC',
);

/** Courses of up to six sections with up to four items each; ids s0…, s0i0…. */
export const course: fc.Arbitrary<Course> = fc.array(fc.nat({ max: 4 }), { maxLength: 6 }).chain((sizes) =>
  fc.record({
    id: fc.constant('course'),
    title,
    code: fc.constantFrom('EFM-210', 'A', 'b.2'),
    purpose: fc.constantFrom('learners' as const, 'practice' as const, 'circle' as const),
    state: fc.constantFrom('draft' as const, 'live' as const, 'archived' as const),
    department: fc.option(fc.constant('ECO'), { nil: null }),
    term: fc.constant(null),
    description: fc.option(hash, { nil: null }),
    tags: fc.array(fc.constantFrom('a', 'b', 'c'), { maxLength: 3 }),
    dates: fc.record({
      format: fc.constant('weeks' as const),
      firstDay: fc.option(day, { nil: null }),
      weeks: fc.integer({ min: 1, max: 20 }),
      zone,
      weekStart: fc.integer({ min: 1, max: 7 }),
    }),
    sections: fc
      .tuple(
        ...sizes.map((size, at) =>
          section(
            `s${at}`,
            Array.from({ length: size }, (_, index) => `s${at}i${index}`),
          ),
        ),
      )
      .map((sections) => [...sections]),
  }),
);

/** What an edit is made from: numbers that are turned into ids of the course as it then stands. */
export interface Move {
  readonly kind: 'set' | 'insert' | 'move' | 'remove' | 'revive';
  readonly a: number;
  readonly b: number;
  readonly c: number;
  readonly text: string;
}

export const move: fc.Arbitrary<Move> = fc.record({
  kind: fc.constantFrom('set', 'set', 'insert', 'move', 'move', 'remove', 'revive'),
  a: fc.nat({ max: 999 }),
  b: fc.nat({ max: 999 }),
  c: fc.nat({ max: 999 }),
  text: title,
});

const pick = <T>(values: readonly T[], at: number): T | undefined => values[at % Math.max(values.length, 1)];

/** An edit that makes sense for the course as it stands, tombstones included; null when there is none. */
export function editFor(course: Course, step: Move, freshId: string): Edit | null {
  const everything = course.sections.flatMap((one) => [one, ...one.items]);
  const node = pick(everything, step.a);
  const isItem = node !== undefined && node.kind !== 'section';
  const parent = isItem ? pick(course.sections, step.b)?.id : course.id;
  const siblings: readonly CourseNode[] = isItem
    ? (course.sections.find(({ id }) => id === parent)?.items ?? [])
    : course.sections;
  const after = step.c % 4 === 0 ? null : (pick(siblings, step.c)?.id ?? null);
  switch (step.kind) {
    case 'set': {
      if (step.b % 5 === 0 || node === undefined) {
        return step.c % 2 === 0
          ? { kind: 'set', target: course.id, field: 'title', value: step.text, was: course.title }
          : {
              kind: 'set',
              target: course.id,
              field: 'dates.weeks',
              value: (step.c % 20) + 1,
              was: course.dates.weeks,
            };
      }
      return step.c % 2 === 0
        ? { kind: 'set', target: node.id, field: 'title', value: step.text, was: node.title }
        : { kind: 'set', target: node.id, field: 'shown', value: !node.shown, was: node.shown };
    }
    case 'insert': {
      const base = { id: freshId, title: step.text, shown: step.b % 2 === 0, removed: false };
      if (step.c % 3 === 0 || course.sections.length === 0) {
        const last = pick(course.sections, step.a)?.id ?? null;
        const inner: Item = { ...base, id: `${freshId}i`, kind: 'link', address: null, minutes: 3 };
        return {
          kind: 'insert',
          parent: course.id,
          after: last,
          node: { ...base, kind: 'section', outside: false, items: [inner] },
        };
      }
      const home = pick(course.sections, step.b) as Section;
      const neighbour = pick(home.items, step.c)?.id ?? null;
      return {
        kind: 'insert',
        parent: home.id,
        after: neighbour,
        node: { ...base, kind: 'page', text: null, minutes: null },
      };
    }
    case 'move':
      return node === undefined || parent === undefined
        ? null
        : { kind: 'move', target: node.id, parent, after };
    case 'remove':
      return node === undefined ? null : { kind: 'remove', target: node.id };
    case 'revive': {
      const gone = pick(
        everything.filter(({ removed }) => removed),
        step.a,
      );
      if (gone === undefined) return null;
      const home = course.sections.find((one) => one.items.some(({ id }) => id === gone.id));
      return { kind: 'insert', parent: home?.id ?? course.id, after: gone.id, node: gone };
    }
  }
}

export function changeFor(course: Course, steps: readonly Move[], id: string): Change | null {
  const edits = steps.flatMap((step, at) => {
    const edit = editFor(course, step, `${id}n${at}`);
    return edit === null ? [] : [edit];
  });
  return edits.length === 0 ? null : { id, edits };
}

/** A small course by hand: two sections, with items a1, a2, a3 and b1. */
export function smallCourse(): Course {
  const page = (id: string): Item => ({
    id,
    kind: 'page',
    title: id,
    text: null,
    minutes: 10,
    shown: true,
    removed: false,
  });
  const part = (id: string, items: Item[]): Section => ({
    id,
    kind: 'section',
    title: id,
    shown: true,
    removed: false,
    outside: false,
    items,
  });
  return {
    id: 'course',
    title: 'Estuary Field Methods',
    code: 'EFM-210',
    purpose: 'learners',
    state: 'draft',
    department: null,
    term: null,
    description: null,
    tags: [],
    dates: { format: 'weeks', firstDay: '2027-01-11', weeks: 2, zone: 'Europe/Lisbon', weekStart: 1 },
    sections: [part('A', [page('a1'), page('a2'), page('a3')]), part('B', [page('b1')])],
  };
}
