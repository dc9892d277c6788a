/** Months as a calendar shows them. Months are `YYYY-MM`, days ISO; neither needs a zone. */
const DAY_MS = 86_400_000;

const iso = (ms: number): string => new Date(ms).toISOString().slice(0, 10);
const at = (day: string): number => Date.parse(`${day}T00:00Z`);

export const monthOf = (day: string): string => day.slice(0, 7);

/** @param by how many months on, or back */
export function monthsOn(month: string, by: number): string {
  const [year, number] = month.split('-').map(Number) as [number, number];
  return new Date(Date.UTC(year, number - 1 + by, 1)).toISOString().slice(0, 7);
}

/** Whole weeks, from the one that holds its first day to the one that holds its last. @param weekStart ISO weekday */
export function monthWeeks(month: string, weekStart: number): readonly (readonly string[])[] {
  const first = at(`${month}-01`);
  const end = at(`${monthsOn(month, 1)}-01`);
  const weekday = ((new Date(first).getUTCDay() + 6) % 7) + 1;
  const weeks: string[][] = [];
  for (let monday = first - ((weekday - weekStart + 7) % 7) * DAY_MS; monday < end; monday += 7 * DAY_MS)
    weeks.push(Array.from({ length: 7 }, (_, index) => iso(monday + index * DAY_MS)));
  return weeks;
}

/** From one day to another, both included. */
export function daysFrom(first: string, last: string): readonly string[] {
  const days: string[] = [];
  for (let day = at(first); day <= at(last); day += DAY_MS) days.push(iso(day));
  return days;
}

/** What stands on each day; what lasts several stands on each of them. */
export function byDay<Thing extends { readonly day: string; readonly lastDay: string }>(
  things: readonly Thing[],
  days: readonly string[],
): ReadonlyMap<string, readonly Thing[]> {
  return new Map(
    days.map((day) => [day, things.filter(({ day: first, lastDay }) => first <= day && day <= lastDay)]),
  );
}
