/**
 * Days as people read them, with `Intl` alone: the learner's pages carry no calendar library. Days are ISO
 * `YYYY-MM-DD` and need no zone; instants are shown in the zone that is given.
 */
import { intlLocale } from './intl.ts';

const cache = new Map<string, Intl.DateTimeFormat>();

function format(locale: string, options: Intl.DateTimeFormatOptions): Intl.DateTimeFormat {
  const key = locale + JSON.stringify(options);
  let made = cache.get(key);
  if (made === undefined) {
    made = new Intl.DateTimeFormat(intlLocale(locale), options);
    cache.set(key, made);
  }
  return made;
}

const asDate = (day: string): Date => new Date(`${day}T12:00:00Z`);

function part(day: string, locale: string, options: Intl.DateTimeFormatOptions): string {
  return format(locale, { ...options, timeZone: 'UTC' })
    .format(asDate(day))
    .replace(/\.$/, '');
}

const yearOf = (day: string): string => day.slice(0, 4);

/** "Sept" is four letters long in some runtimes; columns of dates want three. */
function shortMonth(day: string, locale: string): string {
  const month = part(day, locale, { month: 'short' });
  return locale === 'en' ? month.slice(0, 3) : month;
}

export interface DayOptions {
  /** The year is shown only when it is not that of this day. */
  readonly today: string;
  readonly weekday?: boolean;
}

/** "Mon 18 Jan", "18 Jan", "Mon 18 Jan 2026" when the year is another one. */
export function formatDay(day: string, locale: string, { today, weekday = true }: DayOptions): string {
  const name = weekday ? `${part(day, locale, { weekday: 'short' })} ` : '';
  const year = yearOf(day) === yearOf(today) ? '' : ` ${yearOf(day)}`;
  return `${name}${Number(day.slice(8))} ${shortMonth(day, locale)}${year}`;
}

/** "11–17 Jan", "28 Jan–3 Feb", with the years where they are not this one's. */
export function formatDays(first: string, last: string, locale: string, today: string): string {
  if (first === last) return formatDay(first, locale, { today, weekday: false });
  const end = formatDay(last, locale, { today, weekday: false });
  if (first.slice(0, 7) === last.slice(0, 7)) return `${Number(first.slice(8))}–${end}`;
  if (yearOf(first) === yearOf(last)) return `${Number(first.slice(8))} ${shortMonth(first, locale)}–${end}`;
  return `${formatDay(first, locale, { today, weekday: false })}–${end}`;
}

/** "11 January", for a title that follows a date. */
export function formatLongDay(day: string, locale: string): string {
  return part(day, locale, { day: 'numeric', month: 'long' });
}

/** "Monday". */
export function weekdayName(weekday: number, locale: string): string {
  // 5 January 1970 was a Monday.
  return part(`1970-01-${String(4 + weekday).padStart(2, '0')}`, locale, { weekday: 'long' });
}

/** "10:42" in a zone, or in the reader's own when none is given. */
export function formatTime(instant: string, locale: string, zone?: string): string {
  const options: Intl.DateTimeFormatOptions = { hour: '2-digit', minute: '2-digit', hourCycle: 'h23' };
  return format(locale, zone === undefined ? options : { ...options, timeZone: zone }).format(
    new Date(instant),
  );
}

/** The day of an instant in a zone, as ISO. */
export function dayIn(instant: string, zone: string): string {
  const parts = format('en', {
    timeZone: zone,
    year: 'numeric',
    month: '2-digit',
    day: '2-digit',
  }).formatToParts(new Date(instant));
  const get = (type: string): string => parts.find((found) => found.type === type)?.value ?? '';
  return `${get('year')}-${get('month')}-${get('day')}`;
}

/** Hours and minutes, as they are abbreviated. */
const UNITS: Readonly<Record<string, { readonly h: string; readonly min: string }>> = {
  ar: { h: 'س', min: 'د' },
};
const LATIN = { h: 'h', min: 'min' };

/** "3 h 10" or "25 min". */
export function formatMinutes(minutes: number, locale: string): string {
  const { h, min } = UNITS[locale] ?? LATIN;
  if (minutes < 60) return `${minutes} ${min}`;
  const rest = minutes % 60;
  const hours = `${Math.floor(minutes / 60)} ${h}`;
  return rest === 0 ? hours : `${hours} ${String(rest).padStart(2, '0')}`;
}
