/**
 * The stand-in for a course's picture: a flat shore whose ridges are drawn from its title and whose colours come
 * from the course's own, or else from its code, so that no course is ever without a face. Pure: the same title,
 * code and colour give the same drawing.
 */
export interface Picture {
  readonly sky: string;
  readonly far: string;
  readonly near: string;
  readonly water: string;
  readonly sun: string | null;
  /** Heights of the two ridges at four places, 0 to 1 of the picture's height from below. */
  readonly farLine: readonly number[];
  readonly nearLine: readonly number[];
}

const SCENES = [
  { sky: '#cfe3e2', far: '#7fa39a', near: '#4a6b5c', water: '#a9c7c4', sun: '#f3e3b5' },
  { sky: '#f0d9bd', far: '#b58566', near: '#7a4f3c', water: '#e2b98f', sun: '#f8efd9' },
  { sky: '#c9d3e6', far: '#7d8cb0', near: '#4b5a80', water: '#aab8d2', sun: null },
  { sky: '#1f2a4a', far: '#35406a', near: '#141b33', water: '#2a3763', sun: '#e9e4cf' },
  { sky: '#dde8c8', far: '#92a568', near: '#5d7138', water: '#bccf9e', sun: null },
  { sky: '#bfdfe8', far: '#4f93a8', near: '#2b6378', water: '#8cc3d1', sun: '#fbe3a0' },
] as const;

/** FNV-1a, 32 bits. */
function hash(text: string): number {
  let value = 0x811c9dc5;
  for (let at = 0; at < text.length; at += 1) {
    value = Math.imul(value ^ text.charCodeAt(at), 0x01000193);
  }
  return value >>> 0;
}

/** Shades of one colour, mixed where they are drawn. */
function sceneOf(colour: string): (typeof SCENES)[number] | Omit<Picture, 'farLine' | 'nearLine'> {
  const mixed = (share: number, other: string): string =>
    `color-mix(in oklab, ${colour} ${share}%, ${other})`;
  return {
    sky: mixed(20, '#f7f3ea'),
    far: mixed(58, '#cfd3cc'),
    near: mixed(82, '#10201c'),
    water: mixed(38, '#e6ecea'),
    sun: '#fbf3dc',
  };
}

/** @param colour `#rrggbb`, or null: the scene goes by the code. */
export function pictureFor(title: string, code: string, colour: string | null): Picture {
  const seed = hash(title);
  const scene =
    colour === null ? (SCENES[hash(code) % SCENES.length] as (typeof SCENES)[number]) : sceneOf(colour);
  const pick = (shift: number, low: number, high: number): number =>
    low + ((seed >>> shift) & 7) * ((high - low) / 7);
  return {
    ...scene,
    farLine: [pick(3, 0.42, 0.6), pick(6, 0.5, 0.72), pick(9, 0.4, 0.58), pick(12, 0.48, 0.66)],
    nearLine: [pick(15, 0.16, 0.3), pick(18, 0.22, 0.42), pick(21, 0.3, 0.46), pick(24, 0.2, 0.34)],
  };
}

/** A smooth ridge through four heights, closed along the bottom of a 120 by 80 picture. */
export function ridge(line: readonly number[]): string {
  const y = (at: number): string => ((1 - (line[at] ?? 0)) * 80).toFixed(1);
  return `M0 80V${y(0)}C20 ${y(0)} 20 ${y(1)} 40 ${y(1)}S60 ${y(2)} 80 ${y(2)}S100 ${y(3)} 120 ${y(3)}V80Z`;
}
