/** A planned moment in words: by the course's clocks, and by the reader's own where those differ. */
import type { MomentView } from '@itinerary/core';
import { dayIn, formatDay, formatTime } from './dates.ts';

/** "Sun 17 Jan 23:59", or the day alone. */
export function momentWords(
  { day, time }: Pick<MomentView, 'day' | 'time'>,
  locale: string,
  today: string,
): string {
  const date = formatDay(day, locale, { today });
  return time === null ? date : `${date} ${time}`;
}

export function ownZone(): string {
  return new Intl.DateTimeFormat().resolvedOptions().timeZone;
}

/** The moment by the reader's own clocks, or null where they show the same. */
export function ownMoment(
  moment: MomentView,
  locale: string,
  today: string,
  zone = ownZone(),
): string | null {
  if (moment.time === null) return null;
  const day = dayIn(moment.instant, zone);
  const time = formatTime(moment.instant, locale, zone);
  return day === moment.day && time === moment.time ? null : momentWords({ day, time }, locale, today);
}
