/** Rows, as MikroORM maps them. The migrations own the tables; these only read and write them. */
import { defineEntity } from '@mikro-orm/core';
import type { InferEntity } from '@mikro-orm/core';
import type {
  CourseNode,
  CourseState,
  Dates,
  Area,
  Edit,
  InstitutionPage,
  Menu,
  PlannedMoment,
  Purpose,
  Role,
  TextFacts,
  Words,
} from '@itinerary/core';
import type { DemoPart, KeptShape, ListCounts, PersonKind } from '@itinerary/contract';
import type { AppliedList, Named, WayKind } from '@itinerary/core/people';

export const InstitutionRow = defineEntity({
  name: 'InstitutionRow',
  tableName: 'institution',
  properties: (p) => ({
    id: p.string().primary(),
    name: p.string(),
    zone: p.string(),
    /** In megabytes: what no course may go beyond. */
    largestUpload: p.integer(),
  }),
});

export const DepartmentRow = defineEntity({
  name: 'DepartmentRow',
  tableName: 'department',
  properties: (p) => ({ institutionId: p.string().primary(), code: p.string().primary(), name: p.string() }),
});

export const TermRow = defineEntity({
  name: 'TermRow',
  tableName: 'term',
  properties: (p) => ({
    institutionId: p.string().primary(),
    code: p.string().primary(),
    name: p.string(),
    firstDay: p.string(),
    lastDay: p.string(),
  }),
});

export const HolidayRow = defineEntity({
  name: 'HolidayRow',
  tableName: 'holiday',
  properties: (p) => ({
    institutionId: p.string().primary(),
    id: p.string().primary(),
    name: p.string(),
    firstDay: p.string(),
    lastDay: p.string(),
  }),
});

export const PersonRow = defineEntity({
  name: 'PersonRow',
  tableName: 'person',
  properties: (p) => ({
    id: p.string().primary(),
    institutionId: p.string(),
    name: p.string(),
    /** What one signs in with; null: a place, which nobody has claimed yet. */
    address: p.string().nullable(),
    kind: p.string().$type<PersonKind>(),
    passwordHash: p.string(),
    /** The only course that a place is in. */
    placeIn: p.string().nullable(),
    /** What the person is for in the demo; null for everybody who is not offered as a card. */
    demoPart: p.string().$type<DemoPart>().nullable(),
  }),
});

export const CourseRow = defineEntity({
  name: 'CourseRow',
  tableName: 'course',
  properties: (p) => ({
    id: p.string().primary(),
    institutionId: p.string(),
    code: p.string(),
    title: p.string(),
    purpose: p.string().$type<Purpose>(),
    state: p.string().$type<CourseState>(),
    department: p.string().nullable(),
    term: p.string().nullable(),
    description: p.string().nullable(),
    tags: p.json<string[]>(),
    dates: p.json<Dates>(),
    settings: p.json<CourseSettings>(),
    /** The last sequence number given to a change. */
    seq: p.integer(),
    createdAt: p.string(),
  }),
});

/** What sections and items have beside the columns that lists and constraints need; core's schema says what. */
export type NodeSettings = Readonly<Record<string, unknown>>;

/** What a course has beside its columns: numbering, outcomes, limits, …; core's schema says what. */
export type CourseSettings = Readonly<Record<string, unknown>>;

export const NodeRow = defineEntity({
  name: 'NodeRow',
  tableName: 'node',
  properties: (p) => ({
    courseId: p.string().primary(),
    id: p.string().primary(),
    /** Null for a section. */
    parentId: p.string().nullable(),
    kind: p.string().$type<CourseNode['kind']>(),
    orderKey: p.string(),
    title: p.string().nullable(),
    shown: p.boolean(),
    removed: p.boolean(),
    settings: p.json<NodeSettings>(),
  }),
});

export const TextRow = defineEntity({
  name: 'TextRow',
  tableName: 'long_text',
  properties: (p) => ({
    courseId: p.string().primary(),
    hash: p.string().primary(),
    html: p.text(),
    /** Pictures and links; null for a text of words alone. */
    facts: p.json<TextFacts>().nullable(),
  }),
});

export const StoredFileRow = defineEntity({
  name: 'StoredFileRow',
  tableName: 'stored_file',
  properties: (p) => ({
    courseId: p.string().primary(),
    hash: p.string().primary(),
    /** In bytes. */
    size: p.integer(),
    /** The media type that was found in its content. */
    type: p.string(),
    /** Of a picture, in pixels; null for everything else. */
    width: p.integer().nullable(),
    height: p.integer().nullable(),
    createdAt: p.string(),
    /** Who sent it; null: it came with the demo or with a course file, or long ago. */
    by: p.string().nullable(),
  }),
});

export const ChangeRow = defineEntity({
  name: 'ChangeRow',
  tableName: 'change',
  properties: (p) => ({
    courseId: p.string().primary(),
    seq: p.integer().primary(),
    id: p.string(),
    authorId: p.string(),
    edits: p.json<Edit[]>(),
    undoes: p.string().nullable(),
    at: p.string(),
  }),
});

export const MemberRow = defineEntity({
  name: 'MemberRow',
  tableName: 'member',
  properties: (p) => ({
    courseId: p.string().primary(),
    personId: p.string().primary(),
    role: p.string().$type<Role>(),
    joinedAt: p.string(),
    /** When they left or were removed; they keep everything and can return. */
    leftAt: p.string().nullable(),
    leftHow: p.string().$type<'left' | 'removed'>().nullable(),
    /** The way by which they came. */
    way: p.string().$type<WayKind>().default('staff'),
    /** What lists and staff say of them in this course, where they say something. */
    listed: p.json<Named>().nullable(),
    /** A list, or the registry, has them. */
    isListed: p.boolean().default(false),
    /** Of a place without a key: the row that made it, cell for cell. */
    cells: p.text().nullable(),
  }),
});

/** A list that was taken into a course as one act. */
export const MemberListRow = defineEntity({
  name: 'MemberListRow',
  tableName: 'member_list',
  properties: (p) => ({
    courseId: p.string().primary(),
    /** Made by the client, and taken once. */
    id: p.string().primary(),
    turn: p.integer(),
    at: p.string(),
    by: p.string(),
    /** The file's name; empty: it was pasted. */
    source: p.string(),
    /** How its columns were read, for the next one that has the same headings. */
    shape: p.json<KeptShape>(),
    counts: p.json<ListCounts>(),
    /** Each member whom it touched, before (null: not there) and after. */
    touched: p.json<AppliedList['touched']>(),
    /** Ids of the classes and groups that it made. */
    made: p.json<string[]>(),
    undoneAt: p.string().nullable(),
    undoneBy: p.string().nullable(),
  }),
});

/** Groups and classes of the course document that somebody is in. */
export const MemberGroupRow = defineEntity({
  name: 'MemberGroupRow',
  tableName: 'member_group',
  properties: (p) => ({
    courseId: p.string().primary(),
    personId: p.string().primary(),
    groupId: p.string().primary(),
  }),
});

/** Moments of one person's own on one node; null: the node's. */
export const PersonExceptionRow = defineEntity({
  name: 'PersonExceptionRow',
  tableName: 'person_exception',
  properties: (p) => ({
    courseId: p.string().primary(),
    id: p.string().primary(),
    personId: p.string(),
    nodeId: p.string(),
    opens: p.json<PlannedMoment>().nullable(),
    due: p.json<PlannedMoment>().nullable(),
    until: p.json<PlannedMoment>().nullable(),
    /** Milliseconds since 1970-01-01T00:00Z. */
    at: p.float(),
  }),
});

/** What somebody has done of one item. */
export const DeedRow = defineEntity({
  name: 'DeedRow',
  tableName: 'deed',
  properties: (p) => ({
    courseId: p.string().primary(),
    personId: p.string().primary(),
    itemId: p.string().primary(),
    /** When it was done; null: it is not. */
    doneAt: p.string().nullable(),
    /** In percent of what can be reached. */
    score: p.float().nullable(),
  }),
});

export const CourseSecretRow = defineEntity({
  name: 'CourseSecretRow',
  tableName: 'course_secret',
  properties: (p) => ({
    courseId: p.string().primary(),
    passphraseHash: p.string(),
    /** Whoever knows of the course can guess it. */
    easy: p.boolean(),
  }),
});

export const InstitutionPageRow = defineEntity({
  name: 'InstitutionPageRow',
  tableName: 'institution_page',
  properties: (p) => ({
    institutionId: p.string().primary(),
    id: p.string().primary(),
    use: p.string().$type<InstitutionPage['use']>(),
    names: p.json<Words>(),
    address: p.string(),
    beside: p.string().$type<Area>().nullable(),
  }),
});

/** A menu that the institution proposes to its courses. */
export const MenuTemplateRow = defineEntity({
  name: 'MenuTemplateRow',
  tableName: 'menu_template',
  properties: (p) => ({
    institutionId: p.string().primary(),
    id: p.string().primary(),
    name: p.string(),
    menu: p.json<Menu>(),
  }),
});

/** When a member was in a course. Instants are ISO, UTC. */
export const VisitRow = defineEntity({
  name: 'VisitRow',
  tableName: 'visit',
  properties: (p) => ({
    courseId: p.string().primary(),
    personId: p.string().primary(),
    /** When they first opened the course itself; null: they have only followed links into it. */
    arrivedAt: p.string().nullable(),
    /** The end of the visit before this one. */
    previousAt: p.string().nullable(),
    lastAt: p.string(),
    /** The item that they opened last. */
    lastItem: p.string().nullable(),
  }),
});

/** A comment on an announcement. */
export const RemarkRow = defineEntity({
  name: 'RemarkRow',
  tableName: 'remark',
  properties: (p) => ({
    courseId: p.string().primary(),
    id: p.string().primary(),
    announcementId: p.string(),
    personId: p.string(),
    at: p.string(),
    text: p.text(),
    /** How many were there before it: a clock that stands tells no order. */
    turn: p.integer(),
    /** Who took it away; it is kept, and they may bring it back. */
    removedBy: p.string().nullable(),
  }),
});

export type HolidayRecord = InferEntity<typeof HolidayRow>;
export type Person = InferEntity<typeof PersonRow>;
export type MemberRecord = InferEntity<typeof MemberRow>;
export type MemberListRecord = InferEntity<typeof MemberListRow>;
export type CourseRecord = InferEntity<typeof CourseRow>;
export type RemarkRecord = InferEntity<typeof RemarkRow>;
export type NodeRecord = InferEntity<typeof NodeRow>;

export const ENTITIES = [
  InstitutionRow,
  DepartmentRow,
  TermRow,
  HolidayRow,
  PersonRow,
  CourseRow,
  NodeRow,
  TextRow,
  StoredFileRow,
  ChangeRow,
  MemberRow,
  MemberListRow,
  MemberGroupRow,
  PersonExceptionRow,
  DeedRow,
  CourseSecretRow,
  InstitutionPageRow,
  MenuTemplateRow,
  VisitRow,
  RemarkRow,
];
