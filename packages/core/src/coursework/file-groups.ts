/** Which kind of file a media type is, as people speak of it. */
import type { FileGroup } from '../course/schema/coursework/work-schema.ts';

const BY_TYPE: readonly (readonly [RegExp, FileGroup])[] = [
  [/^image\//, 'picture'],
  [/^audio\//, 'sound'],
  [/^video\//, 'film'],
  [/^text\/(?:csv|tab-separated-values)$/, 'table'],
  [/spreadsheet|ms-excel|^application\/vnd\.apache\.parquet$/, 'table'],
  [/presentation|ms-powerpoint/, 'slides'],
  [/^application\/(?:zip|gzip|x-7z-compressed|x-tar|x-bzip2|x-xz|vnd\.rar|x-rar-compressed)$/, 'archive'],
  [/^text\/|^application\/(?:pdf|rtf|msword|epub\+zip)$|wordprocessing|opendocument\.text/, 'document'],
];

/** @returns null: something that has no name among these. */
export function fileGroupOf(type: string): FileGroup | null {
  return BY_TYPE.find(([pattern]) => pattern.test(type))?.[1] ?? null;
}
