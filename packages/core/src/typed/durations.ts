/** How long something takes, as people type it: `90`, `1h30`, `1:30`, `90 min`, `1,5 h`. Counted in minutes. */
import { notRead, read } from './reading.ts';
import type { Reading, TypedIn } from './reading.ts';
import { numberIn } from './numbers.ts';
import { plain } from './plain.ts';

/** Beginnings of the words for an hour and for a minute, in the four languages, as `plain` leaves them. */
const HOUR = '(?:h|hs|hr|hrs|hour|hours|hora|horas|heure|heures|س|ساعه|ساعات|ساعتان|ساعتين)';
const MINUTE = "(?:m|mn|min|mins|minute|minutes|minuto|minutos|'|د|دقيقه|دقائق|دقيقتان|دقيقتين)";
const NUMBER = '[\\d.,]+';
/** Words that stand for a number and a unit at once. */
const ALONE: readonly (readonly [RegExp, string])[] = [
  [/ساعتان|ساعتين/g, ' 2 h '],
  [/دقيقتان|دقيقتين/g, ' 2 min '],
];

const HOURS_AND_MINUTES = new RegExp(
  `^(\\d+) ?${HOUR}\\.? ?(?:and |y |et |و ?)?(\\d{1,2}) ?(?:${MINUTE}\\.?)?$`,
);
const HOURS = new RegExp(`^(${NUMBER}) ?${HOUR}\\.?$`);
const MINUTES = new RegExp(`^(${NUMBER}|\\d{1,3}(?: \\d{3})+) ?(?:${MINUTE}\\.?)?$`);
const CLOCK = /^(\d+):([0-5]\d)$/;

function minutesIn(text: string, locale: TypedIn): number | null {
  const said = ALONE.reduce((so, [word, number]) => so.replace(word, number), plain(text))
    .replaceAll(/ +/g, ' ')
    .trim();
  const bare = new RegExp(`^${HOUR}$`).test(said) && /^(ساعه|hour|hora|heure)$/.test(said);
  if (bare) return 60;
  const clock = CLOCK.exec(said);
  if (clock !== null) return Number(clock[1]) * 60 + Number(clock[2]);
  const both = HOURS_AND_MINUTES.exec(said);
  if (both !== null && Number(both[2]) < 60) return Number(both[1]) * 60 + Number(both[2]);
  const hours = HOURS.exec(said)?.[1];
  const ofHours = hours === undefined ? null : numberIn(hours, locale);
  // A tenth of an hour is six minutes, whatever a tenth is in binary.
  if (ofHours !== null) return Math.round(ofHours * 60 * 1e6) / 1e6;
  const minutes = MINUTES.exec(said)?.[1];
  return minutes === undefined ? null : numberIn(minutes, locale);
}

/**
 * @param bounds in minutes.
 * @returns whole minutes, null for nothing, or what is expected.
 */
export function readDuration(
  text: string,
  { least, most }: { readonly least: number; readonly most: number },
  locale: TypedIn,
): Reading<number | null> {
  if (plain(text) === '') return read(null);
  const minutes = minutesIn(text, locale);
  if (minutes === null || minutes < least || minutes > most)
    return notRead({ code: 'duration', least, most });
  return Number.isInteger(minutes) ? read(minutes) : notRead({ code: 'whole_minutes' });
}
