/** What a field expects: the sentence that says it, and that something is expected at all. */
import type { Expected, Reading } from '@itinerary/core';
import { useI18n } from 'vue-i18n';
import { formatDay, formatMinutes, weekdayName } from '../../../words/dates.ts';
import { formatNumber } from '../../../words/intl.ts';

export function useExpected(): (expected: Expected) => string {
  const { t, locale } = useI18n();
  return (expected) => {
    const key = `common.expected.${expected.code}`;
    switch (expected.code) {
      case 'whole':
      case 'number':
        return t(key, {
          least: formatNumber(expected.least, locale.value),
          most: formatNumber(expected.most, locale.value),
        });
      case 'duration':
        return t(key, {
          least: formatMinutes(expected.least, locale.value),
          most: formatMinutes(expected.most, locale.value),
        });
      case 'other_weekday':
        return t(key, {
          day: formatDay(expected.day, locale.value, { today: '0000', weekday: false }),
          weekday: weekdayName(expected.weekday, locale.value),
        });
      default:
        return t(key);
    }
  };
}

/** A field that has to hold something does not take nothing. */
export function orExpected<Value>(
  got: Reading<Value | null>,
  isRequired: boolean,
  expected: Expected,
): Reading<Value | null> {
  return isRequired && got.ok && got.value === null ? { ok: false, expected } : got;
}
