/**
 * The course file: one course as one JSON value, to keep, to carry, to read with other tools
 * (docs/formats.md). Long texts stand beside the course, by their hash. Tombstones are left out.
 */
import { z } from 'zod';
import { parseWith, storableSchema, textHashSchema } from './schema/basics.ts';
import type { Mistake, Parsed } from './schema/basics.ts';
import { ownContent } from './own-content.ts';
import { checkNodes } from './parse-course.ts';
import { courseSchema, wrongBefore } from './schema/schema.ts';
import type { Course } from './schema/schema.ts';
import { subtree, topsOf, withoutTombstones } from './tree.ts';

export const COURSE_FILE_FORMAT = 'itinerary-course';
export const COURSE_FILE_VERSION = 1;

/** 200,000 characters: a long chapter. */
export const MAX_TEXT = 200_000;

export const courseFileSchema = z.strictObject({
  format: z.literal(COURSE_FILE_FORMAT),
  version: z.literal(COURSE_FILE_VERSION),
  course: courseSchema,
  /** From the hash of a text to its HTML. */
  texts: z.record(textHashSchema, storableSchema.max(MAX_TEXT)),
});

export interface CourseFile {
  readonly format: typeof COURSE_FILE_FORMAT;
  readonly version: typeof COURSE_FILE_VERSION;
  readonly course: Course;
  readonly texts: Readonly<Record<string, string>>;
}

/** Hashes of all texts that the course names, each once. */
export function textHashes(course: Course): readonly string[] {
  const nodes = topsOf(course).flatMap((node) => subtree(node));
  const inItems = nodes.flatMap((node) => ('text' in node ? [node.text] : []));
  return [...new Set([...ownContent(course).texts, ...inItems].filter((hash) => hash !== null))];
}

/** The uploaded files that the course names: by hash, each once. */
export function fileHashes(course: Course): readonly string[] {
  const nodes = topsOf(course).flatMap((node) => subtree(node));
  const inItems = nodes.flatMap((node) => ('file' in node && node.file !== null ? [node.file] : []));
  return [...new Set([...ownContent(course).files, ...inItems].map(({ hash }) => hash))];
}

/** Puts a course and its texts into a file. `texts` must hold every text that the course names. */
export function toCourseFile(course: Course, texts: Readonly<Record<string, string>>): CourseFile {
  const seen = withoutTombstones(course);
  const kept = textHashes(seen).map((hash) => {
    const html = texts[hash];
    if (html === undefined) throw new Error(`text ${hash} is missing`);
    return [hash, html] as const;
  });
  return {
    format: COURSE_FILE_FORMAT,
    version: COURSE_FILE_VERSION,
    course: seen,
    texts: Object.fromEntries(kept),
  };
}

/** Reads a course file; every mistake names its place, its value, and what was expected there. */
export function parseCourseFile(data: unknown): Parsed<CourseFile> {
  const wrong = wrongBefore(data);
  if (wrong !== null) return { ok: false, mistakes: [{ path: '', value: undefined, expected: wrong }] };
  const outer = parseWith(courseFileSchema, data);
  if (!outer.ok) return outer;
  const wrongNodes = checkNodes(outer.value.course);
  if (wrongNodes.length > 0) {
    return { ok: false, mistakes: wrongNodes.map((m) => ({ ...m, path: `course.${m.path}` })) };
  }
  const missing = textHashes(outer.value.course).filter((hash) => !Object.hasOwn(outer.value.texts, hash));
  if (missing.length > 0) {
    const mistakes = missing.map((hash): Mistake => ({
      path: `texts.${hash}`,
      value: undefined,
      expected: 'the HTML of a text that the course names',
    }));
    return { ok: false, mistakes };
  }
  return outer;
}

/** The JSON Schema (draft 2020-12) of the course file, for other tools. */
export function courseFileJsonSchema(): unknown {
  return z.toJSONSchema(courseFileSchema, { io: 'input', unrepresentable: 'any' });
}
