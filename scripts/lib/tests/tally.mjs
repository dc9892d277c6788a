// What came of the tests: how many of each part, how long each took, and the slowest of them.
const SLOWEST = 20;

const seconds = (ms) => `${(ms / 1000).toFixed(1)} s`;

export function newTally() {
  const parts = [];
  const timed = [];
  return {
    add(name, { passed, failed }, ms) {
      parts.push({ name, passed, failed, ms });
    },
    /** One file of tests, or one end-to-end test. */
    took(name, ms) {
      timed.push({ name, ms });
    },
    /** Says all of it; the last line is the sum. @returns whether all is well. */
    say() {
      const slowest = timed.toSorted((a, b) => b.ms - a.ms).slice(0, SLOWEST);
      if (slowest.length > 0) console.log('\nThe slowest:');
      for (const { name, ms } of slowest) console.log(`  ${seconds(ms).padStart(8)}  ${name}`);
      console.log('');
      for (const { name, passed, failed, ms } of parts) {
        console.log(`${name}: ${passed} passed, ${failed} failed, in ${seconds(ms)}`);
      }
      const sum = (key) => parts.reduce((total, part) => total + part[key], 0);
      console.log(`${sum('passed')} passed, ${sum('failed')} failed`);
      return sum('failed') === 0 && sum('passed') > 0;
    },
  };
}
