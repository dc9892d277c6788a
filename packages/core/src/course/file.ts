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
import type { DeepReadonly } from './schema/readonly.ts';
import type { PlannedQuestion } from './schema/coursework/quiz-schema.ts';
import type { CourseFileRef } from './schema/file-schema.ts';
import type { Course, CourseNode } from './schema/schema.ts';
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

type Changed = (file: CourseFileRef) => CourseFileRef | null;

/**
 * The one walk over the files that a node itself names: whoever adds a place for one to a kind of item adds it here.
 *
 * @param change null takes it out
 */
export function mapFiles<Node extends CourseNode>(node: Node, change: Changed): Node {
  const one = (file: CourseFileRef | null): CourseFileRef | null => (file === null ? null : change(file));
  const several = (files: readonly CourseFileRef[]): CourseFileRef[] =>
    files.flatMap((file) => one(file) ?? []);
  const changed = (): CourseNode => {
    switch (node.kind) {
      case 'file':
        return { ...node, file: one(node.file) };
      case 'video': {
        const film = one(node.file);
        const captions = node.captions.flatMap(({ language, file }) => {
          const kept = one(file);
          return kept === null ? [] : [{ language, file: kept }];
        });
        return { ...node, file: film, captions };
      }
      case 'assignment':
        return { ...node, attachments: several(node.attachments), exampleFile: one(node.exampleFile) };
      case 'quiz': {
        const questions = Object.entries(node.questions).map(([id, question]) => [
          id,
          question.kind === 'single' || question.kind === 'several'
            ? {
                ...question,
                choices: question.choices.map((choice) => ({ ...choice, picture: one(choice.picture) })),
              }
            : question,
        ]);
        return { ...node, questions: Object.fromEntries(questions) as typeof node.questions };
      }
      default:
        return node;
    }
  };
  return changed() as Node;
}

/** The files that a node itself names. */
export function filesOf(node: CourseNode): readonly CourseFileRef[] {
  const found: CourseFileRef[] = [];
  mapFiles(node, (file) => {
    found.push(file);
    return file;
  });
  return found;
}

/** The pictures that are to be chosen from. */
export function picturesOf(question: DeepReadonly<PlannedQuestion>): readonly CourseFileRef[] {
  if (question.kind !== 'single' && question.kind !== 'several') return [];
  return question.choices.flatMap(({ picture }) => picture ?? []);
}

/** The uploaded files that the course names: by hash, each once. */
export function fileHashes(course: Course): readonly string[] {
  const inItems = topsOf(course).flatMap((node) => subtree(node).flatMap(filesOf));
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
