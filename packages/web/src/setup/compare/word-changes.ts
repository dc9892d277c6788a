/** Two texts word by word: what stays, what goes and what comes. */
import { diffArrays } from 'diff';

export interface Piece {
  readonly kind: 'same' | 'gone' | 'new';
  readonly text: string;
}

/** Words that go or come. Beyond it the middle is said to have been rewritten, rather than compared for seconds. */
const MOST_CHANGES = 2000;

/** HTML as the words that are read, a paragraph a line. */
export function wordsOf(html: string): string {
  const lined = html.replaceAll(/<\/(p|h\d|li|tr|blockquote)>|<br\s*\/?>/g, '\n');
  const document = new DOMParser().parseFromString(lined, 'text/html');
  return (document.body.textContent ?? '').replaceAll(/\s*\n\s*/g, '\n').trim();
}

/** Of a long passage that stays, only what stands beside a change is of use. */
const MOST_SAME = 240;
const BESIDE = 90;

export function shortened(pieces: readonly Piece[]): readonly Piece[] {
  return pieces.map((one, at) => {
    if (one.kind !== 'same' || one.text.length <= MOST_SAME) return one;
    const head = at === 0 ? '' : one.text.slice(0, BESIDE);
    const tail = at === pieces.length - 1 ? '' : one.text.slice(-BESIDE);
    return { kind: 'same', text: `${head} … ${tail}` };
  });
}

const split = (text: string): readonly string[] => text.match(/\s+|[^\s]+/g) ?? [];

export function wordChanges(before: string, after: string): readonly Piece[] {
  const a = split(before);
  const b = split(after);
  let start = 0;
  while (start < a.length && start < b.length && a[start] === b[start]) start += 1;
  let end = 0;
  while (end < a.length - start && end < b.length - start && a.at(-1 - end) === b.at(-1 - end)) end += 1;
  const middle = compare(a.slice(start, a.length - end), b.slice(start, b.length - end));
  return joined([piece('same', a.slice(0, start)), ...middle, piece('same', a.slice(a.length - end))]);
}

const piece = (kind: Piece['kind'], words: readonly string[]): Piece => ({ kind, text: words.join('') });

function compare(a: readonly string[], b: readonly string[]): readonly Piece[] {
  const changes = diffArrays([...a], [...b], { maxEditLength: MOST_CHANGES });
  // The library gives up beyond that, and says nothing.
  const told = changes as typeof changes | undefined;
  if (told === undefined) return [piece('gone', a), piece('new', b)];
  return told.map(({ value, removed, added }) => piece(removed ? 'gone' : added ? 'new' : 'same', value));
}

/** Runs of the same kind as one; a space that stays between two changes is part of both. */
function joined(pieces: readonly Piece[]): readonly Piece[] {
  const whole: Piece[] = [];
  let gone = '';
  let come = '';
  let space = '';
  const flush = (): void => {
    if (gone !== '') whole.push({ kind: 'gone', text: gone });
    if (come !== '') whole.push({ kind: 'new', text: come });
    const last = whole.at(-1);
    if (space !== '' && last?.kind === 'same') whole[whole.length - 1] = { ...last, text: last.text + space };
    else if (space !== '') whole.push({ kind: 'same', text: space });
    gone = come = space = '';
  };
  for (const { kind, text } of pieces) {
    if (text === '') continue;
    const isChanging = gone !== '' || come !== '';
    if (kind === 'same' && isChanging && space === '' && /^[^\S\n]+$/.test(text)) space = text;
    else if (kind === 'same') {
      flush();
      space = text;
      flush();
    } else {
      // The space before it was between two changes after all.
      if (gone !== '') gone += space;
      if (come !== '') come += space;
      space = '';
      if (kind === 'gone') gone += text;
      else come += text;
    }
  }
  flush();
  return whole;
}
