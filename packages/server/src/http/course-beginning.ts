/**
 * The page of a course as it leaves the server: with the answers that it would ask for first, the picture that is
 * seen first, and word of the files that it is going to need. On a slow phone each spares a way there and back.
 */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { escapeHtml } from '@itinerary/core';
import type { Request } from 'express';
import { pictureView } from '../usecases/reading/face.ts';
import type { CourseReader, Ground } from './call.ts';
import { answerOf, askerOf } from './register.ts';

/** The pages of the application that show a course's home, as the build names them. */
const PARTS = ['src/learner/shell/CourseShell.vue', 'src/learner/course/CoursePage.vue'];

interface Chunk {
  readonly file: string;
  readonly css?: readonly string[];
  readonly imports?: readonly string[];
}

/** All files that the parts need at once, styles and scripts. */
function filesOf(manifest: Readonly<Record<string, Chunk>>, parts: readonly string[]): readonly string[] {
  const files = new Set<string>();
  const seen = new Set<string>();
  const add = (key: string): void => {
    const chunk = manifest[key];
    if (chunk === undefined || seen.has(key)) return;
    seen.add(key);
    files.add(chunk.file);
    chunk.css?.forEach((file) => files.add(file));
    chunk.imports?.forEach(add);
  };
  parts.forEach(add);
  return [...files];
}

/** In a script element nothing but its own end is read, so no text may hold the sign that begins one. */
const answers = (byAddress: unknown): string =>
  `<script type="application/json" id="first-answers">${JSON.stringify(byAddress).replaceAll('<', '\\u003c')}</script>`;

/** The same addresses as the banner's own, so that the picture is fetched once. */
function bannerOf({ loaded: { course } }: CourseReader): string {
  const picture = pictureView(course.banner);
  if (picture === null) return '';
  const at = (frame: 'banner' | 'phone', width: number): string =>
    escapeHtml(`/api/learn/${course.id}/face/${frame}?width=${width}&v=${picture.version}`);
  return `<picture id="first-face" aria-hidden="true"><source media="(max-width: 620px)" srcset="${at('phone', 480)} 480w, ${at('phone', 960)} 960w" sizes="100vw"><img src="${at('banner', 1600)}" alt="" fetchpriority="high"></picture>`;
}

/** What asks for scripts, which wait until the picture has been asked for. */
const SCRIPTS = /\s*<(script type="module"[^>]*><\/script|link rel="modulepreload"[^>]*)>/g;
/** What keeps everything after it from being painted until it has come. */
const SHEETS = /\s*<link rel="stylesheet"[^>]*>/g;

const found = (page: string, tags: RegExp): string =>
  [...page.matchAll(tags)].map(([tag]) => tag.trim()).join('');

/**
 * Reads what the build says of itself, once; then writes the page for one reader, piece by piece: style sheets are on
 * their way before the reader's own part is known, and neither they nor scripts keep the picture from being painted.
 */
export function courseBeginning(
  folder: string,
  page: string,
): (ground: Ground, request: Request) => AsyncGenerator<string> {
  const manifest = JSON.parse(readFileSync(join(folder, '.vite/manifest.json'), 'utf8')) as Record<
    string,
    Chunk
  >;
  const ahead = filesOf(manifest, PARTS).filter((file) => !page.includes(file));
  const link = (file: string): string =>
    file.endsWith('.css')
      ? `<link rel="preload" as="style" crossorigin href="/${file}">`
      : `<link rel="modulepreload" crossorigin href="/${file}">`;
  const sheets = found(page, SHEETS);
  const scripts = found(page, SCRIPTS) + ahead.map(link).join('');
  const [head = '', body = ''] = page.replaceAll(SCRIPTS, '').replaceAll(SHEETS, '').split('<body>');
  const soon = sheets.replaceAll('rel="stylesheet"', 'rel="preload" as="style"');
  return async function* (ground, request) {
    yield head.replace('</head>', `${soon}</head><body>`);
    let own = '';
    try {
      const id = String(request.params['course']);
      const isArriving = !request.path.endsWith('/home');
      // All three are for whoever reads the course, so that who that is has to be found out once.
      const asker = await ground.readers.look(() => askerOf('frame', ground, request));
      const picture = bannerOf(asker.who);
      // Who arrives may be sent elsewhere, and is not shown what they are not going to see.
      if (!isArriving) yield picture;
      const query = isArriving ? { arriving: '1' } : {};
      const { frame, me, course } = await ground.readers.look(async () => ({
        frame: await answerOf('frame', ground, request, asker, {}),
        me: await answerOf('me', ground, request, asker, {}),
        course: await answerOf('readCourse', ground, request, asker, query),
      }));
      if (isArriving && course.arrival.to === 'home') yield picture;
      own = answers({
        '/api/me': me,
        [`/api/learn/${id}/frame`]: frame,
        [`/api/learn/${id}${isArriving ? '?arriving=1' : ''}`]: course,
      });
    } catch {
      // What went wrong is told to who asks for it, by the answer to that.
    }
    yield own + sheets + scripts + body;
  };
}
