// `npm test`: all that must hold. Its last line counts it. docs/testing.md says how to run a part, a file, a case.
import { run, say } from './lib/say.mjs';
import { needNode } from './lib/processes.mjs';
import { everything } from './lib/tests/parts.mjs';
import { changedFiles, touchedBy } from './lib/tests/touched.mjs';
import { readWords } from './lib/tests/words.mjs';

await run(async () => {
  needNode();
  const wanted = readWords(process.argv.slice(2));
  if (!wanted.changed) return everything(wanted);
  const files = await changedFiles();
  const touched = touchedBy(files);
  say(`Changed: ${files.length} files, which touch ${touched.files.length} files of tests`);
  return everything({ ...wanted, ...touched });
});
