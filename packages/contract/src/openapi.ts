/** The OpenAPI 3.1 document, made from the same Zod schemas that check requests. */
import { z } from 'zod';
import { problemSchema } from './shape/problem.ts';
import { ROUTES } from './routes.ts';
import type { Route } from './shape/route.ts';

type Json = Record<string, unknown>;

/** Schemas that refer to themselves, by name: they live in the document's components. */
type Shared = Record<string, Json>;

function schemaOf(schema: z.ZodType, io: 'input' | 'output', name: string, shared: Shared): Json {
  const made = z.toJSONSchema(schema, { io, unrepresentable: 'any' }) as Json;
  const { $schema: _dialect, $defs: defs = {}, ...own } = made;
  void _dialect;
  // A reference within a schema of its own would point to the root of the whole document here.
  const moved = (value: unknown): unknown => {
    if (Array.isArray(value)) return value.map(moved);
    if (value === null || typeof value !== 'object') return value;
    return Object.fromEntries(
      Object.entries(value).map(([key, inner]) => {
        const isReference = key === '$ref' && typeof inner === 'string';
        if (!isReference) return [key, moved(inner)];
        return [key, inner.replace(/^#\/\$defs\//, `#/components/schemas/${name}_`)];
      }),
    );
  };
  for (const [key, inner] of Object.entries(defs as Record<string, unknown>)) {
    shared[`${name}_${key}`] = moved(inner) as Json;
  }
  return moved(own) as Json;
}

function parameters(where: 'path' | 'query', schema: z.ZodType | undefined): Json[] {
  if (schema === undefined) return [];
  const shape = schemaOf(schema, 'input', where, {});
  const properties = (shape['properties'] ?? {}) as Record<string, Json>;
  const required = new Set((shape['required'] ?? []) as string[]);
  return Object.entries(properties).map(([name, property]) => ({
    name,
    in: where,
    required: where === 'path' || required.has(name),
    schema: property,
  }));
}

function operation(name: string, route: Route, shared: Shared): Json {
  const answer: Json = { description: route.summary };
  if (route.answer !== undefined) {
    const schema = schemaOf(route.answer, 'output', `${name}Answer`, shared);
    answer['content'] = { 'application/json': { schema } };
  }
  if (route.media !== undefined) answer['content'] = { [route.media]: { schema: { type: 'string' } } };
  const made: Json = {
    operationId: name,
    summary: route.summary,
    'x-access': route.access,
    parameters: [...parameters('path', route.params), ...parameters('query', route.query)],
    responses: {
      [String(route.status)]: answer,
      default: { $ref: '#/components/responses/Problem' },
    },
  };
  if (route.access !== 'anyone') made['security'] = [{ session: [] }];
  if (route.takesFile === true) {
    const schema = { type: 'string', format: 'binary' };
    made['requestBody'] = { required: true, content: { 'application/octet-stream': { schema } } };
  }
  if (route.body !== undefined) {
    made['requestBody'] = {
      required: true,
      content: { 'application/json': { schema: schemaOf(route.body, 'input', `${name}Body`, shared) } },
    };
  }
  return made;
}

export function openApiDocument(): Json & { readonly openapi: string } {
  const paths: Record<string, Json> = {};
  const schemas: Shared = {};
  const problem = schemaOf(problemSchema, 'output', 'problem', schemas);
  for (const [name, route] of Object.entries(ROUTES) as [string, Route][]) {
    (paths[route.path] ??= {})[route.method] = operation(name, route, schemas);
  }
  return {
    openapi: '3.1.0',
    info: {
      title: 'Itinerary',
      version: '0.1.0',
      description: 'Set up one course site and read it. Errors are problem documents (RFC 9457).',
    },
    paths,
    components: {
      schemas,
      securitySchemes: { session: { type: 'apiKey', in: 'cookie', name: 'itinerary' } },
      responses: {
        Problem: {
          description: 'What went wrong, as RFC 9457 has it',
          content: { 'application/problem+json': { schema: problem } },
        },
      },
    },
  };
}
