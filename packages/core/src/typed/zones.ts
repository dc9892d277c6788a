/**
 * Zones by what people call them: a city, a country, an offset, a former name, with or without accents. Cities,
 * countries and other names come from the package `@vvo/tzdb`, made from the IANA database and GeoNames. It is large, so
 * that whoever asks for it takes it by itself: `@itinerary/core/zones`.
 */
import { rawTimeZones } from '@vvo/tzdb';
import { timeOf, zoneOf } from '../calendar/zone.ts';
import { toDayNumber } from '../calendar/day-number.ts';
import { plain } from './plain.ts';
import type { TypedIn } from './reading.ts';
import { CITIES } from './zone-cities.ts';

export interface ZoneFound {
  /** An IANA name. */
  readonly zone: string;
  readonly city: string;
  /** In the reader's language; empty where a zone is of no country. */
  readonly country: string;
  /** From UTC on the day that was asked about, as `+05:30`. */
  readonly offset: string;
}

interface Known {
  readonly zone: string;
  readonly country: string;
  readonly city: string;
  /** Looked for as they are, from the most to the least telling. */
  readonly names: readonly (readonly string[])[];
}

const DAY_MS = 86_400_000;
const cityOf = (zone: string): string => (zone.split('/').at(-1) as string).replaceAll('_', ' ');
/** "St. John's" and "St Johns" are one. */
const asSaid = (text: string): string =>
  plain(text)
    .replaceAll(/[.']/g, '')
    .replaceAll(/[-_/,]/g, ' ');

/** The one that is of no place. */
const UTC = {
  name: 'UTC',
  group: ['UTC', 'Etc/UTC', 'Etc/GMT', 'GMT'],
  countryCode: '',
  countryName: '',
  mainCities: ['UTC'],
  alternativeName: 'Coordinated Universal Time',
  abbreviation: 'UTC',
};
const LISTED = [...rawTimeZones, UTC];

let known: readonly Known[] | null = null;
function all(): readonly Known[] {
  known ??= LISTED.map(
    ({ name, group, countryCode, countryName, mainCities, alternativeName, abbreviation }) => ({
      zone: name,
      country: countryCode ?? '',
      city: CITIES[name]?.[0] ?? mainCities[0] ?? cityOf(name),
      names: [
        [...[name, ...group].map(cityOf), ...mainCities, ...(CITIES[name] ?? [])],
        [countryName ?? '', ...group],
        [alternativeName, abbreviation],
      ].map((names) => names.map(asSaid)),
    }),
  );
  return known;
}

/** @param day ISO: offsets change with it. */
export function offsetOf(zone: string, day: string): string {
  const noon = toDayNumber(day) * DAY_MS + DAY_MS / 2;
  const minutes = Math.round((zoneOf(zone).localOf(noon) - noon) / 60_000);
  return `${minutes < 0 ? '-' : '+'}${timeOf(Math.abs(minutes))}`;
}

const countries = new Map<string, Intl.DisplayNames>();
function countryName(code: string, locale: TypedIn): string {
  if (code === '') return '';
  let names = countries.get(locale);
  if (names === undefined) {
    names = new Intl.DisplayNames([locale], { type: 'region' });
    countries.set(locale, names);
  }
  return names.of(code) ?? code;
}

const found = ({ zone, city, country }: Known, locale: TypedIn, day: string): ZoneFound => ({
  zone,
  city,
  country: countryName(country, locale),
  offset: offsetOf(zone, day),
});

/** A zone with its city, country and offset; of a former name too. A zone that nobody lists is its own city. */
export function describeZone(zone: string, locale: TypedIn, day: string): ZoneFound {
  const one = all().find(({ zone: name }) => name === zone) ?? byGroup(zone);
  const described = found(one ?? { zone, city: cityOf(zone), country: '', names: [] }, locale, day);
  return { ...described, zone, offset: offsetOf(zone, day) };
}

function byGroup(zone: string): Known | undefined {
  const name = LISTED.find(({ group }) => group.includes(zone))?.name;
  return all().find((one) => one.zone === name);
}

/** "+5:30", "utc-3", "gmt+1": an offset in minutes, or null. */
function offsetIn(said: string): string | null {
  const parts = /^(?:utc|gmt)? ?([+-]) ?(\d{1,2})(?::?([0-5]\d))?$/.exec(said);
  return parts === null ? null : `${parts[1]}${(parts[2] as string).padStart(2, '0')}:${parts[3] ?? '00'}`;
}

/** How well a zone answers: 0 is best; null: not at all. Every word has to begin some word of one of its names. */
function rank(one: Known, words: readonly string[], locale: TypedIn): number | null {
  const typed = words.join(' ');
  const groups = [...one.names];
  groups[1] = [...(groups[1] ?? []), asSaid(countryName(one.country, locale))];
  let best: number | null = null;
  for (const [at, names] of groups.entries()) {
    for (const name of names) {
      const own = name.split(' ');
      const isWhole = name === typed;
      const begins = words.every((word) => own.some((part) => part.startsWith(word)));
      if (!isWhole && !begins) continue;
      // The whole of any name goes before the beginning of another: India is not Indiana.
      const here = isWhole ? at : groups.length + at * 2 + (name.startsWith(typed) ? 0 : 1);
      best = best === null ? here : Math.min(best, here);
    }
  }
  if (best !== null) return best;
  // Words of several names together: "lisbon portugal".
  const every = groups.flat().flatMap((name) => name.split(' '));
  return words.every((word) => every.some((part) => part.startsWith(word))) ? 20 : null;
}

/**
 * @param query what somebody calls a zone; empty: all of them, by offset and city.
 * @param day ISO, for the offsets.
 */
export function findZones(query: string, locale: TypedIn, day: string): readonly ZoneFound[] {
  const said = plain(query);
  const offset = offsetIn(said);
  if (offset !== null) {
    return all()
      .map((one) => found(one, locale, day))
      .filter((one) => one.offset === offset);
  }
  const words = asSaid(query).split(' ').filter(Boolean);
  if (words.length === 0) {
    return all()
      .map((one) => found(one, locale, day))
      .sort((a, b) => minutesOf(a.offset) - minutesOf(b.offset) || (a.city < b.city ? -1 : 1));
  }
  return all()
    .flatMap((one) => {
      const at = rank(one, words, locale);
      return at === null ? [] : [{ one, at }];
    })
    .sort((a, b) => a.at - b.at)
    .map(({ one }) => found(one, locale, day));
}

const minutesOf = (offset: string): number =>
  Number(`${offset[0]}1`) * (Number(offset.slice(1, 3)) * 60 + Number(offset.slice(4)));
