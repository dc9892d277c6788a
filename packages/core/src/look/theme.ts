/**
 * A theme from one colour: all colours of a page, for light and dark, so that every pair in use has its contrast
 * (WCAG 2.2 AA) by construction (docs/semantics.md, Look).
 *
 * Grounds take the seed's hue and hardly any of its strength. Everything that stands on them starts from where
 * it would best be, in OKLCH, and its lightness moves to the nearest at which it has its contrast on each ground
 * that it is used on. There is always one: at the end of the way is black on light grounds, and white on dark.
 */
import { COLOURS, LEAST_CONTRAST, PAIRS } from './colours.ts';
import type { ColourName, Palette } from './colours.ts';
import { contrastOf, distanceOf, toHex, toLch } from './contrast.ts';
import type { Lch } from './contrast.ts';
import { Bounded } from '../course/bounded.ts';

export interface Theme {
  /** As it was chosen. */
  readonly seed: string;
  readonly light: Palette;
  readonly dark: Palette;
  /** How far the seed had to be moved to be read on light and on dark pages (OKLab); 0: it is used as it is. */
  readonly moved: { readonly light: number; readonly dark: number };
}

type Mode = 'light' | 'dark';

/** Hue and chroma of what carries a state, the same in every course: colour, shape and word say it together. */
const STATES: readonly (readonly [ColourName, number, number])[] = [
  ['open', 160, 0.11],
  ['later', 270, 0.13],
  ['staff', 255, 0.02],
  ['blocker', 28, 0.16],
  ['advice', 78, 0.11],
  ['accent-tide', 225, 0.1],
  ['accent-heather', 315, 0.11],
  ['accent-kelp', 115, 0.11],
  ['accent-rust', 40, 0.13],
  ['accent-slate', 255, 0.02],
];

/** The brass of the route line. */
const ROUTE: Lch = { l: 0.6, c: 0.12, h: 78 };

interface Grounds {
  readonly card: number;
  readonly rail: number;
  readonly mist: number;
  readonly pale: number;
  readonly rule: number;
  readonly routePale: number;
}

/** Lightness of grounds and hairlines, from 0 to 1. */
const GROUNDS: Readonly<Record<Mode, Grounds>> = {
  light: { card: 1, rail: 0.977, mist: 0.955, pale: 0.93, rule: 0.875, routePale: 0.87 },
  dark: { card: 0.255, rail: 0.235, mist: 0.205, pale: 0.315, rule: 0.36, routePale: 0.42 },
};

/** Lightness from which what stands on them sets out. */
const STARTS: Readonly<Record<Mode, Readonly<Record<'ink' | 'soft' | 'fieldRule' | 'state', number>>>> = {
  light: { ink: 0.25, soft: 0.45, fieldRule: 0.6, state: 0.5 },
  dark: { ink: 0.94, soft: 0.76, fieldRule: 0.62, state: 0.8 },
};

/** Somebody who drags through colours asks for many. */
const known = new Bounded<Theme>(200);

/** @param seed `#rrggbb`. */
export function themeOf(seed: string): Theme {
  return known.orElse(seed, () => {
    const [light, dark] = [paletteOf(seed, 'light'), paletteOf(seed, 'dark')];
    const moved = { light: distanceOf(seed, light.bottle), dark: distanceOf(seed, dark.bottle) };
    return { seed, light, dark, moved };
  });
}

function paletteOf(seed: string, mode: Mode): Palette {
  const { c, h } = toLch(seed);
  const made: Partial<Record<ColourName, string>> = {};
  const grounds = GROUNDS[mode];
  const tint = (l: number, most: number): string => toHex({ l, c: Math.min(c, most), h });
  made.card = tint(grounds.card, mode === 'light' ? 0 : 0.016);
  made.rail = tint(grounds.rail, mode === 'light' ? 0.006 : 0.016);
  made.mist = tint(grounds.mist, mode === 'light' ? 0.011 : 0.014);
  made['bottle-pale'] = tint(grounds.pale, 0.035);
  made.rule = tint(grounds.rule, 0.016);
  for (const [name, hue] of [
    ['open-pale', 160],
    ['later-pale', 270],
    ['blocker-pale', 25],
    ['advice-pale', 85],
  ] as const) {
    made[name] = toHex({ l: grounds.pale + (mode === 'light' ? 0.015 : -0.01), c: 0.03, h: hue });
  }
  made['route-pale'] = toHex({ l: grounds.routePale, c: 0.06, h: 85 });
  const start = STARTS[mode];
  const place = (name: ColourName, from: Lch): void => {
    made[name] = nearestThatReads(name, from, made);
  };
  place('ink', { l: start.ink, c: Math.min(c, 0.025), h });
  place('ink-soft', { l: start.soft, c: Math.min(c, 0.022), h });
  place('field-rule', { l: start.fieldRule, c: Math.min(c, 0.02), h });
  place('bottle', toLch(seed));
  made['on-bottle'] = inkOn(made.bottle as string);
  place('route', { ...ROUTE, l: mode === 'light' ? ROUTE.l : 0.76 });
  for (const [name, hue, chroma] of STATES) place(name, { l: start.state, c: chroma, h: hue });
  // The product's own bar and its one bright button go with every course.
  made.bar = toHex({ l: mode === 'light' ? 0.36 : 0.27, c: Math.min(c, 0.06), h });
  place('on-bar', { l: 0.98, c: 0.005, h });
  place('bar-soft', { l: 0.88, c: 0.02, h });
  place('bar-rule', { l: 0.68, c: 0.04, h });
  made.go = toHex({ l: 0.85, c: 0.145, h: 88 });
  place('go-ink', { l: 0.25, c: 0.05, h: 90 });
  return made as Palette;
}

/** Dark or light on a colour, whichever is read better; one of them has 4.5:1 on any colour there is. */
function inkOn(ground: string): string {
  const [dark, light] = ['#000000', '#ffffff'];
  return contrastOf(dark, ground) > contrastOf(light, ground) ? dark : light;
}

/** As fine as eight bits tell two lightnesses apart. */
const STEPS = 500;

function nearestThatReads(name: ColourName, from: Lch, made: Partial<Record<ColourName, string>>): string {
  const needs = PAIRS.filter((pair) => pair.of === name && made[pair.on] !== undefined);
  const reads = (hex: string): boolean =>
    needs.every(({ on, kind }) => contrastOf(hex, made[on] as string) >= LEAST_CONTRAST[kind]);
  const own = toHex(from);
  if (reads(own)) return own;
  for (let step = 1; step <= STEPS; step += 1) {
    const found = [-step, step]
      .map((by) => from.l + by / STEPS)
      .filter((l) => l >= 0 && l <= 1)
      .map((l) => toHex({ ...from, l }))
      .find(reads);
    if (found !== undefined) return found;
  }
  // Black or white, which the steps have passed: grounds that are all light, or all dark, leave one of them.
  throw new Error(
    `nothing reads as ${name}: ${COLOURS.map((one) => `${one} ${made[one] ?? ''}`).join(', ')}`,
  );
}
