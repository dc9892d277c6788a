/** A day and a time in one field: "7 Dec 14:00", "tomorrow, 9:30 pm", "2027-05-23 23:59". */
import { readDay } from './days.ts';
import type { DayContext } from './days.ts';
import { notRead, read } from './reading.ts';
import type { Reading, TypedIn } from './reading.ts';
import { readTime } from './times.ts';

export interface TypedMoment {
  readonly day: string;
  /** Null: a day alone was typed. */
  readonly time: string | null;
}

/** @returns the moment, null for nothing, or what is expected: of the day, where a time is there. */
export function readMoment(text: string, locale: TypedIn, context: DayContext): Reading<TypedMoment | null> {
  if (text.trim() === '') return read(null);
  const alone = readDay(text, locale, context);
  if (alone.ok && alone.value !== null) return read({ day: alone.value, time: null });
  const words = text.trim().split(/[\s\u00a0\u202f]+/);
  let wrong = alone;
  // The time comes last, in as few words as it may have.
  for (let of = 1; of <= Math.min(3, words.length - 1); of += 1) {
    const time = readTime(words.slice(-of).join(' '));
    if (!time.ok || time.value === null) continue;
    const day = readDay(words.slice(0, -of).join(' ').replace(/[,،]$/, ''), locale, context);
    if (day.ok && day.value !== null) return read({ day: day.value, time: time.value });
    if (!day.ok && day.expected.code !== 'day') wrong = day;
  }
  return wrong.ok || wrong.expected.code === 'day' ? notRead({ code: 'moment' }) : wrong;
}
