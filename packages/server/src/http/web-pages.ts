/** The built web application; every other address is one of its pages. */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Express, RequestHandler } from 'express';
import express from 'express';
import pressed from 'express-static-gzip';
import { nothingHere } from '../usecases/nothing-here.ts';
import { courseBeginning } from './course-beginning.ts';
import type { Ground } from './call.ts';
import { whileWaiting } from './unless-away.ts';

const A_YEAR_MS = 365 * 24 * 60 * 60 * 1000;

/**
 * The build has pressed its files already. One that has gone since the start (the application was built anew under a
 * running server) is not there; it ends nothing.
 */
export function serveWeb(app: Express, folder: string, ground: Ground, session: RequestHandler): void {
  app.use(
    '/assets',
    pressed(join(folder, 'assets'), {
      index: false,
      enableBrotli: true,
      orderPreference: ['br', 'gzip'],
      serveStatic: { immutable: true, maxAge: A_YEAR_MS },
    }),
    (_request, response) => {
      // Of the pressed file that was not there after all.
      response.removeHeader('Content-Encoding');
      throw nothingHere();
    },
  );
  app.use(express.static(folder, { index: false, dotfiles: 'ignore' }));
  const page = readFileSync(join(folder, 'index.html'), 'utf8');
  const begin = courseBeginning(folder, page);
  // With the database away the page comes as it is, and says so itself.
  const sessionIfThere: RequestHandler = (request, response, next) => {
    let isUnderWay = false;
    const goOn = (): void => {
      if (!isUnderWay) next();
      isUnderWay = true;
    };
    session(request, response, goOn);
    whileWaiting(ground.pulse, response, goOn, () => isUnderWay);
  };
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
