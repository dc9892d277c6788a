/**
 * The calendar at an address of its own: whoever has it reads it, so that it cannot be guessed, and can be made anew. The
 * key is reckoned from the server's secret and a number that rises, so that it can be shown again and is kept nowhere.
 */
import { createHmac, timingSafeEqual } from 'node:crypto';
import type { FeedAnswer } from '@itinerary/contract';
import { addDays, dayOf, writeCalendar } from '@itinerary/core';
import type { AgendaEntry, FedEntry } from '@itinerary/core';
import { CalendarFeedRow, PersonRow } from '../../db/entities.ts';
import type { Person } from '../../db/entities.ts';
import type { EntityManager } from '../../db/orm.ts';
import { nothingHere } from '../nothing-here.ts';
import { agendasOf } from './agenda.ts';
import { feedWords } from './feed-words.ts';

const BACK_DAYS = 120;
const AHEAD_DAYS = 500;

const keyOf = (secret: string, personId: string, number: number): string =>
  createHmac('sha256', secret).update(`calendar\n${personId}\n${number}`).digest('base64url');

const pathOf = (secret: string, personId: string, number: number): FeedAnswer => ({
  path: `/api/calendar/feed/${personId}/${keyOf(secret, personId, number)}`,
});

export async function ownFeed(em: EntityManager, secret: string, personId: string): Promise<FeedAnswer> {
  const row = await em.findOne(CalendarFeedRow, { personId });
  return row?.isOn === true ? pathOf(secret, personId, row.number) : { path: null };
}

/** The one before leads nowhere from then on. */
export async function newFeed(em: EntityManager, secret: string, personId: string): Promise<FeedAnswer> {
  const [row] = await em.execute<{ number: number }[]>(
    `insert into calendar_feed (person_id, number, is_on) values (?, 1, true)
     on conflict (person_id) do update set number = calendar_feed.number + 1, is_on = true returning number`,
    [personId],
  );
  return pathOf(secret, personId, row?.number ?? 1);
}

/** Its number stays: an address that was ended is never good again. */
export async function endFeed(em: EntityManager, personId: string): Promise<FeedAnswer> {
  await em.nativeUpdate(CalendarFeedRow, { personId }, { isOn: false });
  return { path: null };
}

const isSame = (one: string, other: string): boolean => {
  const [a, b] = [Buffer.from(one), Buffer.from(other)];
  return a.length === b.length && timingSafeEqual(a, b);
};

/** @param site where it all is, as `https://host` @throws Failure `not_found` where the address leads nowhere */
export async function feed(
  em: EntityManager,
  secret: string,
  { person: personId, key }: { readonly person: string; readonly key: string },
  site: string,
  now: string,
): Promise<string> {
  const row = await em.findOne(CalendarFeedRow, { personId });
  const isGood = row?.isOn === true && isSame(key, keyOf(secret, personId, row.number));
  const person = isGood ? await em.findOne(PersonRow, { id: personId }) : null;
  if (person === null) throw nothingHere();
  return calendarOf(em, person, site, now);
}

async function calendarOf(em: EntityManager, person: Person, site: string, now: string): Promise<string> {
  const today = dayOf(now, 'UTC');
  const days = { from: addDays(today, -BACK_DAYS), to: addDays(today, AHEAD_DAYS) };
  const words = feedWords(person.lang);
  const entries = (await agendasOf(em, person, days, now)).flatMap(({ course, entries: own }) =>
    own.map((entry): FedEntry => ({
      ...entry,
      course: course.id,
      zone: course.dates.zone,
      summary: words.summary(entry, course.code),
      description: course.title,
      address: addressOf(site, course.id, entry),
    })),
  );
  return writeCalendar(words.name, entries, now);
}

function addressOf(site: string, course: string, { what, kind, id }: AgendaEntry): string {
  if (what === 'pause') return `${site}/courses/${course}/outline`;
  return `${site}/courses/${course}/${kind === null ? 'sections' : 'items'}/${id}`;
}
