/** One handler a route: from checked input to a use case. Nothing is decided here. */
import { openApiDocument } from '@itinerary/contract';
import type { MeAnswer, RouteName } from '@itinerary/contract';
import { canSee, hasRight, resolveAccess } from '@itinerary/core';
import type { FaceFacts, InstitutionPage, Viewer } from '@itinerary/core';
import type { Request } from 'express';
import type { Config } from '../config/config.ts';
import { DepartmentRow, HolidayRow, InstitutionRow, PersonRow, TermRow, TextRow } from '../db/entities.ts';
import type { Person } from '../db/entities.ts';
import type { Database, EntityManager } from '../db/orm.ts';
import type { FileStore } from '../files/file-store.ts';
import { announcementFile, announcements } from '../usecases/messages/announcements.ts';
import { comment, comments, setComment } from '../usecases/messages/comments.ts';
import type { RemarkAt } from '../usecases/messages/comments.ts';
import { checkCode } from '../usecases/desk/course-codes.ts';
import { classmates } from '../usecases/members/classmates.ts';
import { createCourse } from '../usecases/desk/create-course.ts';
import { noteOpened, tick } from '../usecases/reading/deeds.ts';
import { desk } from '../usecases/desk/desk.ts';
import { faceFacts, frame } from '../usecases/reading/face.ts';
import { Failure } from '../usecases/failure.ts';
import { courseFile, itemFile, takeUpload, textPicture } from '../usecases/files/files.ts';
import { holidayOf, readHolidays, removeHoliday } from '../usecases/institution/holidays.ts';
import {
  institutionPages,
  removeInstitutionPage,
  setInstitutionPage,
} from '../usecases/institution/institution-pages.ts';
import {
  addMembers,
  candidates,
  members,
  removeMember,
  setMemberGroups,
} from '../usecases/members/members.ts';
import {
  keepMenuTemplate,
  menuTemplates,
  removeMenuTemplate,
} from '../usecases/institution/menu-templates.ts';
import { ownMoments, removeOwnMoments, setOwnMoments } from '../usecases/members/own-moments.ts';
import { changePage, pageText } from '../usecases/reading/page-words.ts';
import { checkPassphrase, passphraseState, setPassphrase } from '../usecases/access/passphrase.ts';
import {
  facePicture,
  library,
  libraryPicture,
  ownPictures,
  takePicture,
} from '../usecases/files/pictures.ts';
import { noteVisit } from '../usecases/reading/visits.ts';
import { readCourse, readGuide, readItem } from '../usecases/reading/read-course.ts';
import { nothingHere } from '../usecases/nothing-here.ts';
import { signIn } from '../usecases/people/sign-in.ts';
import { takeChanges } from '../usecases/plan/take-changes.ts';
import { factsOfTexts } from '../usecases/plan/texts.ts';
import { countLearners, groupSizes, mayCreateCourses, standingOf } from '../usecases/access/viewer.ts';
import { streamEvents } from '../live/events.ts';
import { announce } from '../live/notices.ts';
import type { Notices } from '../live/notices.ts';
import type { Caller, CourseCaller, CourseReader } from './authorise.ts';
import { endSession, startSession, visit } from './session.ts';

export interface Call {
  readonly config: Config;
  readonly database: Database;
  readonly store: FileStore;
  readonly em: EntityManager;
  readonly now: string;
  readonly request: Request;
  /** Checked by the route's schemas. */
  readonly params: Readonly<Record<string, string>>;
  readonly query: Readonly<Record<string, string | undefined>>;
  readonly body: never;
  readonly who: Caller;
  /** For routes that name a right in a course. */
  readonly at: CourseCaller;
  /** For routes that read a course. */
  readonly reader: CourseReader;
  readonly notices: Notices;
}

type Handler = (call: Call) => Promise<unknown>;

const personOf = (call: Call): Person => call.who.person as Person;

async function me({ em, config, now }: Call, person: Person | null): Promise<MeAnswer> {
  const institution =
    person === null
      ? (await em.find(InstitutionRow, {}, { orderBy: { id: 'asc' }, limit: 1 }))[0]
      : await em.findOne(InstitutionRow, { id: person.institutionId });
  const id = institution?.id ?? '';
  const signedIn = person !== null;
  const holidays = signedIn
    ? await em.find(HolidayRow, { institutionId: id }, { orderBy: { firstDay: 'asc', id: 'asc' } })
    : [];
  const departments = signedIn
    ? await em.find(DepartmentRow, { institutionId: id }, { orderBy: { name: 'asc' } })
    : [];
  const terms = signedIn
    ? await em.find(TermRow, { institutionId: id }, { orderBy: { firstDay: 'asc' } })
    : [];
  return {
    person: person === null ? null : shown(person),
    mayCreate: person !== null && mayCreateCourses(person),
    now,
    clockStands: config.clock.stands,
    demo: config.demo,
    institution: {
      name: institution?.name ?? '',
      zone: institution?.zone ?? 'UTC',
      departments: departments.map(({ code, name }) => ({ code, name })),
      terms: terms.map(({ code, name, firstDay, lastDay }) => ({ code, name, firstDay, lastDay })),
      holidays: holidays.map(holidayOf),
      largestUpload: institution?.largestUpload ?? 0,
      pages: signedIn ? [...(await institutionPages(em, id))] : [],
    },
  };
}

function shown({ id, name, address, kind }: Person): {
  id: string;
  name: string;
  address: string;
  kind: Person['kind'];
} {
  return { id, name, address, kind };
}

const whoReads = ({ viewer, person }: CourseReader): { viewer: Viewer; personId: string | null } => ({
  viewer,
  personId: person?.id ?? null,
});

const factsAround = (em: EntityManager, { loaded }: CourseReader): Promise<FaceFacts> =>
  faceFacts(em, loaded.row.institutionId, loaded.course.id);

const remarkIn = (params: Call['params']): RemarkAt => ({
  announcement: params['announcement'] as string,
  remark: params['comment'] as string,
});

function announcedSize(request: Request): number | null {
  const length = request.headers['content-length'];
  return length === undefined ? null : Number(length);
}

function demoOnly({ config }: Call): void {
  if (!config.demo) throw nothingHere();
}

export const HANDLERS: Readonly<Record<RouteName, Handler>> = {
  health: async ({ database }) => {
    const away = await database.em
      .fork()
      .getConnection()
      .execute('select 1')
      .then(
        () => false,
        () => true,
      );
    if (away) throw new Failure('database_away', 'The database does not answer');
    return { status: 'ok', database: 'ok' };
  },
  openapi: () => Promise.resolve(openApiDocument()),
  me: (call) => me(call, call.who.person),
  signIn: async (call) => {
    const { address, password } = call.body as { address: string; password: string };
    const person = await signIn(call.em, address, password);
    await startSession(call.request, person.id);
    return me(call, person);
  },
  signOut: async ({ request }) => endSession(request),
  demoPeople: async (call) => {
    demoOnly(call);
    const people = await call.em.find(PersonRow, { demoPart: { $ne: null } });
    return { people: people.map((person) => ({ ...shown(person), part: person.demoPart })) };
  },
  demoSignIn: async (call) => {
    demoOnly(call);
    const { person: id } = call.body as { person: string };
    const person = await call.em.findOne(PersonRow, { id, demoPart: { $ne: null } });
    if (person === null) throw nothingHere();
    await startSession(call.request, person.id);
    return me(call, person);
  },
  readHolidays: ({ em, who, body, now }) =>
    readHolidays(em, (who.person as Person).institutionId, (body as { calendar: string }).calendar, now),
  removeHoliday: ({ em, who, params }) =>
    removeHoliday(em, (who.person as Person).institutionId, params['holiday'] as string),
  desk: (call) => desk(call.em, personOf(call), call.now),
  code: (call) =>
    checkCode(call.em, personOf(call).institutionId, call.params['code'] as string, call.query['except']),
  createCourse: (call) => createCourse(call.em, personOf(call), call.body, call.now),
  plan: async ({ em, at }) => ({
    course: at.loaded.course,
    seq: at.loaded.row.seq,
    learners: await countLearners(em, at.loaded.course.id),
    passphrase: await passphraseState(em, at.loaded.course.id),
    groupSizes: await groupSizes(em, at.loaded.course.id),
    texts: Object.fromEntries(await factsOfTexts(em, at.loaded.course.id)),
    face: await faceFacts(em, at.loaded.row.institutionId, at.loaded.course.id),
    rights: {
      plan: hasRight(at.viewer, 'plan'),
      state: hasRight(at.viewer, 'state'),
      members: hasRight(at.viewer, 'members'),
    },
  }),
  changes: ({ em, at, body, now }) =>
    takeChanges(em, at.loaded.course.id, { person: at.person, viewer: at.viewer }, body, now),
  text: async ({ em, at, params }) => {
    const row = await em.findOne(TextRow, { courseId: at.loaded.course.id, hash: params['hash'] as string });
    if (row === null) throw nothingHere();
    return { html: row.html };
  },
  upload: ({ em, store, at, query, request, now }) =>
    takeUpload(em, store, {
      course: at.loaded.course,
      institutionId: at.person.institutionId,
      name: query['name'] ?? '',
      announced: announcedSize(request),
      stream: request,
      now,
    }),
  courseFile: ({ em, store, at, params }) =>
    courseFile(em, store, at.loaded.course.id, params['hash'] as string),
  itemFile: ({ em, store, reader: at, params, now }) =>
    itemFile(em, store, at.loaded.course, at.viewer, params['item'] as string, now),
  members: ({ em, at }) => members(em, at.loaded.course.id),
  candidates: ({ em, at, query }) =>
    candidates(em, at.person.institutionId, at.loaded.course.id, query['find'] ?? ''),
  addMembers: ({ em, at, body, now }) => {
    const { people, role } = body as { people: string[]; role: 'learner' };
    return addMembers(em, at.person.institutionId, at.loaded.course.id, people, role, now);
  },
  removeMember: ({ em, at, params, now }) =>
    removeMember(em, at.loaded.course.id, params['person'] as string, now),
  textPicture: ({ em, store, reader: at, params, query, now }) => {
    const picture = { hash: params['hash'] as string, item: query['item'] ?? null };
    return textPicture(em, store, at.loaded.course, at.viewer, picture, now);
  },
  readCourse: async ({ em, reader, query, now }) => {
    const who = { ...whoReads(reader), arrives: query['arriving'] === '1' };
    return readCourse(em, reader.loaded.course, who, await factsAround(em, reader), now);
  },
  frame: ({ em, reader, now }) =>
    frame(em, reader.loaded.course, reader.loaded.row.institutionId, whoReads(reader), now),
  facePicture: async ({ em, store, reader, params, query, now }) => {
    const framed = {
      frame: params['frame'] ?? '',
      id: query['id'] ?? null,
      width: Number(query['width']),
      version: query['v'] ?? null,
    };
    const facts = (): Promise<FaceFacts> => factsAround(em, reader);
    return facePicture(em, store, reader.loaded.course, reader.viewer, framed, facts, now);
  },
  announcements: ({ em, reader, now }) => announcements(em, reader.loaded.course, reader, now),
  announcementFile: ({ em, store, reader, params, now }) => {
    const file = { announcement: params['announcement'] as string, hash: params['hash'] as string };
    return announcementFile(em, store, reader.loaded.course, reader.viewer, file, now);
  },
  comments: ({ em, reader, params, now }) =>
    comments(em, reader.loaded.course, reader, params['announcement'] as string, now),
  comment: ({ em, reader, params, body, now }) => {
    const { text } = body as { text: string };
    return comment(em, reader.loaded.course, reader, params['announcement'] as string, text, now);
  },
  removeComment: ({ em, reader, params, now }) =>
    setComment(em, reader.loaded.course, reader, { ...remarkIn(params), isThere: false }, now),
  restoreComment: ({ em, reader, params, now }) =>
    setComment(em, reader.loaded.course, reader, { ...remarkIn(params), isThere: true }, now),
  setInstitutionPage: ({ em, who, params, body }) => {
    const page = { ...(body as Omit<InstitutionPage, 'id'>), id: params['page'] as string };
    return setInstitutionPage(em, (who.person as Person).institutionId, page);
  },
  removeInstitutionPage: ({ em, who, params }) =>
    removeInstitutionPage(em, (who.person as Person).institutionId, params['page'] as string),
  menuTemplates: (call) => menuTemplates(call.em, personOf(call).institutionId),
  keepMenuTemplate: (call) =>
    keepMenuTemplate(call.em, personOf(call).institutionId, call.params['template'] as string, call.body),
  removeMenuTemplate: (call) =>
    removeMenuTemplate(call.em, personOf(call).institutionId, call.params['template'] as string),
  library: ({ query }) => Promise.resolve(library(query['find'] ?? '')),
  libraryPicture: ({ store, params }) => libraryPicture(store, params['picture'] as string),
  ownPictures: ({ em, at, now }) => ownPictures(em, at.person, at.loaded.course.id, now),
  takePicture: ({ em, store, at, body, now }) =>
    takePicture(em, store, at.loaded.course, at.person, body, now),
  readGuide: ({ reader: at, now, request }) => {
    request.res?.attachment(`${at.loaded.course.code}.csv`);
    return Promise.resolve(readGuide(at.loaded.course, at.viewer, now));
  },
  readItem: async ({ em, reader: { loaded, viewer, person }, params, now }) => {
    const item = params['item'] as string;
    if (person !== null) {
      await noteOpened(em, loaded.course, { personId: person.id, viewer }, item, now);
      if (viewer.role !== null && canSee(resolveAccess(loaded.course, viewer, now).nodes.get(item))) {
        await noteVisit(em, loaded.course.id, person.id, now, { item });
      }
    }
    return readItem(em, loaded.course, viewer, item, now);
  },
  pageText: ({ em, reader: { loaded, viewer }, params, now }) =>
    pageText(em, loaded.course, viewer, params['item'] as string, now),
  changePage: ({ em, reader: { loaded, viewer, person }, params, body, now }) => {
    if (person === null) throw new Failure('not_signed_in', 'Sign in first');
    return changePage(em, loaded.course, { person, viewer }, params['item'] as string, body, now);
  },
  tick: (call) => ticked(call, true),
  untick: (call) => ticked(call, false),
  classmates: ({ em, reader: { loaded, viewer }, now }) => classmates(em, loaded.course, viewer, now),
  visit: async ({ em, reader: { loaded }, body, request, now }) => {
    const { passphrase } = body as { passphrase: string };
    await checkPassphrase(em, loaded.course.id, passphrase);
    visit(request, loaded.course.id, now);
  },
  memberGroups: ({ em, at, params, body }) => {
    const { groups } = body as { groups: string[] };
    return setMemberGroups(em, at.loaded.course, params['person'] as string, groups);
  },
  standing: async ({ em, at, params, now }) => {
    const found = await standingOf(em, at.loaded.course, params['person'] as string, now);
    if (found === null) throw new Failure('not_found', 'Nobody on this course has that id');
    const { name, viewer } = found;
    return {
      name,
      role: viewer.role,
      joinedAt: viewer.joinedAt,
      groups: viewer.groups,
      exceptions: viewer.exceptions,
      done: [...(viewer.deeds?.done ?? [])],
      scores: Object.fromEntries(viewer.deeds?.scores ?? []),
      courses: [...(viewer.deeds?.courses ?? [])],
    };
  },
  ownMoments: ({ em, at }) => ownMoments(em, at.loaded.course.id),
  setOwnMoments: async ({ em, at, params, body, now }) => {
    const answer = await setOwnMoments(em, at.loaded.course, params['exception'] as string, body, now);
    await announce(em, { course: at.loaded.course.id, seq: at.loaded.row.seq });
    return answer;
  },
  removeOwnMoments: async ({ em, at, params }) => {
    const answer = await removeOwnMoments(em, at.loaded.course.id, params['exception'] as string);
    await announce(em, { course: at.loaded.course.id, seq: at.loaded.row.seq });
    return answer;
  },
  passphrase: async ({ em, at, body }) => {
    const { passphrase } = body as { passphrase: string | null };
    return { passphrase: await setPassphrase(em, at.loaded.course, passphrase) };
  },
  events: async ({ database, notices, config, who, request }) => {
    const response = request.res;
    if (response === undefined) return;
    await streamEvents(response, {
      database,
      notices,
      clock: config.clock,
      person: who.person as Person,
    });
  },
};

async function ticked({ em, reader, params, now }: Call, done: boolean): Promise<void> {
  const { loaded, viewer, person } = reader;
  if (person === null) throw new Failure('not_signed_in', 'Sign in first');
  const doer = { personId: person.id, viewer };
  await tick(em, loaded.course, doer, params['item'] as string, done, now);
}
