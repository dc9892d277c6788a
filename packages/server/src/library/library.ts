/**
 * The picture library that ships with the product: a small stand-in for a service of stock pictures. It answers
 * as such a service does: a search by words, and a picture by its id, with author and licence.
 */
import sharp from 'sharp';
import { MOST_S, unpacked } from '../lanes/pictures.ts';
import { PICTURES } from './drawn.ts';
import type { Drawn, LibraryPicture } from './drawn.ts';
import { HEIGHT, WIDTH } from './shapes.ts';

function shown({ draw: _draw, ...picture }: Drawn): LibraryPicture {
  void _draw;
  return picture;
}

/** Every word has to be found, in the title, the description or the tags; no words: all of them. */
export function searchLibrary(find: string): readonly LibraryPicture[] {
  const words = find
    .toLowerCase()
    .split(/\s+/)
    .filter((word) => word !== '');
  return PICTURES.filter(({ title, alt, tags, author }) => {
    const all = [title, alt, author, ...tags].join(' ').toLowerCase();
    return words.every((word) => all.includes(word));
  }).map(shown);
}

/** The picture as WebP, or null: there is none with that id. */
export async function openLibraryPicture(
  id: string,
  width: number,
): Promise<{
  readonly picture: LibraryPicture;
  readonly bytes: Buffer;
  readonly width: number;
  readonly height: number;
} | null> {
  const found = PICTURES.find((picture) => picture.id === id);
  if (found === undefined) return null;
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${WIDTH} ${HEIGHT}" width="${WIDTH}" height="${HEIGHT}">${found.draw()}</svg>`;
  const wide = Math.min(width, WIDTH);
  const { data, info } = await unpacked(() =>
    sharp(Buffer.from(svg))
      .timeout({ seconds: MOST_S })
      .resize({ width: wide })
      .webp({ quality: 82 })
      .toBuffer({ resolveWithObject: true }),
  );
  return { picture: shown(found), bytes: data, width: info.width, height: info.height };
}
