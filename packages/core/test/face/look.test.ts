import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  COLOURS,
  contrastOf,
  cropOf,
  FRAMES,
  LEAST_CONTRAST,
  lookView,
  PAIRS,
  PRESETS,
  themeOf,
} from '../../src/index.ts';
import type { Frame } from '../../src/index.ts';
import { runs } from '../support/runs.ts';

/** Relative luminance and contrast, written out from WCAG 2.2, apart from the library that core asks. */
function ratio(one: string, other: string): number {
  const luminance = (hex: string): number => {
    const [r, g, b] = [1, 3, 5].map((at) => {
      const share = Number.parseInt(hex.slice(at, at + 2), 16) / 255;
      return share <= 0.04045 ? share / 12.92 : ((share + 0.055) / 1.055) ** 2.4;
    }) as [number, number, number];
    return 0.2126 * r + 0.7152 * g + 0.0722 * b;
  };
  const [high, low] = [luminance(one), luminance(other)].sort((a, b) => b - a) as [number, number];
  return (high + 0.05) / (low + 0.05);
}

const colour = fc.nat({ max: 0xffffff }).map((value) => `#${value.toString(16).padStart(6, '0')}`);

describe('a theme', () => {
  test('meets the contrast of every pair, in both modes, from any colour', () => {
    let pairs = 0;
    fc.assert(
      fc.property(colour, (seed) => {
        const theme = themeOf(seed);
        for (const mode of ['light', 'dark'] as const) {
          expect(Object.keys(theme[mode]).sort()).toEqual([...COLOURS].sort());
          for (const { of, on, kind } of PAIRS) {
            const got = ratio(theme[mode][of], theme[mode][on]);
            if (got < LEAST_CONTRAST[kind])
              throw new Error(`${seed}, ${mode}: ${of} on ${on} has ${got.toFixed(2)}`);
            pairs += 1;
          }
        }
      }),
      { numRuns: runs(600), seed: 61 },
    );
    expect(pairs).toBe(runs(600) * 2 * PAIRS.length);
  });

  test('from the corners of the cube, and from what presets there are', () => {
    const corners = [0, 1, 2, 3, 4, 5, 6, 7].map(
      (bits) => `#${[4, 2, 1].map((bit) => ((bits & bit) > 0 ? 'ff' : '00')).join('')}`,
    );
    for (const seed of [...corners, ...PRESETS.map((preset) => preset.seed)]) {
      const theme = themeOf(seed);
      for (const mode of ['light', 'dark'] as const) {
        for (const { of, on, kind } of PAIRS) {
          expect(ratio(theme[mode][of], theme[mode][on])).toBeGreaterThanOrEqual(LEAST_CONTRAST[kind]);
        }
      }
    }
    expect(PRESETS.length).toBe(12);
    expect(new Set(PRESETS.map(({ seed }) => seed)).size).toBe(12);
  });

  test('a colour that can be read is used as it is; a pale yellow becomes the nearest that can', () => {
    expect(themeOf('#15493b').light.bottle).toBe('#15493b');
    expect(themeOf('#15493b').moved.light).toBe(0);
    const pale = themeOf('#fff59d');
    expect(pale.moved.light).toBeGreaterThan(0.2);
    expect(pale.dark.bottle).toBe('#fff59d');
    expect(ratio(pale.light.bottle, pale.light.card)).toBeGreaterThanOrEqual(4.5);
    // The nearest: a shade lighter would not do on every ground that it stands on.
    const least = Math.min(
      ...['card', 'mist', 'rail', 'bottle-pale'].map((on) =>
        ratio(pale.light.bottle, pale.light[on as 'card']),
      ),
    );
    expect(least).toBeLessThan(4.65);
  });

  test('contrast is what WCAG says it is', () => {
    expect(contrastOf('#000000', '#ffffff')).toBeCloseTo(21, 5);
    fc.assert(
      fc.property(colour, colour, (one, other) =>
        expect(contrastOf(one, other)).toBeCloseTo(ratio(one, other), 3),
      ),
      { numRuns: runs(300), seed: 62 },
    );
  });

  test('without a colour of its own a course has the product’s', () => {
    const look = {
      seed: null,
      heading: 'literata',
      size: 'usual',
      density: 'airy',
      corners: 'eased',
    } as const;
    expect(lookView(look).colours).toBeNull();
    expect(lookView({ ...look, seed: '#4f7a4a' }).colours?.dark.card).toMatch(/^#[0-9a-f]{6}$/);
  });
});

describe('a crop', () => {
  const side = fc.integer({ min: 1, max: 12_000 });
  const share = fc.double({ min: 0, max: 1, noNaN: true });
  const picture = fc.record({
    width: side,
    height: side,
    focus: fc.record({ x: share, y: share }),
    zoom: fc.double({ min: 1, max: 4, noNaN: true }),
  });
  const frame = fc.constantFrom(...(Object.keys(FRAMES) as Frame[]));

  test('lies within the picture, has the shape of its frame, and holds the focal point', () => {
    fc.assert(
      fc.property(picture, frame, (of, name) => {
        const crop = cropOf(of, FRAMES[name]);
        expect(crop.left).toBeGreaterThanOrEqual(0);
        expect(crop.top).toBeGreaterThanOrEqual(0);
        expect(crop.left + crop.width).toBeLessThanOrEqual(of.width);
        expect(crop.top + crop.height).toBeLessThanOrEqual(of.height);
        expect(crop.width >= 1 && crop.height >= 1).toBe(true);
        // Whole pixels: half of one at each side.
        expect(of.focus.x * of.width).toBeGreaterThanOrEqual(crop.left - 1);
        expect(of.focus.x * of.width).toBeLessThanOrEqual(crop.left + crop.width + 1);
        expect(of.focus.y * of.height).toBeGreaterThanOrEqual(crop.top - 1);
        expect(of.focus.y * of.height).toBeLessThanOrEqual(crop.top + crop.height + 1);
        if (crop.width > 50 && crop.height > 50) {
          expect(Math.abs(crop.width / crop.height / FRAMES[name] - 1)).toBeLessThan(0.05);
        }
      }),
      { numRuns: runs(2000), seed: 63 },
    );
  });

  test('worked out by hand', () => {
    const of = { width: 1600, height: 1000, focus: { x: 0.5, y: 0.2 }, zoom: 1 };
    expect(cropOf(of, 5)).toEqual({ left: 0, top: 40, width: 1600, height: 320 });
    expect(cropOf(of, 1)).toEqual({ left: 300, top: 0, width: 1000, height: 1000 });
    expect(cropOf({ ...of, zoom: 2, focus: { x: 1, y: 1 } }, 1)).toEqual({
      left: 1100,
      top: 500,
      width: 500,
      height: 500,
    });
  });
});
