/** Who of those that wait is offered a seat, and what somebody pays. */
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { planCourse, SHUT_WAY } from '../../src/index.ts';
import type { Price } from '../../src/index.ts';
import {
  amountWords,
  canJoin,
  digitsOf,
  offersDue,
  priceFor,
  seatsTaken,
  withinReach,
} from '../../src/people/index.ts';
import type { JoinCourse, Joiner, JoinWay, Waiting, WayKind } from '../../src/people/index.ts';
import { estuary } from '../support/estuary.ts';

const AT = Date.parse('2027-03-01T09:00:00Z');
const COURSE: JoinCourse = {
  state: 'live',
  goesLive: null,
  finding: 'members',
  seats: 2,
  hasLine: true,
  learners: [],
  held: [],
  waiting: [],
};
const joinerOf = (person: string): Joiner => ({
  person,
  kind: 'learner',
  addresses: [`${person}@away.example`],
  completed: [],
  standing: 'never',
  hasLink: true,
  invitation: null,
});
const wayOf = (kind: WayKind, change: Partial<JoinWay> = {}): JoinWay => ({
  kind,
  isOn: true,
  window: { opens: null, closes: null },
  seats: null,
  hasLine: true,
  kinds: null,
  domains: null,
  after: null,
  gives: 'learner',
  asksQuestion: false,
  ...change,
});
const waits = (person: string, way: WayKind = 'link', line: Waiting['line'] = 'course'): Waiting => ({
  person,
  way,
  line,
});
const due = (course: JoinCourse, way = (kind: WayKind): JoinWay => wayOf(kind)): string[] =>
  offersDue(course, joinerOf, way, AT).map(({ person }) => person);

describe('a free seat is offered', () => {
  const waiting = [waits('a'), waits('b', 'request'), waits('c')];

  test('by arrival over all lines, as many as there are', () => {
    expect(due({ ...COURSE, waiting })).toEqual(['a', 'b']);
    expect(due({ ...COURSE, seats: null, waiting })).toEqual(['a', 'b', 'c']);
  });

  test('to nobody while others have it, or it is kept for them; a keeping that has lapsed is none', () => {
    const learners = [{ person: 'x', way: 'link' as const }];
    const kept = { person: 'y', way: 'paying' as const, kind: 'payment' as const };
    expect(due({ ...COURSE, waiting, learners, held: [{ ...kept, lapses: AT + 1 }] })).toEqual([]);
    expect(due({ ...COURSE, waiting, learners, held: [{ ...kept, lapses: AT }] })).toEqual(['a']);
  });

  test('past whoever cannot come now: their way is off, over, or has no seat of its own', () => {
    const off = (kind: WayKind): JoinWay => wayOf(kind, kind === 'link' ? { isOn: false } : {});
    expect(due({ ...COURSE, waiting }, off)).toEqual(['b']);
    const over = (kind: WayKind): JoinWay =>
      wayOf(kind, kind === 'link' ? { window: { opens: null, closes: AT } } : {});
    expect(due({ ...COURSE, waiting }, over)).toEqual(['b']);
    const one = (kind: WayKind): JoinWay => wayOf(kind, kind === 'link' ? { seats: 1 } : {});
    expect(due({ ...COURSE, seats: 3, waiting }, one)).toEqual(['a', 'b']);
  });

  test('and of whom it is asked: of nobody while all is full, but of whoever has a seat kept, or takes none', () => {
    const course: JoinCourse = {
      ...COURSE,
      seats: 1,
      learners: [{ person: 'x', way: 'staff' }],
      waiting: [waits('a'), waits('b', 'request'), waits('c')],
    };
    const reach = (one: JoinCourse, way = (kind: WayKind): JoinWay => wayOf(kind)): string[] =>
      withinReach(one, way, AT).map(({ person }) => person);
    expect(reach(course)).toEqual([]);
    const held = [{ person: 'c', way: 'invitation' as const, kind: 'invitation' as const, lapses: AT + 1 }];
    expect(reach({ ...course, held })).toEqual(['c']);
    expect(reach(course, (kind) => wayOf(kind, kind === 'request' ? { gives: 'visitor' } : {}))).toEqual([
      'b',
    ]);
    expect(reach({ ...course, seats: 2 })).toEqual(['a', 'b', 'c']);
    expect(reach({ ...course, seats: 2 }, (kind) => wayOf(kind, { seats: kind === 'link' ? 0 : 1 }))).toEqual(
      ['b'],
    );
  });

  test('never more than there are, and never past somebody who could come', () => {
    const shape = fc.record({
      seats: fc.integer({ min: 1, max: 6 }),
      in: fc.integer({ min: 0, max: 6 }),
      line: fc.array(fc.constantFrom<WayKind>('link', 'request', 'paying'), { maxLength: 8 }),
      ofWay: fc.option(fc.integer({ min: 1, max: 3 }), { nil: null }),
    });
    fc.assert(
      fc.property(shape, (made) => {
        const course: JoinCourse = {
          ...COURSE,
          seats: made.seats,
          learners: Array.from({ length: made.in }, (_, n) => ({ person: `in ${n}`, way: 'staff' as const })),
          waiting: made.line.map((way, n) => waits(`waits ${n}`, way)),
        };
        const way = (kind: WayKind): JoinWay => wayOf(kind, kind === 'link' ? { seats: made.ofWay } : {});
        const offered = offersDue(course, joinerOf, way, AT);
        const held = offered.map((one) => ({ ...one, kind: 'offer' as const, lapses: AT + 1 }));
        const after = { ...course, held, waiting: course.waiting.filter((one) => !offered.includes(one)) };
        expect(seatsTaken(after, null, AT)).toBeLessThanOrEqual(Math.max(made.seats, made.in));
        if (made.ofWay !== null) expect(seatsTaken(after, 'link', AT)).toBeLessThanOrEqual(made.ofWay);
        // Of those out of reach it need not be asked.
        const reach = withinReach(course, way, AT);
        for (const one of course.waiting) {
          const { can } = canJoin(course, joinerOf(one.person), way(one.way), AT);
          if (!reach.includes(one)) expect(can).not.toBe('yes');
        }
        // What is left is for nobody who waits.
        expect(offersDue(after, joinerOf, way, AT)).toEqual([]);
      }),
      { numRuns: 500, seed: 20270301 },
    );
  });
});

describe('a price', () => {
  const plan = planCourse(estuary());
  const price: Price = {
    currency: 'EUR',
    amount: 12_000,
    reduced: { amount: 9000, until: { kind: 'fixed', day: '2027-02-16', time: null } },
    byKind: { teaching: null, staff: 0, learner: null, visitor: 2000 },
    months: 6,
  };
  const at = (instant: string, kind: string | null): unknown => {
    const { amount, until } = priceFor(plan, price, kind, Date.parse(instant));
    return [amount, until === null ? null : new Date(until).toISOString()];
  };

  test('is reduced to the end of its day, and own prices come before both', () => {
    expect(at('2027-02-16T23:59:59Z', 'learner')).toEqual([9000, '2027-02-17T00:00:00.000Z']);
    expect(at('2027-02-17T00:00:00Z', 'learner')).toEqual([12_000, null]);
    expect(at('2027-02-10T00:00:00Z', 'visitor')).toEqual([2000, null]);
    expect(at('2027-02-10T00:00:00Z', 'staff')).toEqual([0, null]);
    expect(at('2027-02-20T00:00:00Z', null)).toEqual([12_000, null]);
    // A word that is no kind of person is none, whatever objects are made of.
    expect(at('2027-02-20T00:00:00Z', 'constructor')).toEqual([12_000, null]);
  });

  test('is written with the digits of its currency', () => {
    expect([digitsOf('EUR'), digitsOf('JPY')]).toEqual([2, 0]);
    expect(amountWords(12_050, 'EUR', 'en-GB')).toBe('€120.50');
    expect(amountWords(500, 'JPY', 'en-GB')).toBe('JP¥500');
    expect(SHUT_WAY.price).toBeNull();
  });
});
