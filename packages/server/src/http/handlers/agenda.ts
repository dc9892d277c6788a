/** One's own calendar, on the screen and at an address. */
import type { AGENDA_ROUTES } from '@itinerary/contract';
import { agenda } from '../../usecases/agenda/agenda.ts';
import { endFeed, feed, newFeed, ownFeed } from '../../usecases/agenda/feed.ts';
import type { HandlersOf } from '../call.ts';

export const AGENDA: HandlersOf<typeof AGENDA_ROUTES> = {
  agenda: ({ em, who, query, now }) => agenda(em, who.person, query, now),
  ownFeed: ({ em, who, config }) => ownFeed(em, config.sessionSecret, who.person.id),
  newFeed: ({ em, who, config }) => newFeed(em.fork(), config.sessionSecret, who.person.id),
  endFeed: ({ em, who }) => endFeed(em.fork(), who.person.id),
  feed: ({ em, config, params, now }) => feed(em, config.sessionSecret, params, config.site, now),
};
