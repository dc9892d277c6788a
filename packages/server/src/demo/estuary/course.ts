/** Estuary Field Methods as a course value: week by week, fifteen weeks, with its texts. */
import { createHash } from 'node:crypto';
import { newCourse, newItem, newSection } from '@itinerary/core';
import type { Course, CourseState, Item } from '@itinerary/core';
import { hashText } from '../../text/rich-text.ts';
import type { Piece, Unit } from './piece.ts';
import { WEEKS_1_TO_5 } from './weeks-1-5.ts';
import { WEEKS_6_TO_10 } from './weeks-6-10.ts';
import { WEEKS_11_TO_15 } from './weeks-11-15.ts';

const UNITS: readonly Unit[] = [...WEEKS_1_TO_5, ...WEEKS_6_TO_10, ...WEEKS_11_TO_15];

const DESCRIPTION =
  '<p>Fifteen weeks on one small estuary: tides, sediment, salt, and everything that lives between them. You learn to measure a shore so that somebody else could do it again, and to say how sure you are.</p><p>Two field days, a notebook that gets wet, and a short report to people who will use it.</p>';

export interface Run {
  readonly code: string;
  readonly term: string | null;
  readonly state: CourseState;
  readonly firstDay: string;
  /** How many units are written; the sections of the others are there and empty. */
  readonly written: number;
}

export interface BuiltCourse {
  readonly course: Course;
  readonly texts: Readonly<Record<string, string>>;
}

/** The same code gives the same ids each time, so that a link into the demo stays good after a reload. */
function idFor(...path: readonly (string | number)[]): string {
  const hex = createHash('sha256').update(path.join('/')).digest('hex');
  return `${hex.slice(0, 8)}-${hex.slice(8, 12)}-4${hex.slice(13, 16)}-8${hex.slice(17, 20)}-${hex.slice(20, 32)}`;
}

export function estuaryFieldMethods(run: Run): BuiltCourse {
  const texts: Record<string, string> = {};
  const keep = (html: string): string => {
    const hash = hashText(html);
    texts[hash] = html;
    return hash;
  };
  const toItem = (piece: Piece, unit: number, at: number): Item => {
    const { title, minutes } = piece;
    const common = { id: idFor(run.code, unit, at), title, minutes };
    return piece.kind === 'page'
      ? newItem('page', { ...common, text: keep(piece.html) })
      : newItem('link', { ...common, address: piece.address });
  };
  const sections = UNITS.map((unit, index) =>
    newSection({
      id: idFor(run.code, index),
      title: unit.title,
      items: index < run.written ? unit.pieces.map((piece, at) => toItem(piece, index, at)) : [],
    }),
  );
  const course: Course = {
    ...newCourse({
      id: idFor(run.code),
      title: 'Estuary Field Methods',
      code: run.code,
      purpose: 'learners',
      department: 'ECO',
      term: run.term,
      firstDay: run.firstDay,
      weeks: UNITS.length,
      zone: 'Europe/Lisbon',
      sectionIds: [],
    }),
    state: run.state,
    description: keep(DESCRIPTION),
    tags: ['fieldwork', 'first year'],
    sections,
  };
  return { course, texts };
}
