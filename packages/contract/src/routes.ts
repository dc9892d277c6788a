/**
 * Every route of the interface to programs: its address, the right it needs, what it takes and gives.
 * The server registers exactly these, `/api/openapi.json` is made from them, and a test walks them all.
 */
import { ACCOUNT_ROUTES } from './accounts/routes.ts';
import { AGENDA_ROUTES } from './agenda/routes.ts';
import { OWN_ROUTES } from './own/routes.ts';
import { ACCESS_ROUTES } from './access/routes.ts';
import { DESK_ROUTES } from './desk/routes.ts';
import { FILES_ROUTES } from './files/routes.ts';
import { INSTITUTION_ROUTES } from './institution/routes.ts';
import { JOINING_ROUTES } from './joining/routes.ts';
import { MEMBERS_ROUTES } from './members/routes.ts';
import { MESSAGES_ROUTES } from './messages/routes.ts';
import { PEOPLE_ROUTES } from './people/routes.ts';
import { PLAN_ROUTES } from './plan/routes.ts';
import { PROGRESS_ROUTES } from './progress/routes.ts';
import { READING_ROUTES } from './reading/routes.ts';
import { REGISTRY_ROUTES } from './registry/routes.ts';
import { SERVICE_ROUTES } from './service/routes.ts';
import { WORK_ROUTES } from './coursework/routes.ts';
import { FILM_ROUTES } from './coursework/film/routes.ts';
import { MEETING_ROUTES } from './coursework/meeting/routes.ts';
import { QUIZ_ROUTES } from './coursework/quiz/routes.ts';
import { SURVEY_ROUTES } from './coursework/survey/routes.ts';
import { TALK_ROUTES } from './coursework/talk/routes.ts';

export const ROUTES = {
  ...SERVICE_ROUTES,
  ...PEOPLE_ROUTES,
  ...ACCOUNT_ROUTES,
  ...INSTITUTION_ROUTES,
  ...DESK_ROUTES,
  ...AGENDA_ROUTES,
  ...OWN_ROUTES,
  ...PLAN_ROUTES,
  ...FILES_ROUTES,
  ...MEMBERS_ROUTES,
  ...JOINING_ROUTES,
  ...REGISTRY_ROUTES,
  ...ACCESS_ROUTES,
  ...MESSAGES_ROUTES,
  ...PROGRESS_ROUTES,
  ...READING_ROUTES,
  ...WORK_ROUTES,
  ...QUIZ_ROUTES,
  ...TALK_ROUTES,
  ...FILM_ROUTES,
  ...MEETING_ROUTES,
  ...SURVEY_ROUTES,
} as const;

export type Routes = typeof ROUTES;
export type RouteName = keyof Routes;
