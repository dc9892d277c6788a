/** `export CODE` and `import FILE`: a course between the database and a course file. */
import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { stat } from 'node:fs/promises';
import {
  filesOf,
  mapFiles,
  isHolder,
  mapOwnContent,
  mapTops,
  ownContent,
  readCourseFile,
  textFacts,
  textHashes,
  toCourseFile,
  topsOf,
} from '@itinerary/core';
import type { Course, CourseFile, CourseNode, Item } from '@itinerary/core';
import { systemClock } from '../config/clock.ts';
import { filesFolderOf } from '../config/config.ts';
import { loadCourse } from '../db/course-rows.ts';
import { CourseRow, InstitutionRow, PersonRow, StoredFileRow, TextRow } from '../db/entities.ts';
import type { EntityManager } from '../db/orm.ts';
import { connect, migrate } from '../db/orm.ts';
import { fileKind } from '../files/file-kind.ts';
import { diskStore, headOf } from '../files/file-store.ts';
import { checkPicture } from '../files/picture-check.ts';
import { asBrowsersWrite, hashText, MAX_MARKUP_DEPTH, sanitiseText, tooDeepAt } from '../text/rich-text.ts';
import { codeHeld } from '../usecases/desk/course-codes.ts';
import { isKnownChoice } from '../usecases/desk/create-course.ts';
import { renameIn } from '../usecases/plan/new-texts.ts';
import { storeCourse } from '../usecases/plan/store-course.ts';

class Sentence extends Error {}

async function exportCourse(em: EntityManager, code: string): Promise<string> {
  const rows = await em.find(CourseRow, {});
  const row = rows.find((course) => course.code.toLowerCase() === code.toLowerCase());
  const loaded = row === undefined ? null : await loadCourse(em, row.id);
  if (loaded === null) {
    const codes = rows.map((course) => course.code).sort();
    throw new Sentence(`No course has the code ${code}. There are: ${codes.join(', ') || 'none'}`);
  }
  const texts = await em.find(TextRow, {
    courseId: loaded.course.id,
    hash: { $in: [...textHashes(loaded.course)] },
  });
  const file = toCourseFile(loaded.course, Object.fromEntries(texts.map(({ hash, html }) => [hash, html])));
  return JSON.stringify(file, null, 2);
}

/**
 * Texts come from outside, so they are checked against their hashes and sanitised like any other. Files of
 * earlier releases wrote `<br />`, so that a text may be kept under another hash than it has in the file.
 */
function admit(file: CourseFile): Pick<CourseFile, 'course' | 'texts'> {
  const renamed = new Map<string, string>();
  const texts: Record<string, string> = {};
  for (const [hash, html] of Object.entries(file.texts)) {
    if (hashText(html) !== hash)
      throw new Sentence(`At texts.${hash} stands a text whose SHA-256 is ${hashText(html)}`);
    if (tooDeepAt(html) !== null)
      throw new Sentence(`At texts.${hash} stands markup that nests deeper than ${MAX_MARKUP_DEPTH}`);
    const clean = sanitiseText(html);
    if (clean !== asBrowsersWrite(html)) {
      throw new Sentence(
        `At texts.${hash} stands HTML that Itinerary does not keep; see docs/formats.md for what it does`,
      );
    }
    renamed.set(hash, hashText(clean));
    texts[hashText(clean)] = clean;
  }
  const rename = (hash: string): string => renamed.get(hash) ?? hash;
  const course = mapOwnContent(file.course, { text: rename, file: (kept) => kept });
  return {
    course: mapTops(course, (node) => renameIn(node, rename)),
    texts,
  };
}

interface FilesHere {
  /** Without the files that are not here; their items stay, and readiness says that they are empty. */
  readonly kept: Course;
  readonly rows: readonly {
    readonly hash: string;
    readonly size: number;
    readonly type: string;
    readonly width: number | null;
    readonly height: number | null;
  }[];
  /** Names of files; a picture in a text has none, and is named by the beginning of its hash. */
  readonly missing: readonly string[];
}

/** Which uploaded files of the course this installation has, from another course or from before. */
async function filesHere(course: Course, texts: CourseFile['texts'], folder: string): Promise<FilesHere> {
  const store = diskStore(folder);
  const rows = new Map<string, FilesHere['rows'][number]>();
  const missing = new Map<string, string>();
  const look = async (hash: string, name: string): Promise<boolean> => {
    const path = await store.find(hash);
    if (path === null) {
      missing.set(hash, name);
      return false;
    }
    const kind = await fileKind(name, await headOf(path));
    const type = kind.ok ? kind.type : 'application/octet-stream';
    const picture = type.startsWith('image/') ? await checkPicture(path) : null;
    const { width, height } = picture?.ok === true ? picture : { width: null, height: null };
    rows.set(hash, { hash, size: (await stat(path)).size, type, width, height });
    return true;
  };
  const keep = async <T extends CourseNode>(node: T): Promise<T> => {
    if (isHolder(node)) {
      const items: Item[] = [];
      for (const item of node.items) items.push(await keep(item));
      return { ...node, items };
    }
    const gone = new Set<string>();
    for (const { hash, name } of filesOf(node)) if (!(await look(hash, name))) gone.add(hash);
    return mapFiles(node, (file) => (gone.has(file.hash) ? null : file));
  };
  // One after the other, so that what is missing is told in the order of the course.
  const tops = new Map<CourseNode, CourseNode>();
  for (const node of topsOf(course)) tops.set(node, await keep(node));
  const own = new Set<string>();
  for (const { hash, name } of ownContent(course).files) if (await look(hash, name)) own.add(hash);
  for (const hash of textHashes(course)) {
    const pictures = textFacts(texts[hash] ?? '')?.pictures ?? [];
    for (const picture of pictures) await look(picture, `a picture, ${picture.slice(0, 8)}`);
  }
  const face = mapOwnContent(course, {
    text: (hash) => hash,
    file: (file) => (own.has(file.hash) ? file : null),
  });
  const kept = mapTops(face, (node) => (tops.get(node) ?? node) as typeof node);
  return { kept, rows: [...rows.values()], missing: [...missing.values()] };
}

function bytesOf(path: string): Uint8Array {
  try {
    return readFileSync(path);
  } catch (error) {
    throw new Sentence(`${path}: ${(error as Error).message}`);
  }
}

async function importCourse(em: EntityManager, path: string, folder: string): Promise<string> {
  const read = readCourseFile(bytesOf(path));
  if (!read.ok) throw new Sentence(read.sentences.map((one) => `${path}: ${one}`).join('\n'));
  const { course, texts } = admit(read.file);
  const [institution] = await em.find(InstitutionRow, {}, { orderBy: { id: 'asc' }, limit: 1 });
  const staff =
    institution && (await em.findOne(PersonRow, { institutionId: institution.id, kind: 'staff' }));
  if (!institution || !staff)
    throw new Sentence('The database has no institution yet. Load the demo data first: npm run demo');
  const { holder, proposal } = await codeHeld(em, institution.id, course.code);
  if (holder !== null) {
    throw new Sentence(
      `${path}: at course.code stands "${course.code}", which "${holder.title}" has; ${proposal} is free`,
    );
  }
  for (const field of ['department', 'term'] as const) {
    if (!(await isKnownChoice(em, institution.id, field, course[field]))) {
      throw new Sentence(
        `${path}: at course.${field} stands "${course[field] ?? ''}", which the institution does not have`,
      );
    }
  }
  const idTaken = (await em.count(CourseRow, { id: course.id })) > 0;
  const { kept, rows, missing } = await filesHere(course, texts, folder);
  const stored: Course = idTaken ? { ...kept, id: randomUUID() } : kept;
  const now = systemClock.now();
  await em.transactional((inner) => {
    storeCourse(inner, {
      institutionId: institution.id,
      course: stored,
      texts,
      members: [],
      now,
    });
    for (const row of rows)
      inner.persist(inner.create(StoredFileRow, { ...row, courseId: stored.id, createdAt: now }));
  });
  const taken = `${stored.code} is in the database: ${stored.title}, ${stored.sections.length} sections`;
  if (missing.length === 0) return taken;
  return `${taken}\nA course file carries no uploaded files, and these are not here; put them in again: ${missing.join(', ')}`;
}

interface Said {
  readonly code: 0 | 1;
  readonly out: string;
  readonly err: string;
}

/** @param words what stands behind the command's name. Nothing is thrown: what went wrong is said. */
export async function courseFileTool(words: readonly string[], env: NodeJS.ProcessEnv): Promise<Said> {
  const [command, argument] = words;
  try {
    if ((command !== 'export' && command !== 'import') || argument === undefined) {
      throw new Sentence('Usage: npm run -s course -- export CODE, or import FILE');
    }
    const database = await connect(env['DATABASE_URL'] ?? '');
    try {
      await migrate(database);
      const em = database.em.fork();
      const text =
        command === 'export'
          ? await exportCourse(em, argument)
          : await importCourse(em, argument, filesFolderOf(env));
      return { code: 0, out: `${text}\n`, err: '' };
    } finally {
      await database.close(true);
    }
  } catch (error) {
    const { message } = error as Error;
    return {
      code: 1,
      out: '',
      err: `${error instanceof Sentence ? message : `The command failed: ${message}`}\n`,
    };
  }
}
