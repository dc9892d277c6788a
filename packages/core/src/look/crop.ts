/** Which part of a picture is shown in a frame (docs/semantics.md, Look). */
import type { CoursePicture } from '../course/schema/look-schema.ts';

/** In pixels of the picture, whole ones. */
export interface Crop {
  readonly left: number;
  readonly top: number;
  readonly width: number;
  readonly height: number;
}

/** Width to height of the frames that a picture is shown in. */
export const FRAMES = { banner: 5, phone: 2.6, thumbnail: 1.5, panel: 1.8, card: 1 } as const;
export type Frame = keyof typeof FRAMES;

/**
 * The largest part of the frame's shape, made smaller by the zoom, with the focal point as near its middle as
 * the picture's edges allow.
 *
 * @param shape width to height of the frame.
 */
export function cropOf(
  picture: Pick<CoursePicture, 'width' | 'height' | 'focus' | 'zoom'>,
  shape: number,
): Crop {
  const { width, height, focus, zoom } = picture;
  const isWide = width / height > shape;
  const [fullWidth, fullHeight] = isWide ? [height * shape, height] : [width, width / shape];
  const cropWidth = Math.max(1, Math.min(width, Math.round(fullWidth / zoom)));
  const cropHeight = Math.max(1, Math.min(height, Math.round(fullHeight / zoom)));
  const start = (size: number, crop: number, at: number): number =>
    Math.round(Math.min(Math.max(at * size - crop / 2, 0), size - crop));
  return {
    left: start(width, cropWidth, focus.x),
    top: start(height, cropHeight, focus.y),
    width: cropWidth,
    height: cropHeight,
  };
}
