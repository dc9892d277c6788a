/** Files that the demo comes with: made here, small, and nobody else's. */
import { createHash } from 'node:crypto';

export interface DemoFile {
  readonly hash: string;
  readonly name: string;
  readonly type: string;
  readonly bytes: Buffer;
  readonly alt: string | null;
  readonly author: string | null;
  readonly licence: string | null;
  /** Of a picture, in pixels. */
  readonly width?: number;
  readonly height?: number;
}

export function demoFile(
  name: string,
  type: string,
  bytes: Buffer,
  words: Partial<Pick<DemoFile, 'alt' | 'author' | 'licence'>> = {},
): DemoFile {
  const hash = createHash('sha256').update(bytes).digest('hex');
  return { hash, name, type, bytes, alt: null, author: null, licence: null, ...words };
}
