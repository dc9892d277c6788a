/** Whether bytes that say they are a picture can be shown without harm: size, content, nothing hidden in them. */
import { createReadStream } from 'node:fs';
import { MAX_SIDE } from '@itinerary/core';
import sharp from 'sharp';
import { MOST_S, unpacked } from '../lanes/pictures.ts';

/** A picture this large is 240 MB once it is unpacked; a photograph has a fifth of it. */
export const MAX_PIXELS = 60_000_000;
const MAX_FRAMES = 500;

export type PictureCheck =
  | { readonly ok: true; readonly width: number; readonly height: number }
  | {
      readonly ok: false;
      readonly why: 'side' | 'pixels' | 'frames' | 'script' | 'broken';
      readonly found: string;
    };

/**
 * What a browser that guesses could take for a page or a program. Each is long enough not to turn up by chance in
 * the noise of a large photograph.
 */
const HIDDEN = /<script|<svg\s[^>]{0,300}(?:xmlns|on\w+)\s*=|<html|<!doctype|<iframe|<\?php|javascript:/i;
/** Longer than any of them, so that none is missed where one piece ends and the next begins. */
const OVERLAP = 400;

async function hidesScript(path: string): Promise<boolean> {
  let before = '';
  for await (const chunk of createReadStream(path, { encoding: 'latin1' })) {
    const text = before + String(chunk);
    if (HIDDEN.test(text)) return true;
    before = text.slice(-OVERLAP);
  }
  return false;
}

/** Reads the header before anything is unpacked, so that a small file which unpacks to a huge one costs nothing. */
export async function checkPicture(path: string): Promise<PictureCheck> {
  const header = await sharp(path, { limitInputPixels: false })
    .metadata()
    .catch(() => null);
  if (header === null) return { ok: false, why: 'broken', found: 'no picture that can be read' };
  const { width, height, pages = 1, pageHeight, orientation = 1 } = header;
  const tall = pageHeight ?? height;
  if (width > MAX_SIDE || tall > MAX_SIDE)
    return { ok: false, why: 'side', found: `${width} × ${tall} pixels` };
  if (width * tall > MAX_PIXELS) return { ok: false, why: 'pixels', found: `${width} × ${tall} pixels` };
  if (pages > MAX_FRAMES || width * tall * pages > 4 * MAX_PIXELS) {
    return { ok: false, why: 'frames', found: `${pages} frames of ${width} × ${tall} pixels` };
  }
  if (await hidesScript(path)) return { ok: false, why: 'script', found: 'a script in the picture' };
  const isWhole = await unpacked(() =>
    sharp(path, { limitInputPixels: MAX_PIXELS, failOn: 'error', sequentialRead: true })
      .timeout({ seconds: MOST_S })
      // Every part of it is unpacked, and hardly any of it kept.
      .resize(16, 16, { fit: 'fill' })
      .raw()
      .toBuffer()
      .then(
        () => true,
        () => false,
      ),
  );
  if (!isWhole) return { ok: false, why: 'broken', found: 'a picture that breaks off' };
  // Cameras write a picture lying on its side, and how to turn it.
  return orientation > 4 ? { ok: true, width: tall, height: width } : { ok: true, width, height: tall };
}
