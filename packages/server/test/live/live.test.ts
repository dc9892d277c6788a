/** Server-sent events: what has changed for somebody, by a change and by a moment that comes. */
import { EventEmitter } from 'node:events';
import { afterEach, beforeEach, describe, expect, jest, test } from '@jest/globals';
import type { Response } from 'express';
import { runningClock, standingClock, toldClock } from '../../src/config/clock.ts';
import type { ToldClock } from '../../src/config/clock.ts';
import { PersonRow } from '../../src/db/entities.ts';
import { streamEvents } from '../../src/live/events.ts';
import type { Notice } from '../../src/db/announce.ts';
import type { Notices } from '../../src/live/notices.ts';
import {
  admin,
  changeCourse,
  courseIds,
  DRAFT,
  LIVE,
  PEOPLE,
  putOn,
  signedIn,
  testServer,
} from '../support/server.ts';
import type { TestServer, Who } from '../support/server.ts';
import { leaveAll, listenAs, readers } from '../support/listening.ts';
import type { Heard } from '../support/listening.ts';

let server: TestServer;
let clock: ToldClock;
let ids: Readonly<Record<string, string>>;
const START = Date.parse('2027-02-16T09:41:52.000Z');

beforeEach(async () => {
  clock = toldClock(new Date(START).toISOString());
  server = await testServer({ clock });
  ids = await courseIds(server);
});
afterEach(async () => {
  leaveAll();
  await server.stop();
});

const SESSION = { id: 'a session', ends: null };

const listen = (who: Who): Promise<Heard> => listenAs(server, who);

const change = async (course: string, edits: readonly object[]): Promise<void> =>
  changeCourse(await signedIn(server, 'instructor'), course, edits);

describe('somebody who listens', () => {
  test('hears of a change to a course of theirs: those who plan it which, learners only that there is one', async () => {
    const learner = await listen('learner');
    const assistant = await listen('assistant');
    await change(ids[LIVE] as string, [
      { kind: 'set', target: ids[LIVE], field: 'title', value: 'Mud', was: '' },
    ]);
    await Promise.all([learner.until('look'), assistant.until('course')]);
    expect(learner.events.map(({ event }) => event)).toEqual(['ready', 'look']);
    expect(learner.events[1]?.data).toEqual({});
    expect(assistant.events.find(({ event }) => event === 'course')?.data).toMatchObject({ id: ids[LIVE] });
  });

  test('is told that something may have been missed when the server itself has not been listening', async () => {
    const [ines, noor] = await Promise.all([listen('instructor'), listen('learner')]);
    // A test has a database of its own, and one server on it.
    await admin(
      `select pg_terminate_backend(pid) from pg_stat_activity
        where application_name = 'itinerary notices' and datname = '${server.name}'`,
    );
    await Promise.all([ines.until('missed'), noor.until('missed')]);
    await change(ids[LIVE] as string, [
      { kind: 'set', target: ids[LIVE], field: 'title', value: 'Estuary', was: 'Estuary Field Methods' },
    ]);
    await Promise.all([ines.until('course'), noor.until('look')]);
    // Once, on the one connection that has taken the place of the broken one.
    await new Promise((done) => setTimeout(done, 300));
    const heard = (wanted: string): number => ines.events.filter(({ event }) => event === wanted).length;
    expect([heard('missed'), heard('course')]).toEqual([1, 1]);
  });

  test('is never told what was written: no words, no ids but of courses that they plan', async () => {
    const MARK = 'mark-nobody-hears';
    const people = ['instructor', 'assistant', 'learner', 'outsider', 'staff'] as const;
    const all = await Promise.all(people.map(async (who) => ({ who, heard: await listen(who) })));
    const course = ids[LIVE] as string;
    const said = { kind: 'set', target: course, field: 'bringAlong', value: MARK, was: null };
    await change(course, [{ kind: 'set', target: course, field: 'title', value: MARK, was: '' }]);
    await change(course, [said, { ...said, field: 'madeFor', value: MARK }]);
    await change(ids[DRAFT] as string, [
      { kind: 'set', target: ids[DRAFT], field: 'title', value: MARK, was: '' },
    ]);
    const hears = (who: (typeof people)[number]): Heard => all.find((one) => one.who === who)?.heard as Heard;
    await Promise.all([hears('instructor').until('course', 3), hears('learner').until('look')]);
    for (const { who, heard } of all) {
      const told = JSON.stringify(heard.events);
      expect([who, told.includes(MARK)]).toEqual([who, false]);
      // Who plans a course is told its id; nobody else is told of which it is.
      const plans = who === 'instructor' || who === 'assistant';
      if (!plans && who !== 'staff') expect([who, told.includes(course)]).toEqual([who, false]);
    }
  });

  test('hears nothing of courses that they are not on', async () => {
    const outsider = await listen('outsider');
    const staff = await listen('staff');
    await change(ids[LIVE] as string, [
      { kind: 'set', target: ids[LIVE], field: 'title', value: 'Silt', was: '' },
    ]);
    await staff.until('course');
    expect(outsider.events.map(({ event }) => event)).toEqual(['ready']);
  });

  test('is woken when a draft of theirs goes live by itself, and then it is on their desk', async () => {
    const draft = ids[DRAFT] as string;
    const instructor = await signedIn(server, 'instructor');
    await putOn(instructor, draft, 'noor', 'learner');
    const desk = async (): Promise<string> =>
      JSON.stringify((await (await signedIn(server, 'learner')).get('/api/desk')).body);
    const plan = (await instructor.get(`/api/courses/${draft}/plan`)).body as {
      course: { dates: { zone: string } };
    };
    // The next whole minute of the course's clock.
    const minute = new Date(Math.ceil((START + 1000) / 60_000) * 60_000);
    const local = minute.toLocaleString('sv-SE', { timeZone: plan.course.dates.zone });
    const learner = await listen('learner');
    await change(draft, [
      {
        kind: 'set',
        target: draft,
        field: 'goesLive',
        value: { day: local.slice(0, 10), time: local.slice(11, 16) },
        was: null,
      },
    ]);
    await learner.until('look', 1);
    clock.tell(new Date(minute.getTime() - 1).toISOString());
    expect(await desk()).not.toContain(draft);
    clock.tell(new Date(minute.getTime() + 1000).toISOString());
    await learner.until('look', 2);
    expect(await desk()).toContain(draft);
  });

  test('is told of what came just before they began to listen', async () => {
    const draft = ids[DRAFT] as string;
    const instructor = await signedIn(server, 'instructor');
    await putOn(instructor, draft, 'noor', 'learner');
    const { course } = (await instructor.get(`/api/courses/${draft}/plan`)).body as {
      course: { dates: { zone: string } };
    };
    // The minute that has begun: its first moment has passed.
    const local = new Date(START).toLocaleString('sv-SE', { timeZone: course.dates.zone });
    const value = { day: local.slice(0, 10), time: local.slice(11, 16) };
    await change(draft, [{ kind: 'set', target: draft, field: 'goesLive', value, was: null }]);
    const learner = await listen('learner');
    // Once for the change that named the moment, and once for the moment.
    await learner.until('look', 2);
    expect(learner.events.filter(({ event }) => event === 'look')).toHaveLength(2);
  });

  test('is told of a change that came just before they began to listen, and of none that did not', async () => {
    const live = ids[LIVE] as string;
    const quiet = await listen('learner');
    await quiet.until('ready');
    expect(quiet.events.map(({ event }) => event)).toEqual(['ready']);
    await change(live, [{ kind: 'set', target: live, field: 'title', value: 'Another title', was: '' }]);
    const learner = await listen('learner');
    await learner.until('ready');
    expect(learner.events.map(({ event }) => event)).toEqual(['look', 'ready']);
    const instructor = await listen('instructor');
    await instructor.until('ready');
    expect(instructor.events.map(({ event }) => event)).toEqual(['course', 'look', 'ready']);
    expect(instructor.events[0]?.data).toMatchObject({ id: live });
    const outsider = await listen('outsider');
    await outsider.until('ready');
    expect(outsider.events.map(({ event }) => event)).toEqual(['ready']);
  });

  describe('in a class of four hundred', () => {
    /** A stream as it is written, in a process where so many listen, and a way to tell it that a course changed. */
    async function stream(who: Who): Promise<{
      readonly events: () => readonly string[];
      readonly tell: (course: string, institution?: string) => void;
    }> {
      let written = '';
      let hear: (notice: Notice) => void = () => undefined;
      const emitter = new EventEmitter();
      const response = Object.assign(emitter, {
        status: () => response,
        set: () => response,
        flushHeaders: () => undefined,
        write: (words: string) => (written += words) !== '',
      });
      readers.push({ close: () => emitter.emit('close') });
      const notices: Notices = {
        listen: (listener) => {
          hear = listener;
          return () => undefined;
        },
        count: () => 400,
        stop: () => Promise.resolve(),
      };
      const person = await server.database.em.fork().findOneOrFail(PersonRow, { address: PEOPLE[who] });
      const clock = standingClock(new Date(START).toISOString());
      const { database } = server;
      void streamEvents(response as unknown as Response, {
        database,
        notices,
        clock,
        person,
        session: SESSION,
      });
      const events = (): string[] => [...written.matchAll(/^event: (.*)$/gm)].map((one) => one[1] ?? '');
      while (!events().includes('ready')) await pass(10);
      return {
        events,
        tell: (course, institution = person.institutionId) => hear({ course, seq: 1, institution }),
      };
    }
    const pass = (ms: number): Promise<void> => new Promise((done) => setTimeout(done, ms));
    async function told(events: () => readonly string[]): Promise<void> {
      while (!events().includes('look')) await pass(20);
    }

    beforeEach(() => void jest.spyOn(Math, 'random').mockReturnValue(0.1));
    afterEach(() => void jest.restoreAllMocks());

    test('who reads is told in turn, and once for all that came meanwhile', async () => {
      const { events, tell } = await stream('learner');
      for (let edit = 0; edit < 20; edit += 1) tell(ids[LIVE] as string);
      await pass(200);
      expect(events()).toEqual(['ready']);
      await told(events);
      await pass(200);
      expect(events()).toEqual(['ready', 'look']);
    });

    test('who plans the course is told at once, and of each', async () => {
      const { events, tell } = await stream('instructor');
      tell(ids[LIVE] as string);
      tell(ids[LIVE] as string);
      expect(events()).toEqual(['ready', 'course', 'look', 'course', 'look']);
    });

    test('staff are told of courses of their own institution alone', async () => {
      const { events, tell } = await stream('staff');
      tell(ids[LIVE] as string, 'another');
      expect(events()).toEqual(['ready']);
      tell(ids[LIVE] as string);
      expect(events()).toEqual(['ready', 'course', 'look']);
    });

    test('who has just come onto a course hears of it in turn, and nobody of one that they are not on', async () => {
      const { events, tell } = await stream('learner');
      const draft = ids[DRAFT] as string;
      tell(draft);
      await pass(1400);
      expect(events()).toEqual(['ready']);
      await putOn(await signedIn(server, 'instructor'), draft, 'noor', 'learner');
      tell(draft);
      await pass(200);
      expect(events()).toEqual(['ready']);
      await told(events);
      expect(events()).toEqual(['ready', 'look']);
    });

    test('who leaves before their turn is told nothing', async () => {
      const { events, tell } = await stream('learner');
      tell(ids[LIVE] as string);
      readers.pop()?.close();
      await pass(1400);
      expect(events()).toEqual(['ready']);
    });
  });

  test('who leaves while listening begins is listened for no longer', async () => {
    const events = new EventEmitter();
    const response = Object.assign(events, {
      status: () => response,
      set: () => response,
      flushHeaders: () => undefined,
      write: () => true,
    });
    let listeners = 0;
    const notices = {
      listen: () => {
        listeners += 1;
        return () => {
          listeners -= 1;
        };
      },
      count: () => listeners,
      stop: () => Promise.resolve(),
    } satisfies Notices;
    const person = await server.database.em.fork().findOneOrFail(PersonRow, { address: PEOPLE.learner });
    const clock = runningClock(new Date(START).toISOString());
    const { database } = server;
    const streaming = streamEvents(response as unknown as Response, {
      database,
      notices,
      clock,
      person,
      session: SESSION,
    });
    expect(listeners).toBe(1);
    events.emit('close');
    await streaming;
    expect(listeners).toBe(0);
  });
});
