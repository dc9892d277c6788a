/** The menu of a course: where it leads, in which order, for whom; and where one arrives. */
import { z } from 'zod';
import { addressSchema, idSchema } from './basics.ts';
import { wordsSchema } from './words-schema.ts';

/** Parts of the course that are a page of their own and fill themselves from what is in it. */
export const AREAS = [
  'home',
  'sections',
  'announcements',
  'assignments',
  'quizzes',
  'discussions',
  'meetings',
  'files',
  'guide',
  'members',
  'contact',
  'syllabus',
] as const;
export const areaSchema = z.enum(AREAS);
export type Area = z.infer<typeof areaSchema>;

/** Entries, dividers and groups, the removed ones counted. */
export const MAX_MENU = 200;

/** The groups that there are to begin with; `own` has only the names that the course gives it. */
export const menuGroupSchema = z.enum(['learn', 'take_part', 'get_help', 'own']);
export type MenuGroup = z.infer<typeof menuGroupSchema>;

export const leadsSchema = z.discriminatedUnion('to', [
  z.strictObject({ to: z.literal('area'), area: areaSchema }),
  /** A page of the course, or another item that opens as one. */
  z.strictObject({ to: z.literal('item'), item: idSchema }),
  z.strictObject({ to: z.literal('address'), address: addressSchema }),
  /** A page of the institution, kept by its staff. */
  z.strictObject({ to: z.literal('institution'), page: idSchema }),
  z.strictObject({ to: z.literal('divider') }),
  /** What follows it, up to the next group, stands under its name. */
  z.strictObject({ to: z.literal('group'), group: menuGroupSchema }),
]);
export type Leads = z.infer<typeof leadsSchema>;

export const menuEntrySchema = z.strictObject({
  leads: leadsSchema,
  /** Instead of the name of what it leads to. */
  names: wordsSchema.default({}),
  /** Orders the menu. */
  at: z.number().min(0).max(1_000_000),
  shown: z.boolean().default(true),
  staffOnly: z.boolean().default(false),
  /** Out of the menu, and ready to be brought back; what it leads to is untouched. */
  removed: z.boolean().default(false),
});
export type MenuEntry = z.infer<typeof menuEntrySchema>;

/** Few, and nothing that a course may not have: what shows is what is in it. */
export const FIRST_MENU: Readonly<Record<string, MenuEntry>> = Object.fromEntries(
  (
    [
      ['home', { to: 'area', area: 'home' }],
      ['learn', { to: 'group', group: 'learn' }],
      ['sections', { to: 'area', area: 'sections' }],
      ['announcements', { to: 'area', area: 'announcements' }],
      ['guide', { to: 'area', area: 'guide' }],
      ['take_part', { to: 'group', group: 'take_part' }],
      ['discussions', { to: 'area', area: 'discussions' }],
      ['members', { to: 'area', area: 'members' }],
      ['get_help', { to: 'group', group: 'get_help' }],
      ['contact', { to: 'area', area: 'contact' }],
    ] as const
  ).map(([id, leads], index) => [
    id,
    { leads, names: {}, at: index + 1, shown: true, staffOnly: false, removed: false },
  ]),
);

export const arriveSchema = z.discriminatedUnion('at', [
  z.strictObject({ at: z.enum(['home', 'sections', 'announcements', 'current', 'left_off']) }),
  z.strictObject({ at: z.literal('page'), item: idSchema }),
]);
export type Arrive = z.infer<typeof arriveSchema>;
