/** Times of day as they are typed: `23:59`, `9`, `9h30`, `9.30`, `2359`, `9:30 pm`, `noon`. */
import { timeOf } from '../calendar/zone.ts';
import { notRead, read } from './reading.ts';
import type { Reading } from './reading.ts';
import { plain } from './plain.ts';

/** Of all four languages at once: none of them means another time in another one. */
const NAMED = new Map([
  ...['noon', 'midday', 'mediodia', 'midi', 'الظهر', 'ظهرا'].map((name) => [name, '12:00'] as const),
  ...['midnight', 'medianoche', 'minuit', 'منتصف الليل'].map((name) => [name, '00:00'] as const),
]);
const MORNING = /(?:am|a\. ?m\.?|صباحا|ص)$/;
const EVENING = /(?:pm|p\. ?m\.?|مساء|م)$/;
const CLOCK = /^(\d{1,2})(?: ?(?:[:.h]|س) ?(\d{2})?)?(?: ?(?:h|hs|hrs|د)\.?)?$/;

/** @returns `HH:MM`, null for nothing, or that a time is expected. 24:00 is none: it is the next day's 00:00. */
export function readTime(text: string): Reading<string | null> {
  const said = plain(text);
  if (said === '') return read(null);
  const named = NAMED.get(said);
  if (named !== undefined) return read(named);
  const half = MORNING.test(said) ? 'morning' : EVENING.test(said) ? 'evening' : null;
  const figures = said.replace(MORNING, '').replace(EVENING, '').trim();
  const joined = /^(\d{1,2})(\d{2})$/.exec(figures);
  const parts = joined !== null && figures.length > 2 ? joined : CLOCK.exec(figures);
  if (parts === null) return notRead({ code: 'time' });
  let hour = Number(parts[1]);
  const minute = Number(parts[2] ?? 0);
  if (half !== null) {
    if (hour < 1 || hour > 12) return notRead({ code: 'time' });
    hour = (hour % 12) + (half === 'evening' ? 12 : 0);
  }
  return hour > 23 || minute > 59 ? notRead({ code: 'time' }) : read(timeOf(hour * 60 + minute));
}
