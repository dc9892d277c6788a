// How the scripts speak: what they are doing, and why they stop. Never a stack trace.
import { writeSync } from 'node:fs';

/** Goes to standard error: standard output is for results, which may be piped. */
export function say(sentence) {
  writeSync(2, `· ${sentence}\n`);
}

/** Something that the person in front of the screen can do something about. */
export class Stop extends Error {}

export function stop(sentence) {
  throw new Stop(sentence);
}

/** Runs a script's main function; a Stop is a sentence, and so are the disk's own errors. */
export async function run(main) {
  try {
    await main();
  } catch (error) {
    if (error instanceof Stop) console.error(`\n${error.message}`);
    else if (error.code === 'ENOSPC')
      console.error('\nThe disk is full. Make room and start again; nothing is half-written.');
    else if (error.code === 'EACCES')
      console.error(`\nNo permission to write ${error.path}. Check who owns this folder.`);
    else console.error(`\n${process.env.DEBUG ? error.stack : error.message}`);
    process.exitCode = 1;
  }
}
