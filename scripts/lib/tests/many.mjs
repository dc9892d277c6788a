// One file of tests that is gone through so many times, outside the whole run: `npm run NAME -- N`.
import { join } from 'node:path';
import { ROOT } from '../paths.mjs';
import { command, needNode } from '../processes.mjs';
import { run, stop } from '../say.mjs';

/** @param envOf what the tests are told for a number of times. */
export function manyTimes({ usual, of, path, envOf }) {
  return run(async () => {
    needNode();
    const [many = usual] = process.argv.slice(2);
    if (!/^[1-9]\d{0,7}$/.test(many))
      stop(`"${many}" is no number of ${of}; a whole number from 1 is needed.`);
    await command(process.execPath, [join(ROOT, 'scripts/test.mjs'), path], { env: envOf(many) });
  });
}
