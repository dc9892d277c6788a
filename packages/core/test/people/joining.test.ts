/** Who may join, by each way, at each moment. */
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { beyondSeats, canJoin, seatsTaken, WAYS } from '../../src/people/index.ts';
import type { HeldSeat, JoinCourse, Seated } from '../../src/people/index.ts';
import { COURSE, JOINER, NOW, SITUATIONS, told, WAY } from './joining-situations.ts';

describe('who may join', () => {
  test.each(SITUATIONS)('$name', ({ course, joiner, way, at = NOW, answer }) => {
    const found = canJoin({ ...COURSE, ...course }, { ...JOINER, ...joiner }, { ...WAY, ...way }, at);
    expect(told(found)).toBe(answer);
  });

  test('there are so many situations, of every way', () => {
    expect(SITUATIONS.length).toBeGreaterThanOrEqual(120);
    expect(new Set(SITUATIONS.map(({ way }) => way?.kind ?? WAY.kind))).toEqual(new Set(WAYS));
    expect(new Set(SITUATIONS.map(({ name }) => name)).size).toBe(SITUATIONS.length);
  });
});

describe('seats', () => {
  const people = fc.constantFrom('a', 'b', 'c', 'd', 'e');
  const ways = fc.constantFrom(...WAYS);
  const learners: fc.Arbitrary<Seated[]> = fc.uniqueArray(fc.record({ person: people, way: ways }), {
    selector: ({ person }) => person,
  });
  const held: fc.Arbitrary<HeldSeat[]> = fc.array(
    fc.record({
      person: people,
      way: ways,
      kind: fc.constantFrom('offer' as const, 'payment' as const, 'invitation' as const),
      lapses: fc.integer({ min: 5, max: 15 }),
    }),
    { maxLength: 6 },
  );

  test('are counted by people, and nobody who says yes is beyond them', () => {
    fc.assert(
      fc.property(learners, held, fc.integer({ min: 0, max: 5 }), (on, kept, seats) => {
        const course: JoinCourse = { ...COURSE, learners: on, held: kept, seats };
        const all = new Set([
          ...on.map(({ person }) => person),
          ...kept.filter(({ lapses }) => lapses > NOW).map(({ person }) => person),
        ]);
        expect(seatsTaken(course, null, NOW)).toBe(all.size);
        const answer = canJoin(course, JOINER, WAY, NOW);
        expect(answer.can).toBe(all.size < seats ? 'yes' : 'no');
        const ofWays = WAYS.reduce((sum, way) => sum + seatsTaken(course, way, NOW), 0);
        expect(ofWays).toBeGreaterThanOrEqual(all.size);
      }),
      { numRuns: 2000, seed: 20270216 },
    );
  });

  test('staff who go beyond them are told by how many', () => {
    const course: JoinCourse = { ...COURSE, seats: 2, learners: [{ person: 'a', way: 'link' }] };
    expect([beyondSeats(course, 1, NOW), beyondSeats(course, 2, NOW)]).toEqual([
      null,
      { seats: 2, people: 3 },
    ]);
    expect(beyondSeats({ ...course, seats: null }, 500, NOW)).toBeNull();
  });
});
