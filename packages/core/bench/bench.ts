/** Ratios, never times: each line compares core with a plain alternative that does the same, in one run. */
import {
  applyChange,
  joinChange,
  makeChange,
  openCopy,
  parseCourse,
  planSections,
  teachingWeeks,
} from '../src/index.ts';
import type { Change, Course, Section } from '../src/index.ts';

const SECTIONS = 40;
const ITEMS = 25;
const ROUNDS = 7;

function largeCourse(): Course {
  const sections = Array.from({ length: SECTIONS }, (_, at): Section => ({
    id: `s${at}`,
    kind: 'section',
    title: `Section ${at}`,
    shown: true,
    removed: false,
    outside: false,
    items: Array.from({ length: ITEMS }, (_item, index) => ({
      id: `s${at}i${index}`,
      kind: 'page' as const,
      title: `Page ${index}`,
      text: null,
      minutes: 10,
      shown: true,
      removed: false,
    })),
  }));
  return {
    id: 'course',
    title: 'Large',
    code: 'L-1',
    purpose: 'learners',
    state: 'draft',
    department: null,
    term: null,
    description: null,
    tags: [],
    dates: { format: 'weeks', firstDay: '2027-01-11', weeks: SECTIONS, zone: 'Europe/Lisbon', weekStart: 1 },
    sections,
  };
}

/** The middle of several measurements, in milliseconds for `count` runs. */
function measure(count: number, work: (at: number) => void): number {
  const times = Array.from({ length: ROUNDS }, () => {
    const start = performance.now();
    for (let at = 0; at < count; at += 1) work(at);
    return performance.now() - start;
  });
  return times.sort((a, b) => a - b)[Math.floor(ROUNDS / 2)] as number;
}

function compare(
  what: string,
  count: number,
  ours: (at: number) => void,
  other: string,
  theirs: (at: number) => void,
): void {
  measure(Math.ceil(count / 10), ours);
  measure(Math.ceil(count / 10), theirs);
  const ratio = measure(count, theirs) / measure(count, ours);
  console.log(`${what}: ${ratio.toFixed(1)} times as fast as ${other}`);
}

const course = largeCourse();
const setTitle = (at: number): Change => ({
  id: `c${at}`,
  edits: [
    { kind: 'set', target: `s${at % SECTIONS}i${at % ITEMS}`, field: 'title', value: `New ${at}`, was: '' },
  ],
});

compare(
  'applyChange, one title among 1,000 items',
  400,
  (at) => void applyChange(course, setTitle(at)),
  'a deep copy that is changed and parsed again',
  (at) => {
    const copy = structuredClone(course);
    const item = copy.sections[at % SECTIONS]?.items[at % ITEMS];
    if (item !== undefined) item.title = `New ${at}`;
    parseCourse(copy);
  },
);

const nextDay = (iso: string): string => new Date(Date.parse(iso) + 86_400_000).toISOString().slice(0, 10);
compare(
  'teachingWeeks, 40 weeks',
  400,
  () => void teachingWeeks(course.dates),
  'walking day by day',
  () => {
    let day = course.dates.firstDay ?? '';
    for (let at = 0; at < 7 * SECTIONS; at += 1) day = nextDay(day);
  },
);

compare(
  'planSections, 40 sections of 25 items',
  200,
  () => void planSections(course),
  'planning on a course parsed anew',
  () => {
    const parsed = parseCourse(course);
    if (parsed.ok) planSections(parsed.value);
  },
);

const typed = makeChange(openCopy(course, 0), setTitle(0));
if (typed.ok) {
  compare(
    'one letter typed, joined with the last',
    200,
    (at) => void joinChange(typed.copy, { ...setTitle(0), id: `j${at}` }, new Set()),
    'replaying fifty letters from the start',
    () => {
      let copy = openCopy(course, 0);
      for (let at = 0; at < 50; at += 1) {
        const attempt = makeChange(copy, setTitle(at * SECTIONS * ITEMS));
        if (attempt.ok) copy = attempt.copy;
      }
    },
  );
}
