/** Shapes that the library's pictures are put together from: flat, in SVG, the same each time. */

export const WIDTH = 1600;
export const HEIGHT = 1000;

/** Numbers from 0 to 1 that are the same for the same seed (mulberry32). */
export function chance(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = Math.imul(state ^ (state >>> 15), state | 1);
    mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61);
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4_294_967_296;
  };
}

const n = (value: number): string => value.toFixed(1);

export const ground = (colour: string): string =>
  `<rect width="${WIDTH}" height="${HEIGHT}" fill="${colour}"/>`;
export const band = (y: number, height: number, colour: string): string =>
  `<rect y="${n(y)}" width="${WIDTH}" height="${n(height)}" fill="${colour}"/>`;
export const disc = (x: number, y: number, r: number, colour: string): string =>
  `<circle cx="${n(x)}" cy="${n(y)}" r="${n(r)}" fill="${colour}"/>`;
export const path = (d: string, colour: string): string => `<path d="${d}" fill="${colour}"/>`;
export const line = (d: string, colour: string, width: number): string =>
  `<path d="${d}" fill="none" stroke="${colour}" stroke-width="${width}" stroke-linecap="round" stroke-linejoin="round"/>`;
export const at = (x: number, y: number, scale: number, inner: string, turn = 0): string =>
  `<g transform="translate(${n(x)} ${n(y)}) rotate(${n(turn)}) scale(${n(scale)})">${inner}</g>`;

/** A range of hills, or a shore, from `y` down to the bottom. */
export function ridge(y: number, height: number, colour: string, seed: number, steps = 6): string {
  const next = chance(seed);
  const wide = WIDTH / steps;
  let d = `M0 ${HEIGHT}V${n(y - next() * height)}`;
  let before = y - next() * height;
  for (let step = 0; step < steps; step += 1) {
    const to = y - next() * height;
    const x = step * wide;
    d += `C${n(x + wide * 0.45)} ${n(before)} ${n(x + wide * 0.55)} ${n(to)} ${n(x + wide)} ${n(to)}`;
    before = to;
  }
  return path(`${d}V${HEIGHT}Z`, colour);
}

/** Lines of small waves, wider apart towards the reader. */
export function waves(from: number, to: number, colour: string, seed: number): string {
  const next = chance(seed);
  let drawn = '';
  for (let y = from, gap = 16; y < to; y += gap, gap *= 1.22) {
    for (let x = -40 + next() * 120; x < WIDTH; x += 150 + next() * 260) {
      const wide = 30 + gap * (0.8 + next());
      drawn += line(
        `M${n(x)} ${n(y)}q${n(wide / 2)} ${n(-gap / 5)} ${n(wide)} 0`,
        colour,
        Math.max(2.5, gap / 9),
      );
    }
  }
  return drawn;
}

export function birds(
  count: number,
  x: number,
  y: number,
  spread: number,
  colour: string,
  seed: number,
): string {
  const next = chance(seed);
  return Array.from({ length: count }, () => {
    const [bx, by] = [x + (next() - 0.5) * spread * 2, y + (next() - 0.5) * spread];
    const s = 12 + next() * 22;
    return line(
      `M${n(bx - s)} ${n(by - s / 3)}Q${n(bx - s / 3)} ${n(by - s / 2)} ${n(bx)} ${n(by)}Q${n(bx + s / 3)} ${n(by - s / 2)} ${n(bx + s)} ${n(by - s / 3)}`,
      colour,
      4,
    );
  }).join('');
}

export function reeds(
  x: number,
  width: number,
  y: number,
  count: number,
  colours: readonly string[],
  seed: number,
): string {
  const next = chance(seed);
  return Array.from({ length: count }, (_, index) => {
    const rx = x + next() * width;
    const tall = 140 + next() * 240;
    const lean = (next() - 0.45) * 110;
    const colour = colours[index % colours.length] as string;
    const blade = line(
      `M${n(rx)} ${n(y + 40)}Q${n(rx)} ${n(y - tall / 2)} ${n(rx + lean)} ${n(y - tall)}`,
      colour,
      6 + next() * 5,
    );
    const head =
      index % 3 === 0
        ? line(
            `M${n(rx + lean * 0.9)} ${n(y - tall * 0.93)}L${n(rx + lean * 1.08)} ${n(y - tall - 40)}`,
            colour,
            18,
          )
        : '';
    return blade + head;
  }).join('');
}

export function stars(count: number, below: number, colour: string, seed: number): string {
  const next = chance(seed);
  return Array.from({ length: count }, () =>
    disc(next() * WIDTH, next() * below, 1.5 + next() ** 3 * 5, colour),
  ).join('');
}

export function rain(colour: string, seed: number): string {
  const next = chance(seed);
  return Array.from({ length: 150 }, () => {
    const [x, y, s] = [next() * WIDTH, next() * HEIGHT, 26 + next() * 40];
    return line(`M${n(x)} ${n(y)}l${n(-s / 4)} ${n(s)}`, colour, 3.5);
  }).join('');
}

/** Depth lines of a chart around a point. */
export function contours(x: number, y: number, count: number, colour: string, seed: number): string {
  const next = chance(seed);
  const bumps = Array.from({ length: 9 }, () => 0.75 + next() * 0.5);
  return Array.from({ length: count }, (_, ring) => {
    const r = 70 + ring * 74;
    const points = bumps.map((bump, index) => {
      const angle = (index / bumps.length) * Math.PI * 2;
      const far = r * (bump + ring * 0.02);
      return [x + Math.cos(angle) * far * 1.35, y + Math.sin(angle) * far] as const;
    });
    return line(smooth(points), colour, ring % 4 === 3 ? 7 : 3);
  }).join('');
}

function smooth(points: readonly (readonly [number, number])[]): string {
  const get = (index: number): readonly [number, number] =>
    points[(index + points.length) % points.length] as readonly [number, number];
  const start = get(0);
  let d = `M${n(start[0])} ${n(start[1])}`;
  points.forEach((_, index) => {
    const [p0, p1, p2, p3] = [get(index - 1), get(index), get(index + 1), get(index + 2)];
    const a = [p1[0] + (p2[0] - p0[0]) / 6, p1[1] + (p2[1] - p0[1]) / 6] as const;
    const b = [p2[0] - (p3[0] - p1[0]) / 6, p2[1] - (p3[1] - p1[1]) / 6] as const;
    d += `C${n(a[0])} ${n(a[1])} ${n(b[0])} ${n(b[1])} ${n(p2[0])} ${n(p2[1])}`;
  });
  return `${d}Z`;
}

// Things, drawn around their own foot at about 100 units of height.
export const boat = (hull: string, sail: string): string =>
  path('M-90 -28H90C78 8 60 14 40 14H-44C-66 14 -82 4 -90 -28Z', hull) +
  line('M-6 -28V-190', hull, 7) +
  path('M4 -184V-40H84Z', sail) +
  path('M-16 -160V-40H-70Z', sail);
export const lighthouse = (tower: string, bands: string, lamp: string): string =>
  path('M-34 0L-22 -210H22L34 0Z', tower) +
  path('M-31 -52L-28 -100H28L31 -52Z', bands) +
  path('M-25.5 -150L-23 -192H23L25.5 -150Z', bands) +
  path('M-26 -210H26V-222H-26Z', bands) +
  path('M-17 -222H17V-254H-17Z', lamp) +
  path('M-24 -254H24L0 -282Z', bands);
export const buoy = (colour: string, pale: string): string =>
  path('M-44 0H44L26 -110H-26Z', colour) +
  path('M-35 -52H35L31 -78H-31Z', pale) +
  line('M0 -110V-158', colour, 8) +
  disc(0, -166, 14, pale) +
  path('M-58 0H58C54 24 30 34 0 34S-54 24 -58 0Z', colour);
export const crab = (colour: string, dark: string): string =>
  line(
    'M-58 -30L-104 -62M-64 -18L-116 -22M-60 -6L-106 22M58 -30L104 -62M64 -18L116 -22M60 -6L106 22',
    dark,
    11,
  ) +
  path('M-74 -18C-74 -58 74 -58 74 -18C74 12 -74 12 -74 -18Z', colour) +
  path('M-76 -86c-34 -14 -50 18 -26 40l20 -16l-12 28c20 4 32 -18 18 -52Z', colour) +
  path('M76 -86c34 -14 50 18 26 40l-20 -16l12 28c-20 4 -32 -18 -18 -52Z', colour) +
  disc(-20, -52, 7, dark) +
  disc(20, -52, 7, dark);
export const starfish = (colour: string, dots: string): string =>
  path('M0 -100L22 -32L94 -32L36 10L58 80L0 38L-58 80L-36 10L-94 -32L-22 -32Z', colour) +
  [0, 72, 144, 216, 288]
    .map((turn) => at(0, 0, 1, disc(0, -44, 6, dots) + disc(0, -66, 4, dots), turn))
    .join('');
export const shell = (colour: string, lines: string): string =>
  path('M0 20C-96 20 -96 -96 0 -96S96 20 0 20Z', colour) +
  line('M0 18L-62 -62M0 18L-32 -88M0 18V-94M0 18L32 -88M0 18L62 -62', lines, 6) +
  path('M-22 14H22L14 38H-14Z', colour);
export const fish = (colour: string, eye: string): string =>
  path('M-80 0C-40 -46 40 -46 74 0C40 46 -40 46 -80 0Z', colour) +
  path('M66 0L118 -40V40Z', colour) +
  disc(-46, -8, 7, eye);
export const kelp = (colour: string, bend: number): string =>
  line(`M0 0C${bend} -200 ${-bend} -400 0 -620`, colour, 14) +
  [-90, -190, -290, -390, -490, -580]
    .map((y, index) => {
      const side = index % 2 === 0 ? 1 : -1;
      const x = bend * 0.3 * (index % 3 === 0 ? 1 : -1);
      return path(
        `M${x} ${y}c${70 * side} -10 ${112 * side} -70 ${128 * side} -128c${-70 * side} 8 ${-124 * side} 60 ${-128 * side} 128Z`,
        colour,
      );
    })
    .join('');
export const notebook = (cover: string, paper: string, ink: string): string =>
  path('M-150 -100H0V110H-150Z', paper) +
  path('M0 -100H150V110H0Z', paper) +
  path('M-160 -110H160V122H-160V110H-150V-100H150V110H-160Z', cover) +
  path('M-150 -100H-3V110H-150Z', paper) +
  path('M3 -100H150V110H3Z', paper) +
  line('M-126 -66H-34M-126 -36H-50M-126 -6H-34M-126 24H-66M-126 54H-40', ink, 7) +
  line('M30 58C58 -60 78 40 96 -20S124 10 130 -50', ink, 6);
export const compass = (rim: string, face: string, north: string, south: string): string =>
  disc(0, 0, 124, rim) +
  disc(0, 0, 104, face) +
  [0, 45, 90, 135, 180, 225, 270, 315].map((turn) => at(0, 0, 1, line('M0 -98V-82', rim, 8), turn)).join('') +
  at(0, 0, 1, path('M0 -78L20 0H-20Z', north) + path('M0 78L20 0H-20Z', south), 28) +
  disc(0, 0, 10, rim);
export const lens = (body: string, glass: string): string =>
  disc(0, 0, 92, body) +
  disc(0, 0, 72, glass) +
  at(0, 0, 1, path('M-14 86H14V214C14 232 -14 232 -14 214Z', body), -40);
export const post = (wood: string, mark: string): string =>
  path('M-16 0V-210L0 -224L16 -210V0Z', wood) +
  [-40, -80, -120, -160].map((y) => path(`M-16 ${y}H16V${y - 14}H-16Z`, mark)).join('');
export const footprint = (colour: string): string =>
  path('M-20 30C-26 4 -24 -18 -14 -34C-4 -46 14 -44 18 -26C22 -4 12 8 14 30C14 50 -16 52 -20 30Z', colour) +
  path('M-14 62C-14 50 14 50 14 62C14 84 -14 84 -14 62Z', colour);
export const knot = (rope: string, dark: string): string =>
  [
    'M-260 40C-160 40 -120 -70 0 -70S110 60 0 60S-110 -40 -10 -40S180 30 260 -30',
    'M-260 40C-160 40 -120 -70 0 -70',
  ]
    .map((d, index) => line(d, index === 0 ? dark : dark, 46) + line(d, rope, 34))
    .join('');
