/** Rows, as MikroORM maps them. The migrations own the tables; these only read and write them. */
import { defineEntity } from '@mikro-orm/core';
import type { InferEntity } from '@mikro-orm/core';
import { AccountKeyRow, CalendarFeedRow, LetterRow } from './entities/account.ts';
import { DepartmentRow, HolidayRow, InstitutionRow, TermRow } from './entities/institution.ts';
import {
  AttendanceCodeRow,
  AttendanceRow,
  FilmWatchRow,
  SurveyAnsweredRow,
  SurveyBatchRow,
} from './entities/meeting.ts';
import { PaymentRow } from './entities/payment.ts';
import { DeedRow, ProgressRow } from './entities/progress.ts';
import { QuizAnswerRow, QuizAttemptRow, QuizMarkRow } from './entities/quiz.ts';
import {
  PostBeforeRow,
  PostDraftRow,
  PostRow,
  ThreadFollowRow,
  ThreadReadRow,
  ThreadRow,
} from './entities/talk.ts';
import { HandInForRow, HandInRow, MarkFileRow, MarkRow, WorkDraftRow, WorkNoteRow } from './entities/work.ts';
import {
  RegistryAnswerRow,
  RegistryFollowRow,
  RegistryLinkRow,
  RegistryNewsRow,
  RegistryReadingRow,
  RegistryStandingRow,
} from './entities/registry.ts';
import { HeldSeatRow, InvitationRow, JoinCodeRow, JoinRequestRow, WaitingRow } from './entities/joining.ts';
import type { Language } from './entities/joining.ts';
import { MemberGroupRow, MemberListRow, MemberRow, PersonExceptionRow } from './entities/member.ts';
import type {
  CourseNode,
  CourseState,
  Dates,
  Area,
  Edit,
  InstitutionPage,
  Menu,
  Purpose,
  TextFacts,
  Words,
} from '@itinerary/core';
import type { DemoPart, PersonKind } from '@itinerary/contract';

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
    /** The language of letters to them. */
    lang: p.string().$type<Language>().default('en'),
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
    /** By which it stands on a desk; null: it has none. */
    firstDay: p.string().nullable(),
    /** The instant at which a draft goes live by itself, in milliseconds. */
    goesLive: p.float().nullable(),
    /** The two above say what core makes of the course. */
    listed: p.boolean().default(true),
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

/** What somebody has done of one item. */
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

export type Person = InferEntity<typeof PersonRow>;
export type CourseRecord = InferEntity<typeof CourseRow>;
export type RemarkRecord = InferEntity<typeof RemarkRow>;
export type NodeRecord = InferEntity<typeof NodeRow>;

export { AccountKeyRow, CalendarFeedRow, LetterRow } from './entities/account.ts';
export type { AccountKeyRecord, LetterRecord } from './entities/account.ts';
export {
  RegistryAnswerRow,
  RegistryFollowRow,
  RegistryLinkRow,
  RegistryNewsRow,
  RegistryReadingRow,
  RegistryStandingRow,
} from './entities/registry.ts';
export type { RegistryLinkRecord, RegistryQuestion } from './entities/registry.ts';
export { DepartmentRow, HolidayRow, InstitutionRow, TermRow } from './entities/institution.ts';
export type { HolidayRecord } from './entities/institution.ts';
export {
  AttendanceCodeRow,
  AttendanceRow,
  FilmWatchRow,
  SurveyAnsweredRow,
  SurveyBatchRow,
} from './entities/meeting.ts';
export { PaymentRow } from './entities/payment.ts';
export { DeedRow, ProgressRow } from './entities/progress.ts';
export type { ProgressRecord } from './entities/progress.ts';
export { QuizAnswerRow, QuizAttemptRow, QuizMarkRow } from './entities/quiz.ts';
export {
  PostBeforeRow,
  PostDraftRow,
  PostRow,
  ThreadFollowRow,
  ThreadReadRow,
  ThreadRow,
} from './entities/talk.ts';
export { HandInForRow, HandInRow, MarkFileRow, MarkRow, WorkDraftRow, WorkNoteRow } from './entities/work.ts';
export type { PaymentRecord, PaymentState } from './entities/payment.ts';
export { HeldSeatRow, InvitationRow, JoinCodeRow, JoinRequestRow, WaitingRow } from './entities/joining.ts';
export type {
  HeldSeatRecord,
  InvitationRecord,
  JoinRequestRecord,
  Language,
  WaitingRecord,
} from './entities/joining.ts';
export { MemberGroupRow, MemberListRow, MemberRow, PersonExceptionRow } from './entities/member.ts';
export type { MemberListRecord, MemberRecord, StandingBefore, TouchedMember } from './entities/member.ts';

export const ENTITIES = [
  RegistryAnswerRow,
  RegistryFollowRow,
  RegistryLinkRow,
  RegistryNewsRow,
  RegistryReadingRow,
  RegistryStandingRow,
  AccountKeyRow,
  CalendarFeedRow,
  HeldSeatRow,
  InvitationRow,
  JoinCodeRow,
  JoinRequestRow,
  LetterRow,
  PaymentRow,
  WorkDraftRow,
  ThreadRow,
  PostRow,
  PostBeforeRow,
  ThreadReadRow,
  ThreadFollowRow,
  PostDraftRow,
  QuizAttemptRow,
  QuizAnswerRow,
  QuizMarkRow,
  FilmWatchRow,
  AttendanceRow,
  AttendanceCodeRow,
  SurveyAnsweredRow,
  SurveyBatchRow,
  HandInRow,
  HandInForRow,
  MarkRow,
  WorkNoteRow,
  MarkFileRow,
  WaitingRow,
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
  ProgressRow,
  CourseSecretRow,
  InstitutionPageRow,
  MenuTemplateRow,
  VisitRow,
  RemarkRow,
];
