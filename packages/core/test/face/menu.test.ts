import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  ANY_LEARNER,
  applyChange,
  arrivalAt,
  canSee,
  compareMenus,
  courseView,
  FIRST_MENU,
  isInArea,
  isReadable,
  isThere,
  menuEntries,
  menuView,
  newItem,
  newSection,
  reordered,
  resolveAccess,
  resolveMenu,
  takeAllOver,
  takeOver,
} from '../../src/index.ts';
import type {
  Area,
  Course,
  Item,
  ItemView,
  MenuAnswer,
  MenuEntry,
  MenuReason,
  Viewer,
} from '../../src/index.ts';
import { course, smallCourse, viewer } from '../support/arbitraries.ts';
import { busyMoment, facedCourse, FACTS, menuEntry } from '../support/faces.ts';
import { enough, FEW, runs } from '../support/runs.ts';

const NOW = '2027-01-20T09:00:00Z';

const entry = (leads: MenuEntry['leads'], more: Partial<MenuEntry> = {}): MenuEntry => ({
  leads,
  names: {},
  at: 1,
  shown: true,
  staffOnly: false,
  removed: false,
  ...more,
});
const live = (items: readonly Item[], more: Partial<Course> = {}): Course => ({
  ...smallCourse(),
  state: 'live',
  sections: [newSection({ id: 's', title: 'One', items: [...items] })],
  ...more,
});
const page = (id: string, more: Partial<Item> = {}): Item =>
  ({ ...newItem('page', { id, title: id, text: 'a'.repeat(64) }), ...more }) as Item;

describe('why an entry is not there for a learner', () => {
  const reasonOf = (of: Course, one: MenuEntry, who: Viewer = ANY_LEARNER): MenuReason['kind'] | 'seen' => {
    const [answer] = resolveMenu({ ...of, menu: { e: one } }, who, NOW, FACTS);
    return answer?.unseen?.kind ?? 'seen';
  };
  const area = (name: Area): MenuEntry => entry({ to: 'area', area: name });
  const item = (id: string): MenuEntry => entry({ to: 'item', item: id });
  const later = { opens: { kind: 'fixed' as const, day: '2027-03-01', time: null } };

  const cases: readonly (readonly [string, Course, MenuEntry, string])[] = [
    ['a page with words on it', live([page('p')]), item('p'), 'seen'],
    ['taken out', live([page('p')]), { ...item('p'), removed: true }, 'removed'],
    ['switched off', live([page('p')]), { ...item('p'), shown: false }, 'not_shown'],
    ['for staff only', live([page('p')]), { ...item('p'), staffOnly: true }, 'staff_only'],
    ['a page without words', live([page('p', { text: null } as Partial<Item>)]), item('p'), 'empty'],
    ['a page that opens later', live([page('p', later)]), item('p'), 'closed'],
    ['a page that is hidden', live([page('p', { shown: false })]), item('p'), 'not_theirs'],
    ['a page that is removed', live([page('p', { removed: true })]), item('p'), 'gone'],
    ['a page that never was', live([]), item('p'), 'gone'],
    ['a heading', live([newItem('heading', { id: 'h', title: 'H' })]), item('h'), 'gone'],
    ['an area with nothing in it', live([page('p')]), area('discussions'), 'empty'],
    ['an area', live([newItem('discussion', { id: 'd', title: 'D' })]), area('discussions'), 'seen'],
    [
      'an area, all of it closed',
      live([{ ...newItem('quiz', { id: 'q', title: 'Q' }), ...later }]),
      area('quizzes'),
      'closed',
    ],
    ['an area that is off', live([page('p')], { areas: { sections: 'off' } }), area('sections'), 'area_off'],
    ['announcements without any', live([]), area('announcements'), 'empty'],
    ['contact', live([]), area('contact'), 'seen'],
    ['a syllabus of nothing', live([], { description: null }), area('syllabus'), 'empty'],
    ['a page of the institution', live([]), entry({ to: 'institution', page: 'help' }), 'seen'],
    ['one that is gone', live([]), entry({ to: 'institution', page: 'gone' }), 'gone'],
    ['a draft', { ...live([page('p')]), state: 'draft' }, item('p'), 'course_closed'],
    ['a group with nothing below it', live([]), entry({ to: 'group', group: 'learn' }), 'nothing_below'],
  ];
  test.each(cases)('%s', (_what, of, one, reason) => expect(reasonOf(of, one)).toBe(reason));

  test('what is closed says until when', () => {
    const [answer] = resolveMenu(
      { ...live([page('p', later)]), menu: { e: item('p') } },
      ANY_LEARNER,
      NOW,
      FACTS,
    );
    expect(answer?.unseen).toEqual({ kind: 'closed', opensAt: Date.parse('2027-03-01T00:00:00Z') });
  });

  test('staff get what is for staff, and nobody gets more than they may open by being shown a menu', () => {
    const staff: Viewer = { role: 'instructor', institutionStaff: false };
    expect(reasonOf(live([page('p')]), { ...item('p'), staffOnly: true }, staff)).toBe('seen');
    expect(reasonOf(live([page('p')]), area('members'), { role: 'visitor', institutionStaff: false })).toBe(
      'not_theirs',
    );
  });
});

/** What an entry that is seen leads to is there, asked of the one answer about access. */
function leadsSomewhere(of: Course, who: Viewer, moment: string, { entry: { leads } }: MenuAnswer): boolean {
  const access = resolveAccess(of, who, moment);
  const view = courseView(of, who, moment);
  if (!isReadable(access.course.state) || view === null) return false;
  if (leads.to === 'item') return canSee(access.nodes.get(leads.item));
  if (leads.to !== 'area') return true;
  if (of.areas[leads.area] === 'off') return false;
  switch (leads.area) {
    case 'assignments':
    case 'quizzes':
    case 'discussions':
    case 'meetings':
    case 'files': {
      // What its page lists: items of the kind that open there.
      const flat = (items: readonly ItemView[]): readonly ItemView[] =>
        items.flatMap((item) => [item, ...flat(item.items)]);
      const listed = [
        ...flat(view.sections.flatMap(({ items }) => items)),
        ...(view.around === null ? [] : [view.around]),
      ];
      return listed.some((item) => isReadable(item.state) && isInArea(leads.area, item as unknown as Item));
    }
    case 'sections':
    case 'guide':
      return view.around !== null || view.sections.length > 0;
    case 'members':
      return who.role !== null || who.institutionStaff;
    default:
      return true;
  }
}

test('for any menu and any person, nothing that is seen leads to what they may not open', () => {
  let seen = 0;
  let unseen = 0;
  fc.assert(
    fc.property(facedCourse, viewer, fc.nat({ max: 200 }), (of, who, pick) => {
      const moment = busyMoment(of, pick);
      for (const answer of resolveMenu(of, who, moment, FACTS)) {
        const { to } = answer.entry.leads;
        if (answer.unseen !== null || to === 'group' || to === 'divider') {
          unseen += 1;
          continue;
        }
        seen += 1;
        expect({ answer, leads: leadsSomewhere(of, who, moment, answer) }).toMatchObject({ leads: true });
      }
      // What the learner's own page is given holds the same entries, and no others.
      const shown = menuView(of, who, moment, FACTS).groups.flatMap(({ entries }) =>
        entries.map(({ id }) => id),
      );
      const answered = resolveMenu(of, who, moment, FACTS).filter(
        ({ unseen: not, entry: { leads } }) => not === null && leads.to !== 'group',
      );
      expect(shown).toEqual(answered.map(({ id }) => id));
    }),
    { numRuns: runs(1500), seed: 51 },
  );
  expect(seen).toBeGreaterThan(enough(600));
  expect(unseen).toBeGreaterThan(enough(800));
});

test('for any course, arriving leads to what is there', () => {
  const kinds = new Set<string>();
  fc.assert(
    fc.property(facedCourse, viewer, fc.nat({ max: 200 }), fc.boolean(), (of, who, pick, isFirst) => {
      const moment = busyMoment(of, pick);
      const access = resolveAccess(of, who, moment);
      if (!isThere(access.course)) return;
      const arrival = arrivalAt(of, who, moment, { isFirst, last: 's0i0' }, FACTS);
      kinds.add(arrival.to);
      if ('id' in arrival) expect(canSee(access.nodes.get(arrival.id))).toBe(true);
    }),
    { numRuns: runs(1500, 2), seed: 52 },
  );
  const wanted = FEW ? ['home'] : ['home', 'item', 'section', 'sections'];
  expect([...kinds].sort()).toEqual(expect.arrayContaining(wanted));
});

describe('arriving', () => {
  const of = live([page('p'), page('q')], {
    arrive: { at: 'current' },
    firstArrive: { at: 'page', item: 'p' },
  });
  const at = (isFirst: boolean, moment: string, more: Partial<Course> = {}): unknown =>
    arrivalAt({ ...of, ...more }, ANY_LEARNER, moment, { isFirst, last: 'q' }, FACTS);

  test('the first time at the welcome page, later at the section that is on', () => {
    expect(at(true, NOW)).toEqual({ to: 'item', id: 'p' });
    expect(at(false, '2027-01-12T09:00:00Z')).toEqual({ to: 'section', id: 's' });
  });
  test('what cannot be had gives way', () => {
    expect(at(false, '2028-01-12T09:00:00Z')).toEqual({ to: 'home' });
    expect(at(false, '2028-01-12T09:00:00Z', { areas: { home: 'off' } })).toEqual({ to: 'sections' });
    expect(at(false, NOW, { arrive: { at: 'left_off' } })).toEqual({ to: 'item', id: 'q' });
  });
});

describe('order', () => {
  test('one entry changes its place, and the list is as it should be; after any number of moves', () => {
    fc.assert(
      fc.property(fc.array(fc.tuple(fc.nat({ max: 7 }), fc.nat({ max: 7 })), { maxLength: 80 }), (moves) => {
        let list = Array.from({ length: 8 }, (_, at) => [`e${at}`, { at: at + 1 }] as const);
        for (const [from, to] of moves) {
          const [id] = list[from] as (typeof list)[number];
          const ids = list.map(([one]) => one);
          ids.splice(from, 1);
          ids.splice(to, 0, id);
          const places = reordered(list, id, to);
          list = list
            .map(([one, { at }]) => [one, { at: places.get(one) ?? at }] as const)
            .sort(([, a], [, b]) => a.at - b.at);
          expect(list.map(([one]) => one)).toEqual(ids);
        }
      }),
      { numRuns: runs(200), seed: 53 },
    );
  });

  test('a place that is halved over and over is numbered anew in time', () => {
    let list: (readonly [string, { readonly at: number }])[] = ['a', 'b', 'c'].map((id, at) => [id, { at }]);
    for (let turn = 0; turn < 200; turn += 1) {
      const [, , last] = list as [unknown, unknown, readonly [string, unknown]];
      const places = reordered(list, last[0], 1);
      list = list
        .map(([id, { at }]) => [id, { at: places.get(id) ?? at }] as const)
        .sort(([, one], [, other]) => one.at - other.at);
      expect(new Set(list.map(([, { at }]) => at)).size).toBe(3);
    }
  });
});

describe('beside a template', () => {
  const menus = fc
    .array(menuEntry, { maxLength: 10 })
    .map((all): Course['menu'] => Object.fromEntries(all.map((one, at) => [`e${at}`, { ...one, at }])));

  test('a menu is like itself', () => {
    fc.assert(
      fc.property(menus, (menu) => expect(compareMenus(menu, menu)).toEqual([])),
      { numRuns: runs(200), seed: 54 },
    );
  });

  test('each difference taken over is one less, and all of them leave none', () => {
    let taken = 0;
    fc.assert(
      fc.property(course, menus, menus, (base, own, theirs) => {
        let of: Course = { ...base, menu: own };
        for (let turn = 0; turn < 60; turn += 1) {
          const [first] = compareMenus(of.menu, theirs);
          if (first === undefined) break;
          let made = 0;
          const edits = takeOver(of, theirs, first, () => `n${turn}-${(made += 1)}`);
          const applied = applyChange(of, { id: 'take', edits: [...edits] });
          expect(applied.ok).toBe(true);
          if (!applied.ok) return;
          of = applied.course;
          taken += 1;
          const left = compareMenus(of.menu, theirs).map(({ kind, key }) => `${kind} ${key}`);
          expect(left).not.toContain(`${first.kind} ${first.key}`);
        }
        expect(compareMenus(of.menu, theirs)).toEqual([]);
        // Pages of the course are its own, and stay where they are.
        const pages = (menu: Course['menu']): string[] =>
          menuEntries({ menu })
            .filter(([, { leads }]) => leads.to === 'item')
            .map(([id]) => id);
        expect(pages(of.menu)).toEqual(expect.arrayContaining(pages(own)));
      }),
      { numRuns: runs(300), seed: 55 },
    );
    expect(taken).toBeGreaterThan(enough(500));
  });

  test('all at once leave none either, with one edit for each entry that becomes another', () => {
    let several = 0;
    fc.assert(
      fc.property(course, menus, menus, (base, own, theirs) => {
        const of: Course = { ...base, menu: own };
        let made = 0;
        const edits = takeAllOver(of, theirs, () => `n${(made += 1)}`);
        const applied = applyChange(of, { id: 'take', edits: [...edits] });
        if (!applied.ok) throw new Error(applied.refusal.code);
        expect(compareMenus(applied.course.menu, theirs)).toEqual([]);
        const fields = edits.map((edit) => (edit.kind === 'set' ? edit.field : ''));
        expect(new Set(fields).size).toBe(fields.length);
        if (compareMenus(own, theirs).length > fields.length) several += 1;
      }),
      { numRuns: 300, seed: 56 },
    );
    // Entries that differed in more than one way came up.
    expect(several).toBeGreaterThan(10);
  });

  test('nothing of the first menu differs from itself', () =>
    expect(compareMenus(FIRST_MENU, FIRST_MENU)).toEqual([]));
});
