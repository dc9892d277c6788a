/** One's own calendar. */
import type { Route } from '../shape/route.ts';
import { agendaQuery, agendaSchema, feedParams, feedSchema, noBody } from './schemas.ts';

export const AGENDA_ROUTES = {
  agenda: {
    method: 'get',
    path: '/api/calendar',
    access: 'signed_in',
    summary: 'What is due, held, opening and without teaching in all of one’s courses, as one gets it',
    query: agendaQuery,
    status: 200,
    answer: agendaSchema,
  },
  ownFeed: {
    method: 'get',
    path: '/api/calendar/feed',
    access: 'signed_in',
    summary: 'The address at which programs read one’s calendar',
    status: 200,
    answer: feedSchema,
  },
  newFeed: {
    method: 'post',
    path: '/api/calendar/feed',
    access: 'signed_in',
    summary: 'Make that address, or make it anew: the one before leads nowhere from then on',
    body: noBody,
    status: 200,
    answer: feedSchema,
  },
  endFeed: {
    method: 'delete',
    path: '/api/calendar/feed',
    access: 'signed_in',
    summary: 'There is no such address any more',
    status: 200,
    answer: feedSchema,
  },
  feed: {
    method: 'get',
    path: '/api/calendar/feed/{person}/{key}',
    access: 'anyone',
    summary: 'The calendar of whoever the address is for, as iCalendar',
    params: feedParams,
    status: 200,
    media: 'text/calendar',
  },
} as const satisfies Readonly<Record<string, Route>>;
