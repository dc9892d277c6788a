/** Texts and files are kept under their hashes: whatever place a course names one at, it is found there. */
import { describe, expect, test } from '@jest/globals';
import {
  contactSchema,
  courseFileJsonSchema,
  fileHashes,
  mapOwnContent,
  newItem,
  newSection,
  ownContent,
  panelSchema,
  parseCourse,
  textHashes,
} from '../../src/index.ts';
import type { Course, CourseFileRef, CoursePicture } from '../../src/index.ts';
import { smallCourse } from '../support/arbitraries.ts';

interface Schema {
  readonly $ref?: string;
  readonly pattern?: string;
  readonly properties?: Readonly<Record<string, Schema>>;
  readonly additionalProperties?: Schema | boolean;
  readonly items?: Schema;
  readonly anyOf?: readonly Schema[];
  readonly oneOf?: readonly Schema[];
  readonly allOf?: readonly Schema[];
  readonly $defs?: Readonly<Record<string, Schema>>;
}

/** Every place at which the schema of a course has room for a hash; `*` is any key or index. */
function placesForHashes(): readonly string[] {
  const root = courseFileJsonSchema() as Schema;
  const found = new Set<string>();
  const visit = (schema: Schema, path: string, through: ReadonlySet<string>): void => {
    const { $ref } = schema;
    if ($ref !== undefined && !through.has($ref)) {
      const at = $ref === '#' ? root : root.$defs?.[$ref.replace('#/$defs/', '')];
      if (at !== undefined) visit(at, path, new Set([...through, $ref]));
    }
    if (schema.pattern?.includes('{64}') === true) found.add(path);
    for (const [key, inner] of Object.entries(schema.properties ?? {}))
      visit(inner, path === '' ? key : `${path}.${key}`, through);
    if (typeof schema.additionalProperties === 'object')
      visit(schema.additionalProperties, `${path}.*`, through);
    if (schema.items !== undefined) visit(schema.items, `${path}.*`, through);
    for (const inner of [...(schema.anyOf ?? []), ...(schema.oneOf ?? []), ...(schema.allOf ?? [])])
      visit(inner, path, through);
  };
  visit(root.properties?.['course'] as Schema, '', new Set());
  return [...found].sort();
}

let count = 0;
const hash = (): string => String((count += 1)).padStart(64, '0');
const file = (): CourseFileRef => ({
  hash: hash(),
  name: 'gauge.png',
  size: 10,
  type: 'image/png',
  alt: null,
  author: null,
  licence: null,
});
const picture = (): CoursePicture => ({
  file: file(),
  width: 1600,
  height: 1000,
  focus: { x: 0.5, y: 0.5 },
  zoom: 1,
});

/** A course that names something at every place. */
function full(): Course {
  const page = (id: string) => newItem('page', { id, title: id, text: hash() });
  const base = smallCourse();
  const held = newSection({ id: 'B', title: 'B', items: [page('b1')] });
  return {
    ...base,
    description: hash(),
    introduction: hash(),
    banner: picture(),
    thumbnail: picture(),
    panels: {
      w: { ...panelSchema.parse({ kind: 'welcome', column: 'main', at: 1 }), text: hash() } as never,
      p: { ...panelSchema.parse({ kind: 'picture', column: 'main', at: 2 }), picture: picture() } as never,
      n: panelSchema.parse({ kind: 'outline', column: 'side', at: 3 }),
    },
    announcements: {
      a: {
        subject: 'Boots',
        text: hash(),
        files: [file(), file()],
        pinned: false,
        from: { kind: 'fixed', day: '2027-01-11', time: '09:00' },
        until: null,
        comments: false,
        ready: true,
      },
    },
    contacts: {
      c: { ...contactSchema.parse({ who: 'other', name: 'Library', at: 1 }), picture: picture() },
    },
    sections: [
      newSection({
        id: 'A',
        title: 'A',
        items: [
          page('a1'),
          newItem('folder', { id: 'f', title: 'f', items: [page('f1')] }),
          newItem('file', { id: 'a2', title: 'a2', file: file() }),
          newItem('video', { id: 'v', title: 'v', captions: [{ language: 'pt', file: file() }] }),
          newItem('assignment', { id: 'a3', title: 'a3', text: hash() }),
          newItem('quiz', { id: 'a4', title: 'a4', text: hash() }),
          newItem('discussion', { id: 'a5', title: 'a5', text: hash() }),
        ],
      }),
      newSection({ id: 'B', title: 'B', items: [newItem('page', { id: 'b1', title: 'b1', text: hash() })] }),
    ],
    heldBack: { B: { node: held, release: null } },
  };
}

/** Every hash in the course, wherever it stands, by reading it as mere data. */
function hashesIn(data: unknown): string[] {
  if (typeof data === 'string') return /^[0-9a-f]{64}$/.test(data) ? [data] : [];
  return data !== null && typeof data === 'object' ? Object.values(data).flatMap(hashesIn) : [];
}

describe('what a course names by its hash', () => {
  test('stands at the places that are known here; a new one has to be walked as well', () => {
    expect(placesForHashes()).toEqual([
      'announcements.*.files.*.hash',
      'announcements.*.text',
      'banner.file.hash',
      'contacts.*.picture.file.hash',
      'description',
      'heldBack.*.node.attachments.*.hash',
      'heldBack.*.node.captions.*.file.hash',
      'heldBack.*.node.exampleFile.hash',
      'heldBack.*.node.file.hash',
      'heldBack.*.node.items.*.attachments.*.hash',
      'heldBack.*.node.items.*.captions.*.file.hash',
      'heldBack.*.node.items.*.exampleFile.hash',
      'heldBack.*.node.items.*.file.hash',
      'heldBack.*.node.items.*.questions.*.choices.*.picture.hash',
      'heldBack.*.node.items.*.text',
      'heldBack.*.node.questions.*.choices.*.picture.hash',
      'heldBack.*.node.text',
      'introduction',
      'panels.*.picture.file.hash',
      'panels.*.text',
      'sections.*.items.*.attachments.*.hash',
      'sections.*.items.*.captions.*.file.hash',
      'sections.*.items.*.exampleFile.hash',
      'sections.*.items.*.file.hash',
      'sections.*.items.*.questions.*.choices.*.picture.hash',
      'sections.*.items.*.text',
      'thumbnail.file.hash',
    ]);
  });

  test('is found, every one of it, and nothing else', () => {
    const course = full();
    expect(parseCourse(JSON.parse(JSON.stringify(course)))).toMatchObject({ ok: true });
    const named = [...textHashes(course), ...fileHashes(course)].sort();
    expect(named).toEqual([...new Set(hashesIn(course))].sort());
    expect(named.length).toBe(count);
  });

  test('in the course itself is replaced in one walk, and items stay as they are', () => {
    const course = full();
    const letters = (old: string): string => old.replace(/^0/, 'f');
    const next = mapOwnContent(course, {
      text: letters,
      file: (one) => ({ ...one, hash: letters(one.hash) }),
    });
    const { texts, files } = ownContent(next);
    expect([...texts, ...files.map((one) => one.hash)].every((one) => one.startsWith('f'))).toBe(true);
    expect(texts).toHaveLength(ownContent(course).texts.length);
    expect(next.sections).toBe(course.sections);
  });

  test('that is taken out leaves its place empty, and no picture without a file', () => {
    const next = mapOwnContent(full(), { text: (one) => one, file: () => null });
    expect(ownContent(next).files).toEqual([]);
    expect([next.banner, next.thumbnail, next.contacts['c']?.picture]).toEqual([null, null, null]);
    expect(next.announcements['a']?.files).toEqual([]);
    expect(next.panels['p']).toMatchObject({ kind: 'picture', picture: null });
  });
});
