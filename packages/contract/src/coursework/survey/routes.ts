/** Answering a survey, and what it came to. */
import { course, pathId } from '../../shape/route.ts';
import type { Route } from '../../shape/route.ts';
import { ownSurveySchema, surveyBodySchema, surveyTotalsSchema } from './schemas.ts';

const item = course.extend({ item: pathId });

export const SURVEY_ROUTES = {
  survey: {
    method: 'get',
    path: '/api/learn/{course}/items/{item}/survey',
    access: 'read',
    summary: 'What a survey asks, and whether one has answered',
    params: item,
    status: 200,
    answer: ownSurveySchema,
  },
  answerSurvey: {
    method: 'post',
    path: '/api/learn/{course}/items/{item}/survey/answers',
    access: 'read',
    summary: 'Answer it, once; nothing joins the answer to whoever gives it',
    params: item,
    body: surveyBodySchema,
    status: 200,
    answer: ownSurveySchema,
  },
  surveyTotals: {
    method: 'get',
    path: '/api/courses/{course}/items/{item}/survey',
    access: 'mark',
    summary: 'What it came to, from enough answers on',
    params: item,
    status: 200,
    answer: surveyTotalsSchema,
  },
} as const satisfies Readonly<Record<string, Route>>;
