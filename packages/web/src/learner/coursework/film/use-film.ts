/**
 * Watching on its way: what has really been played is kept on the device at once and told to the server soon after, once
 * however often it is sent. Times are milliseconds of the film.
 */
import { united } from '@itinerary/core/film';
import type { FilmAnswer, WatchedAnswer } from '@itinerary/contract';
import { onScopeDispose, ref, shallowRef } from 'vue';
import type { Ref, ShallowRef } from 'vue';
import { ask, ProblemError } from '../../../api/client.ts';
import { newId } from '../../../stores/new-id.ts';
import { refusedWork } from '../../../words/problems.ts';
import { deviceFor } from '../../../stores/device/on-device.ts';

type Run = WatchedAnswer['runs'][number];

const REPORT_MS = 15_000;
/** Between two words of the player so much passes at most; what lies further ahead was jumped to. */
const STEP_MS = 2000;
const MOST_RUNS = 200;
/** The fastest that a player plays. */
const SPEEDS = 4;

/** Said again, it would be refused again. */
const FOR_GOOD: ReadonlySet<string> = new Set([
  ...['bad_input', 'cannot_hand_in', 'changed_elsewhere', 'not_allowed', 'not_found'],
]);

interface Report {
  readonly id: string;
  readonly runs: readonly Run[];
  readonly position: number;
}
interface OnItsWay {
  readonly film: string;
  readonly runs: readonly Run[];
  readonly position: number;
  /** Its answer never came: it is sent again under its id. */
  readonly sent: Report | null;
}

export interface FilmWatching {
  readonly film: ShallowRef<FilmAnswer | null>;
  /** With what the server does not know yet. */
  readonly runs: ShallowRef<readonly Run[]>;
  readonly watched: ShallowRef<WatchedAnswer | null>;
  /** Everything that was played is with the server. */
  readonly isKept: Ref<boolean>;
  readonly load: () => Promise<void>;
  /** The player is there now. @param rate how fast it plays */
  readonly at: (position: number, rate: number) => void;
  /** It stands still, or has been put elsewhere. */
  readonly stop: (position: number) => void;
  /** Tells what is not told yet. @param leaving the page goes away */
  readonly report: (leaving?: boolean) => Promise<void>;
}

/** Apart from each other, in their order. */
const joined = (runs: readonly Run[]): readonly Run[] =>
  united(runs.map(({ from, to }): readonly [number, number] => [from, to])).map(([from, to]) => ({
    from,
    to,
  }));

export function useFilm(course: string, item: string, person: string): FilmWatching {
  const params = { course, item };
  const device = deviceFor<OnItsWay>(person, course, item, 'film');
  const film = shallowRef<FilmAnswer | null>(null);
  const watched = shallowRef<WatchedAnswer | null>(null);
  const runs = shallowRef<readonly Run[]>([]);
  const isKept = ref(true);
  /** Not told yet. */
  let waiting: readonly Run[] = [];
  /** Told, and not answered yet: sent again it is the same. */
  let sent: Report | null = null;
  let from: number | null = null;
  let position = 0;
  let isMoved = false;
  let underWay: Promise<void> | null = null;

  function show(): void {
    runs.value = joined([...(watched.value?.runs ?? []), ...(sent?.runs ?? []), ...waiting]);
    isKept.value = waiting.length === 0 && sent === null;
  }
  function keep(): void {
    if (film.value === null || film.value.watched === null) return;
    if (waiting.length === 0 && sent === null && !isMoved) device.forget();
    else device.keep({ film: film.value.film, runs: waiting, position, sent });
  }
  async function load(): Promise<void> {
    const isFirst = film.value === null;
    const answer = await ask('GET /api/learn/{course}/items/{item}/film', { params });
    film.value = answer;
    watched.value = answer.watched;
    if (isFirst && answer.watched !== null) {
      position = answer.watched.position;
      const left = device.read();
      // What was played before the line broke, or the page went away.
      if (left?.film === answer.film) {
        [waiting, sent, position] = [left.runs, left.sent, left.position];
        isMoved = true;
      }
    }
    show();
    if (isFirst && !isKept.value) void report();
  }
  function played(to: number): void {
    if (from !== null && to > from)
      waiting = joined([...waiting, { from: Math.round(from), to: Math.round(to) }]);
    from = to;
  }
  function at(now: number, rate: number): void {
    if (from !== null && now >= from && now - from <= STEP_MS * Math.min(SPEEDS, Math.max(1, rate)))
      played(now);
    else from = now;
    position = Math.round(now);
    isMoved = true;
    show();
    keep();
  }
  function stop(now: number): void {
    from = null;
    position = Math.round(now);
    isMoved = true;
    keep();
  }
  /** One at a time. */
  function report(leaving = false): Promise<void> {
    underWay = (underWay ?? Promise.resolve()).then(() => send(leaving));
    return underWay;
  }
  async function send(leaving: boolean): Promise<void> {
    const of = film.value;
    if (of === null || of.watched === null) return;
    if (sent === null) {
      if (waiting.length === 0 && !isMoved) return;
      sent = { id: newId(), runs: waiting.slice(0, MOST_RUNS), position };
      waiting = waiting.slice(MOST_RUNS);
      isMoved = false;
      keep();
    }
    const told = sent;
    const body = { id: told.id, film: of.film, runs: told.runs, position: told.position };
    try {
      watched.value = await ask(
        'POST /api/learn/{course}/items/{item}/film/watched',
        { params, body },
        { keepalive: leaving },
      );
      sent = null;
    } catch (error) {
      // Said too soon it is said again, with what comes; of another film, or a closed one, nothing is kept; what the
      // server could not do just then, it is asked again.
      const isFast = refusedWork(error)?.path === 'too_fast';
      if (isFast || (error instanceof ProblemError && FOR_GOOD.has(error.problem.code))) {
        waiting = isFast ? joined([...told.runs, ...waiting]) : [];
        sent = null;
      }
    }
    show();
    keep();
  }
  const reporting = setInterval(() => void report(), REPORT_MS);
  onScopeDispose(() => {
    clearInterval(reporting);
    void report(true);
  });
  return { film, runs, watched, isKept, load, at, stop, report };
}
