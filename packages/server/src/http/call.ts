/** What a handler is called with and what it gives back, inferred from its route in the contract. */
import type {
  AccessOf,
  AnswerOf,
  BodyOf,
  ParamsOf,
  QueryOf,
  RouteAccess,
  RouteName,
} from '@itinerary/contract';
import type { ROUTES } from '@itinerary/contract';
import type { DeepReadonly, Viewer } from '@itinerary/core';
import type { Request } from 'express';
import type { Config } from '../config/config.ts';
import type { Around } from '../db/coming.ts';
import type { KeptCourse } from '../db/kept-courses.ts';
import type { Person } from '../db/entities.ts';
import type { Database, EntityManager } from '../db/orm.ts';
import type { Pulse } from '../db/pulse.ts';
import type { FileStore } from '../files/file-store.ts';
import type { Figures } from '../figures/figures.ts';
import type { Pieces, Whole } from '../files/pieces.ts';
import type { Readers } from '../lanes/readers.ts';
import type { Notices } from '../live/notices.ts';
import type { Cleaning } from '../text/cleaning.ts';
import type { Attempts } from '../usecases/people/attempts.ts';
import type { FileToSend } from '../usecases/files/files.ts';

/** What every answer is made from, whatever asked for it. */
export interface Ground {
  readonly config: Config;
  readonly database: Database;
  readonly pulse: Pulse;
  readonly readers: Readers;
  readonly store: FileStore;
  readonly pieces: Pieces;
  readonly notices: Notices;
  readonly attempts: Attempts;
  readonly cleaning: Cleaning;
  readonly figures: Figures;
}

/** A file as it comes in: its bytes, and how many they are said to be; null: nobody says. */
export interface IncomingFile {
  readonly stream: Whole['stream'];
  readonly announced: number | null;
}

/** For routes that anyone may ask. */
export interface Caller {
  readonly person: Person | null;
}

/** For routes that want somebody who is signed in. */
export interface SignedIn {
  readonly person: Person;
}

/** For routes that name a right in a course. */
export interface CourseCaller extends SignedIn {
  readonly viewer: Viewer;
  readonly loaded: KeptCourse;
  readonly around: Around;
}

/** For routes that read: courses can be open to those who have not signed in. */
export interface CourseReader extends Caller {
  readonly viewer: Viewer;
  readonly loaded: KeptCourse;
  readonly around: Around;
}

export type WhoFor<Access extends RouteAccess> = Access extends 'anyone'
  ? Caller
  : Access extends 'signed_in' | 'create' | 'planner' | 'institution'
    ? SignedIn
    : Access extends 'read' | 'knows'
      ? CourseReader
      : CourseCaller;

/** A request that has the right to its route, its parts checked by the route's schemas. */
export interface Call<Name extends RouteName> extends Ground {
  readonly em: EntityManager;
  readonly now: string;
  readonly request: Request;
  /** Of a route that takes one; of all others it is empty. */
  readonly file: IncomingFile;
  readonly params: ParamsOf<Name>;
  readonly query: QueryOf<Name>;
  readonly body: BodyOf<Name>;
  readonly who: WhoFor<AccessOf<Name>>;
}

type MediaOf<Name extends RouteName> = (typeof ROUTES)[Name] extends { readonly media: infer Media }
  ? Media
  : 'none';

/** What goes out: the JSON that the route's schema describes, a file, a text, or what has been written already. */
export type Answer<Name extends RouteName> =
  MediaOf<Name> extends 'application/octet-stream'
    ? FileToSend
    : MediaOf<Name> extends 'application/json' | 'text/csv' | 'text/calendar' | 'text/plain'
      ? string
      : AnswerOf<Name> extends undefined
        ? void
        : DeepReadonly<AnswerOf<Name>>;

export type Handler<Name extends RouteName> = (call: Call<Name>) => Promise<Answer<Name>>;

/** One handler for each route of a room of the contract. */
export type HandlersOf<Room> = { readonly [Name in keyof Room & RouteName]: Handler<Name> };
