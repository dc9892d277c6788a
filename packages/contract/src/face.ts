/** What stands around a course's pages: menu, look, pictures; announcements and contacts; the institution's pages. */
import {
  areaSchema,
  coursePictureSchema,
  fileSchema,
  headingFaceSchema,
  institutionPageSchema,
  languageSchema,
  menuEntrySchema,
  menuGroupSchema,
  roleNameSchema,
  storableSchema,
  timeSchema,
  titleSchema,
  wordsSchema,
} from '@itinerary/core';
import type {
  AnnouncementView,
  Area,
  ContactView,
  CoursePicture,
  CourseFileRef,
  CourseState,
  AccessState,
  InstitutionPage,
  Language,
  LookView,
  Menu,
  MenuView,
  RoleName,
  StaffProfile,
} from '@itinerary/core';
import { z } from 'zod';

const paletteSchema = z.record(z.string(), z.string());

/** Null colours: the product's own. */
const lookViewSchema = z.object({
  seed: z.string().nullable(),
  colours: z.object({ light: paletteSchema, dark: paletteSchema }).nullable(),
  heading: headingFaceSchema,
  size: z.enum(['small', 'usual', 'large']),
  density: z.enum(['airy', 'dense']),
  corners: z.enum(['square', 'eased', 'round']),
});

/** A picture as it is shown; `version` changes with it, so that its address can be kept for good. */
const pictureViewSchema = z.object({
  version: z.string(),
  /** Empty: it is decoration. */
  alt: z.string(),
  author: z.string().nullable(),
  licence: z.string().nullable(),
});
export type PictureView = z.infer<typeof pictureViewSchema>;

const menuItemViewSchema = z.object({
  id: z.string(),
  to: z.enum(['area', 'item', 'address', 'institution', 'divider']),
  area: areaSchema.nullable(),
  item: z.string().nullable(),
  address: z.string().nullable(),
  names: wordsSchema,
  title: z.string().nullable(),
  staffOnly: z.boolean(),
});
const linkViewSchema = z.object({ names: wordsSchema, address: z.string() });
const menuViewSchema = z.object({
  groups: z.array(
    z.object({
      id: z.string().nullable(),
      group: menuGroupSchema.nullable(),
      names: wordsSchema,
      entries: z.array(menuItemViewSchema),
    }),
  ),
  site: linkViewSchema.nullable(),
  help: z.record(z.string(), linkViewSchema),
});

export const contactViewSchema = z.object({
  id: z.string(),
  name: z.string(),
  role: z.enum(['instructor', 'assistant']).nullable(),
  does: z.string().nullable(),
  mail: z.string().nullable(),
  phone: z.string().nullable(),
  link: z.string().nullable(),
  reach: z.string().nullable(),
  hours: z.string().nullable(),
  picture: coursePictureSchema.nullable(),
});

export const frameSchema = z.object({
  id: z.string(),
  title: z.string(),
  code: z.string(),
  state: z.enum(['draft', 'live', 'archived']),
  access: z.enum(['absent', 'named', 'look', 'open']),
  zone: z.string(),
  institution: z.string(),
  menu: menuViewSchema,
  menuPlace: z.enum(['top', 'side']),
  /** Areas that have a page of their own for this reader now. */
  areas: z.array(areaSchema),
  look: lookViewSchema,
  language: languageSchema.nullable(),
  languageHeld: z.boolean(),
  roleNames: z.record(z.string(), roleNameSchema),
  banner: pictureViewSchema.nullable(),
  /** Whom one can turn to: on their own page, on the home page, and in texts. */
  contacts: z.array(contactViewSchema),
  /** Announcements since this reader's last visit. */
  unread: z.int(),
  isMember: z.boolean(),
  mayPlan: z.boolean(),
});
export interface FrameAnswer {
  readonly id: string;
  readonly title: string;
  readonly code: string;
  readonly state: CourseState;
  readonly access: AccessState;
  readonly zone: string;
  readonly institution: string;
  readonly menu: MenuView;
  readonly menuPlace: 'top' | 'side';
  readonly areas: readonly Area[];
  readonly look: LookView;
  readonly language: Language | null;
  readonly languageHeld: boolean;
  readonly roleNames: Readonly<Record<string, RoleName>>;
  readonly banner: PictureView | null;
  readonly contacts: readonly ContactView[];
  readonly unread: number;
  readonly isMember: boolean;
  readonly mayPlan: boolean;
}

export const momentViewSchema = z.object({
  day: z.iso.date(),
  time: timeSchema.nullable(),
  instant: z.iso.datetime(),
});

const announcementViewSchema = z.object({
  id: z.string(),
  subject: z.string(),
  text: z.string().nullable(),
  files: z.array(fileSchema),
  pinned: z.boolean(),
  comments: z.boolean(),
  from: momentViewSchema,
});

const aheadViewSchema = z.object({
  what: z.enum(['due', 'held', 'opens']),
  id: z.string(),
  kind: z.string().nullable(),
  number: z.string().nullable(),
  title: z.string().nullable(),
  moment: momentViewSchema,
});

const placedPanel = { id: z.string(), column: z.enum(['main', 'side']) };
const panelViewSchema = z.discriminatedUnion('kind', [
  z.object({ ...placedPanel, kind: z.literal('welcome'), text: z.string() }),
  z.object({
    ...placedPanel,
    kind: z.literal('announcements'),
    announcements: z.array(announcementViewSchema),
    more: z.int(),
  }),
  z.object({ ...placedPanel, kind: z.literal('next'), ahead: z.array(aheadViewSchema), days: z.int() }),
  z.object({ ...placedPanel, kind: z.literal('picture'), picture: coursePictureSchema }),
  z.object({ ...placedPanel, kind: z.literal('contact'), contacts: z.array(contactViewSchema) }),
  z.object({
    ...placedPanel,
    kind: z.literal('progress'),
    share: z.object({ done: z.int(), counted: z.int() }),
  }),
  z.object({
    ...placedPanel,
    kind: z.literal('week'),
    week: z.object({
      days: z.array(z.object({ day: z.iso.date(), events: z.array(aheadViewSchema) })),
    }),
  }),
  z.object({ ...placedPanel, kind: z.enum(['carry_on', 'outline', 'about']) }),
]);

export const homeViewSchema = z.object({
  columns: z.union([z.literal(1), z.literal(2)]),
  panels: z.array(panelViewSchema),
});

export const announcementsSchema = z.object({
  announcements: z.array(
    announcementViewSchema.extend({
      html: z.string().nullable(),
      /** It has come since this reader's last visit. */
      isNew: z.boolean(),
      commentCount: z.int(),
    }),
  ),
});
export interface AnnouncementsAnswer {
  readonly announcements: readonly (AnnouncementView & {
    readonly html: string | null;
    readonly isNew: boolean;
    readonly commentCount: number;
  })[];
}

export const MAX_COMMENT = 2000;
export const newCommentSchema = z.strictObject({ text: storableSchema.trim().min(1).max(MAX_COMMENT) });
export const commentsSchema = z.object({
  comments: z.array(
    z.object({
      id: z.string(),
      name: z.string(),
      at: z.iso.datetime(),
      text: z.string(),
      /** This reader may take it away: their own, or any for whoever plans the course. */
      mayRemove: z.boolean(),
      /** It has been taken away, and this reader may bring it back; to others it is not there. */
      isRemoved: z.boolean(),
    }),
  ),
  mayComment: z.boolean(),
});
export type CommentsAnswer = z.infer<typeof commentsSchema>;

/** What setup needs besides the course: the institution's pages, and who is on the staff. */
export const faceFactsSchema = z.object({
  pages: z.array(institutionPageSchema),
  staff: z.array(
    z.object({
      id: z.string(),
      name: z.string(),
      mail: z.string(),
      role: z.enum(['instructor', 'assistant']),
    }),
  ),
});
export interface FaceFactsAnswer {
  readonly pages: readonly InstitutionPage[];
  readonly staff: readonly StaffProfile[];
}

export const institutionPageBodySchema = institutionPageSchema.omit({ id: true });
export const institutionPagesSchema = z.object({ pages: z.array(institutionPageSchema) });
export interface InstitutionPagesAnswer {
  readonly pages: readonly InstitutionPage[];
}

const menuSchema = z.record(z.string(), menuEntrySchema);
export const newMenuTemplateSchema = z.strictObject({ name: titleSchema, menu: menuSchema });
export const menuTemplatesSchema = z.object({
  templates: z.array(z.object({ id: z.string(), name: z.string(), menu: menuSchema })),
});
export interface MenuTemplatesAnswer {
  readonly templates: readonly { readonly id: string; readonly name: string; readonly menu: Menu }[];
}

/** A picture that is ready to be used in this course. */
export const takenPictureSchema = z.object({ file: fileSchema, width: z.int(), height: z.int() });
export type TakenPicture = z.infer<typeof takenPictureSchema>;
export interface PictureChoice extends Pick<CoursePicture, 'width' | 'height'> {
  readonly file: CourseFileRef;
}

export const takePictureSchema = z.discriminatedUnion('from', [
  /** From the library that ships with the product. */
  z.strictObject({ from: z.literal('library'), id: z.string().max(60) }),
  /** From another course that one plans. */
  z.strictObject({
    from: z.literal('course'),
    course: z.string().max(64),
    hash: z.string().regex(/^[0-9a-f]{64}$/),
  }),
]);
export type TakePicture = z.infer<typeof takePictureSchema>;

export const ownPicturesSchema = z.object({
  pictures: z.array(
    z.object({
      course: z.string(),
      code: z.string(),
      title: z.string(),
      file: fileSchema,
    }),
  ),
});
export type OwnPicturesAnswer = z.infer<typeof ownPicturesSchema>;

export const librarySchema = z.object({
  pictures: z.array(
    z.object({
      id: z.string(),
      title: z.string(),
      author: z.string(),
      licence: z.string(),
      tags: z.array(z.string()),
    }),
  ),
});
export type LibraryAnswer = z.infer<typeof librarySchema>;
