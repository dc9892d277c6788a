/** The plan of a course and its changes. */
import type { PLAN_ROUTES } from '@itinerary/contract';
import { outsideOf } from '../outside.ts';
import { readPlan, readText } from '../../usecases/plan/read-plan.ts';
import { takeChanges } from '../../usecases/plan/take-changes.ts';
import type { HandlersOf } from '../call.ts';

export const PLAN: HandlersOf<typeof PLAN_ROUTES> = {
  plan: ({ em, config, who, now }) =>
    readPlan(em, who.loaded, who.viewer, who.around, outsideOf(config), now),
  changes: ({ em, cleaning, who, body, now }) =>
    takeChanges({ em, cleaning }, who.loaded.course.id, who, body, now),
  text: ({ em, who, params }) => readText(em, who.loaded.course.id, params.hash),
};
