/** Colours as they are shown: eight bits a channel, and the contrast of two of them. */
import {
  clampChroma,
  formatHex,
  modeLrgb,
  modeOklab,
  modeOklch,
  modeRgb,
  parseHex,
  useMode,
  wcagContrast,
} from 'culori/fn';
import type { Rgb } from 'culori';

const toOklch = useMode(modeOklch);
for (const mode of [modeRgb, modeLrgb, modeOklab]) useMode(mode as typeof modeRgb);

/** @throws for what is no colour: a mistake of the programmer's, since the document's schema takes none. */
function parse(hex: string): Rgb {
  const colour = parseHex(hex);
  if (colour === undefined) throw new Error(`${hex} is no colour`);
  return colour;
}

/** Lightness 0 to 1, chroma from 0, hue in degrees (OKLCH, CSS Color 4). */
export interface Lch {
  readonly l: number;
  readonly c: number;
  readonly h: number;
}

export function toLch(hex: string): Lch {
  const { l, c, h } = toOklch(parse(hex));
  // A grey has no hue of its own.
  return { l, c, h: h ?? 0 };
}

/** The nearest colour that a screen has: lightness and hue stay, chroma gives way. */
export function toHex({ l, c, h }: Lch): string {
  return formatHex(clampChroma({ mode: 'oklch', l, c, h }, 'oklch'));
}

/** WCAG 2.2, contrast ratio, from 1 to 21. */
export function contrastOf(one: string, other: string): number {
  return wcagContrast(parse(one), parse(other));
}

/** Distance in OKLab: about 0.02 can just be seen. */
export function distanceOf(one: string, other: string): number {
  const [a, b] = [toLch(one), toLch(other)];
  const radians = Math.PI / 180;
  const dx = a.c * Math.cos(a.h * radians) - b.c * Math.cos(b.h * radians);
  const dy = a.c * Math.sin(a.h * radians) - b.c * Math.sin(b.h * radians);
  return Math.hypot(a.l - b.l, dx, dy);
}
