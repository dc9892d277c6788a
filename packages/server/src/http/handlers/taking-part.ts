/** Films, meetings and surveys. */
import type { FILM_ROUTES, MEETING_ROUTES, SURVEY_ROUTES } from '@itinerary/contract';
import { film, reportWatched, whoWatched } from '../../usecases/coursework/film/watching.ts';
import { ownMeeting, sayHere } from '../../usecases/coursework/meeting/going.ts';
import { attendance, newMeetingCode, sayAttended } from '../../usecases/coursework/meeting/list.ts';
import { answerSurvey, ownSurvey, surveyTotals } from '../../usecases/coursework/survey/answering.ts';
import type { HandlersOf } from '../call.ts';
import { placeOf } from '../place.ts';
import { workerOf } from './coursework.ts';

export const FILM: HandlersOf<typeof FILM_ROUTES> = {
  film: ({ em, store, who, params, now }) => film(em.fork(), store, workerOf(who), params.item, now),
  reportWatched: ({ em, who, params, body, now }) =>
    reportWatched(em.fork(), workerOf(who), params.item, body, now),
  whoWatched: ({ em, who, params, now }) => whoWatched(em.fork(), who.loaded.course, params.item, now),
};

export const MEETING: HandlersOf<typeof MEETING_ROUTES> = {
  meeting: ({ em, who, params, now }) => ownMeeting(em.fork(), workerOf(who), params.item, now),
  sayHere: async ({ em, who, attempts, request, params, body, now }) => {
    const worker = workerOf(who);
    await sayHere(em.fork(), attempts, worker, params.item, body.code, placeOf(request), now);
    return ownMeeting(em.fork(), worker, params.item, now);
  },
  attendance: ({ em, who, params, now }) => attendance(em.fork(), who.loaded.course, params.item, now),
  sayAttended: async ({ em, who, params, body, now }) => {
    const { course } = who.loaded;
    await sayAttended(em.fork(), course, params.item, body, who.person.id, now);
    return attendance(em.fork(), course, params.item, now);
  },
  newMeetingCode: async ({ em, who, params, body, now }) => {
    const { course } = who.loaded;
    await newMeetingCode(em.fork(), course, params.item, body.id, now);
    return attendance(em.fork(), course, params.item, now);
  },
};

export const SURVEY: HandlersOf<typeof SURVEY_ROUTES> = {
  survey: ({ em, who, params, now }) => ownSurvey(em.fork(), workerOf(who), params.item, now),
  answerSurvey: async ({ em, who, params, body, now }) => {
    const worker = workerOf(who);
    await answerSurvey(em.fork(), worker, params.item, body.answers, now);
    return ownSurvey(em.fork(), worker, params.item, now);
  },
  surveyTotals: ({ em, who, params, now }) => surveyTotals(em.fork(), who.loaded.course, params.item, now),
};
