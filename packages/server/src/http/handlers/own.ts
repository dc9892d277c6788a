/** What a course is for one person. */
import type { OWN_ROUTES } from '@itinerary/contract';
import { findInCourse } from '../../usecases/own/find.ts';
import { ownLog } from '../../usecases/own/log.ts';
import { allNews, newsFor } from '../../usecases/own/news.ts';
import type { CourseReader, HandlersOf } from '../call.ts';

const readerOf = ({ loaded, viewer, person }: CourseReader) => ({ course: loaded.course, viewer, person });

export const OWN: HandlersOf<typeof OWN_ROUTES> = {
  news: ({ em, who, now }) => newsFor(em, readerOf(who), who.around, now),
  allNews: ({ em, who, now }) => allNews(em, who.person, now),
  ownLog: ({ em, who, query, now }) => ownLog(em, readerOf(who), query.before ?? null, now),
  findInCourse: ({ em, who, query, now }) => findInCourse(em, readerOf(who), query.find, now),
};
