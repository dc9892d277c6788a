/** What stands in no list, for whoever has its address. */
import { expect, test } from '@jest/globals';
import { copySection, newItem, newSection, planCourse, unlistedItem } from '../../src/index.ts';
import type { Course, Item, Viewer } from '../../src/index.ts';
import { smallCourse } from '../support/arbitraries.ts';

const LEARNER: Viewer = { role: 'learner', institutionStaff: false };
const NOW = '2027-01-20T12:00:00Z';
const page = (id: string, more: object = {}): Item =>
  newItem('page', { id, title: id, listed: false, ...more });
const course = (...items: Item[]): Course => ({
  ...smallCourse(),
  state: 'live',
  sections: [
    newSection({ id: 'S', title: 'Cores', items: [newItem('page', { id: 'listed', title: 'L' }), ...items] }),
  ],
});

test('is given to whoever gets it, with what its list would have said', () => {
  const of = course(page('p', { minutes: 12 }));
  const expected = { id: 'p', title: 'p', kind: 'page', minutes: 12, state: 'open', items: [] };
  expect(unlistedItem(of, LEARNER, NOW, 'p')).toMatchObject(expected);
  expect(unlistedItem(of, LEARNER, NOW, 'p', planCourse(of))).toEqual(unlistedItem(of, LEARNER, NOW, 'p'));
  expect(unlistedItem(of, LEARNER, NOW, 'listed')).toMatchObject({ id: 'listed' });
});

test('is nothing to whoever does not, and neither is a section or what is not there', () => {
  const later = { kind: 'fixed', day: '2027-03-01', time: '08:00' } as const;
  const of = course(page('hidden', { shown: false }), page('later', { opens: later }));
  for (const id of ['hidden', 'later', 'S', 'never-was'])
    expect(unlistedItem(of, LEARNER, NOW, id)).toBeNull();
  expect(unlistedItem(of, { role: null, institutionStaff: false }, NOW, 'listed')).toBeNull();
  const folder = newItem('folder', { id: 'f', title: 'F', items: [page('in')] });
  expect(unlistedItem(course(folder), LEARNER, NOW, 'in')).toMatchObject({ id: 'in' });
});

test('the rules of a copied unit are about the copies, and its moments move along', () => {
  const from = {
    kind: 'from' as const,
    moment: { kind: 'fixed' as const, day: '2027-01-12', time: '08:00' },
  };
  const when = {
    kind: 'all' as const,
    of: [
      from,
      { kind: 'done' as const, items: ['a', 'elsewhere'] },
      {
        kind: 'any' as const,
        of: [{ kind: 'scored' as const, item: 'a', least: 50 }, { kind: 'before' as const }],
      },
    ],
  };
  const until = { kind: 'fixed' as const, day: '2027-01-15', time: null };
  const base = course();
  const unit = newSection({
    id: 'U',
    title: 'Unit',
    items: [
      newItem('page', { id: 'a', title: 'A' }),
      newItem('page', { id: 'b', title: 'B', rule: { when, until, then: 'look' } }),
    ],
  });
  const of: Course = { ...base, sections: [unit] };
  let made = 0;
  const edits = copySection(of, 'U', 2, { title: 'Unit #', from: 3 }, () => `n${(made += 1)}`);
  const copy = (edits[0] as { node: { items: Item[] } }).node;
  const [a, b] = copy.items;
  const rule = b?.rule;
  expect(rule?.when.of[1]).toEqual({ kind: 'done', items: [a?.id, 'elsewhere'] });
  expect(rule?.when.of[2]).toEqual({
    kind: 'any',
    of: [{ kind: 'scored', item: a?.id, least: 50 }, { kind: 'before' }],
  });
  expect(rule?.then).toBe('look');
  const first = planCourse(of).sections[0]?.span;
  expect(first?.kind).toBe('slot');
  expect(rule?.when.of[0]).toMatchObject({ kind: 'from', moment: { kind: 'relative', time: '08:00' } });
  expect(rule?.until).toMatchObject({
    kind: 'relative',
    anchor: { of: 'section', at: 'start', section: null },
  });
  expect(edits.map((edit) => edit.kind === 'insert' && edit.node.title)).toEqual(['Unit 3', 'Unit 4']);
});
