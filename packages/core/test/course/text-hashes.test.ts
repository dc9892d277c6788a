/** Hashes of texts in edits, and trees with all their tops: what is written under another hash is found everywhere. */
import { describe, expect, test } from '@jest/globals';
import {
  isOnlyOnce,
  isPictureType,
  mapTextHash,
  mapTops,
  newItem,
  newSection,
  planRelease,
  releaseEdit,
  topsOf,
} from '../../src/index.ts';
import type { Course, CourseNode, FieldValue } from '../../src/index.ts';
import { smallCourse } from '../support/arbitraries.ts';

const OLD = 'a'.repeat(64);
const NEW = 'b'.repeat(64);
const renamed = (field: string, value: FieldValue): FieldValue =>
  mapTextHash(field, value, (hash) => (hash === OLD ? NEW : hash));

describe('a hash in an edit', () => {
  test.each(['description', 'introduction', 'text'])('is the value of %s', (field) => {
    expect(renamed(field, OLD)).toBe(NEW);
    expect(renamed(field, null)).toBeNull();
    expect(renamed(field, 'c'.repeat(64))).toBe('c'.repeat(64));
  });

  test('is the text of a panel or an announcement, and of nothing else that has a text', () => {
    const entry = { text: OLD, at: 1 };
    expect(renamed('panels.welcome', entry)).toEqual({ text: NEW, at: 1 });
    expect(renamed('announcements.a.b', entry)).toEqual(entry);
    expect(renamed('announcements.a', entry)).toEqual({ text: NEW, at: 1 });
    expect(renamed('outcomes.o', entry)).toEqual(entry);
    expect(renamed('panels.welcome', { text: null })).toEqual({ text: null });
    expect(renamed('panels.welcome', { at: 1 })).toEqual({ at: 1 });
    expect(renamed('panels.welcome', null)).toBeNull();
  });

  test('is no value of another field, whatever it says', () => {
    expect(renamed('title', OLD)).toBe(OLD);
    expect(renamed('tags', [OLD])).toEqual([OLD]);
    expect(renamed('listed', true)).toBe(true);
  });

  test('is that of everything in what is held', () => {
    const item = (id: string): FieldValue => ({ id, kind: 'page', title: OLD, text: OLD });
    const folder = {
      id: 'f',
      kind: 'folder',
      title: 'F',
      items: [item('a'), { ...(item('b') as object), text: null }],
    };
    const held = { node: { id: 's', title: null, summary: OLD, items: [folder, item('c')] }, release: null };
    const done = renamed('heldBack.s', held as FieldValue);
    expect(JSON.stringify(done)).toBe(JSON.stringify(held).replaceAll(`"text":"${OLD}"`, `"text":"${NEW}"`));
    expect(renamed('heldBack.s', { node: null, release: null })).toEqual({ node: null, release: null });
  });
});

test('tops are the sections and what is held, each changed in its place', () => {
  const page = newItem('page', { id: 'p', title: 'P' });
  const of: Course = {
    ...smallCourse(),
    sections: [newSection({ id: 's', items: [page] })],
    heldBack: {
      p: { node: page, release: null },
      q: { node: null, release: { day: '2027-03-01', time: '08:00' } },
    },
  };
  expect(topsOf(of).map(({ id }) => id)).toEqual(['s', 'p']);
  const mapped = mapTops(of, <N extends CourseNode>(node: N): N => ({ ...node, summary: 'seen' }));
  expect(mapped.sections[0]?.summary).toBe('seen');
  expect(mapped.heldBack['p']?.node?.summary).toBe('seen');
  expect(mapped.heldBack['q']).toEqual(of.heldBack['q']);
  expect(of.sections[0]?.summary).toBeNull();
});

test('a release is planned for what is held, and for nothing else', () => {
  const page = newItem('page', { id: 'p', title: 'P' });
  const of: Course = { ...smallCourse(), heldBack: { p: { node: page, release: null } } };
  const release = { day: '2027-03-01', time: '08:00' };
  expect(planRelease(of, 'p', release)).toMatchObject({
    field: 'heldBack.p',
    value: { node: page, release },
  });
  expect(planRelease(of, 'q', release)).toBeNull();
  expect(releaseEdit(of, 'p')).toEqual({
    kind: 'set',
    target: of.id,
    field: 'heldBack.p',
    value: null,
    was: { node: page, release: null },
  });
});

test.each(['image/png', 'image/apng', 'image/jpeg', 'image/gif', 'image/webp', 'image/avif'])(
  '%s is a picture',
  (type) => expect(isPictureType(type)).toBe(true),
);
test.each(['image/svg+xml', 'image/pngx', 'ximage/png', 'text/png', 'image/tiff'])(
  '%s is none that is shown',
  (type) => expect(isPictureType(type)).toBe(false),
);
test('of words and pictures there can be several panels, of all others one', () => {
  expect([isOnlyOnce('welcome'), isOnlyOnce('picture'), isOnlyOnce('outline')]).toEqual([false, false, true]);
});
