/**
 * Every route of the interface to programs: its address, the right it needs, what it takes and gives.
 * The server registers exactly these, `/api/openapi.json` is made from them, and a test walks them all.
 */
import { INSTITUTION_ROUTES } from './routes/institution.ts';
import { MEMBER_ROUTES } from './routes/members.ts';
import { PLANNING_ROUTES } from './routes/planning.ts';
import { READING_ROUTES } from './routes/reading.ts';
import { SERVICE_ROUTES } from './routes/service.ts';

export type { Route, RouteAccess } from './routes/route.ts';
export { healthSchema } from './routes/service.ts';

export const ROUTES = {
  ...SERVICE_ROUTES,
  ...INSTITUTION_ROUTES,
  ...PLANNING_ROUTES,
  ...MEMBER_ROUTES,
  ...READING_ROUTES,
} as const;

export type RouteName = keyof typeof ROUTES;
