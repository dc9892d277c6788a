/** Estuary Field Methods: week by week, fifteen weeks and one without teaching. */
import type { Course, CourseState, Pause } from '@itinerary/core';
import { buildCourse } from '../build-course.ts';
import type { BuiltCourse } from '../build-course.ts';
import type { Unit } from '../piece.ts';
import { demoBreak } from '../calendar.ts';
import { HANDED_OUT, TIDE_LAG } from './files.ts';
import { WEEKS_1_TO_5 } from './weeks-1-5.ts';
import { WEEKS_6_TO_10 } from './weeks-6-10.ts';
import { WEEKS_11_TO_15 } from './weeks-11-15.ts';
import { WORK } from './work.ts';

const UNITS: readonly Unit[] = [...WEEKS_1_TO_5, ...WEEKS_6_TO_10, ...WEEKS_11_TO_15];

const DESCRIPTION =
  '<p>Fifteen weeks on one small estuary: tides, sediment, salt, and everything that lives between them. You learn to measure a shore so that somebody else could do it again, and to say how sure you are.</p><p>Two field days, a notebook that gets wet, and a short report to people who will use it.</p>';

const OUTCOMES = {
  read: 'Read a shore: tell its zones, its water and its mud by what can be seen',
  measure: 'Measure it so that somebody else could do it again',
  unsure: 'Say how sure you are, and why',
  tell: 'Tell people who will use it, in four pages',
};

const GROUPS: Course['groups'] = {
  'class-a': { name: 'Class A', kind: 'class', at: 1 },
  'class-b': { name: 'Class B', kind: 'class', at: 2 },
  'boat-avocet': { name: 'Boat Avocet', kind: 'group', at: 3 },
  'boat-curlew': { name: 'Boat Curlew', kind: 'group', at: 4 },
};

export interface Run {
  readonly code: string;
  readonly term: string | null;
  readonly state: CourseState;
  readonly firstDay: string;
  /** How many units are written; the sections of the others are there and empty. */
  readonly written: number;
  /** Whether anybody has thought of the break yet. */
  readonly paused: boolean;
}

export function estuaryFieldMethods({ code, term, state, firstDay, written, paused }: Run): BuiltCourse {
  const { name, first, last } = demoBreak(firstDay, UNITS.length);
  const pause: Pause = { name, first, last, policy: 'between' };
  return buildCourse({
    code,
    term,
    state,
    title: 'Estuary Field Methods',
    department: 'ECO',
    description: DESCRIPTION,
    tags: ['fieldwork', 'first year'],
    dates: {
      firstDay,
      weeks: UNITS.length,
      handIn: { time: '23:59', weekday: 7 },
      pauses: paused ? { spring: pause } : {},
    },
    outcomes: OUTCOMES,
    pagesCount: true,
    more: { hoursAWeek: 6, groups: GROUPS },
    pictures: [TIDE_LAG],
    units: UNITS.map((unit, at) => ({
      title: unit.title,
      pieces: at < written ? [...unit.pieces, ...(WORK[at] ?? []), ...(HANDED_OUT[at] ?? [])] : [],
    })),
  });
}
