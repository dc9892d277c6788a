/**
 * How long a page of a class waits for its answer after a change: told in turn, as the server tells those who read,
 * against all told at once. Prints `ratio NAME N`, how many times longer the middle one of a class waits at once.
 */
import { spreadOf } from '../../packages/server/src/live/spread.ts';
import { cookieOf } from './support/enter.ts';
import { middle } from './support/middle.ts';

const CLASS = 200;
const ROUNDS = 3;
const COURSE = 'EFM-210-SPR27';
const LEARNER = 'Noor Rahimi';

/** The waits of a whole class, in milliseconds, each told after its own delay. */
async function waits(
  ask: () => Promise<unknown>,
  delayOf: (at: number) => number,
): Promise<readonly number[]> {
  return Promise.all(
    Array.from({ length: CLASS }, async (_, at) => {
      await new Promise((done) => setTimeout(done, delayOf(at)));
      const begun = performance.now();
      await ask();
      return performance.now() - begun;
    }),
  );
}

const base = process.env['E2E_URL'];
if (base === undefined) throw new Error('E2E_URL is missing: the address of a server with the demo data');
const headers = { cookie: await cookieOf(base, ({ name }) => name === LEARNER) };
const { courses } = (await (await fetch(`${base}/api/desk`, { headers })).json()) as {
  courses: { id: string; code: string }[];
};
const id = courses.find(({ code }) => code === COURSE)?.id ?? '';
async function ask(): Promise<void> {
  const answer = await fetch(`${base}/api/learn/${id}`, { headers });
  if (!answer.ok) throw new Error(`the course answers ${answer.status}`);
  await answer.text();
}

const atOnce: number[] = [];
const inTurn: number[] = [];
for (let round = 0; round <= ROUNDS; round += 1) {
  const together = await waits(ask, () => 0);
  const apart = await waits(ask, (at) => spreadOf(CLASS, at / CLASS));
  // The first round finds a server that has just begun.
  if (round === 0) continue;
  atOnce.push(middle(together));
  inTurn.push(middle(apart));
}
console.log(`ratio class-in-turn-vs-at-once ${(middle(atOnce) / middle(inTurn)).toFixed(1)}`);
console.log(
  `  the middle one of ${CLASS} open pages of a course waits so many times longer for its answer when all are told of a change at once; in turn, the last is told after ${spreadOf(CLASS, 1) / 1000} s`,
);
