/** Pictures cropped and made small; each is made once, and again when somebody has cleared them away. */
import { cropOf, FRAMES } from '@itinerary/core';
import type { CoursePicture, Frame } from '@itinerary/core';
import sharp from 'sharp';
import type { FileStore } from './file-store.ts';
import { MAX_PIXELS } from './picture-check.ts';
import { MOST_S, unpacked } from '../lanes/pictures.ts';

const QUALITY = 74;

/**
 * @param source where the picture lies.
 * @param width in pixels, of the rendition; never wider than the part of the picture that it shows.
 * @returns where the rendition lies, as WebP.
 */
export async function rendition(
  store: FileStore,
  source: string,
  picture: Pick<CoursePicture, 'file' | 'width' | 'height' | 'focus' | 'zoom'>,
  frame: Frame,
  width: number,
): Promise<string> {
  const crop = cropOf(picture, FRAMES[frame]);
  const wide = Math.min(width, crop.width);
  const name = [picture.file.hash, crop.left, crop.top, crop.width, crop.height, wide].join('-');
  return store.made(`${name}.webp`, () =>
    unpacked(() =>
      sharp(source, { limitInputPixels: MAX_PIXELS })
        .timeout({ seconds: MOST_S })
        .rotate()
        .extract(crop)
        .resize({ width: wide })
        .webp({ quality: QUALITY })
        .toBuffer(),
    ),
  );
}
