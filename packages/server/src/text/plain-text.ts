/** The words of a long text, for where nothing but words is shown: paragraphs stand apart by an empty line. */
import { Parser } from 'htmlparser2';

const BLOCKS = new Set([
  'p',
  'h1',
  'h2',
  'h3',
  'h4',
  'h5',
  'h6',
  'li',
  'blockquote',
  'pre',
  'tr',
  'br',
  'figure',
]);

/** @param html as it is stored */
export function plainText(html: string): string {
  let text = '';
  const breaks = (name: string): void => {
    if (BLOCKS.has(name)) text += name === 'br' || name === 'li' ? '\n' : '\n\n';
  };
  const parser = new Parser({
    onopentag: (name) => {
      breaks(name);
      if (name === 'li') text += '– ';
    },
    ontext: (piece) => {
      text += piece.replaceAll(/\s+/g, ' ');
    },
    // A line has its break before it.
    onclosetag: (name) => {
      if (name !== 'br' && name !== 'li') breaks(name);
    },
  });
  parser.end(html);
  return text
    .replaceAll(/ *\n */g, '\n')
    .replaceAll(/\n{3,}/g, '\n\n')
    .trim();
}
