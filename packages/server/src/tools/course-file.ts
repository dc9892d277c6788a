/** The command line's own door to the two tools that need a database. */
import { courseFileTool } from './course-transfer.ts';

const { code, out, err } = await courseFileTool(process.argv.slice(2), process.env);
process.stdout.write(out);
process.stderr.write(err);
process.exitCode = code;
