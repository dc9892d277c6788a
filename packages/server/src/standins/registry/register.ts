/**
 * A stand-in for the registry of a college: what has happened is a list of what was pressed, so that the same presses
 * make the same registry, and a fallen one is what it was.
 */
import { appendFileSync, existsSync, mkdirSync, readFileSync } from 'node:fs';
import { dirname } from 'node:path';
import { schoolYear } from './school-year.ts';
import type { Enrolment, Held, SchoolClass, Subject, Term, User } from './school-year.ts';

/** What time brings. */
export const EVENTS = ['late', 'drop', 'split', 'one', 'teacher', 'address', 'broken', 'mended'] as const;
export type RegistryEvent = (typeof EVENTS)[number];

/** How it answers. `down`: not at all; `failing`: that it cannot; `halfway`: it fails in the middle of a list. */
export const MOODS = ['up', 'down', 'failing', 'halfway'] as const;
export type Mood = (typeof MOODS)[number];

export interface Happened {
  readonly event: RegistryEvent;
  readonly at: string;
  /** In words, for its page. */
  readonly says: string;
}

interface Settings {
  /** ISO 8601: the day that it begins on. */
  readonly today: string;
  /** Null: what happens is kept in memory alone. */
  readonly file: string | null;
}

type Table<T> = Map<string, Held<T>>;

/** Written in one encoding and read in another, as registries do. */
const inPieces = (name: string): string => new TextDecoder('latin1').decode(new TextEncoder().encode(name));
const plain = (text: string): boolean => /^[ -~]*$/.test(text);

export class Register {
  mood: Mood = 'up';
  readonly happened: Happened[] = [];
  readonly terms: Table<Term>;
  readonly courses: Table<Subject>;
  readonly classes: Table<SchoolClass>;
  readonly users: Table<User>;
  readonly enrolments: Table<Enrolment>;

  private readonly today: string;

  constructor(private readonly settings: Settings) {
    const { file } = settings;
    const lines = file !== null && existsSync(file) ? readFileSync(file, 'utf8').split('\n') : [];
    // A line that a fall cut in the middle never happened.
    const whole = lines.filter((line) => line.endsWith('}')).map((line): unknown => JSON.parse(line));
    // It goes on from the day on which it first began, whatever day it is started again.
    const first = whole[0] as { today: string } | undefined;
    const events = whole.slice(1) as readonly Happened[];
    this.today = first?.today ?? settings.today;
    const begun = `${this.today}T00:00:00.000Z`;
    const table = <T extends { readonly sourcedId: string }>(all: readonly T[]): Table<T> =>
      new Map(all.map((one) => [one.sourcedId, { one, status: 'active', dateLastModified: begun }]));
    const year = schoolYear(this.today);
    this.terms = table(year.terms);
    this.courses = table(year.courses);
    this.classes = table(year.classes);
    this.users = table(year.users);
    this.enrolments = table(year.enrolments);
    for (const { event, at } of events) this.pass(event, at);
    if (file === null || first !== undefined) return;
    mkdirSync(dirname(file), { recursive: true });
    appendFileSync(file, `${JSON.stringify({ today: this.today })}\n`);
  }

  happen(event: RegistryEvent): Happened | null {
    const at = new Date().toISOString();
    const says = this.pass(event, at);
    if (says === null) return null;
    const { file } = this.settings;
    if (file !== null) appendFileSync(file, `${JSON.stringify({ event, at })}\n`);
    return this.happened.at(-1) ?? null;
  }

  /** @returns null where there is nothing left that it could happen to */
  private pass(event: RegistryEvent, at: string): string | null {
    const says = this.change(event, at);
    if (says !== null) this.happened.push({ event, at, says });
    return says;
  }

  private change(event: RegistryEvent, at: string): string | null {
    switch (event) {
      case 'late':
        return this.late(at);
      case 'drop':
        return this.drop(at);
      case 'split':
        return this.split(at);
      case 'one':
        return this.taughtAsOne(at);
      case 'teacher':
        return this.otherTeacher(at);
      case 'address':
        return this.otherAddress(at);
      case 'broken':
        return this.breakName(at);
      case 'mended':
        return this.mendName(at);
    }
  }

  private put<T extends { readonly sourcedId: string }>(table: Table<T>, one: T, at: string): void {
    table.set(one.sourcedId, { one, status: 'active', dateLastModified: at });
  }
  private end<T extends { readonly sourcedId: string }>(table: Table<T>, one: T, at: string): void {
    table.set(one.sourcedId, { one, status: 'tobedeleted', dateLastModified: at });
  }

  private active<T>(table: Table<T>): readonly T[] {
    return [...table.values()].flatMap(({ one, status }) => (status === 'active' ? [one] : []));
  }

  private enrolledIn(inClass: string, role: Enrolment['role'] = 'student'): readonly Enrolment[] {
    return this.active(this.enrolments).filter((one) => one.class === inClass && one.role === role);
  }

  private enrol(user: string, inClass: string, role: Enrolment['role'], at: string): void {
    const sourcedId = `enr-${inClass.slice(4)}-${user.slice(4)}`;
    this.put(this.enrolments, { sourcedId, user, class: inClass, role }, at);
  }

  private called(id: string): string {
    const user = this.users.get(id)?.one;
    return user === undefined ? id : `${user.givenName} ${user.familyName}`;
  }

  /** Turn by turn, so that each of them has its share. */
  private nextClass(event: RegistryEvent): SchoolClass | null {
    const all = this.active(this.classes);
    const times = this.happened.filter((one) => one.event === event).length;
    return all[times % Math.max(1, all.length)] ?? null;
  }

  private late(at: string): string | null {
    const into = this.nextClass('late');
    if (into === null) return null;
    const there = new Set(
      this.active(this.enrolments).flatMap((one) => (one.class === into.sourcedId ? [one.user] : [])),
    );
    const fresh = this.active(this.users)
      .filter(({ sourcedId, role }) => role === 'student' && !there.has(sourcedId))
      .slice(-2);
    if (fresh.length === 0) return null;
    for (const { sourcedId } of fresh) this.enrol(sourcedId, into.sourcedId, 'student', at);
    return `${fresh.map(({ sourcedId }) => this.called(sourcedId)).join(' and ')} came late into ${into.title}`;
  }

  private drop(at: string): string | null {
    const from = this.nextClass('drop');
    const [one] = from === null ? [] : this.enrolledIn(from.sourcedId).slice(1);
    if (from === null || one === undefined) return null;
    this.end(this.enrolments, one, at);
    return `${this.called(one.user)} dropped ${from.title}`;
  }

  private split(at: string): string | null {
    const [from] = [...this.active(this.classes)].sort(
      (a, b) => this.enrolledIn(b.sourcedId).length - this.enrolledIn(a.sourcedId).length,
    );
    if (from === undefined) return null;
    const learners = this.enrolledIn(from.sourcedId);
    if (learners.length < 2) return null;
    const of = this.active(this.classes).filter(({ course }) => course === from.course).length;
    const letter = String.fromCharCode(65 + of);
    const stem = from.classCode.slice(0, -2);
    const made = {
      ...from,
      sourcedId: `${from.sourcedId}-${this.happened.length}`,
      classCode: `${stem}-${letter}`,
      title: `${stem} ${letter}`,
    };
    this.put(this.classes, made, at);
    for (const { user } of this.enrolledIn(from.sourcedId, 'teacher'))
      this.enrol(user, made.sourcedId, 'teacher', at);
    for (const one of learners.slice(Math.ceil(learners.length / 2))) {
      this.end(this.enrolments, one, at);
      this.enrol(one.user, made.sourcedId, 'student', at);
    }
    return `${from.title} was split: half of it is ${made.title} now`;
  }

  private taughtAsOne(at: string): string | null {
    const all = this.active(this.classes);
    const pair = all.flatMap((one, i) =>
      all
        .slice(i + 1)
        .filter(({ course }) => course === one.course)
        .map((two) => [one, two] as const),
    )[0];
    if (pair === undefined) return null;
    const [into, from] = pair;
    for (const role of ['student', 'teacher'] as const) {
      for (const one of this.enrolledIn(from.sourcedId, role)) {
        this.end(this.enrolments, one, at);
        this.enrol(one.user, into.sourcedId, role, at);
      }
    }
    this.end(this.classes, from, at);
    return `${from.title} is taught together with ${into.title} now, as ${into.title}`;
  }

  private otherTeacher(at: string): string | null {
    const of = this.nextClass('teacher');
    if (of === null) return null;
    const teachers = this.active(this.users).filter(({ role }) => role === 'teacher');
    const before = this.enrolledIn(of.sourcedId, 'teacher');
    const next = teachers.find(({ sourcedId }) => before.every(({ user }) => user !== sourcedId));
    if (next === undefined) return null;
    for (const one of before) this.end(this.enrolments, one, at);
    this.enrol(next.sourcedId, of.sourcedId, 'teacher', at);
    return `${this.called(next.sourcedId)} teaches ${of.title} now`;
  }

  private student(which: number): User | null {
    const [first] = this.active(this.classes);
    const ids = first === undefined ? [] : this.enrolledIn(first.sourcedId).map(({ user }) => user);
    return this.users.get(ids[which % Math.max(1, ids.length)] ?? '')?.one ?? null;
  }

  private otherAddress(at: string): string | null {
    const times = this.happened.filter(({ event }) => event === 'address').length;
    const user = this.student(2 + times);
    if (user === null) return null;
    const email = `${user.username}.${String(times + 2)}@ternpoint.example`;
    this.put(this.users, { ...user, email }, at);
    return `The address of ${this.called(user.sourcedId)} is ${email} now`;
  }

  private breakName(at: string): string | null {
    const user = this.active(this.users).find(
      ({ role, givenName, familyName }) =>
        role === 'student' &&
        !plain(`${givenName}${familyName}`) &&
        !/Ã|Å|Ä/.test(`${givenName}${familyName}`),
    );
    if (user === undefined) return null;
    const before = this.called(user.sourcedId);
    this.put(
      this.users,
      { ...user, givenName: inPieces(user.givenName), familyName: inPieces(user.familyName) },
      at,
    );
    return `The name of ${before} came out in pieces: ${this.called(user.sourcedId)}`;
  }

  private mendName(at: string): string | null {
    const year = schoolYear(this.today);
    const user = year.users.find((one) => {
      const now = this.users.get(one.sourcedId)?.one;
      return now !== undefined && (now.givenName !== one.givenName || now.familyName !== one.familyName);
    });
    const now = user === undefined ? undefined : this.users.get(user.sourcedId)?.one;
    if (user === undefined || now === undefined) return null;
    this.put(this.users, { ...now, givenName: user.givenName, familyName: user.familyName }, at);
    return `The name of ${this.called(user.sourcedId)} is whole again`;
  }
}
