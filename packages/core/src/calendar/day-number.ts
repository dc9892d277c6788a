/**
 * Days as whole numbers since 1970-01-01: what the calendar computes with. Plain days have no zone and are all
 * of one length, so their arithmetic is that of integers.
 *
 * The conversions count from 1 March, so that the leap day comes last in its year; 146097 days make the four
 * hundred years of the Gregorian cycle (ISO 8601).
 */
const DAYS_400_YEARS = 146_097;
/** From 0000-03-01 to 1970-01-01. */
const SHIFT = 719_468;

export function toDayNumber(day: string): number {
  const year = Number(day.slice(0, 4));
  const month = Number(day.slice(5, 7));
  return fromCivil(year, month, Number(day.slice(8, 10)));
}

/** @param month 1–12 */
export function fromCivil(year: number, month: number, day: number): number {
  const y = month <= 2 ? year - 1 : year;
  const era = Math.floor(y / 400);
  const yearOfEra = y - era * 400;
  const dayOfYear = Math.floor((153 * (month + (month > 2 ? -3 : 9)) + 2) / 5) + day - 1;
  const dayOfEra = yearOfEra * 365 + Math.floor(yearOfEra / 4) - Math.floor(yearOfEra / 100) + dayOfYear;
  return era * DAYS_400_YEARS + dayOfEra - SHIFT;
}

/** Year, month 1–12 and day of a day number. */
export function toCivil(number: number): readonly [number, number, number] {
  const z = number + SHIFT;
  const era = Math.floor(z / DAYS_400_YEARS);
  const dayOfEra = z - era * DAYS_400_YEARS;
  const yearOfEra = Math.floor(
    (dayOfEra -
      Math.floor(dayOfEra / 1460) +
      Math.floor(dayOfEra / 36_524) -
      Math.floor(dayOfEra / 146_096)) /
      365,
  );
  const dayOfYear = dayOfEra - (365 * yearOfEra + Math.floor(yearOfEra / 4) - Math.floor(yearOfEra / 100));
  const fromMarch = Math.floor((5 * dayOfYear + 2) / 153);
  const day = dayOfYear - Math.floor((153 * fromMarch + 2) / 5) + 1;
  const month = fromMarch < 10 ? fromMarch + 3 : fromMarch - 9;
  return [yearOfEra + era * 400 + (month <= 2 ? 1 : 0), month, day];
}

const two = (value: number): string => (value < 10 ? `0${value}` : String(value));

export function toDay(number: number): string {
  const [year, month, day] = toCivil(number);
  return `${String(year).padStart(4, '0')}-${two(month)}-${two(day)}`;
}

/** ISO weekday of a day number: Monday is 1, Sunday is 7; 1970-01-01 was a Thursday. */
export function weekdayOfNumber(number: number): number {
  return ((((number + 3) % 7) + 7) % 7) + 1;
}

/** Adds calendar months; a day that the month lacks becomes its last. */
export function addMonths(number: number, months: number): number {
  const [year, month, day] = toCivil(number);
  const count = year * 12 + (month - 1) + months;
  const [toYear, toMonth] = [Math.floor(count / 12), (((count % 12) + 12) % 12) + 1];
  const first = fromCivil(toYear, toMonth, 1);
  const next = toMonth === 12 ? fromCivil(toYear + 1, 1, 1) : fromCivil(toYear, toMonth + 1, 1);
  return first + Math.min(day, next - first) - 1;
}
