/** Words looked for in a course, in all that this person gets of it and in nothing else. */
import type { FoundAnswer } from '@itinerary/contract';
import { announcementsAt, isReadable, likened, ownCourse, ownPlan } from '@itinerary/core';
import type { Course, CourseView, ItemView, Viewer } from '@itinerary/core';
import { TextRow } from '../../db/entities.ts';
import type { EntityManager } from '../../db/orm.ts';
import { FOLDED, readTexts } from '../../text/read-texts.ts';
import type { ReadText } from '../../text/read-texts.ts';
import { talk } from '../coursework/talk/reading.ts';
import { takesPart } from '../coursework/talk/talking.ts';
import type { Talker } from '../coursework/talk/talking.ts';
import { itemText, viewOf } from '../reading/read-course.ts';
import { itemsOf, named } from './items-of.ts';

type Found = FoundAnswer['found'][number];
/** What is looked through, with what it says beside its title. */
interface Place extends Omit<Found, 'around'> {
  readonly words: readonly string[];
  /** Of its long text. */
  readonly text: string | null;
}

const MOST = 50;
/** As much as is kept of what was read: a few large courses. */
const READ = readTexts(20_000_000);
const AROUND = 60;
/** Long texts are read a few at a time, so that whoever looks for something keeps nobody else waiting. */
const AT_ONCE = 20;

export async function findInCourse(
  em: EntityManager,
  reader: Talker,
  find: string,
  now: string,
): Promise<FoundAnswer> {
  const words = likened(find, FOLDED).split(' ').filter(Boolean);
  if (words.length === 0) return { found: [], more: false };
  const inTitle: Found[] = [];
  const inText: Found[] = [];
  const view = viewOf(reader.course, reader.viewer, now);
  const places = placesFor(reader, view, now);
  for (let at = 0; at < places.length; at += AT_ONCE) {
    const some = places.slice(at, at + AT_ONCE);
    const texts = await textsOf(em, reader.course.id, some);
    for (const { words: more, text, ...place } of some) {
      const read = text === null ? null : (texts.get(text) ?? null);
      const beside = more.filter((one) => one !== '').join(' · ');
      const folded = `${likened(`${place.title} ${beside}`, FOLDED)} ${read?.folded ?? ''}`;
      if (holds(likened(place.title, FOLDED), words)) inTitle.push({ ...place, around: null });
      else if (holds(folded, words)) {
        const said = [beside, read?.plain ?? ''].filter((one) => one !== '').join(' · ');
        inText.push({ ...place, around: aroundOf(said, words) });
      }
    }
    await new Promise(setImmediate);
  }
  const all = [...inTitle, ...inText, ...(await threadsWith(em, reader, view, find, now))];
  return { found: all.slice(0, MOST), more: all.length > MOST };
}

const holds = (folded: string, words: readonly string[]): boolean =>
  words.every((word) => folded.includes(word));

/** Sections, items and announcements, in reading order. Of what is only named, its name. */
function placesFor({ course, viewer }: Talker, view: CourseView, now: string): readonly Place[] {
  const own = ownCourse(course, viewer, Date.parse(now));
  const sections = view.sections.map((section): Place => ({
    ...{ where: 'section', id: section.id, item: null, title: section.title ?? '', number: section.number },
    ...{ words: isReadable(section.state) ? [section.summary ?? ''] : [], text: null },
  }));
  const items = itemsOf(view).map((item): Place => ({
    ...{ where: 'item', id: item.id, item: named(item), title: item.title, number: item.number },
    ...(isReadable(item.state)
      ? { words: wordsOf(item), text: itemText(own, item.id) }
      : { words: [], text: null }),
  }));
  return [...sections, ...items, ...announcements(course, viewer, isReadable(view.access), now)];
}

const wordsOf = ({ summary, file, place }: ItemView): readonly string[] => [
  summary ?? '',
  file?.name ?? '',
  place ?? '',
];

function announcements(course: Course, viewer: Viewer, isIn: boolean, now: string): readonly Place[] {
  if (!isIn || course.areas['announcements'] === 'off') return [];
  const at = Date.parse(now);
  return announcementsAt(ownPlan(course, viewer, at), at).map(
    ({ id, announcement: { subject: title, text } }) => ({
      ...{ where: 'announcement', id, item: null, title, number: null, words: [], text },
    }),
  );
}

async function textsOf(
  em: EntityManager,
  courseId: string,
  places: readonly Place[],
): Promise<ReadonlyMap<string, ReadText>> {
  const hashes = places.flatMap(({ text }) => text ?? []);
  const found = new Map(hashes.flatMap((hash) => [[hash, READ.kept(hash)] as const]));
  const wanted = hashes.filter((hash) => found.get(hash) === undefined);
  const rows =
    wanted.length === 0
      ? []
      : await em.find(TextRow, { courseId, hash: { $in: wanted } }, { fields: ['hash', 'html'] });
  for (const { hash, html } of rows) found.set(hash, READ.read(hash, html));
  return new Map([...found].flatMap(([hash, text]) => (text === undefined ? [] : [[hash, text] as const])));
}

/** Whole words before and after the first that fits. */
function aroundOf(said: string, words: readonly string[]): string {
  const parts = said.split(/\s+/);
  const at = parts.findIndex((part) => words.some((word) => likened(part, FOLDED).includes(word)));
  const from = Math.max(0, at);
  const pick = (indices: readonly number[]): readonly string[] => {
    const kept: string[] = [];
    let length = 0;
    for (const index of indices) {
      const part = parts[index];
      if (part === undefined || length > AROUND) break;
      kept.push(part);
      length += part.length + 1;
    }
    return kept;
  };
  const before = pick(Array.from({ length: from }, (_, back) => from - 1 - back)).toReversed();
  const after = pick(Array.from({ length: parts.length - from }, (_, on) => from + on));
  const isCut = [before.length < from, from + after.length < parts.length];
  return `${isCut[0] ? '… ' : ''}${[...before, ...after].join(' ')}${isCut[1] ? ' …' : ''}`;
}

/** Threads that they get, by their titles and by what is posted in them. */
async function threadsWith(
  em: EntityManager,
  reader: Talker,
  view: CourseView,
  find: string,
  now: string,
): Promise<readonly Found[]> {
  if (!takesPart(reader)) return [];
  const found: Found[] = [];
  for (const item of itemsOf(view)) {
    if (item.kind !== 'discussion' || !isReadable(item.state)) continue;
    const { threads } = await talk(em, reader, item.id, find, now);
    found.push(
      ...threads.map(({ id, title }) => ({
        ...{ where: 'thread' as const, id, item: named(item), title, number: null, around: null },
      })),
    );
  }
  return found;
}
