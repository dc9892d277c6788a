/** Where a class is going, tried on classes whose end is known; and what stands still, waits, and piles up. */
import { describe, expect, test } from '@jest/globals';
import { ANY_LEARNER, applyChange, forecast, nobodyYet, setField } from '../../src/index.ts';
import type { Course, Forecast, Item } from '../../src/index.ts';
import { toDayNumber } from '../../src/calendar/day-number.ts';
import { frameOf } from '../../src/forecast/frame.ts';
import { holdsOf, waitingIn } from '../../src/forecast/together.ts';
import { NEVER } from '../../src/forecast/walk.ts';
import type { Gait } from '../../src/forecast/walk.ts';
import { BEGINS, classOf, courseOfWeeks, dayAt, due } from '../support/cohorts.ts';
import { randomness } from '../support/randomness.ts';
import { runs } from '../support/runs.ts';

const CLASSES = runs(200, 5);
const WEEKS = 10;
const DAYS = 7 * WEEKS;
/** A week asks for five hours. */
const course = courseOfWeeks({ weeks: WEEKS, perWeek: 5, minutes: 60 });

/** Some quick, some slow, most between; nobody is told to the forecast. */
function gaits(chance: () => number, many: number): readonly Gait[] {
  const usual = 25 + 60 * chance();
  return Array.from({ length: many }, () => ({
    pace: usual * Math.exp(0.5 * (chance() + chance() + chance() - 1.5)),
    lead: Math.round(8 * chance() - 1),
  }));
}

const told = (found: Forecast | null): Forecast => {
  if (found === null) throw new Error('nothing to forecast');
  return found;
};

/** The course with other items and nothing else. */
const withItems = (...items: Item[]): Course => ({
  ...course,
  sections: course.sections.map((section, at) => ({ ...section, items: at === 0 ? items : [] })),
});

describe('where a class is going', () => {
  test(`${CLASSES} classes whose end is known: near it in the middle, and mostly within the band`, () => {
    const chance = randomness(20_270_930);
    let off = 0;
    let within = 0;
    let asked = 0;
    let finished = 0;
    for (let run = 0; run < CLASSES; run += 1) {
      const many = 12 + Math.floor(30 * chance());
      const today = 14 + Math.floor(35 * chance());
      const { learners, ends } = classOf(course, gaits(chance, many), DAYS, today);
      const found = told(forecast({ course, learners, today: dayAt(today), draws: 19 }));
      expect([found.basis, found.learners, found.today]).toEqual(['learners', many, today]);
      for (const day of [DAYS - 8, DAYS - 1]) {
        const is = ends.filter((end) => end <= day).length;
        const { low, middle, high } = found.finished[day] ?? { low: -1, middle: -1, high: -1 };
        expect(low).toBeLessThanOrEqual(high);
        off += Math.abs(middle - is) / many;
        if (low - 1 <= is && is <= high + 1) within += 1;
        asked += 1;
      }
      finished += ends.filter((end) => end !== NEVER).length / many;
    }
    // Classes in which everybody or nobody finishes would be guessed by anybody.
    expect(finished / CLASSES).toBeGreaterThan(0.3);
    expect(finished / CLASSES).toBeLessThan(0.9);
    expect(off / asked).toBeLessThan(0.12);
    expect(within / asked).toBeGreaterThan(0.75);
  });

  test('until yesterday it is what was; with more days gone it never goes down', () => {
    const { learners } = classOf(course, gaits(randomness(1), 20), DAYS, 30);
    const found = told(forecast({ course, learners, today: dayAt(30) }));
    const all = learners.reduce((sum, { done }) => sum + Object.keys(done).length, 0);
    const { low, middle, high } = found.share[29] ?? { low: -1, middle: -1, high: -1 };
    expect([low, middle, high].map((one) => Math.round(one * 20 * 50))).toEqual([all, all, all]);
    for (const band of [found.share, found.finished]) {
      band.forEach((one, day) => {
        const before = band[day - 1] ?? { low: 0, middle: 0, high: 0 };
        expect(one.low).toBeGreaterThanOrEqual(before.low);
        expect(one.middle).toBeGreaterThanOrEqual(before.middle);
        expect(one.high).toBeGreaterThanOrEqual(before.high);
      });
    }
    expect([found.planned.at(-1), found.isOver]).toEqual([1, false]);
    const shut = { ...course, window: { before: 'open', after: 'look' } } as const;
    const ended = { ...shut, dates: { ...course.dates, ends: 'day' as const, lastDay: dayAt(20) } };
    expect(told(forecast({ course: ended, learners, today: dayAt(30) })).isOver).toBe(true);
  });

  test('before anybody has begun it goes by the plan alone, and says so; the same each time', () => {
    const learners = nobodyYet(30);
    const found = told(forecast({ course, learners, today: dayAt(0) }));
    expect([found.basis, found.gait.lead]).toEqual(['plan', 7]);
    // Three hundred minutes a week, and a quarter more.
    expect(Math.round(found.gait.pace)).toBe(Math.round((1.25 * 5 * 60) / 7));
    expect(found.finished.at(-1)?.middle).toBeGreaterThan(25);
    expect(forecast({ course, learners, today: dayAt(0) })).toEqual(found);
  });

  test('whoever has done nothing for weeks is not likely to finish, and whoever is done is', () => {
    const two = [
      { pace: 90, lead: 28 },
      { pace: 2, lead: 0 },
    ];
    const { learners } = classOf(course, [...two, ...gaits(randomness(3), 10)], DAYS, 35);
    const { chances, missed } = told(forecast({ course, learners, today: dayAt(35) }));
    expect(chances[0]).toBeGreaterThan(0.9);
    expect(chances[1]).toBeLessThan(0.2);
    // The work of the first week was due, and is taken no more.
    expect(missed.slice(0, 2)).toEqual([null, 'w0i0']);
  });

  test('a pause, a due moment moved, and an item taken out change it; nothing to count is nothing to say', () => {
    const { learners } = classOf(course, gaits(randomness(5), 30), DAYS, 28);
    const end = (of: Course): number =>
      told(forecast({ course: of, learners, today: dayAt(28) })).share.at(-1)?.middle ?? -1;
    const pause = { name: 'Storm', first: dayAt(42), last: dayAt(62), policy: 'silent' as const };
    const paused = { ...course, dates: { ...course.dates, pauses: { p: pause } } };
    expect(end(paused)).not.toBe(end(course));
    const last = course.sections.at(-1)?.items[0];
    const moved = applyChange(course, {
      id: 'm',
      edits: [
        { kind: 'set', target: last?.id ?? '', field: 'due', value: due(29) as never, was: due(69) as never },
      ],
    });
    if (!moved.ok) throw new Error(moved.refusal.code);
    const before = told(forecast({ course, learners, today: dayAt(28) }));
    const after = told(forecast({ course: moved.course, learners, today: dayAt(28) }));
    expect(after.share.map(({ middle }) => middle)).not.toEqual(before.share.map(({ middle }) => middle));
    const off = applyChange(course, { id: 'o', edits: [setField(course, 'progress', false)] });
    expect(forecast({ course: off.ok ? off.course : course, learners, today: dayAt(28) })).toBeNull();
    expect(forecast({ course, learners: [], today: dayAt(28) })).toBeNull();
  });
});

describe('where they stand still, wait for one another, and pile up', () => {
  const page = (id: string, more: object = {}): Item => {
    const section = course.sections[0]?.items[1];
    if (section === undefined) throw new Error('no page');
    return { ...section, id, title: id, ...more } as Item;
  };

  test('nothing opens for two weeks: that is said, with what they wait for', () => {
    const late = page('late', { opens: { kind: 'fixed', day: dayAt(40), time: null }, minutes: 20 });
    const found = told(
      forecast({
        course: withItems(page('first', { minutes: 20 }), late),
        learners: nobodyYet(10),
        today: dayAt(0),
      }),
    );
    expect(found.still).toMatchObject([{ last: 39, learners: 10, until: 'late' }]);
    expect(found.still[0]?.first).toBeLessThan(14);
  });

  test('all due on one evening, and nobody early: it is that day', () => {
    const work = course.sections[0]?.items[0] as Item;
    const items = Array.from({ length: 8 }, (_one, at) => ({
      ...work,
      ...{ id: `d${at}`, due: due(30), minutes: 10 },
    })) as Item[];
    // They have shown what they can do in an evening.
    const early = Array.from({ length: 9 }, (_one, at) => ({
      ...work,
      ...{ id: `s${at}`, due: due(3 * at + 2), minutes: at < 3 ? 240 : 20 },
    })) as Item[];
    const of = withItems(...items, ...early);
    const { learners } = classOf(of, Array<Gait>(20).fill({ pace: 250, lead: 0 }), DAYS, 12);
    const { peaks } = told(forecast({ course: of, learners, today: dayAt(12) }));
    expect(peaks[0]?.day).toBe(30);
    expect(peaks[0]?.learners).toBe(20);
    expect(peaks[0]?.items.every((id) => id.startsWith('d'))).toBe(true);
  });

  test('what a group hands in as one waits for its last; whoever answers others waits for a second one', () => {
    const work = course.sections[0]?.items[0] as Item;
    const groups = {
      a: { name: 'A', kind: 'group' as const, at: 0 },
      b: { name: 'B', kind: 'group' as const, at: 1 },
    };
    const together = { ...work, id: 'together', groupWork: 'apart', due: due(60), minutes: 60 } as Item;
    const talk = page('talk', { kind: 'discussion', done: { by: 'replied', least: 1 } });
    const of = { ...withItems(together, talk), groups };
    const people = [0, 1, 2].map((at) => {
      const viewer = { ...ANY_LEARNER, groups: [at < 2 ? 'a' : 'b'] };
      const frame = frameOf(of, viewer, toDayNumber(BEGINS), DAYS);
      return { frame, known: new Int32Array(2).fill(NEVER) };
    });
    const groupsOf = [['a'], ['a'], ['b']];
    const ready = [
      [20, 5],
      [24, 9],
      [22, 7],
    ].map((days) => Int32Array.from(days));
    const holds = holdsOf(people, groupsOf, ready);
    expect(holds?.map((one) => Array.from(one ?? []))).toEqual([
      [24, 9],
      [24, 9],
      // Alone in a group, one waits for nobody to hand in, and for somebody to answer in vain.
      [22, NEVER],
    ]);
    const done = ready.map((days, at) => days.map((day, item) => Math.max(day, holds?.[at]?.[item] ?? day)));
    expect(waitingIn(people, ready, done, 0)).toEqual([
      { id: 'talk', learners: 2, days: DAYS - 7 },
      { id: 'together', learners: 1, days: 4 },
    ]);
    expect(waitingIn(people, ready, done, 21).map(({ id }) => id)).toEqual([]);
    const alone = people.map(({ known }) => ({
      known,
      frame: frameOf(withItems(page('p')), ANY_LEARNER, 0, DAYS),
    }));
    expect(holdsOf(alone, groupsOf, ready)).toBeNull();
  });

  test('what is waited for holds up what comes after it, in the whole reckoning', () => {
    const work = course.sections[0]?.items[0] as Item;
    const groups = { a: { name: 'A', kind: 'group' as const, at: 0 } };
    const together = { ...work, id: 'together', groupWork: 'apart', due: due(60), minutes: 60 } as Item;
    const after = page('after', {
      minutes: 10,
      rule: {
        when: { kind: 'all', of: [{ kind: 'done', items: ['together'] }] },
        ...{ until: null, then: 'look' },
      },
    });
    const of = { ...withItems(together, after), groups };
    const viewer = { ...ANY_LEARNER, groups: ['a'] };
    const learners = [0, 1].map((at) => ({
      viewer,
      since: null,
      done: at === 0 ? { together: dayAt(1) } : {},
    }));
    const { share } = told(forecast({ course: of, learners: learners as never, today: dayAt(2) }));
    expect(share.at(-1)?.middle).toBe(1);
    const first = share.findIndex(({ middle }) => middle > 0.5);
    // Four weeks before it is wanted is the earliest.
    expect(first).toBe(32);
  });
});
