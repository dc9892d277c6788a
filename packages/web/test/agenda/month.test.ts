/** Months of a calendar: whole weeks, whatever a week begins with, over years and leap days. */
import { expect, test } from '@jest/globals';
import { byDay, daysFrom, monthOf, monthsOn, monthWeeks } from '../../src/agenda/month.ts';

test('every month of forty years has its days once, in whole weeks that begin as they are to', () => {
  for (let month = '2000-01'; month < '2040-01'; month = monthsOn(month, 1)) {
    for (const weekStart of [1, 6, 7]) {
      const weeks = monthWeeks(month, weekStart);
      const days = weeks.flat();
      expect(weeks.every((week) => week.length === 7)).toBe(true);
      const weekdayOf = (day: string): number => ((new Date(`${day}T12:00Z`).getUTCDay() + 6) % 7) + 1;
      expect(weeks.every(([first]) => weekdayOf(first ?? '') === weekStart)).toBe(true);
      const own = days.filter((day) => monthOf(day) === month);
      const [year, number] = month.split('-').map(Number) as [number, number];
      expect(own).toHaveLength(new Date(Date.UTC(year, number, 0)).getUTCDate());
      // No week of it is another month's alone.
      expect(weeks.every((week) => week.some((day) => monthOf(day) === month))).toBe(true);
      expect(days).toEqual(daysFrom(days[0] ?? '', days.at(-1) ?? ''));
    }
  }
});

test('months go on over years, both ways', () => {
  expect([monthsOn('2027-12', 1), monthsOn('2027-01', -1), monthsOn('2027-03', 24)]).toEqual([
    ...['2028-01', '2026-12', '2029-03'],
  ]);
});

test('what lasts several days stands on each of them, also where it began before', () => {
  const days = daysFrom('2027-03-12', '2027-03-15');
  const pause = { day: '2027-03-08', lastDay: '2027-03-14' };
  const due = { day: '2027-03-14', lastDay: '2027-03-14' };
  expect([...byDay([pause, due], days).values()]).toEqual([[pause], [pause], [pause, due], []]);
});
