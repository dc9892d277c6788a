/** Colours as they are typed: `#15493b`, `15493b`, `#fa0`, `rgb(21, 73, 59)`, `teal`. */
import { formatHex, parse } from 'culori';
import { plain } from './plain.ts';
import { notRead, read } from './reading.ts';
import type { Reading } from './reading.ts';

/** @returns `#rrggbb`, null for nothing, or that a colour is expected. What is seen through is none. */
export function readColour(text: string): Reading<string | null> {
  const said = plain(text);
  if (said === '') return read(null);
  const parsed = parse(/^([0-9a-f]{3}|[0-9a-f]{6})$/.test(said) ? `#${said}` : said);
  return parsed === undefined || (parsed.alpha ?? 1) < 1
    ? notRead({ code: 'colour' })
    : read(formatHex(parsed));
}
