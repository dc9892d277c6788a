/** The sentence that says what a field expects. */
import type { Expected } from '@itinerary/core';
import { writeDuration } from '@itinerary/core';
import { useI18n } from 'vue-i18n';
import { formatDay, weekdayName } from '../../words/dates.ts';
import { formatNumber } from '../../words/intl.ts';
import { typedIn } from './typed-in.ts';

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
          least: writeDuration(expected.least, typedIn(locale.value)),
          most: writeDuration(expected.most, typedIn(locale.value)),
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
