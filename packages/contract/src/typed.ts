/** What a route takes and gives, inferred from its schemas: for whoever answers it and for whoever asks. */
import type { z } from 'zod';
import type { Routes, RouteName } from './routes.ts';

/** What one part of a request is once it has been checked; nothing where the route has no such part. */
type Checked<Name extends RouteName, Part extends 'params' | 'query' | 'body'> =
  Routes[Name] extends Readonly<Record<Part, infer Schema extends z.ZodType>>
    ? z.output<Schema>
    : Readonly<Record<string, never>>;

export type ParamsOf<Name extends RouteName> = Checked<Name, 'params'>;
export type QueryOf<Name extends RouteName> = Checked<Name, 'query'>;
export type BodyOf<Name extends RouteName> = Checked<Name, 'body'>;
export type AccessOf<Name extends RouteName> = Routes[Name]['access'];

/** What a client sends as the body; undefined where the route takes none. */
export type SentBody<Name extends RouteName> =
  Routes[Name] extends Readonly<Record<'body', infer Schema extends z.ZodType>> ? z.input<Schema> : undefined;

/** The JSON of an answer; undefined where the route answers with none. */
export type AnswerOf<Name extends RouteName> =
  Routes[Name] extends Readonly<Record<'answer', infer Schema extends z.ZodType>>
    ? z.output<Schema>
    : undefined;

/** The query as a client writes it, before defaults. */
export type QueryInput<Name extends RouteName> =
  Routes[Name] extends Readonly<Record<'query', infer Schema extends z.ZodType>>
    ? z.input<Schema>
    : Readonly<Record<string, never>>;

/** How a request to a route begins: `GET /api/courses/{course}/plan`. No two routes have the same. */
type LineOf<Name extends RouteName> = `${Uppercase<Routes[Name]['method']>} ${Routes[Name]['path']}`;

export type RequestLine = { [Name in RouteName]: LineOf<Name> }[RouteName];

export type RouteAt<Line extends RequestLine> = {
  [Name in RouteName]: LineOf<Name> extends Line ? Name : never;
}[RouteName];
