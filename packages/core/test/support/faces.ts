/** Random menus, home pages, announcements and contacts on the random courses, for the property tests. */
import fc from 'fast-check';
import { AREAS, arriveSchema, MAX_LABEL, panelSchema, planCourse } from '../../src/index.ts';
import type { Announcement, Contact, Course, Leads, MenuEntry, Panel } from '../../src/index.ts';
import { course, moment } from './arbitraries.ts';

/** Items of the random courses, in folders too, and one that no course has. */
const someItem = fc.constantFrom('s0i0', 's0i1', 's1i0', 's1i1', 's2i0', 's0i0f', 'gone');
const often = fc.constantFrom(true, true, true, false);
const seldom = fc.constantFrom(false, false, false, true);

const leads: fc.Arbitrary<Leads> = fc.oneof(
  { weight: 5, arbitrary: fc.constantFrom(...AREAS).map((area) => ({ to: 'area' as const, area })) },
  { weight: 5, arbitrary: someItem.map((item) => ({ to: 'item' as const, item })) },
  fc.constantFrom('https://tides.example/now', 'http://tides.example/', 'https://library').map((address) => ({
    to: 'address' as const,
    address,
  })),
  fc.constantFrom('help', 'gone').map((page) => ({ to: 'institution' as const, page })),
  fc.constant({ to: 'divider' as const }),
  fc
    .constantFrom('learn' as const, 'get_help' as const, 'own' as const)
    .map((group) => ({ to: 'group' as const, group })),
);

export const menuEntry: fc.Arbitrary<MenuEntry> = fc.record({
  leads,
  names: fc.constantFrom({}, { en: 'Shore' }, { es: 'Costa', ar: 'الشاطئ' }, { fr: 'x'.repeat(MAX_LABEL) }),
  at: fc.double({ min: 0, max: 100, noNaN: true }),
  shown: often,
  staffOnly: seldom,
  removed: seldom,
});

const table = <T>(one: fc.Arbitrary<T>, most: number): fc.Arbitrary<Record<string, T>> =>
  fc
    .array(one, { maxLength: most })
    .map((all) => Object.fromEntries(all.map((value, at) => [`e${at}`, value])));

const announcement: fc.Arbitrary<Announcement> = fc.record({
  subject: fc.constantFrom('Boots', 'Boats'),
  text: fc.constantFrom(null, '3'.repeat(64)),
  files: fc.constant([]),
  pinned: seldom,
  from: moment,
  until: fc.option(moment, { nil: null }),
  comments: fc.boolean(),
  ready: often,
});

const blank = { reach: null, hours: null, phone: null, link: null, picture: null };
const contact: fc.Arbitrary<Contact> = fc.oneof(
  fc.record({
    ...Object.fromEntries(Object.entries(blank).map(([key, value]) => [key, fc.constant(value)])),
    who: fc.constant('staff' as const),
    person: fc.constantFrom('p0', 'p1', 'gone'),
    mailShown: fc.boolean(),
    at: fc.nat({ max: 9 }),
    shown: often,
  }) as unknown as fc.Arbitrary<Contact>,
  fc.constant({ ...blank, who: 'other' as const, name: 'Shed', does: null, mail: null, at: 3, shown: true }),
);

const panel: fc.Arbitrary<Panel> = fc
  .record({
    kind: fc.constantFrom(
      'announcements',
      'next',
      'carry_on',
      'outline',
      'contact',
      'progress',
      'week',
      'about',
    ),
    column: fc.constantFrom('main', 'side'),
    at: fc.nat({ max: 20 }),
    shown: often,
  })
  .map((given) => panelSchema.parse(given));

const arrive = fc
  .oneof(
    fc.constantFrom('home', 'sections', 'announcements', 'current', 'left_off').map((at) => ({ at })),
    someItem.map((item) => ({ at: 'page', item })),
  )
  .map((given) => arriveSchema.parse(given));

/** A random course with a face of its own. */
export const facedCourse: fc.Arbitrary<Course> = fc
  .tuple(
    course,
    fc.record({
      menu: table(menuEntry, 12),
      areas: fc
        .subarray([...AREAS], { maxLength: 3 })
        .map((off) => Object.fromEntries(off.map((area) => [area, 'off'])) as Course['areas']),
      panels: table(panel, 8),
      announcements: table(announcement, 6),
      contacts: table(contact, 3),
      arrive,
      firstArrive: fc.option(arrive, { nil: null }),
      state: fc.constantFrom(
        'live' as const,
        'live' as const,
        'live' as const,
        'draft' as const,
        'archived' as const,
      ),
    }),
  )
  .map(([base, face]) => ({ ...base, ...face }));

export const FACTS = {
  pages: [
    {
      id: 'help',
      use: 'help' as const,
      names: { en: 'Help' },
      address: 'https://help.example/',
      beside: null,
    },
  ],
  staff: [
    { id: 'p0', name: 'Ines', mail: 'ines@college.example', role: 'instructor' as const },
    { id: 'p1', name: 'Adaeze', mail: 'adaeze@college.example', role: 'assistant' as const },
  ],
};

/** A moment at which something is going on: in a week, or some days before what is due, held or opening. */
export function busyMoment(of: Course, pick: number): string {
  const plan = planCourse(of);
  const resolved = plan.sections.flatMap(({ moments }) =>
    [...moments.values()].flatMap(({ due, held, opens }) => [due, held, opens]),
  );
  const ahead = resolved.flatMap((one) =>
    one?.kind === 'at' ? [one.instant - (pick % 9) * 86_400_000] : [],
  );
  const weeks = plan.slots.map(({ first }) => Date.parse(`${first}T12:00:00Z`));
  const all = [...ahead, ...weeks];
  const instant = all[pick % Math.max(1, all.length)] ?? Date.parse('2027-01-12T09:00:00Z');
  return new Date(instant).toISOString();
}
