/** From written teaching material to a course value with its texts. */
import { createHash } from 'node:crypto';
import { newCourse, newDates, newItem, newSection } from '@itinerary/core';
import type { Course, CourseState, Dates, Item, Section } from '@itinerary/core';
import type { DemoFile } from './demo-file.ts';
import { hashText } from '../text/rich-text.ts';
import type { Piece, Unit } from './piece.ts';
import { questionsFor } from './questions.ts';

export interface BuiltCourse {
  readonly course: Course;
  readonly texts: Readonly<Record<string, string>>;
  readonly files: readonly DemoFile[];
}

export interface DemoUnit extends Unit {
  readonly section?: Partial<Section>;
}

export interface Material {
  readonly code: string;
  readonly title: string;
  readonly department: string;
  readonly term: string | null;
  readonly state: CourseState;
  readonly description: string;
  readonly introduction?: string;
  readonly tags: readonly string[];
  readonly dates: Pick<Dates, 'firstDay' | 'weeks'> & Partial<Dates>;
  /** From a name of our own to what learners can do afterwards. */
  readonly outcomes?: Readonly<Record<string, string>>;
  readonly more?: Partial<Course>;
  readonly units: readonly DemoUnit[];
  /** Pages count as done once they have been opened. */
  readonly pagesCount?: true;
  /** Those that texts show. */
  readonly pictures?: readonly DemoFile[];
}

/** The same code gives the same ids each time, so that a link into the demo stays good after a reload. */
export function idFor(...path: readonly (string | number)[]): string {
  const hex = createHash('sha256').update(path.join('/')).digest('hex');
  return `${hex.slice(0, 8)}-${hex.slice(8, 12)}-4${hex.slice(13, 16)}-8${hex.slice(17, 20)}-${hex.slice(20, 32)}`;
}

/** Only the items that stand in sections themselves: nothing in the demo leads into a folder. */
function idsByTitle({ code, units }: Material): ReadonlyMap<string, string> {
  return new Map(
    units.flatMap((unit, at) => unit.pieces.map((piece, index) => [piece.title, idFor(code, at, index)])),
  );
}

/** @param around the kind of the first item that the course is around, where it is. */
export function buildCourse(material: Material, around: Item['kind'] | null = null): BuiltCourse {
  const { code, title, department, term, state, tags, dates, outcomes = {}, more = {} } = material;
  const texts: Record<string, string> = {};
  const files = new Map((material.pictures ?? []).map((one) => [one.hash, one]));
  const ids = idsByTitle(material);
  const keep = (written: string): string => {
    const html = written.replace(/\{\{([^}]+)\}\}/g, (_, title: string) => {
      const id = ids.get(title);
      if (id === undefined) throw new Error(`no item is called ${title}`);
      return `<a data-item="${id}"></a>`;
    });
    const hash = hashText(html);
    texts[hash] = html;
    return hash;
  };
  const toItem = (piece: Piece, ...path: readonly (string | number)[]): Item => {
    const id = idFor(code, ...path);
    const base = { id, title: piece.title };
    switch (piece.kind) {
      case 'page':
        return newItem('page', {
          ...base,
          minutes: piece.minutes,
          text: keep(piece.html),
          done: material.pagesCount === true ? { by: 'opened' } : null,
        });
      case 'link':
        return newItem('link', { ...base, minutes: piece.minutes, address: piece.address });
      case 'heading':
        return newItem('heading', base);
      case 'file': {
        const { bytes, ...rest } = piece.file;
        files.set(rest.hash, piece.file);
        return newItem('file', { ...base, minutes: piece.minutes, file: { ...rest, size: bytes.length } });
      }
      case 'video': {
        const { minutes, address, seconds } = piece;
        return newItem('video', { ...base, minutes, address, seconds });
      }
      case 'meeting': {
        const { minutes, html, held, place } = piece;
        return newItem('meeting', { ...base, minutes, text: keep(html), held, place, attendance: 'code' });
      }
      case 'survey': {
        const { minutes, html, asks } = piece;
        const table = Object.fromEntries(asks.map((ask, at) => [idFor(code, ...path, 'ask', at), ask]));
        return newItem('survey', { ...base, minutes, text: keep(html), asks: table });
      }
      case 'folder': {
        const items = piece.pieces.map((inner, at) => toItem(inner, ...path, at));
        return newItem('folder', { ...base, summary: piece.summary, items });
      }
      case 'assignment': {
        const { minutes, html, due } = piece;
        const assesses = piece.assesses.map((name) => idFor(code, 'outcome', name));
        const marked = { total: 20, passAt: 12 };
        return newItem('assignment', { ...base, minutes, text: keep(html), due, assesses, ...marked });
      }
      case 'quiz': {
        const { minutes, html, due } = piece;
        const assesses = piece.assesses.map((name) => idFor(code, 'outcome', name));
        const asked = questionsFor(code, piece.title);
        return newItem('quiz', { ...base, minutes, text: keep(html), due, assesses, ...asked });
      }
      case 'discussion': {
        const { minutes, html, due } = piece;
        const assesses = piece.assesses.map((name) => idFor(code, 'outcome', name));
        return newItem('discussion', { ...base, minutes, text: keep(html), due, assesses });
      }
    }
  };
  const sections = material.units.map((unit, at) =>
    newSection({
      id: idFor(code, at),
      title: unit.title,
      items: unit.pieces.map((piece, index) => toItem(piece, at, index)),
      ...unit.section,
    }),
  );
  const blank = newCourse({
    id: idFor(code),
    title,
    code,
    purpose: 'learners',
    department,
    term,
    firstDay: null,
    weeks: 1,
    zone: 'Europe/Lisbon',
    sectionIds: [],
  });
  const course: Course = {
    ...blank,
    state,
    description: keep(material.description),
    introduction: material.introduction === undefined ? null : keep(material.introduction),
    tags: [...tags],
    dates: newDates({
      zone: 'Europe/Lisbon',
      ...dates,
      around: sections.flatMap(({ items }) => items).find(({ kind }) => kind === around)?.id ?? null,
    }),
    outcomes: Object.fromEntries(
      Object.entries(outcomes).map(([name, text], at) => [
        idFor(code, 'outcome', name),
        { text, at: at + 1 },
      ]),
    ),
    sections,
    ...more,
  };
  return { course, texts, files: [...files.values()] };
}
