/** Files and pictures of a course, and the library of pictures. */
import type { FILES_ROUTES } from '@itinerary/contract';
import { courseFile, takeUpload } from '../../usecases/files/files.ts';
import { library, libraryPicture, ownPictures, takePicture } from '../../usecases/files/pictures.ts';
import type { HandlersOf } from '../call.ts';

export const FILES: HandlersOf<typeof FILES_ROUTES> = {
  upload: ({ em, store, who, query, file, now }) =>
    takeUpload(em, store, {
      course: who.loaded.course,
      institutionId: who.person.institutionId,
      person: who.person,
      name: query.name,
      ...file,
      now,
    }),
  courseFile: ({ em, store, who, params }) => courseFile(em, store, who.loaded.course.id, params.hash),
  ownPictures: ({ em, who, now }) => ownPictures(em, who.person, who.loaded.course.id, now),
  takePicture: ({ em, store, who, body, now }) =>
    takePicture(em, store, who.loaded.course, who.person, body, now),
  library: ({ query }) => Promise.resolve(library(query.find)),
  libraryPicture: ({ store, params }) => libraryPicture(store, params.picture),
};
