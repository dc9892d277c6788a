/**
 * Server-sent events for one person: that something they get has changed, by somebody's change or by a moment that
 * has come. What has changed is asked for anew, so that nothing is told here that the answer would deny.
 *
 * A listener is `opening` until it knows where its person stands and what came just before; then it is `listening`
 * until the person leaves, and `left` from there on, whatever is still under way.
 */
import type { Response } from 'express';
import { mayPlan } from '@itinerary/core';
import type { Clock } from '../config/clock.ts';
import { markOfSession } from '../db/announce.ts';
import type { Ended, Notice } from '../db/announce.ts';
import type { Person } from '../db/entities.ts';
import type { Database } from '../db/orm.ts';
import { Failure } from '../usecases/failure.ts';
import { openEventLine } from './event-line.ts';
import type { EventLine } from './event-line.ts';
import type { Notices } from './notices.ts';
import { oneAfterTheOther } from './settling.ts';
import { inTurn } from './spread.ts';
import { changedSince, NOWHERE, standing } from './standing.ts';
import type { Standing } from './standing.ts';

/** No timer runs longer; what comes later is looked up again by then. */
const LONGEST_MS = 6 * 60 * 60 * 1000;
/** A moment has passed once its first millisecond has. */
const AFTER_MS = 5;
/** A page was asked for a little before it listens: what came between is told as well. */
const BEFORE_MS = 60_000;
/** The database may be away: what is not known is looked at again. */
const AGAIN_MS = 5000;

export interface Listening {
  readonly database: Database;
  readonly notices: Notices;
  readonly clock: Clock;
  readonly person: Person;
  readonly session: OpenSession;
}

/** What the listening is by: it ends with it. */
export interface OpenSession {
  readonly id: string;
  /** In milliseconds since 1970-01-01T00:00Z, by the machine's clock; null: it says no end. */
  readonly ends: number | null;
}

type State = 'opening' | 'listening' | 'left';

class Listener {
  private state: State = 'opening';
  private now: Standing = NOWHERE;
  /** What comes while the next moment is looked up must not fall between two stools. */
  private since: number;
  private callOff: () => void = () => undefined;
  /** Courses that they are not on have changed; they may have come onto one just now. */
  private readonly elsewhere = new Set<string>();
  private readonly settle: () => Promise<void>;
  /** Whoever plans a course works with others at this moment; who reads it is told in turn. */
  private readonly reading: ReturnType<typeof inTurn>;
  private readonly joining: ReturnType<typeof inTurn>;

  constructor(
    private readonly line: EventLine,
    private readonly listening: Listening,
  ) {
    const { notices } = listening;
    this.since = this.time() - BEFORE_MS;
    this.settle = oneAfterTheOther(() => this.settleOnce());
    this.reading = inTurn(notices.count, () => this.lookAndSettle());
    this.joining = inTurn(notices.count, () => void this.lookWhereTheyJoined());
  }

  /** Knows where they stand, tells what they missed since the page was asked for, and says that it is ready. */
  async open(): Promise<void> {
    const { database, person } = this.listening;
    const before = this.since;
    await this.settle();
    const own = [...this.now.viewers.keys()];
    const missed = await changedSince(database.em.fork(), person, own, before).catch(() => []);
    for (const { id, seq } of missed) if (this.mayPlanIt(id)) this.line.send('course', { id, seq });
    if (missed.length > 0) this.line.send('look', {});
    this.line.send('ready', {});
    if (this.state === 'opening') this.state = 'listening';
  }

  /** Null: listening had broken off, and nobody knows what was said meanwhile. */
  hear(notice: Notice | Ended | null): void {
    if (notice !== null && 'ended' in notice) {
      if (notice.ended === markOfSession(this.listening.session.id)) this.line.end();
      return;
    }
    if (notice === null) {
      this.line.send('missed', {});
      void this.settle();
      return;
    }
    const { course, seq, institution } = notice;
    // Of other institutions' courses nobody is told, not even that they change.
    if (institution !== this.listening.person.institutionId) return;
    if (!this.now.viewers.has(course) && !this.isStaff) {
      this.elsewhere.add(course);
      this.joining.soon();
      return;
    }
    if (!this.mayPlanIt(course)) {
      this.reading.soon();
      return;
    }
    this.line.send('course', { id: course, seq });
    this.lookAndSettle();
  }

  leave(): void {
    this.state = 'left';
    this.callOff();
    this.reading.stop();
    this.joining.stop();
  }

  private get isStaff(): boolean {
    return this.listening.person.kind === 'staff';
  }

  private time(): number {
    return Date.parse(this.listening.clock.now());
  }

  private mayPlanIt(course: string): boolean {
    const viewer = this.now.viewers.get(course);
    return this.isStaff || (viewer !== undefined && mayPlan(viewer));
  }

  private look(): void {
    this.since = this.time();
    this.line.send('look', {});
  }

  private lookAndSettle(): void {
    this.look();
    void this.settle();
  }

  private async lookWhereTheyJoined(): Promise<void> {
    const heard = [...this.elsewhere];
    this.elsewhere.clear();
    await this.settle();
    if (heard.some((course) => this.now.viewers.has(course))) this.look();
  }

  /** Finds out where they stand now, and waits for the next moment; what was waited for before is called off. */
  private async settleOnce(): Promise<void> {
    const { clock, database, person } = this.listening;
    this.callOff();
    try {
      this.now = await standing(database.em.fork(), person, clock, this.since);
    } catch {
      const again = setTimeout(() => void this.settle(), AGAIN_MS);
      this.callOff = () => clearTimeout(again);
      if (this.state === 'left') this.callOff();
      return;
    }
    const { next } = this.now;
    if (this.state === 'left' || next === null) return;
    const wait = Math.max(0, next + AFTER_MS - this.time());
    const isFar = wait > LONGEST_MS;
    this.callOff = clock.after(Math.min(wait, LONGEST_MS), () => {
      if (isFar) void this.settle();
      else this.reading.soon();
    });
  }
}

/** Windows of one person: beyond this they are no windows. */
export const MOST_OF_ONE = 40;
const RETRY_S = 60;
const open = new Map<string, number>();

/** @throws Failure `too_often` for somebody who listens very many times over. */
export async function streamEvents(response: Response, listening: Listening): Promise<void> {
  const { person, session, notices } = listening;
  const before = open.get(person.id) ?? 0;
  if (before >= MOST_OF_ONE) {
    throw new Failure(
      'too_often',
      `At most ${MOST_OF_ONE} windows of one person are kept up to date`,
      [],
      RETRY_S,
    );
  }
  open.set(person.id, before + 1);
  const line = openEventLine(response);
  const listener = new Listener(line, listening);
  // From the first moment on: whoever leaves while all this begins has left as well.
  const stop = notices.listen((notice) => listener.hear(notice));
  const over = session.ends === null ? undefined : setTimeout(() => line.end(), session.ends - Date.now());
  over?.unref();
  const left = line.left.then(() => {
    clearTimeout(over);
    stop();
    listener.leave();
    const rest = (open.get(person.id) ?? 1) - 1;
    if (rest > 0) open.set(person.id, rest);
    else open.delete(person.id);
  });
  await listener.open();
  await left;
}
