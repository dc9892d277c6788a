// What came of the tests: how many of each part, how long each took, the slowest of them, and which failed.
import { stripVTControlCharacters } from 'node:util';

const SLOWEST = 20;
const MOST_WORDS = 600;

const seconds = (ms) => `${(ms / 1000).toFixed(1)} s`;

export function newTally() {
  const parts = [];
  const timed = [];
  const failed = [];
  return {
    add(name, { passed, failed }, ms) {
      parts.push({ name, passed, failed, ms });
    },
    /** One file of tests, or one end-to-end test. */
    took(name, ms) {
      timed.push({ name, ms });
    },
    /** A test that failed, and with what: said again at the end, where a log of any length still has it. */
    failed(name, message) {
      failed.push({ name, words: stripVTControlCharacters(message).slice(0, MOST_WORDS) });
    },
    /** Says all of it; the last line is the sum. @returns whether all is well. */
    say() {
      const slowest = timed.toSorted((a, b) => b.ms - a.ms).slice(0, SLOWEST);
      if (slowest.length > 0) console.log('\nThe slowest:');
      for (const { name, ms } of slowest) console.log(`  ${seconds(ms).padStart(8)}  ${name}`);
      if (failed.length > 0) console.log('\nWhat failed:');
      for (const { name, words } of failed) console.log(`  ${name}\n    ${words.replaceAll('\n', '\n    ')}`);
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
