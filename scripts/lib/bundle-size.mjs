// What a browser loads before a learner's course page can be read, from the build's own manifest.
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { WEB_DIST } from './paths.mjs';

const ENTRY = 'index.html';
const PAGES = [
  'src/learner/shell/CourseShell.vue',
  'src/learner/course/CoursePage.vue',
  'src/learner/item/ItemPage.vue',
];
const MESSAGES = ['src/locales/en/common.ts', 'src/locales/en/learner.ts'];
const MOST_KILOBYTES = 200;
/** Words that only these packages have in them. */
const FORBIDDEN = {
  zod: /ZodError/,
  'temporal-polyfill': /PlainMonthDay/,
  tiptap: /ProseMirror/,
  echarts: /echarts/,
};

export function learnerPageSize() {
  const manifest = JSON.parse(readFileSync(join(WEB_DIST, '.vite/manifest.json'), 'utf8'));
  const files = new Set();
  const seen = new Set();
  const add = (key) => {
    const chunk = manifest[key];
    if (chunk === undefined) throw new Error(`the build has no ${key}: ${readdirSync(WEB_DIST).join(', ')}`);
    if (seen.has(key)) return;
    seen.add(key);
    files.add(chunk.file);
    chunk.css?.forEach((file) => files.add(file));
    chunk.imports?.forEach(add);
  };
  [ENTRY, ...PAGES, ...MESSAGES].forEach(add);
  let bytes = 0;
  const forbidden = new Set();
  for (const file of files) {
    const content = readFileSync(join(WEB_DIST, file));
    bytes += gzipSync(content).length;
    for (const [name, mark] of Object.entries(FORBIDDEN))
      if (mark.test(content.toString())) forbidden.add(name);
  }
  return { kilobytes: bytes / 1000, most: MOST_KILOBYTES, forbidden: [...forbidden], files: [...files] };
}
