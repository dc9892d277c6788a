/** A course for those who read it. */
import type { READING_ROUTES } from '@itinerary/contract';
import { canSee, resolveAccess } from '@itinerary/core';
import type { Person } from '../../db/entities.ts';
import { Failure } from '../../usecases/failure.ts';
import { itemFile, textPicture } from '../../usecases/files/files.ts';
import { facePicture } from '../../usecases/files/pictures.ts';
import { noteOpened, tick } from '../../usecases/reading/deeds.ts';
import { faceFacts, frame } from '../../usecases/reading/face.ts';
import { changePage, pageText } from '../../usecases/reading/page-words.ts';
import { readCourse, readGuide, readItem } from '../../usecases/reading/read-course.ts';
import { noteVisit } from '../../usecases/reading/visits.ts';
import type { Call, CourseReader, HandlersOf } from '../call.ts';

function signedIn({ person }: CourseReader): Person {
  if (person === null) throw new Failure('not_signed_in', 'Sign in first');
  return person;
}

function ticked({ em, who, params, now }: Call<'tick' | 'untick'>, done: boolean): Promise<void> {
  const doer = { personId: signedIn(who).id, viewer: who.viewer };
  return tick(em, who.loaded.course, doer, params.item, done, now);
}

export const READING: HandlersOf<typeof READING_ROUTES> = {
  frame: ({ who: { loaded, viewer, around }, now }) =>
    Promise.resolve(frame(loaded.course, viewer, around, now)),
  readCourse: ({ em, who, query, now }) =>
    readCourse(em, who.loaded.course, { ...who, arrives: query.arriving === '1' }, now),
  readItem: async ({ em, who: { loaded, viewer, person, around }, params, now }) => {
    if (person !== null) {
      await noteOpened(em, loaded.course, { personId: person.id, viewer }, params.item, now);
      if (viewer.role !== null && canSee(resolveAccess(loaded.course, viewer, now).nodes.get(params.item))) {
        await noteVisit(em, loaded.course.id, person.id, around.visit, now, { item: params.item });
      }
    }
    return readItem(em, loaded.course, viewer, params.item, now);
  },
  pageText: ({ em, who, params, now }) => pageText(em, who.loaded.course, who.viewer, params.item, now),
  changePage: ({ em, cleaning, who, params, body, now }) => {
    const author = { person: signedIn(who), viewer: who.viewer };
    return changePage({ em, cleaning }, who.loaded.course, author, params.item, body, now);
  },
  tick: (call) => ticked(call, true),
  untick: (call) => ticked(call, false),
  itemFile: ({ em, store, who, params, now }) =>
    itemFile(em, store, who.loaded.course, who.viewer, params.item, now),
  textPicture: ({ em, store, who, params, query, now }) => {
    const picture = { hash: params.hash, item: query.item ?? null };
    return textPicture(em, store, who.loaded.course, who.viewer, picture, now);
  },
  facePicture: ({ em, store, who, params, query, now }) => {
    const framed = {
      frame: params.frame,
      id: query.id ?? null,
      width: Number(query.width),
      version: query.v ?? null,
    };
    return facePicture(em, store, who.loaded.course, who.viewer, framed, faceFacts(who.around), now);
  },
  readGuide: ({ who: { loaded, viewer }, now, request }) => {
    request.res?.attachment(`${loaded.course.code}.csv`);
    return Promise.resolve(readGuide(loaded.course, viewer, now));
  },
};
