import { runCli } from './cli.ts';

process.exitCode = runCli(
  process.argv.slice(2),
  (text) => process.stdout.write(`${text}\n`),
  (text) => process.stderr.write(`${text}\n`),
  new Date().toISOString(),
);
