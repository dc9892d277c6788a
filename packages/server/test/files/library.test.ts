/** The picture library that ships with the product: drawn here, and each picture fit to be a course's face. */
import { describe, expect, test } from '@jest/globals';
import sharp from 'sharp';
import { openLibraryPicture, searchLibrary } from '../../src/library/library.ts';
import { fileKind } from '../../src/files/file-kind.ts';

const all = searchLibrary('');

describe('the library', () => {
  test('has two dozen pictures, each with its words, its author and its licence', () => {
    expect(all).toHaveLength(24);
    expect(new Set(all.map(({ id }) => id)).size).toBe(24);
    for (const { id, title, alt, author, licence, tags } of all) {
      expect(id).toMatch(/^[a-z-]+$/);
      expect(title.length).toBeGreaterThan(3);
      // What it shows, and not its title again.
      expect(alt.length).toBeGreaterThan(title.length);
      expect(tags.length).toBeGreaterThan(1);
      expect([author, licence].every((word) => word.trim() !== '')).toBe(true);
    }
    expect(new Set(all.map(({ alt }) => alt)).size).toBe(24);
  });

  test.each(all.map(({ id }) => [id]))('%s is drawn, in colours, the same each time', async (id) => {
    const once = await openLibraryPicture(id, 320);
    if (once === null) throw new Error('not there');
    expect(once.picture.id).toBe(id);
    expect([once.width, once.height]).toEqual([320, 200]);
    const { channels, isOpaque } = await sharp(once.bytes).stats();
    // More than one flat ground, and no hole in it.
    expect(Math.max(...channels.map(({ stdev }) => stdev))).toBeGreaterThan(8);
    expect(isOpaque).toBe(true);
    expect((await openLibraryPicture(id, 320))?.bytes.equals(once.bytes)).toBe(true);
  });

  test('is searched by every word, wherever it stands and however it is written', () => {
    const found = (find: string): string[] => searchLibrary(find).map(({ id }) => id);
    expect(found('BOAT')).toEqual(expect.arrayContaining(['sail-at-dusk']));
    expect(found('boat violet')).toEqual(['sail-at-dusk']);
    expect(found('  violet   boat ')).toEqual(['sail-at-dusk']);
    expect(found('boat nowhere')).toEqual([]);
    expect(found('')).toHaveLength(24);
  });

  test('gives a picture no wider than it is, and none that it does not have', async () => {
    const large = await openLibraryPicture('salt-marsh', 100_000);
    expect(large?.width).toBe(1600);
    expect(await fileKind('marsh.webp', new Uint8Array(large?.bytes ?? []))).toEqual({
      ok: true,
      type: 'image/webp',
    });
    expect(await openLibraryPicture('never-was', 320)).toBeNull();
    expect(await openLibraryPicture('__proto__', 320)).toBeNull();
  });
});
