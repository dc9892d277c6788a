import type { Palette } from '@itinerary/core';
import { createVuetify } from 'vuetify';
import { ar, en, es, fr } from 'vuetify/locale';
import { PathIcon } from './path-icon.ts';
import { DARK, LIGHT } from './tokens.ts';

const asVuetify = (colours: Palette): Record<string, string> => ({
  ...colours,
  background: colours.mist,
  surface: colours.card,
  primary: colours.bottle,
  'on-background': colours.ink,
  'on-surface': colours.ink,
  'on-primary': colours['on-bottle'],
  error: colours.blocker,
  warning: colours.advice,
  success: colours.open,
  info: colours.later,
});

/** How the person wants it: as their system has it unless they chose. */
export type Appearance = 'system' | 'light' | 'dark';
const KEY = 'itinerary.appearance';

export function storedAppearance(): Appearance {
  const stored = localStorage.getItem(KEY);
  return stored === 'light' || stored === 'dark' ? stored : 'system';
}

export function storeAppearance(appearance: Appearance): void {
  localStorage.setItem(KEY, appearance);
}

const SQUARE = 'M4 7a3 3 0 0 1 3 -3h10a3 3 0 0 1 3 3v10a3 3 0 0 1 -3 3h-10a3 3 0 0 1 -3 -3z';
const RING = 'M12 12m-8 0a8 8 0 1 0 16 0a8 8 0 1 0 -16 0';

export const vuetify = createVuetify({
  locale: { locale: 'en', fallback: 'en', messages: { en, es, fr, ar }, rtl: { ar: true } },
  // Days in the order and figures that the rest of the interface has them in.
  date: { locale: { en: 'en-GB', es: 'es', fr: 'fr', ar: 'ar-u-nu-latn' } },
  theme: {
    defaultTheme: storedAppearance(),
    themes: {
      light: { dark: false, colors: asVuetify(LIGHT) },
      dark: { dark: true, colors: asVuetify(DARK) },
    },
    variations: false,
  },
  defaults: {
    global: { ripple: false },
    VTextField: { variant: 'outlined', density: 'comfortable', color: 'primary', hideDetails: 'auto' },
    VSelect: { variant: 'outlined', density: 'comfortable', color: 'primary', hideDetails: 'auto' },
    VAutocomplete: { variant: 'outlined', density: 'comfortable', color: 'primary', hideDetails: 'auto' },
    VCombobox: { variant: 'outlined', density: 'comfortable', color: 'primary', hideDetails: 'auto' },
    VTextarea: { variant: 'outlined', density: 'comfortable', color: 'primary', hideDetails: 'auto' },
    VDialog: { scrim: 'black' },
    VCard: { elevation: 0, rounded: 'lg' },
    VMenu: { offset: 4 },
    VList: { elevation: 0 },
  },
  // Icons come from Tabler, one import each; Vuetify's own few are drawn below.
  icons: {
    defaultSet: 'paths',
    aliases: {
      dropdown: 'M6 9l6 6l6 -6',
      subgroup: 'M6 9l6 6l6 -6',
      expand: 'M6 9l6 6l6 -6',
      collapse: 'M6 15l6 -6l6 6',
      sortAsc: 'M12 19v-14M6 11l6 -6l6 6',
      sortDesc: 'M12 5v14M6 13l6 6l6 -6',
      prev: 'M15 6l-6 6l6 6',
      next: 'M9 6l6 6l-6 6',
      clear: 'M18 6l-12 12M6 6l12 12',
      delete: 'M18 6l-12 12M6 6l12 12',
      close: 'M18 6l-12 12M6 6l12 12',
      checkboxOn: `${SQUARE}M8 12l3 3l5 -6`,
      checkboxOff: SQUARE,
      checkboxIndeterminate: `${SQUARE}M8 12h8`,
      radioOn: `${RING}M12 12m-2 0a2 2 0 1 0 4 0a2 2 0 1 0 -4 0`,
      radioOff: RING,
      complete: 'M5 12l5 5l10 -10',
      error: 'M12 8v5M12 16v.01',
      warning: 'M12 8v5M12 16v.01',
      info: 'M12 8v5M12 16v.01',
      success: 'M5 12l5 5l10 -10',
    },
    sets: { paths: { component: PathIcon } },
  },
});
