/** Uploads to a course: taken while they arrive, up to its limit; told by their content; kept by hash. */
import type { Readable } from 'node:stream';
import type { UploadAnswer } from '@itinerary/contract';
import {
  announcementsAt,
  canSee,
  courseView,
  findNode,
  homeView,
  isPictureType,
  isReadable,
  MAX_SIDE,
  NO_FACE_FACTS,
  ownCourse,
  ownPlan,
  resolveAccess,
} from '@itinerary/core';
import type { Course, CourseFileRef, CourseView, Viewer } from '@itinerary/core';
import { InstitutionRow, StoredFileRow, TextRow } from '../../db/entities.ts';
import type { Person } from '../../db/entities.ts';
import { underCourse } from '../../db/locks.ts';
import type { EntityManager } from '../../db/orm.ts';
import { fileKind } from '../../files/file-kind.ts';
import { checkPicture, MAX_PIXELS } from '../../files/picture-check.ts';
import type { PictureCheck } from '../../files/picture-check.ts';
import { BrokenOff, TooLarge } from '../../files/file-store.ts';
import type { FileStore } from '../../files/file-store.ts';
import { Failure } from '../failure.ts';
import { itemText } from '../reading/read-course.ts';
import { nothingHere } from '../nothing-here.ts';
import { keepRow, MEGABYTE, mustHaveRoom } from './stored.ts';

/** In bytes: the course's own limit, never beyond the institution's. */
export async function uploadLimit(em: EntityManager, institutionId: string, course: Course): Promise<number> {
  const { largestUpload } = await em.findOneOrFail(InstitutionRow, { id: institutionId });
  return Math.min(course.largestUpload ?? largestUpload, largestUpload) * MEGABYTE;
}

export interface Upload {
  readonly course: Course;
  readonly institutionId: string;
  readonly person: Person;
  readonly name: string;
  /** As the sender says; null when it does not. */
  readonly announced: number | null;
  readonly stream: Readable;
  readonly now: string;
  /** In megabytes, where it is for something that takes less than the course does. */
  readonly most?: number | null;
}

export async function takeUpload(em: EntityManager, store: FileStore, upload: Upload): Promise<UploadAnswer> {
  const { course, institutionId, person, name, announced, stream, now } = upload;
  const most = Math.min(await uploadLimit(em, institutionId, course), (upload.most ?? Infinity) * MEGABYTE);
  const room = { courseId: course.id, institutionId, personId: person.id };
  await mustHaveRoom(em, room, announced ?? 0);
  const tooLarge = (size: string): Failure =>
    new Failure(
      'too_large',
      `${name} is larger than the ${most / MEGABYTE} MB that ${upload.most == null ? 'this course takes' : 'are taken here'}`,
      [{ path: 'file', value: size, expected: `at most ${most / MEGABYTE} MB` }],
    );
  if (announced !== null && announced > most) throw tooLarge(`${Math.ceil(announced / MEGABYTE)} MB`);
  const received = await store.receive(stream, most).catch((error: unknown) => {
    if (error instanceof TooLarge) throw tooLarge(`more than ${most / MEGABYTE} MB`);
    if (error instanceof BrokenOff) throw new Failure('bad_input', `${name} did not arrive whole`);
    throw error;
  });
  const kind = await fileKind(name, received.head, course.programs);
  if (!kind.ok || received.size === 0) {
    await received.drop();
    throw wrongKind(name, kind.ok ? null : kind);
  }
  const picture = kind.type.startsWith('image/') ? await checkPicture(received.path) : null;
  if (picture !== null && !picture.ok) {
    await received.drop();
    throw badPicture(name, picture);
  }
  const { hash, size } = received;
  const { width, height } = picture ?? { width: null, height: null };
  const { type } = kind;
  const row = { courseId: course.id, hash, size, type, width, height, createdAt: now, by: person.id };
  try {
    await underCourse(em, course.id, async (inner) => {
      if ((await inner.count(StoredFileRow, { courseId: course.id, hash })) === 0)
        await mustHaveRoom(inner, room, size);
      await received.keep();
      await keepRow(inner, row);
    });
  } catch (error) {
    await received.drop();
    throw error;
  }
  return { hash, name, size, type: kind.type, width, height };
}

function badPicture(name: string, { why, found }: Extract<PictureCheck, { readonly ok: false }>): Failure {
  const [sentence, expected] = PICTURE_WORDS[why];
  return new Failure('bad_input', `${name} ${sentence}: ${found}`, [
    { path: 'file', value: found, expected },
  ]);
}

const PICTURE_WORDS: Readonly<
  Record<Extract<PictureCheck, { readonly ok: false }>['why'], readonly [string, string]>
> = {
  side: ['is a picture with too long a side', `at most ${MAX_SIDE} pixels on a side`],
  pixels: ['is a picture of too many pixels', `at most ${MAX_PIXELS / 1_000_000} million pixels`],
  frames: ['moves too long to be unpacked', 'fewer or smaller frames'],
  script: ['holds more than a picture', 'a picture and nothing else'],
  broken: ['cannot be read as a picture', 'a whole picture, saved anew by a picture program'],
};

function wrongKind(
  name: string,
  kind: { readonly why: 'program' | 'name'; readonly found: string } | null,
): Failure {
  if (kind === null) {
    return new Failure('bad_input', `${name} is empty`, [
      { path: 'file', value: '0 bytes', expected: 'a file with something in it' },
    ]);
  }
  return kind.why === 'program'
    ? new Failure('bad_input', `${name} is a program; those are not taken`, [
        { path: 'file', value: name, expected: 'something to read, see or hear' },
      ])
    : new Failure('bad_input', `${name} is not what its name says: it is ${kind.found}`, [
        { path: 'file', value: kind.found, expected: 'content of the kind that the name says' },
      ]);
}

export interface FileToSend {
  readonly path: string;
  readonly name: string;
  readonly type: string;
  /** Shown where it stands; everything else is handed out to be saved. */
  readonly inline: boolean;
  /** What stands at this address stays the same for good. */
  readonly keep?: boolean;
}

/** Pictures, sounds and films are shown; what could carry a script never is. */
const isShown = (type: string): boolean => isPictureType(type) || /^(audio|video)\/[a-z0-9.+-]+$/.test(type);

export async function toSend(
  store: FileStore,
  { hash, name, type }: Pick<CourseFileRef, 'hash' | 'name' | 'type'>,
): Promise<FileToSend> {
  const path = await store.find(hash);
  if (path === null) throw nothingHere();
  return { path, name, type, inline: isShown(type) };
}

/** For those who plan the course: any file of it. */
export async function courseFile(
  em: EntityManager,
  store: FileStore,
  courseId: string,
  hash: string,
): Promise<FileToSend> {
  const row = await em.findOne(StoredFileRow, { courseId, hash });
  if (row === null) throw nothingHere();
  return toSend(store, { hash, name: hash.slice(0, 12), type: row.type });
}

/** A picture in a text: of an item that this person gets, or of the course's own texts. */
export async function textPicture(
  em: EntityManager,
  store: FileStore,
  course: Course,
  viewer: Viewer,
  picture: { readonly hash: string; readonly item: string | null },
  now: string,
): Promise<FileToSend> {
  const view = courseView(course, viewer, now);
  if (view === null) throw nothingHere();
  const { hash, item } = picture;
  const answer = item === null ? undefined : resolveAccess(course, viewer, now).nodes.get(item);
  if (item !== null && !canSee(answer)) throw nothingHere();
  const theirs = ownCourse(course, viewer, Date.parse(now));
  const own = item === null ? ownTextsFor(course, viewer, view, now) : [itemText(theirs, item)];
  const texts = own.filter((text) => text !== null);
  const named = await em.find(TextRow, { courseId: course.id, hash: { $in: texts }, facts: { $ne: null } });
  const isThere = named.some(({ facts }) => facts?.pictures.includes(hash) === true);
  const row = isThere ? await em.findOne(StoredFileRow, { courseId: course.id, hash }) : null;
  if (row === null) throw nothingHere();
  return toSend(store, { hash, name: hash.slice(0, 12), type: row.type });
}

/** The course's own texts that this person gets now: what it is about, and what its home page and board say. */
function ownTextsFor(
  course: Course,
  viewer: Viewer,
  view: CourseView,
  now: string,
): readonly (string | null)[] {
  const { panels } = homeView(course, viewer, now, view, NO_FACE_FACTS);
  const welcome = panels.map((panel) => (panel.kind === 'welcome' ? panel.text : null));
  const at = Date.parse(now);
  const standing = isReadable(view.access) ? announcementsAt(ownPlan(course, viewer, at), at) : [];
  const told = standing.map(({ announcement }) => announcement.text);
  return [view.description, view.introduction, ...welcome, ...told];
}

/** The file of an item, for whoever gets that item. */
export async function itemFile(
  em: EntityManager,
  store: FileStore,
  course: Course,
  viewer: Viewer,
  itemId: string,
  now: string,
): Promise<FileToSend> {
  const place = findNode(ownCourse(course, viewer, Date.parse(now)), itemId);
  const answer = resolveAccess(course, viewer, now).nodes.get(itemId);
  const file = place !== null && 'file' in place.node ? place.node.file : null;
  if (file === null || !canSee(answer)) throw nothingHere();
  const row = await em.findOne(StoredFileRow, { courseId: course.id, hash: file.hash });
  if (row === null) throw nothingHere();
  // The type that was found when it came, whatever the document says.
  return toSend(store, { hash: file.hash, name: file.name, type: row.type });
}
