/** A class is told one after the other, and each page once for all that came meanwhile. */
import { describe, expect, test } from '@jest/globals';
import { inTurn, spreadOf } from '../../src/live/spread.ts';

const pass = (ms: number): Promise<void> => new Promise((done) => setTimeout(done, ms));

describe('how long somebody waits', () => {
  test('a handful of pages hardly wait, a class waits by its size, and nobody longer than ten seconds', () => {
    expect(spreadOf(1, 0.999)).toBeLessThan(20);
    expect(spreadOf(10, 0.999)).toBeLessThan(200);
    expect(spreadOf(300, 0.5)).toBe(1800);
    expect(spreadOf(400, 0.999)).toBeLessThan(5000);
    expect(spreadOf(100_000, 0.999)).toBeLessThan(10_000);
    expect(spreadOf(100_000, 0)).toBe(0);
  });

  test('a class is spread evenly: no tenth of the time takes more than its share and a half', () => {
    const waits = Array.from({ length: 400 }, (_, at) => spreadOf(400, at / 400));
    const tenths = Array.from({ length: 10 }, (_, at) =>
      waits.filter((wait) => Math.floor(wait / 480) === at),
    );
    expect(Math.max(...tenths.map(({ length }) => length))).toBeLessThanOrEqual(60);
  });
});

describe('in turn', () => {
  test('many calls before the turn are one act; a call after it is another', async () => {
    let acts = 0;
    const turn = inTurn(
      () => 4,
      () => (acts += 1),
    );
    for (let call = 0; call < 50; call += 1) turn.soon();
    expect(acts).toBe(0);
    await pass(120);
    expect(acts).toBe(1);
    turn.soon();
    await pass(120);
    expect(acts).toBe(2);
  });

  test('who has left is not told', async () => {
    let acts = 0;
    const turn = inTurn(
      () => 4,
      () => (acts += 1),
    );
    turn.soon();
    turn.stop();
    await pass(120);
    expect(acts).toBe(0);
  });
});
