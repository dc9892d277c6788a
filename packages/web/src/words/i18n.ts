/** Languages. Messages load an area at a time, so that a learner's page never waits for the setup's words. */
import { shallowRef } from 'vue';
import { createI18n } from 'vue-i18n';
import { PLURALS } from './plurals.ts';

export const LOCALES = ['en', 'es', 'fr', 'ar'] as const;
export type Locale = (typeof LOCALES)[number];
export type Area =
  | 'common'
  | 'account'
  | 'learner'
  | 'desk'
  | 'setup'
  | 'work'
  | 'quiz'
  | 'talk'
  | 'film'
  | 'meeting'
  | 'survey'
  | 'agenda'
  | 'own'
  | 'progress'
  | 'grid'
  | 'forecast';

const KEY = 'itinerary.locale';

function isLocale(value: string | null | undefined): value is Locale {
  return LOCALES.some((locale) => locale === value);
}

function firstLocale(): Locale {
  const stored = localStorage.getItem(KEY);
  if (isLocale(stored)) return stored;
  const wanted = navigator.languages.map((language) => language.slice(0, 2)).find(isLocale);
  return wanted ?? 'en';
}

export const i18n = createI18n({
  legacy: false,
  locale: firstLocale(),
  fallbackLocale: 'en',
  pluralRules: PLURALS,
  missingWarn: import.meta.env.DEV,
  fallbackWarn: false,
});

/**
 * Words with nothing to fill in are put together once for a language, not for every button of a table anew. Whoever
 * asks still hears of another language, and of words that have come.
 */
const plain = new Map<string, string>();
const arrivals = shallowRef(0);
const say = i18n.global.t as (...given: readonly unknown[]) => string;
i18n.global.t = ((...given: readonly unknown[]): string => {
  const [key] = given;
  if (given.length > 1 || typeof key !== 'string') return say(...given);
  const name = `${arrivals.value} ${i18n.global.locale.value} ${key}`;
  const found = plain.get(name) ?? say(key);
  plain.set(name, found);
  return found;
}) as typeof i18n.global.t;

const files = import.meta.glob<{ default: Record<string, unknown> }>('../locales/*/*.ts');
const loaded = new Set<string>();
const wanted = new Set<Area>(['common']);

async function load(locale: Locale, area: Area): Promise<void> {
  const key = `${locale}/${area}`;
  if (loaded.has(key)) return;
  const file = files[`../locales/${key}.ts`];
  if (file === undefined) throw new Error(`no messages for ${key}`);
  i18n.global.mergeLocaleMessage(locale, { [area]: (await file()).default });
  plain.clear();
  arrivals.value += 1;
  loaded.add(key);
}

/** Makes an area's messages ready in the language in use. */
export async function loadMessages(areas: readonly Area[]): Promise<void> {
  areas.forEach((area) => wanted.add(area));
  const locale = i18n.global.locale.value as Locale;
  await show(locale);
}

/** A course that speaks one language on its pages; null: elsewhere, and in courses that leave it to the reader. */
let held: { readonly locale: Locale; readonly always: boolean } | null = null;

async function show(locale: Locale): Promise<void> {
  await Promise.all([...wanted].map((area) => load(locale, area)));
  i18n.global.locale.value = locale;
  const page = document.documentElement;
  // Said again, even the same words make the browser work out the style of the whole page anew.
  if (page.lang === locale && page.dir !== '') return;
  page.lang = locale;
  page.dir = isRightToLeft(locale) ? 'rtl' : 'ltr';
}

/** The language that stands now: the course's where it is held, else one's own choice, else the course's. */
function standing(): Locale {
  const stored = localStorage.getItem(KEY);
  if (held !== null && (held.always || !isLocale(stored))) return held.locale;
  return firstLocale();
}

export async function changeLocale(locale: Locale): Promise<void> {
  // First of all: a page loaded anew while the messages are still on their way keeps to what was chosen.
  localStorage.setItem(KEY, locale);
  await show(standing());
}

/** @param always whatever the reader has chosen. */
export async function holdLocale(locale: Locale | null, always: boolean): Promise<void> {
  held = locale === null ? null : { locale, always };
  if (standing() !== i18n.global.locale.value) await show(standing());
}

export function isRightToLeft(locale: string): boolean {
  return locale === 'ar';
}
