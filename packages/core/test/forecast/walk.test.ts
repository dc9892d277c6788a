/** One learner's way through what is left: as the plain loop over days finds it, on random frames. */
import { describe, expect, test } from '@jest/globals';
import type { Frame, FrameItem } from '../../src/forecast/frame.ts';
import { NEVER, Walker } from '../../src/forecast/walk.ts';
import type { Gait } from '../../src/forecast/walk.ts';
import { countingFor } from '../../src/progress/counting.ts';
import { ANY_LEARNER, planFor } from '../../src/index.ts';
import { smallCourse } from '../support/arbitraries.ts';
import { randomness } from '../support/randomness.ts';
import { runs } from '../support/runs.ts';
import { slowWalk } from '../support/slow-walk.ts';

type Chance = () => number;
const WALKS = runs(20_000, 10);
const counting = countingFor(planFor(smallCourse(), ANY_LEARNER), []);
const below = (chance: Chance, most: number): number => Math.floor(chance() * most);

export function frameWith(
  items: readonly Partial<FrameItem>[],
  works: readonly boolean[],
  last = Infinity,
): Frame {
  const all = items.map((one, at): FrameItem => ({
    ...{ id: `i${at}`, weight: 10, beside: 10, opens: 0, wanted: Infinity, closes: Infinity },
    ...{ isHeld: false, waits: [], together: null },
    ...one,
    beside: one.beside ?? one.weight ?? 10,
  }));
  const by = (at: number): number => {
    const one = all[at] as FrameItem;
    return one.isHeld ? -1e9 : Math.min(one.wanted, 1e9);
  };
  const rank = all.map(() => 0);
  const order = all.map((_one, at) => at).sort((a, b) => by(a) - by(b) || a - b);
  order.forEach((at, place) => (rank[at] = place));
  return { counting, items: all, works, rank, asked: new Map(), last };
}

function randomFrame(chance: Chance): Frame {
  const days = 5 + below(chance, 40);
  const items = Array.from({ length: 1 + below(chance, 25) }, (_one, at): Partial<FrameItem> => {
    const opens = chance() < 0.1 ? Infinity : below(chance, days);
    const isHeld = chance() < 0.1;
    return {
      ...{ weight: 1 + below(chance, 90), opens, isHeld },
      wanted: chance() < 0.2 ? Infinity : opens + below(chance, 20),
      closes: isHeld ? opens : chance() < 0.6 ? Infinity : opens + below(chance, 25),
      waits: at > 0 && chance() < 0.3 ? [{ at: below(chance, at), later: below(chance, 3) }] : [],
    };
  });
  const works = Array.from({ length: days }, () => chance() < 0.8);
  return frameWith(items, works, chance() < 0.5 ? Infinity : below(chance, days));
}

const WORKS = Array<boolean>(30).fill(true);
const fresh = (frame: Frame): Int32Array => new Int32Array(frame.items.length).fill(NEVER);
const walked = (frame: Frame, gait: Gait, today = 0, holds: Int32Array | null = null): readonly number[] =>
  Array.from(new Walker(frame).walk(gait, fresh(frame), today, holds));

describe('a way through what is left', () => {
  test(`as the plain loop finds it, ${WALKS} times, with buffers taken again`, () => {
    const chance = randomness(20_271_130);
    const seen = { never: 0, held: 0 };
    for (let run = 0; run < WALKS / 4; run += 1) {
      const frame = randomFrame(chance);
      const walker = new Walker(frame);
      for (let again = 0; again < 4; again += 1) {
        const gait = { pace: 1 + below(chance, 80), lead: below(chance, 12) - 3 };
        const today = below(chance, frame.works.length);
        const known = Int32Array.from(frame.items, () =>
          today > 0 && chance() < 0.3 ? below(chance, today) : NEVER,
        );
        const holds =
          chance() < 0.5
            ? null
            : Int32Array.from(frame.items, () =>
                chance() < 0.7 ? 0 : chance() < 0.2 ? NEVER : below(chance, 45),
              );
        const fast = walker.walk(gait, known, today, holds);
        const slow = slowWalk(frame, gait, known, today, holds);
        expect(Array.from(fast)).toEqual(slow);
        seen.never += slow.filter((day) => day === NEVER).length;
        seen.held += frame.items.filter(({ isHeld }, at) => isHeld && slow[at] !== NEVER).length;
      }
    }
    expect(Math.min(seen.never, seen.held)).toBeGreaterThan(WALKS / 10);
  });

  test('so many minutes a day, what is wanted first before the rest, and the rest of the day for the next', () => {
    const frame = frameWith([{ weight: 30, wanted: 20 }, { weight: 30, wanted: 5 }, { weight: 20 }], WORKS);
    expect(walked(frame, { pace: 20, lead: 28 })).toEqual([2, 1, 3]);
  });

  test('begun so many days before it is wanted as it takes, and a few more', () => {
    const frame = frameWith([{ weight: 40, wanted: 20 }], WORKS);
    // Two days of work, three days early.
    expect(walked(frame, { pace: 20, lead: 3 })).toEqual([16]);
    expect(walked(frame, { pace: 20, lead: -2 })).toEqual([21]);
    // However late somebody is, not later than it can be done.
    const last = frameWith([{ weight: 40, wanted: 20, closes: 20 }], WORKS);
    expect(walked(last, { pace: 20, lead: -9 })).toEqual([19]);
  });

  test('nobody works in a pause; what is held is done on its day, whatever else there is', () => {
    const works = WORKS.map((_one, day) => day < 2 || day > 8);
    const frame = frameWith([{ weight: 60 }, { weight: 90, isHeld: true, opens: 10, closes: 10 }], works);
    expect(walked(frame, { pace: 20, lead: 0 })).toEqual([9, 10]);
  });

  test('what closes is lost, and what waits for it never comes', () => {
    const frame = frameWith(
      [{ weight: 100, closes: 2 }, { waits: [{ at: 0, later: 0 }] }, { opens: 4, waits: [] }],
      WORKS,
    );
    expect(walked(frame, { pace: 20, lead: 0 })).toEqual([NEVER, NEVER, 4]);
  });

  test('held until others are ready; what waits for it waits as long, and some days more', () => {
    const frame = frameWith([{}, { waits: [{ at: 0, later: 2 }] }], WORKS);
    expect(walked(frame, { pace: 20, lead: 0 }, 1, Int32Array.from([7, 0]))).toEqual([7, 9]);
  });

  test('the last day is the last', () => {
    expect(walked(frameWith([{ weight: 60 }], WORKS, 1), { pace: 20, lead: 0 })).toEqual([NEVER]);
  });
});
