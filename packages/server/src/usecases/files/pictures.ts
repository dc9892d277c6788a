/** Pictures of a course: where they come from, and how they are shown. */
import { Readable } from 'node:stream';
import type { LibraryAnswer, OwnPicturesAnswer, TakenPicture, TakePicture } from '@itinerary/contract';
import {
  contactsOf,
  courseView,
  FRAMES,
  homeView,
  isPictureType,
  isReadable,
  isThere,
  mayPlan,
  resolveAccess,
  byName,
} from '@itinerary/core';
import type { Course, CourseFileRef, CoursePicture, FaceFacts, Frame, Viewer } from '@itinerary/core';
import { coursesWhere } from '../../db/kept-courses.ts';
import { MemberRow, StoredFileRow } from '../../db/entities.ts';
import type { Person } from '../../db/entities.ts';
import type { EntityManager } from '../../db/orm.ts';
import type { FileStore } from '../../files/file-store.ts';
import { rendition } from '../../files/renditions.ts';
import { openLibraryPicture, searchLibrary } from '../../library/library.ts';
import { Failure } from '../failure.ts';
import { filesNamed } from './file-names.ts';
import { keepRow } from './stored.ts';
import type { FileToSend } from './files.ts';
import { nothingHere } from '../nothing-here.ts';
import { viewersOf } from '../access/viewer.ts';

const LIBRARY_WIDTH = 1600;
const LIBRARY_SMALL = 320;

export function library(find: string): LibraryAnswer {
  return {
    pictures: searchLibrary(find).map(({ id, title, author, licence, tags }) => ({
      id,
      title,
      author,
      licence,
      tags: [...tags],
    })),
  };
}

/** @returns where its small rendition lies. */
export async function libraryPicture(store: FileStore, id: string): Promise<FileToSend> {
  const path = await store.made(`library-${id.replaceAll(/[^a-z-]/g, '')}-${LIBRARY_SMALL}`, async () => {
    const found = await openLibraryPicture(id, LIBRARY_SMALL);
    if (found === null) throw nothingHere();
    return found.bytes;
  });
  return { path, name: `${id}.webp`, type: 'image/webp', inline: true, keep: true };
}

/** Pictures of all courses that somebody plans, this one's first. */
export async function ownPictures(
  em: EntityManager,
  person: Person,
  courseId: string,
  now: string,
): Promise<OwnPicturesAnswer> {
  const memberships = await em.find(MemberRow, { personId: person.id, leftAt: null });
  const where =
    person.kind === 'staff'
      ? { institutionId: person.institutionId }
      : { id: { $in: memberships.map((row) => row.courseId) } };
  const courses = await coursesWhere(em, where);
  const viewerOf = await viewersOf(em, person, courses, now);
  const planned = courses
    .filter(({ id }) => mayPlan(viewerOf(id)))
    .sort((a, b) => Number(b.id === courseId) - Number(a.id === courseId) || byName(a.title, b.title));
  const rows = await em.find(StoredFileRow, {
    courseId: { $in: planned.map(({ id }) => id) },
    width: { $ne: null },
  });
  const pictures = planned.flatMap((course) => {
    const named = filesNamed(course);
    return rows
      .filter((row) => row.courseId === course.id && isPictureType(row.type))
      .map(({ hash, size, type }) => ({
        course: course.id,
        code: course.code,
        title: course.title,
        file: named.get(hash) ?? bare({ hash, size, type }),
      }));
  });
  return { pictures };
}

const EXTENSIONS: Readonly<Record<string, string>> = { 'image/jpeg': 'jpg' };

function bare({ hash, size, type }: Pick<CourseFileRef, 'hash' | 'size' | 'type'>): CourseFileRef {
  const extension = EXTENSIONS[type] ?? type.slice(type.indexOf('/') + 1);
  const name = `${hash.slice(0, 8)}.${extension}`;
  return { hash, size, type, name, alt: null, author: null, licence: null };
}

/** Puts a picture from elsewhere among the files of a course; author and licence come along. */
export async function takePicture(
  em: EntityManager,
  store: FileStore,
  course: Course,
  person: Person,
  choice: TakePicture,
  now: string,
): Promise<TakenPicture> {
  return choice.from === 'library'
    ? fromLibrary(em, store, course, person, choice.id, now)
    : fromCourse(em, course, person, choice, now);
}

async function fromLibrary(
  em: EntityManager,
  store: FileStore,
  course: Course,
  person: Person,
  id: string,
  now: string,
): Promise<TakenPicture> {
  const found = await openLibraryPicture(id, LIBRARY_WIDTH);
  if (found === null) {
    throw new Failure('bad_input', 'The library has no such picture', [
      { path: 'id', value: id, expected: 'the id of a picture of the library' },
    ]);
  }
  const { picture, bytes, width, height } = found;
  const received = await store.receive(Readable.from([bytes]), bytes.length);
  await received.keep();
  const { hash, size } = received;
  const type = 'image/webp';
  await keepRow(em, { courseId: course.id, hash, size, type, width, height, createdAt: now, by: person.id });
  const { title, alt, author, licence } = picture;
  return { file: { hash, name: `${title}.webp`, size, type, alt, author, licence }, width, height };
}

async function fromCourse(
  em: EntityManager,
  course: Course,
  person: Person,
  { course: other, hash }: { readonly course: string; readonly hash: string },
  now: string,
): Promise<TakenPicture> {
  const [theirs] = await coursesWhere(em, { id: other, institutionId: person.institutionId });
  const stored = await em.findOne(StoredFileRow, { courseId: other, hash });
  const mayTake = theirs !== undefined && mayPlan((await viewersOf(em, person, [theirs], now))(other));
  // What somebody else's course holds is not there for whoever does not plan it.
  if (!mayTake || stored?.width == null || stored.height == null || !isPictureType(stored.type)) {
    throw nothingHere();
  }
  const { size, type, width, height } = stored;
  await keepRow(em, { courseId: course.id, hash, size, type, width, height, createdAt: now, by: person.id });
  return { file: filesNamed(theirs).get(hash) ?? bare({ hash, size, type }), width, height };
}

export interface Framed {
  /** One that there is, or whatever the address said. */
  readonly frame: string;
  /** Of the panel or the card. */
  readonly id: string | null;
  readonly width: number;
  readonly version: string | null;
}

/** A picture of the course, cropped for where it stands, for whoever gets it. */
export async function facePicture(
  em: EntityManager,
  store: FileStore,
  course: Course,
  viewer: Viewer,
  { frame, id, width, version }: Framed,
  facts: FaceFacts,
  now: string,
): Promise<FileToSend> {
  const isKnown = isFrame(frame) && isThere(resolveAccess(course, viewer, now).course);
  if (!isKnown) throw nothingHere();
  const picture = await pictureFor(course, viewer, frame, id, facts, now);
  const path = picture === null ? null : await store.find(picture.file.hash);
  const row =
    picture === null
      ? null
      : await em.findOne(StoredFileRow, { courseId: course.id, hash: picture.file.hash });
  // The size that was read from the bytes, whatever the document says.
  if (picture === null || path === null || row?.width == null || row.height == null) throw nothingHere();
  const whole = { ...picture, width: row.width, height: row.height };
  return {
    path: await rendition(store, path, whole, frame, width),
    name: `${frame}.webp`,
    type: 'image/webp',
    inline: true,
    keep: version !== null,
  };
}

function isFrame(name: string): name is Frame {
  return Object.hasOwn(FRAMES, name);
}

async function pictureFor(
  course: Course,
  viewer: Viewer,
  frame: Frame,
  id: string | null,
  facts: FaceFacts,
  now: string,
): Promise<CoursePicture | null> {
  switch (frame) {
    case 'banner':
    case 'phone':
      return course.banner;
    case 'thumbnail':
      return course.thumbnail ?? course.banner;
    case 'panel': {
      const view = courseView(course, viewer, now);
      if (view === null) return null;
      const panel = homeView(course, viewer, now, view, facts).panels.find((one) => one.id === id);
      return panel?.kind === 'picture' ? panel.picture : null;
    }
    case 'card':
      // Cards are for those who read the course.
      if (!isReadable(resolveAccess(course, viewer, now).course.state)) return null;
      return contactsOf(course, facts.staff).find((one) => one.id === id)?.picture ?? null;
  }
}
