/** What runs beside answering: the queue's jobs, and what is looked for every minute. Two processes share one queue. */
import { randomUUID } from 'node:crypto';
import { EventEmitter } from 'node:events';
import { Logger, run, runOnce } from 'graphile-worker';
import type { Runner, TaskList, WorkerEvents } from 'graphile-worker';
import pg from 'pg';
import type { Logger as Log } from 'pino';
import type { Config } from '../config/config.ts';
import { addJob } from '../db/queue.ts';
import type { Jobs, JobName } from '../db/queue.ts';
import type { Database } from '../db/orm.ts';
import { PaymentRow } from '../db/entities.ts';
import { openDesk } from '../desk/payment-desk.ts';
import { nameOf, registerWorker, takeUpLeftBehind } from './left-behind.ts';
import type { Figures } from '../figures/figures.ts';
import { openCarrier } from '../mail/carrier.ts';
import type { Carrier } from '../mail/carrier.ts';
import { openReturns } from '../mail/returns.ts';
import type { Returns } from '../mail/returns.ts';
import { accountLetter } from '../usecases/accounts/account-letter.ts';
import { clear } from '../usecases/clearing/clear.ts';
import type { Clearing } from '../usecases/clearing/clear.ts';
import { endBySelf } from '../usecases/coursework/quiz/end.ts';
import { writeToFollowers } from '../usecases/coursework/talk/following.ts';
import { moveUpCourse, sweepLines } from '../usecases/joining/line.ts';
import { followCourse, followWhatIsDue } from '../usecases/registry/follow-course.ts';
import { takeReading } from '../usecases/registry/take-reading.ts';
import { openRegistry } from '../registry/registry.ts';
import { askDesk } from '../usecases/joining/paying/pay.ts';
import { chargeAgain, renewWhatIsDue } from '../usecases/joining/paying/renew.ts';
import { returned, sendLetter } from '../usecases/mail/send-letter.ts';

const MOST_CONNECTIONS = 6;
const LOOK_MS = 10_000;
const AGAIN_MS = 2000;
/** The registry is read every quarter of an hour, and when somebody asks; what was left over goes once an hour. */
const CRONTAB = '* * * * * sweep\n*/15 * * * * read_registry ?jobKey=read_registry\n17 * * * * clear';

export interface RunningJobs {
  /** Does now what there is to do, and what is looked for every minute: for tests, whose clock stands. */
  readonly runNow: () => Promise<void>;
  /** What is done once an hour, done now. */
  readonly clearNow: () => Promise<void>;
  /** The port at which letters come back; null: they are not taken in. */
  readonly returnsPort: number | null;
  readonly stop: () => Promise<void>;
}

type Tasks = { readonly [Name in JobName]: (told: Jobs[Name]) => Promise<void> };

function tasksOf(config: Config, database: Database, carrier: Carrier | null): Tasks {
  const desk = config.desk === null ? null : openDesk(config.desk);
  const registry = config.registry === null ? null : openRegistry(config.registry);
  const now = (): string => config.clock.now();
  return {
    // Without a mail service letters wait until there is one.
    send_letter: async ({ letter }) => {
      if (carrier === null) throw new Error('ITINERARY_SMTP is not set: letters wait');
      await sendLetter(database.em.fork(), carrier, config.site, letter, now());
    },
    account_letter: (told) => accountLetter(database.em.fork(), told, now()),
    ask_desk: async ({ payment }) => {
      if (desk !== null) await askDesk(database.em.fork(), desk, payment, now());
    },
    pay_back: async ({ payment }) => {
      const found = await database.em.fork().findOne(PaymentRow, { id: payment });
      if (found?.deskId == null) return;
      if (desk === null) throw new Error('ITINERARY_DESK is not set: money waits to be given back');
      await desk.payBack(found.deskId);
    },
    charge_again: async ({ payment }) => {
      if (desk === null) throw new Error('ITINERARY_DESK is not set: periods wait to be paid');
      await chargeAgain(database.em.fork(), { desk, site: config.site }, payment, now());
    },
    end_attempt: ({ attempt }) => endBySelf(database.em.fork(), attempt, now()),
    thread_posted: ({ thread }) => writeToFollowers(database.em.fork(), thread, now()),
    move_up: ({ course }) => moveUpCourse(database.em.fork(), course, now()),
    read_registry: async () => {
      if (registry !== null) await takeReading(database.em.fork(), registry, now());
    },
    follow_registry: ({ course }) => followCourse(database.em.fork(), course, now()),
  };
}

/** What the queue says of itself goes to our own log; a job that will be tried again is a warning. */
const quiet = (log: Log): Logger =>
  new Logger(() => (level, message) => {
    if (level === 'error' || level === 'warning') log.warn(message);
  });

export interface Working {
  readonly config: Config;
  readonly database: Database;
  readonly log: Log;
  readonly figures: Figures;
  readonly clearing: Clearing;
}

export async function openJobs({ config, database, log, figures, clearing }: Working): Promise<RunningJobs> {
  const { mail, sessionSecret: secret, databaseUrl: connectionString } = config;
  const instance = randomUUID();
  const pgPool = new pg.Pool({ connectionString, max: MOST_CONNECTIONS, application_name: nameOf(instance) });
  // A connection that breaks, idle or at work, must not end the process; the next question opens another.
  const broke = (error: Error): void => log.warn({ err: error }, 'a connection of the queue broke');
  pgPool.on('error', broke);
  pgPool.on('connect', (client) => client.on('error', broke));
  const events: WorkerEvents = new EventEmitter();
  events.on('pool:create', ({ workerPool }) => {
    registerWorker(database.em.fork(), workerPool.id, instance).catch((error: unknown) =>
      log.warn({ err: error }, 'a worker of the queue could not say who it is'),
    );
  });
  const carrier = mail === null ? null : openCarrier(mail, secret);
  const tasks = tasksOf(config, database, carrier);
  const sweep = async (): Promise<void> => {
    await sweepLines(database.em.fork(), config.clock.now());
    await renewWhatIsDue(database.em.fork(), config.clock.now());
    await followWhatIsDue(database.em.fork(), config.clock.now());
  };
  const clearAway = async (): Promise<void> => {
    const now = config.clock.now();
    const cleared = await clear(database.em.fork(), clearing, now, (what, error) =>
      log.warn({ err: error, what }, 'what was left over could not be cleared away'),
    );
    for (const [what, count] of Object.entries(cleared))
      figures.cleared(what, Number(count), Date.parse(now));
    log.info({ cleared }, 'what was left over is cleared away');
  };
  const taskList: TaskList = {
    ...(Object.fromEntries(
      Object.entries(tasks).map(([name, task]) => [name, (told: unknown) => task(told as never)]),
    ) as TaskList),
    sweep,
    clear: clearAway,
  };
  const shared = { pgPool, events, taskList, noHandleSignals: true, logger: quiet(log) } as const;
  await takeUpLeftBehind(database.em.fork());
  const looking = setInterval(() => {
    takeUpLeftBehind(database.em.fork()).catch((error: unknown) =>
      log.warn({ err: error }, 'what fallen processes have left could not be looked for'),
    );
  }, LOOK_MS);
  looking.unref();
  const start = (): Promise<Runner> =>
    run({ ...shared, concurrency: 4, pollInterval: 1000, crontab: CRONTAB });
  let runner: Runner | null = null;
  let isStopping = false;
  /** A database that is away for a while may end the library's own run: it is begun again. */
  const keepRunning = async (): Promise<void> => {
    while (!isStopping) {
      try {
        runner ??= await start();
        await runner.promise;
      } catch (error) {
        log.warn({ err: error }, 'the queue stopped, and is begun again');
      }
      runner = null;
      if (!isStopping) await new Promise((resolve) => setTimeout(resolve, AGAIN_MS).unref());
    }
  };
  if (config.jobs) {
    if (config.registry !== null)
      await addJob(database.em.fork(), 'read_registry', {}, { key: 'read_registry' });
    runner = await start();
    void keepRunning();
  }
  const returns = await openDoor(config, database, log);
  return {
    runNow: async () => {
      await sweep();
      await runOnce(shared);
    },
    clearNow: clearAway,
    returnsPort: returns?.port ?? null,
    stop: async () => {
      clearInterval(looking);
      await returns?.close();
      isStopping = true;
      await runner?.stop().catch(() => undefined);
      carrier?.close();
      await pgPool.end();
    },
  };
}

/** Of several processes on one machine one has the door; the others go on without. */
async function openDoor(config: Config, database: Database, log: Log): Promise<Returns | null> {
  const port = config.mail?.returnsPort ?? null;
  if (port === null) return null;
  try {
    return await openReturns(port, config.sessionSecret, (letter, why) =>
      returned(database.em.fork(), letter, why),
    );
  } catch (error) {
    log.warn({ err: error }, `port ${port} for letters that come back is in use; they are not taken in here`);
    return null;
  }
}
