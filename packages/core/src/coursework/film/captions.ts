/**
 * Captions as WebVTT (W3C Candidate Recommendation): what is said, from when to when. Where they stand on the picture
 * and how they look is left to the player; a file that cannot be read says which line it is.
 */
export interface Cue {
  /** Whole milliseconds of the film. */
  readonly from: number;
  readonly to: number;
  /** Plain words; lines apart. */
  readonly text: string;
}

export interface CaptionMistake {
  /** From 1. */
  readonly line: number;
  readonly found: string;
  readonly why: 'header' | 'time' | 'backwards' | 'empty' | 'many';
}

export type ReadCaptions =
  | { readonly ok: true; readonly cues: readonly Cue[] }
  | { readonly ok: false; readonly mistake: CaptionMistake };

export const MAX_CAPTIONS_BYTES = 2_000_000;
export const MAX_CUES = 20_000;

const TIME = String.raw`(?:(\d{2,}):)?([0-5]\d):([0-5]\d)\.(\d{3})`;
const TIMES = new RegExp(String.raw`^\s*${TIME}[ \t]+-->[ \t]+${TIME}(?:[ \t]+.*)?$`);

const millis = ([hours, minutes, seconds, rest]: readonly (string | undefined)[]): number =>
  ((Number(hours ?? 0) * 60 + Number(minutes)) * 60 + Number(seconds)) * 1000 + Number(rest);

const ENTITIES: Readonly<Record<string, string>> = {
  amp: '&',
  lt: '<',
  gt: '>',
  lrm: '\u200e',
  rlm: '\u200f',
  nbsp: '\u00a0',
};

/** What a line says, without who speaks, colours and turns of the voice. */
const plain = (line: string): string =>
  line
    .replace(/<[^>]*>?/g, '')
    .replace(/&(amp|lt|gt|lrm|rlm|nbsp);/g, (_all, name: string) => ENTITIES[name] ?? '');

/** @param text the whole file */
export function readCaptions(text: string): ReadCaptions {
  const lines = text
    .replace(/^\ufeff/, '')
    .replaceAll('\0', '\ufffd')
    .split(/\r\n|\r|\n/);
  const wrong = (index: number, why: CaptionMistake['why']): ReadCaptions => ({
    ok: false,
    mistake: { line: index + 1, found: (lines[index] ?? '').trim().slice(0, 80), why },
  });
  if (!/^WEBVTT(?:[ \t].*)?$/.test(lines[0] ?? '')) return wrong(0, 'header');
  const cues: Cue[] = [];
  let at = 1;
  while (at < lines.length) {
    const [from, to] = blockAt(lines, at);
    at = to;
    const timed = lines.slice(from, to).findIndex((line) => line.includes('-->'));
    // Notes, styles and regions have no times.
    if (timed === -1) continue;
    const line = from + timed;
    const match = TIMES.exec(lines[line] ?? '');
    if (match === null) return wrong(line, 'time');
    const [begins, ends] = [millis(match.slice(1, 5)), millis(match.slice(5, 9))];
    if (ends <= begins) return wrong(line, 'backwards');
    if (begins < (cues.at(-1)?.from ?? 0)) return wrong(line, 'backwards');
    if (cues.length === MAX_CUES) return wrong(line, 'many');
    const said = lines
      .slice(line + 1, to)
      .map(plain)
      .join('\n')
      .trim();
    if (said !== '') cues.push({ from: begins, to: ends, text: said });
  }
  return cues.length === 0 ? wrong(0, 'empty') : { ok: true, cues };
}

/** Lines that stand together, from the first that is not empty. */
function blockAt(lines: readonly string[], start: number): readonly [from: number, to: number] {
  let from = start;
  while (from < lines.length && (lines[from] ?? '').trim() === '') from += 1;
  let to = from;
  while (to < lines.length && (lines[to] ?? '').trim() !== '') to += 1;
  return [from, to];
}
