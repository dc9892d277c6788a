/** Random changes to whatever course stands, for the property tests. */
import fc from 'fast-check';
import { newItem, newSection, subtree } from '../../src/index.ts';
import type { Change, Course, CourseNode, Edit, Holder } from '../../src/index.ts';
import { title } from './arbitraries.ts';

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

const holders = (course: Course): readonly Holder[] =>
  course.sections
    .flatMap((one) => subtree(one))
    .filter((node): node is Holder => node.kind === 'section' || node.kind === 'folder');

/** An edit that makes sense for the course as it stands, tombstones included; null when there is none. */
function editFor(course: Course, step: Move, freshId: string): Edit | null {
  const everything = course.sections.flatMap((one) => subtree(one));
  const node = pick(everything, step.a);
  const isItem = node !== undefined && node.kind !== 'section';
  const home = isItem ? pick(holders(course), step.b) : undefined;
  const parent = isItem ? home?.id : course.id;
  const siblings: readonly CourseNode[] = isItem ? (home?.items ?? []) : course.sections;
  const after = step.c % 4 === 0 ? null : (pick(siblings, step.c)?.id ?? null);
  switch (step.kind) {
    case 'set':
      return setFor(course, step, node);
    case 'insert':
      return insertFor(course, step, freshId);
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
      const held = holders(course).find((one) => one.items.some(({ id }) => id === gone.id));
      return { kind: 'insert', parent: held?.id ?? course.id, after: gone.id, node: gone };
    }
  }
}

function setFor(course: Course, step: Move, node: CourseNode | undefined): Edit {
  if (node !== undefined && step.b % 5 !== 0) {
    return step.c % 2 === 0
      ? { kind: 'set', target: node.id, field: 'title', value: step.text, was: node.title }
      : { kind: 'set', target: node.id, field: 'shown', value: !node.shown, was: node.shown };
  }
  const set = (field: string, value: Extract<Edit, { kind: 'set' }>['value'], was: typeof value): Edit => ({
    kind: 'set',
    target: course.id,
    field,
    value,
    was,
  });
  const outcome = course.outcomes['o1'] ?? null;
  switch (step.c % 4) {
    case 0:
      return set('title', step.text, course.title);
    case 1:
      return set('dates.weeks', (step.c % 20) + 1, course.dates.weeks);
    case 2:
      return set('outcomes.o1', step.a % 3 === 0 ? null : { text: step.text, at: step.a }, outcome);
    default:
      return set('dates.handIn', { weekday: (step.a % 7) + 1, time: '22:00' }, course.dates.handIn);
  }
}

function insertFor(course: Course, step: Move, freshId: string): Edit {
  const shown = step.b % 2 === 0;
  if (step.c % 3 === 0 || course.sections.length === 0) {
    const last = pick(course.sections, step.a)?.id ?? null;
    const inner = newItem('folder', {
      id: `${freshId}i`,
      title: step.text,
      items: [newItem('link', { id: `${freshId}l`, title: step.text, minutes: 3 })],
    });
    const node = newSection({ id: freshId, title: step.text, shown, items: [inner] });
    return { kind: 'insert', parent: course.id, after: last, node };
  }
  const home = pick(holders(course), step.b) as Holder;
  const neighbour = pick(home.items, step.c)?.id ?? null;
  const node = newItem('page', { id: freshId, title: step.text, shown });
  return { kind: 'insert', parent: home.id, after: neighbour, node };
}

export function changeFor(course: Course, steps: readonly Move[], id: string): Change | null {
  const edits = steps.flatMap((step, at) => {
    const edit = editFor(course, step, `${id}n${at}`);
    return edit === null ? [] : [edit];
  });
  return edits.length === 0 ? null : { id, edits };
}
