/** Zones are found by what people call them, in the first few; and each is shown whole. */
import { expect, test } from '@jest/globals';
import { isZone } from '../../src/index.ts';
import { describeZone, findZones, offsetOf } from '../../src/typed/zones.ts';
import type { TypedIn } from '../../src/index.ts';

const DAY = '2027-02-16';
/** Language, what is typed, and the zone that has to be the first of what is found. */
const CASES: readonly (readonly [TypedIn, string, string])[] = [
  ['en', 'Kolkata', 'Asia/Kolkata'],
  ['en', 'Calcutta', 'Asia/Kolkata'],
  ['en', 'Mumbai', 'Asia/Kolkata'],
  ['en', 'Bombay', 'Asia/Kolkata'],
  ['en', 'India', 'Asia/Kolkata'],
  ['en', 'Kathmandu', 'Asia/Kathmandu'],
  ['en', 'katmandu', 'Asia/Kathmandu'],
  ['en', 'Nepal', 'Asia/Kathmandu'],
  ['en', 'Kyiv', 'Europe/Kyiv'],
  ['en', 'Kiev', 'Europe/Kyiv'],
  ['en', 'Yangon', 'Asia/Yangon'],
  ['en', 'Rangoon', 'Asia/Yangon'],
  ['en', 'Burma', 'Asia/Yangon'],
  ['en', 'New York', 'America/New_York'],
  ['en', 'new york', 'America/New_York'],
  ['en', 'america/new_york', 'America/New_York'],
  ['en', 'Boston', 'America/New_York'],
  ['en', 'St Johns', 'America/St_Johns'],
  ['en', "St. John's", 'America/St_Johns'],
  ['en', 'Newfoundland', 'America/St_Johns'],
  ['en', 'UTC', 'UTC'],
  ['en', 'GMT', 'UTC'],
  ['en', 'zulu', 'UTC'],
  ['en', 'Lisbon', 'Europe/Lisbon'],
  ['en', 'lisboa', 'Europe/Lisbon'],
  ['en', 'Portugal', 'Europe/Lisbon'],
  ['en', 'lisbon portugal', 'Europe/Lisbon'],
  ['en', 'London', 'Europe/London'],
  ['en', 'Scotland', 'Europe/London'],
  ['en', 'GB', 'Europe/London'],
  ['en', 'Sao Paulo', 'America/Sao_Paulo'],
  ['en', 'São Paulo', 'America/Sao_Paulo'],
  ['en', 'rio de janeiro', 'America/Sao_Paulo'],
  ['en', 'San Francisco', 'America/Los_Angeles'],
  ['en', 'Seattle', 'America/Los_Angeles'],
  ['en', 'pacific time', 'America/Los_Angeles'],
  ['en', 'Houston', 'America/Chicago'],
  ['en', 'Honolulu', 'Pacific/Honolulu'],
  ['en', 'Hawaii', 'Pacific/Honolulu'],
  ['en', 'Beijing', 'Asia/Shanghai'],
  ['en', 'Peking', 'Asia/Shanghai'],
  ['en', 'Saigon', 'Asia/Ho_Chi_Minh'],
  ['en', 'Hanoi', 'Asia/Ho_Chi_Minh'],
  ['en', 'Tokyo', 'Asia/Tokyo'],
  ['en', 'Osaka', 'Asia/Tokyo'],
  ['en', 'Seoul', 'Asia/Seoul'],
  ['en', 'Munich', 'Europe/Berlin'],
  ['en', 'München', 'Europe/Berlin'],
  ['en', 'Germany', 'Europe/Berlin'],
  ['en', 'Cape Town', 'Africa/Johannesburg'],
  ['en', 'Wellington', 'Pacific/Auckland'],
  ['en', 'Azores', 'Atlantic/Azores'],
  ['en', 'Madeira', 'Europe/Lisbon'],
  ['en', 'Tenerife', 'Atlantic/Canary'],
  ['en', 'Ottawa', 'America/Toronto'],
  ['en', 'Montreal', 'America/Toronto'],
  ['en', '+5:45', 'Asia/Kathmandu'],
  ['en', 'UTC+05:45', 'Asia/Kathmandu'],
  ['en', 'gmt-3:30', 'America/St_Johns'],
  ['es', 'Londres', 'Europe/London'],
  ['es', 'Nueva York', 'America/New_York'],
  ['es', 'Moscú', 'Europe/Moscow'],
  ['es', 'El Cairo', 'Africa/Cairo'],
  ['es', 'Egipto', 'Africa/Cairo'],
  ['es', 'Japón', 'Asia/Tokyo'],
  ['es', 'Ciudad de México', 'America/Mexico_City'],
  ['es', 'Marruecos', 'Africa/Casablanca'],
  ['es', 'Estambul', 'Europe/Istanbul'],
  ['fr', 'Londres', 'Europe/London'],
  ['fr', 'Le Caire', 'Africa/Cairo'],
  ['fr', 'Alger', 'Africa/Algiers'],
  ['fr', 'Algérie', 'Africa/Algiers'],
  ['fr', 'Allemagne', 'Europe/Berlin'],
  ['fr', 'Le Cap', 'Africa/Johannesburg'],
  ['fr', 'Bruxelles', 'Europe/Brussels'],
  ['fr', 'Beyrouth', 'Asia/Beirut'],
  ['fr', 'Inde', 'Asia/Kolkata'],
  ['ar', 'القاهرة', 'Africa/Cairo'],
  ['ar', 'القاهره', 'Africa/Cairo'],
  ['ar', 'مصر', 'Africa/Cairo'],
  ['ar', 'الرياض', 'Asia/Riyadh'],
  ['ar', 'لندن', 'Europe/London'],
  ['ar', 'دبي', 'Asia/Dubai'],
  ['ar', 'بيروت', 'Asia/Beirut'],
  ['ar', 'المغرب', 'Africa/Casablanca'],
];

test('there are eighty at least', () => expect(CASES.length).toBeGreaterThanOrEqual(80));

test.each(CASES)('%s: %s', (locale, typed, zone) => {
  expect(findZones(typed, locale, DAY)[0]?.zone).toBe(zone);
});

test('what nobody is called finds nothing', () => {
  expect(findZones('nowhere at all', 'en', DAY)).toEqual([]);
  expect(findZones('+25', 'en', DAY)).toEqual([]);
});

test('nothing typed: all of them, each a zone of this runtime, from the first offset to the last', () => {
  const all = findZones('', 'en', DAY);
  expect(all.length).toBeGreaterThan(300);
  expect(all.filter(({ zone }) => !isZone(zone))).toEqual([]);
  const minutes = all.map(({ offset }) => {
    const [hours, rest] = offset.slice(1).split(':').map(Number) as [number, number];
    return (offset[0] === '-' ? -1 : 1) * (hours * 60 + rest);
  });
  expect(minutes).toEqual(minutes.toSorted((a, b) => a - b));
});

test('every zone that the runtime offers can be shown, and is found by its own name', () => {
  for (const zone of Intl.supportedValuesOf('timeZone')) {
    const { city, offset } = describeZone(zone, 'en', DAY);
    expect(city).not.toBe('');
    expect(offset).toMatch(/^[+-]\d\d:\d\d$/);
    expect(findZones(zone, 'en', DAY).length).toBeGreaterThan(0);
  }
});

test('an offset that several have finds all of them', () => {
  const zones = findZones('+5:30', 'en', DAY).map(({ zone }) => zone);
  expect(zones).toEqual(expect.arrayContaining(['Asia/Kolkata', 'Asia/Colombo']));
});

test('offsets are those of the day', () => {
  expect(offsetOf('Europe/Lisbon', '2027-02-16')).toBe('+00:00');
  expect(offsetOf('Europe/Lisbon', '2027-07-16')).toBe('+01:00');
  expect(offsetOf('America/St_Johns', '2027-02-16')).toBe('-03:30');
  expect(describeZone('Asia/Calcutta', 'fr', DAY)).toEqual({
    zone: 'Asia/Calcutta',
    city: 'Kolkata',
    country: 'Inde',
    offset: '+05:30',
  });
});
