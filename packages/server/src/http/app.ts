/** The HTTP application, without listening: what tests and main share. */
import compression from 'compression';
import express from 'express';
import type { Express } from 'express';
import helmet from 'helmet';
import type { Pool } from 'pg';
import type { Logger } from 'pino';
import { pinoHttp } from 'pino-http';
import type { Config } from '../config/config.ts';
import type { Database } from '../db/orm.ts';
import type { Pulse } from '../db/pulse.ts';
import type { Notices } from '../live/notices.ts';
import { diskStore } from '../files/file-store.ts';
import type { Figures } from '../figures/figures.ts';
import type { Pieces } from '../files/pieces.ts';
import type { Cleaning } from '../text/cleaning.ts';
import { openReaders } from '../lanes/readers.ts';
import { openAttempts } from '../usecases/people/attempts.ts';
import { nothingHere } from '../usecases/nothing-here.ts';
import { ownOriginOnly } from './origin.ts';
import { lastResort, problemHandler } from './problem.ts';
import { mustBeShallow, shallowOnly } from './shallow.ts';
import { takePieces } from './pieces.ts';
import { registerRoutes } from './register.ts';
import { sessions } from './session.ts';
import { unlessAway } from './unless-away.ts';
import { serveWeb } from './web-pages.ts';

const LARGEST_BODY = '4mb';
/** What must answer while the database is away, and sessions with it. */
const WITHOUT_SESSION: ReadonlySet<string> = new Set(['/health', '/health/alive', '/openapi.json']);

export interface Parts {
  readonly pieces: Pieces;
  readonly cleaning: Cleaning;
  readonly config: Config;
  readonly database: Database;
  readonly pool: Pool;
  readonly pulse: Pulse;
  readonly log: Logger;
  readonly notices: Notices;
  readonly figures: Figures;
}

export function createApp({
  config,
  database,
  pool,
  pulse,
  log,
  notices,
  cleaning,
  pieces,
  figures,
}: Parts): Express {
  const app = express();
  app.disable('x-powered-by');
  // What nobody has foreseen says nothing of itself, wherever this runs.
  app.set('env', 'production');
  app.set('query parser', 'simple');
  if (config.secure) app.set('trust proxy', 1);
  app.use(
    helmet({
      contentSecurityPolicy: {
        useDefaults: false,
        directives: {
          defaultSrc: ["'self'"],
          // Vuetify writes the theme's colours into a style element.
          styleSrc: ["'self'", "'unsafe-inline'"],
          imgSrc: ["'self'", 'data:'],
          // How long a film plays is read off it before it is sent.
          mediaSrc: ["'self'", 'blob:'],
          objectSrc: ["'none'"],
          baseUri: ["'none'"],
          formAction: ["'self'"],
          frameAncestors: ["'none'"],
        },
      },
      strictTransportSecurity: config.secure,
    }),
  );
  app.use(compression());
  app.use(
    '/api',
    pinoHttp({
      logger: log,
      quietReqLogger: true,
      autoLogging: { ignore: ({ url }) => url?.startsWith('/health') === true },
    }),
  );
  app.use('/api', ownOriginOnly, express.json({ limit: LARGEST_BODY, verify: mustBeShallow }), shallowOnly);
  app.use('/api', unlessAway(pulse));
  const sessionHandler = sessions(config, pool);
  app.use('/api', (request, response, next) => {
    if (WITHOUT_SESSION.has(request.path)) next();
    else sessionHandler(request, response, next);
  });
  const ground = {
    config,
    database,
    pulse,
    readers: openReaders(),
    store: diskStore(config.filesFolder),
    notices,
    attempts: openAttempts(pool),
    cleaning,
    pieces,
    figures,
  };
  takePieces(app, ground);
  registerRoutes(app, ground);
  app.use('/api', () => {
    throw nothingHere();
  });
  if (config.webFolder !== null) serveWeb(app, config.webFolder, ground, sessionHandler);
  app.use(problemHandler(log), lastResort(log));
  return app;
}
