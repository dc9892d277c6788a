/** Names that came out of a registry in pieces: written in one encoding and read in another, or with letters lost. */

/** Where Windows-1252 differs from ISO 8859-1: bytes by code point. Made when it is first asked for. */
let differing: ReadonlyMap<number, number> | null = null;

function byteOf(point: number): number {
  differing ??= new Map(
    Array.from({ length: 32 }, (_, at): [number, number] => [
      new TextDecoder('windows-1252').decode(new Uint8Array([0x80 + at])).codePointAt(0) ?? 0,
      0x80 + at,
    ]),
  );
  return differing.get(point) ?? point;
}

function bytesOf(text: string): Uint8Array | null {
  const bytes: number[] = [];
  for (const letter of text) {
    const byte = byteOf(letter.codePointAt(0) ?? 0);
    if (byte > 0xff) return null;
    bytes.push(byte);
  }
  return new Uint8Array(bytes);
}

/** A sign that stands for a lost letter, or one that nobody sees and no name has. */
const LOST = /[\ufffd\u0000-\u001f\u007f]|\w\?\w/;

/** @returns what the name would be, read as it was written; null: it is as it should be, as far as one can tell */
export function mendedName(name: string): string | null {
  const bytes = bytesOf(name);
  if (bytes?.some((byte) => byte >= 0x80) !== true) return null;
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    return null;
  }
}

export const isBroken = (name: string): boolean => LOST.test(name) || mendedName(name) !== null;
