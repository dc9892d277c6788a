/** The demo's film: how a core of mud is taken in one breath, drawn picture by picture, with what is said in it. */
import sharp from 'sharp';
import { demoFile } from '../demo-file.ts';
import type { DemoFile } from '../demo-file.ts';
import { webm } from './webm.ts';

const WIDTH = 480;
const HEIGHT = 270;
/** In seconds. */
export const CORE_LASTS = 402;
const EVERY_S = 6;

const SKY = '#d8e3e1';
const WATER = '#6fa7ab';
const LAYERS = ['#8a7a5c', '#7a6a4f', '#6b5c45', '#574a39', '#463c30'];
const SURFACE = 96;
const MUD = 140;

/** How far into the mud the tube is, from nought to one: down on one breath out, then up with what it holds. */
function depthAt(share: number): number {
  if (share < 0.2) return 0;
  if (share < 0.55) return (share - 0.2) / 0.35;
  return share < 0.7 ? 1 : Math.max(0, 1 - (share - 0.7) / 0.25);
}

function pictureAt(seconds: number): string {
  const share = seconds / CORE_LASTS;
  const top = MUD - 92 + depthAt(share) * 100;
  const hasCore = share > 0.55;
  const waves = Array.from({ length: 9 }, (_, at) => {
    const x = at * 62 - ((seconds * 3) % 62);
    return `<path d="M${x} ${SURFACE} q15.5 -7 31 0 t31 0" fill="none" stroke="#fff" stroke-width="2" opacity="0.7"/>`;
  }).join('');
  const layers = LAYERS.map(
    (colour, at) => `<rect x="0" y="${MUD + at * 26}" width="${WIDTH}" height="27" fill="${colour}"/>`,
  ).join('');
  const held = hasCore
    ? LAYERS.slice(0, 4)
        .map(
          (colour, at) => `<rect x="233" y="${top + 14 + at * 20}" width="14" height="20" fill="${colour}"/>`,
        )
        .join('')
    : '';
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${WIDTH}" height="${HEIGHT}">
    <rect width="${WIDTH}" height="${HEIGHT}" fill="${SKY}"/>
    <circle cx="${60 + share * 300}" cy="38" r="15" fill="#f3d9a0"/>
    <rect x="0" y="${SURFACE}" width="${WIDTH}" height="${MUD - SURFACE}" fill="${WATER}"/>${waves}${layers}
    <rect x="228" y="${top}" width="24" height="96" fill="#e9eef0" opacity="0.85" stroke="#33484d" stroke-width="2"/>${held}
    <rect x="216" y="${top - 6}" width="48" height="8" rx="3" fill="#33484d"/>
  </svg>`;
}

const LOSSY = Buffer.from('VP8 ', 'ascii');
/** A lossy WebP picture holds one VP8 key frame, and that is what a film of such pictures is made of. */
async function frameAt(seconds: number): Promise<Buffer> {
  const picture = await sharp(Buffer.from(pictureAt(seconds)))
    .removeAlpha()
    .webp({ quality: 60, effort: 0 })
    .toBuffer();
  const at = picture.indexOf(LOSSY);
  if (at === -1) throw new Error('no VP8 key frame in the picture');
  return picture.subarray(at + 8, at + 8 + picture.readUInt32LE(at + 4));
}

const SAID: readonly (readonly [from: number, to: number, text: string])[] = [
  [2, 12, 'This is one tube, one rubber cap, and one breath.'],
  [14, 30, 'Stand so that your shadow falls behind you. The water should not know that you are here.'],
  [
    34,
    58,
    'Hold the tube upright, a hand above the mud, and wait until what you have stirred up has settled.',
  ],
  [82, 100, 'Now breathe out, slowly, and lean. Do not push: lean.'],
  [104, 140, 'Down it goes, as long as the breath lasts. If it stops, you stop.'],
  [150, 190, 'Twenty centimetres are enough. What lies deeper is older than your question.'],
  [222, 250, 'Cap on, and only then move. Without the cap the core stays where it was.'],
  [284, 330, 'Up again, twisting a little, as you would take a boot out of soft ground.'],
  [340, 380, 'There they are: light on top, dark below. Write down where one becomes the other.'],
  [384, 400, 'And then do it twice more. One core is an anecdote.'],
];
const two = (value: number): string => String(value).padStart(2, '0');
const time = (seconds: number): string => `${two(Math.floor(seconds / 60))}:${two(seconds % 60)}.000`;

const CAPTIONS = Buffer.from(
  `WEBVTT\n\n${SAID.map(([from, to, text]) => `${time(from)} --> ${time(to)}\n${text}\n`).join('\n')}`,
  'utf8',
);

export const CORE_CAPTIONS = demoFile('one-breath.vtt', 'text/plain', CAPTIONS);
export const CORE_CHAPTERS = [
  { at: 0, title: 'Where you stand' },
  { at: 80, title: 'Down, on one breath' },
  { at: 220, title: 'The cap' },
  { at: 282, title: 'Up, and what it shows' },
];

let made: Promise<DemoFile> | null = null;
/** Drawn once, however often the demo is loaded. */
export function coreFilm(): Promise<DemoFile> {
  made ??= (async () => {
    const moments = Array.from({ length: Math.ceil(CORE_LASTS / EVERY_S) }, (_, at) => at * EVERY_S);
    const frames = await Promise.all(moments.map(frameAt));
    const stills = frames.map((frame, at) => ({ frame, at: (moments[at] ?? 0) * 1000 }));
    const words = { author: 'Tern Point College', licence: 'CC BY 4.0' };
    return demoFile('one-breath.webm', 'video/webm', webm(stills, WIDTH, HEIGHT, CORE_LASTS * 1000), words);
  })();
  return made;
}
