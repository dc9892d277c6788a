/** The built web application; every other address is one of its pages. */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Express, RequestHandler } from 'express';
import sirv from 'sirv';
import { nothingHere } from '../usecases/nothing-here.ts';
import { courseBeginning } from './course-beginning.ts';
import type { Ground } from './call.ts';

const A_YEAR_S = 365 * 24 * 60 * 60;

/** Files are listed once, at the start; the build has pressed them already. */
export function serveWeb(app: Express, folder: string, ground: Ground, session: RequestHandler): void {
  app.use(
    '/assets',
    sirv(join(folder, 'assets'), { immutable: true, maxAge: A_YEAR_S, brotli: true, gzip: true }),
    () => {
      throw nothingHere();
    },
  );
  app.use(sirv(folder, { extensions: [] }));
  const page = readFileSync(join(folder, 'index.html'), 'utf8');
  const begin = courseBeginning(folder, page);
  // With the database away the page comes as it is, and says so itself.
  const sessionIfThere: RequestHandler = (request, response, next) =>
    session(request, response, () => next());
  app.get(['/courses/:course', '/courses/:course/home'], sessionIfThere, async (request, response) => {
    response.set('Cache-Control', 'no-store').type('html');
    if (request.session === undefined) {
      response.send(page);
      return;
    }
    for await (const piece of begin(ground, request)) {
      response.write(piece);
      // Compression keeps pieces back until there is enough of them.
      response.flush();
    }
    response.end();
  });
  app.get('/{*page}', (_request, response) => {
    response.set('Cache-Control', 'no-cache').type('html').send(page);
  });
}
