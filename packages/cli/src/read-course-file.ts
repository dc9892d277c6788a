/** Reads a course file from disk; what is wrong comes back as sentences that name the file, the place and the value. */
import { readFileSync } from 'node:fs';
import { readCourseFile as readBytes } from '@itinerary/core';
import type { FileRead } from '@itinerary/core';

export function readCourseFile(path: string): FileRead {
  const read = bytesOf(path);
  return read.ok ? read : { ok: false, sentences: read.sentences.map((one) => `${path}: ${one}`) };
}

function bytesOf(path: string): FileRead {
  let bytes: Buffer;
  try {
    bytes = readFileSync(path);
  } catch (error) {
    const { code, message } = error as NodeJS.ErrnoException;
    return {
      ok: false,
      sentences: [code === 'ENOENT' ? 'there is no such file' : `cannot be read (${message})`],
    };
  }
  return readBytes(bytes);
}
