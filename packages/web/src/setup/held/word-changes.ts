/** Two texts word by word: what stays, what goes and what comes. */

export interface Piece {
  readonly kind: 'same' | 'gone' | 'new';
  readonly text: string;
}

/** Beyond it the middle is said to have been rewritten, rather than compared for seconds. */
const MOST_WORDS = 2000;

/** HTML as the words that are read, a paragraph a line. */
export function wordsOf(html: string): string {
  const lined = html.replaceAll(/<\/(p|h\d|li|tr|blockquote)>|<br\s*\/?>/g, '\n');
  const document = new DOMParser().parseFromString(lined, 'text/html');
  return (document.body.textContent ?? '').trim();
}

const split = (text: string): readonly string[] => text.match(/\s+|[^\s]+/g) ?? [];

export function wordChanges(before: string, after: string): readonly Piece[] {
  const a = split(before);
  const b = split(after);
  let start = 0;
  while (start < a.length && start < b.length && a[start] === b[start]) start += 1;
  let end = 0;
  while (end < a.length - start && end < b.length - start && a.at(-1 - end) === b.at(-1 - end)) end += 1;
  const [middleA, middleB] = [a.slice(start, a.length - end), b.slice(start, b.length - end)];
  const middle =
    middleA.length > MOST_WORDS || middleB.length > MOST_WORDS
      ? [piece('gone', middleA), piece('new', middleB)]
      : compare(middleA, middleB);
  return joined([piece('same', a.slice(0, start)), ...middle, piece('same', a.slice(a.length - end))]);
}

const piece = (kind: Piece['kind'], words: readonly string[]): Piece => ({ kind, text: words.join('') });

/** The longest common subsequence, by the table of its lengths. */
function compare(a: readonly string[], b: readonly string[]): readonly Piece[] {
  const width = b.length + 1;
  const lengths = new Uint16Array((a.length + 1) * width);
  for (let i = a.length - 1; i >= 0; i -= 1) {
    for (let j = b.length - 1; j >= 0; j -= 1) {
      lengths[i * width + j] =
        a[i] === b[j]
          ? (lengths[(i + 1) * width + j + 1] as number) + 1
          : Math.max(lengths[(i + 1) * width + j] as number, lengths[i * width + j + 1] as number);
    }
  }
  const pieces: Piece[] = [];
  let [i, j] = [0, 0];
  while (i < a.length || j < b.length) {
    if (i < a.length && j < b.length && a[i] === b[j]) {
      pieces.push({ kind: 'same', text: a[i] as string });
      [i, j] = [i + 1, j + 1];
    } else if (
      j >= b.length ||
      (i < a.length && (lengths[(i + 1) * width + j] as number) >= (lengths[i * width + j + 1] as number))
    ) {
      pieces.push({ kind: 'gone', text: a[i] as string });
      i += 1;
    } else {
      pieces.push({ kind: 'new', text: b[j] as string });
      j += 1;
    }
  }
  return pieces;
}

function joined(pieces: readonly Piece[]): readonly Piece[] {
  const whole: Piece[] = [];
  for (const one of pieces) {
    if (one.text === '') continue;
    const last = whole.at(-1);
    if (last?.kind === one.kind) whole[whole.length - 1] = { ...last, text: last.text + one.text };
    else whole.push(one);
  }
  return whole;
}
