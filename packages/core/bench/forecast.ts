/** Where a class is going, against the plain loop over days for each of its learners, with the same result. */
import { ANY_LEARNER, forecast, newItem, newSection } from '../src/index.ts';
import { toDay, toDayNumber } from '../src/calendar/day-number.ts';
import type { CohortLearner, Course, Item } from '../src/index.ts';
import { finishOf } from '../src/forecast/finish.ts';
import { frameOf } from '../src/forecast/frame.ts';
import { cohortOf, knownOf } from '../src/forecast/gait.ts';
import { slowWalk } from '../test/support/slow-walk.ts';
import { courseOfPages } from './courses.ts';
import type { Comparison } from './measure.ts';

const LEARNERS = 10_000;
const WEEKS = 17;
const DAYS = 7 * WEEKS + 1;
const ITEMS = 200;
const TODAY = 40;
const FIRST = toDayNumber('2027-01-11');

const of = courseOfPages(1, 1);
const course: Course = {
  ...of,
  state: 'live',
  dates: { ...of.dates, weeks: WEEKS },
  sections: Array.from({ length: WEEKS }, (_section, week) =>
    newSection({
      id: `w${week}`,
      title: `Week ${week}`,
      items: Array.from({ length: ITEMS }, (_one, at) => at)
        .filter((at) => at % WEEKS === week)
        .map((at): Item =>
          newItem('page', {
            id: `i${at}`,
            title: `Item ${at}`,
            minutes: 15 + (at % 4) * 15,
            done: { by: 'opened' },
          }),
        ),
    }),
  ),
};
/** Each has done the first so many, one every so many days: all of them in ways of their own. */
const learners = Array.from({ length: LEARNERS }, (_one, at): CohortLearner => {
  const ids = course.sections.flatMap(({ items }) => items.map(({ id }) => id));
  const many = Math.floor((at * 7919) % 90);
  const done = ids
    .slice(0, many)
    .map((id, place): [string, string] => [
      id,
      toDay(FIRST + Math.floor((place * (TODAY - 1)) / Math.max(1, many))),
    ]);
  return { viewer: ANY_LEARNER, done: Object.fromEntries(done), since: null };
});
const asked = { course, learners, today: toDay(FIRST + TODAY), draws: 0 };

interface Counts {
  readonly finished: readonly number[];
  readonly done: readonly number[];
}

const summed = (counts: readonly number[]): readonly number[] => {
  let all = 0;
  return counts.map((count) => (all += count));
};

function plain(): Counts {
  const days = 7 * WEEKS;
  const frame = frameOf(course, ANY_LEARNER, FIRST, days);
  const people = learners.map(({ done }) => ({
    frame,
    known: knownOf(frame, done, (day) => toDayNumber(day) - FIRST),
  }));
  const { learnt } = cohortOf(people, TODAY);
  const finished = Array<number>(days).fill(0);
  const done = Array<number>(days).fill(0);
  people.forEach(({ known }, at) => {
    const walked = slowWalk(frame, (learnt[at] as (typeof learnt)[number]).gait, known, TODAY);
    const end = finishOf(frame, Int32Array.from(walked));
    if (end < days) finished[end] = (finished[end] as number) + 1;
    for (const day of walked) if (day < days) done[day] = (done[day] as number) + 1;
  });
  return { finished: summed(finished), done: summed(done) };
}

let checked = false;
function both(): void {
  if (checked) return;
  checked = true;
  const found = forecast(asked);
  const slowly = plain();
  const counted = LEARNERS * ITEMS;
  const isSame =
    found !== null &&
    found.days.length === slowly.done.length &&
    found.finished.every(({ middle }, day) => middle === slowly.finished[day]) &&
    found.share.every(({ middle }, day) => Math.round(middle * counted) === slowly.done[day]);
  if (!isSame) throw new Error('the forecast is not what the plain loop gives');
}

export const forecastComparisons: readonly Comparison[] = [
  {
    name: 'forecast-vs-loop',
    says: `where ${LEARNERS} learners × ${ITEMS} items are going in ${DAYS} days, against the plain loop over days; the results are equal`,
    count: 1,
    rounds: 1,
    one: () => {
      both();
      forecast(asked);
    },
    other: () => {
      plain();
    },
  },
];
