/** One handler a route: from checked input to a use case. Nothing is decided here. */
import type { RouteName } from '@itinerary/contract';
import type { Handler } from './call.ts';
import { ACCOUNTS } from './handlers/accounts.ts';
import { AGENDA } from './handlers/agenda.ts';
import { OWN } from './handlers/own.ts';
import { ACCESS } from './handlers/access.ts';
import { DESK } from './handlers/desk.ts';
import { FILES } from './handlers/files.ts';
import { INSTITUTION } from './handlers/institution.ts';
import { JOINING } from './handlers/joining.ts';
import { REGISTRY } from './handlers/registry.ts';
import { MEMBERS } from './handlers/members.ts';
import { MESSAGES } from './handlers/messages.ts';
import { PEOPLE } from './handlers/people.ts';
import { PLAN } from './handlers/plan.ts';
import { PROGRESS } from './handlers/progress.ts';
import { READING } from './handlers/reading.ts';
import { SERVICE } from './handlers/service.ts';
import { WORK } from './handlers/coursework.ts';
import { QUIZ } from './handlers/quiz.ts';
import { TALK } from './handlers/talk.ts';
import { FILM, MEETING, SURVEY } from './handlers/taking-part.ts';

export const HANDLERS: { readonly [Name in RouteName]: Handler<Name> } = {
  ...SERVICE,
  ...PEOPLE,
  ...ACCOUNTS,
  ...INSTITUTION,
  ...DESK,
  ...AGENDA,
  ...OWN,
  ...PLAN,
  ...FILES,
  ...MEMBERS,
  ...JOINING,
  ...REGISTRY,
  ...ACCESS,
  ...MESSAGES,
  ...PROGRESS,
  ...READING,
  ...WORK,
  ...QUIZ,
  ...TALK,
  ...FILM,
  ...MEETING,
  ...SURVEY,
};
