/** A course file as bytes: what is wrong is said with its place, and what could not be written is not read. */
import { describe, expect, test } from '@jest/globals';
import {
  applyChange,
  MOST_TOLD,
  newItem,
  newSection,
  parseCourse,
  readCourseFile,
  sentencesOf,
  toCourseFile,
} from '../../src/index.ts';
import type { Course, CourseNode, FileRead } from '../../src/index.ts';
import { smallCourse } from '../support/arbitraries.ts';

const bytesOf = (data: unknown): Uint8Array => new TextEncoder().encode(JSON.stringify(data));
const file = (change: Partial<Course> = {}): unknown => toCourseFile({ ...smallCourse(), ...change }, {});
const said = (read: FileRead): readonly string[] => (read.ok ? [] : read.sentences);
const page = (id: string) => newItem('page', { id, title: id });
const many = <T>(count: number, make: (at: number) => T): T[] =>
  Array.from({ length: count }, (_, at) => make(at));

describe('bytes', () => {
  test('a byte order mark is read over', () => {
    const read = readCourseFile(new Uint8Array([0xef, 0xbb, 0xbf, ...bytesOf(file())]));
    expect(read).toMatchObject({ ok: true, file: { course: { id: 'course' } } });
  });

  test('letters of another encoding are refused where they stand, never changed', () => {
    const text = JSON.stringify(file({ title: 'Maré' }), null, 1);
    const latin = Uint8Array.from(text, (letter) => letter.charCodeAt(0));
    const line = text.slice(0, text.indexOf('é')).split('\n').length;
    expect(said(readCourseFile(latin))).toEqual([
      `at byte ${text.indexOf('é') + 1}, in line ${line}, stands 0xe9; expected: a text in UTF-8. Save it anew in that encoding`,
    ]);
    expect(said(readCourseFile(new Uint8Array([0x22, 0xc3])))[0]).toMatch(
      /^at its end stands half of a letter/,
    );
  });

  test('what is no JSON is said to be none', () =>
    expect(said(readCourseFile(new TextEncoder().encode('{')))[0]).toMatch(/^is not JSON/));
});

describe('mistakes', () => {
  test('the first twenty are told, and how many more there are', () => {
    const sections = many(3000, (at) => ({ ...newSection({ id: `s${at}` }), shown: 'perhaps' }) as never);
    const sentences = said(readCourseFile(bytesOf(file({ sections }))));
    expect(sentences).toHaveLength(MOST_TOLD + 1);
    expect(sentences[0]).toBe(
      'at course.sections.0.shown stands "perhaps"; expected: Invalid input: expected boolean, received string',
    );
    expect(sentences.at(-1)).toBe('and 2980 more');
    expect(sentencesOf([])).toEqual([]);
  });

  test('what nests without end is refused before anything walks through it', () => {
    const nested = (depth: number): unknown => JSON.parse('['.repeat(depth) + ']'.repeat(depth));
    const refused = { ok: false, mistakes: [{ path: '', value: undefined, expected: 'less nesting' }] };
    expect(parseCourse(nested(20_000))).toEqual(refused);
    const text = JSON.stringify(file()).replace(
      '"groups":{}',
      `"groups":${'['.repeat(20_000)}${']'.repeat(20_000)}`,
    );
    expect(said(readCourseFile(new TextEncoder().encode(text)))).toEqual([
      'at the top stands nothing; expected: less nesting',
    ]);
  });

  test('a field that there is none is named, with the beginning of what stands there', () => {
    const sentences = said(
      readCourseFile(bytesOf({ ...(file() as object), speed: { of: 'x'.repeat(500) } })),
    );
    expect(sentences).toEqual([
      `at speed stands {"of":"${'x'.repeat(53)}…; expected: nothing, since there is no such field`,
    ]);
  });

  test('a condition says what could have stood there, at every depth', () => {
    const rule = (when: unknown) => ({ when, until: null, then: 'look' });
    const wrong = (when: unknown) =>
      said(
        readCourseFile(
          bytesOf(file({ sections: [newSection({ id: 's', rule: rule(when) as never, items: [] })] })),
        ),
      );
    const at = 'at course.sections.0.rule.when.of.0';
    const kinds =
      "Invalid discriminator value. Expected 'from' | 'before' | 'done' | 'scored' | 'course' | 'all' | 'any'";
    expect(wrong({ kind: 'all', of: [{ kind: 'finished' }] })).toEqual([
      `${at}.kind stands "finished"; expected: ${kinds}`,
    ]);
    expect(
      wrong({ kind: 'all', of: [{ kind: 'any', of: [{ kind: 'scored', item: 'a', least: 101 }] }] }),
    ).toEqual([`${at}.of.0.least stands 101; expected: Too big: expected number to be <=100`]);
    expect(wrong({ kind: 'all', of: [{ kind: 'done', items: [] }] })).toEqual([
      expect.stringContaining(`${at}.items stands []; expected: Too small`),
    ]);
  });

  test('of several ways in which it could have been right, the nearest is said, or all that are as near', () => {
    const columns = said(readCourseFile(bytesOf(file({ homeColumns: 3 as never }))));
    expect(columns).toEqual([
      'at course.homeColumns stands 3; expected: Invalid input: expected 1, or Invalid input: expected 2',
    ]);
    const held = { p: { node: { ...page('p'), title: '' }, release: null } };
    expect(said(readCourseFile(bytesOf(file({ heldBack: held }))))).toEqual([
      expect.stringMatching(/^at course\.heldBack\.p\.node\.title stands ""; expected: Too small/),
    ]);
  });

  test.each(['constructor', '__proto__', 'toString'])('an id is none that every object has: %s', (id) => {
    const text = JSON.stringify(file()).replace(
      '"groups":{}',
      `"groups":{"${id}":{"name":"A","kind":"group","at":0}}`,
    );
    expect(text).toContain(id);
    expect(said(readCourseFile(new TextEncoder().encode(text)))).not.toEqual([]);
    const edit = { kind: 'set' as const, target: 'course', field: `groups.${id}`, value: null, was: null };
    expect(applyChange(smallCourse(), { id: 'c', edits: [edit] })).toMatchObject({
      refusal: { code: 'unknown_field' },
    });
  });
});

describe('as many as can be written', () => {
  const wrong = (change: Partial<Course>): unknown => {
    const parsed = parseCourse({ ...smallCourse(), ...change });
    return parsed.ok ? null : parsed.mistakes;
  };
  test('sections and items beside each other', () => {
    const sections = (count: number, rest: Partial<CourseNode> = {}) =>
      many(count, (at) => newSection({ id: `s${at}`, items: [], ...(rest as object) }));
    expect(wrong({ sections: sections(200) })).toBeNull();
    expect(wrong({ sections: sections(201) })).toEqual([
      { path: 'sections', value: 201, expected: 'at most 200 sections' },
    ]);
    expect(wrong({ sections: sections(201, { removed: true }) })).toBeNull();
    const full = (count: number) => [newSection({ id: 's', items: many(count, (at) => page(`i${at}`)) })];
    expect(wrong({ sections: full(500) })).toBeNull();
    expect(wrong({ sections: full(501) })).toEqual([
      { path: 'sections.0.items', value: 501, expected: 'at most 500 items' },
    ]);
  });

  test('what has been removed comes back only where there is room', () => {
    const items = [
      ...many(500, (at) => page(`i${at}`)),
      newItem('page', { id: 'gone', title: 'Gone', removed: true }),
    ];
    const of: Course = { ...smallCourse(), sections: [newSection({ id: 's', items })] };
    const back = { kind: 'insert' as const, parent: 's', after: 'gone', node: page('gone') };
    expect(applyChange(of, { id: 'c', edits: [back] })).toMatchObject({
      refusal: { code: 'too_many', most: 500 },
    });
    const room = { kind: 'remove' as const, target: 'i0' };
    expect(applyChange(of, { id: 'c', edits: [room, back] })).toMatchObject({ ok: true });
  });

  const nested = (depth: number): CourseNode =>
    depth === 0
      ? page('leaf')
      : newItem('folder', { id: `f${depth}`, title: 'In', items: [nested(depth - 1) as never] });
  const copies: readonly (readonly [string, CourseNode, string, string])[] = [
    ['under another id than its own', page('q'), 'id', 'the id that it is held by, p'],
    [
      'with an id twice',
      newItem('folder', { id: 'p', title: 'F', items: [page('a'), page('a')] }),
      'items.1.id',
      'an id that nothing else in the course has',
    ],
    [
      'with the course’s id',
      newItem('folder', { id: 'p', title: 'F', items: [page('course')] }),
      'items.0.id',
      'an id that nothing else in the course has',
    ],
    [
      'with folders too deep',
      newItem('folder', { id: 'p', title: 'F', items: [nested(5) as never] }),
      'items.0.items.0.items.0.items.0.items.0',
      'folders at most 5 deep',
    ],
    [
      'with too many in it',
      newItem('folder', { id: 'p', title: 'F', items: many(501, (at) => page(`i${at}`)) }),
      'items',
      'at most 500 items',
    ],
  ];
  test.each(copies)(
    'a copy of what is held, %s, is neither read nor written',
    (_name, node, path, expected) => {
      const mistakes = wrong({ heldBack: { p: { node, release: null } } });
      expect(mistakes).toMatchObject([{ path: `heldBack.p.node.${path}`, expected }]);
      const edit = {
        kind: 'set' as const,
        target: 'course',
        field: 'heldBack.p',
        value: { node, release: null } as never,
        was: null,
      };
      expect(applyChange(smallCourse(), { id: 'c', edits: [edit] })).toMatchObject({
        refusal: { code: 'bad_value', expected: `at heldBack.p.node.${path}, ${expected}` },
      });
    },
  );
});
