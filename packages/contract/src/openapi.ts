/** The OpenAPI 3.1 document, made from the same Zod schemas that check requests. */
import { z } from 'zod';
import { problemSchema } from './problem.ts';
import { ROUTES } from './routes.ts';
import type { Route } from './routes.ts';

type Json = Record<string, unknown>;

function schemaOf(schema: z.ZodType, io: 'input' | 'output'): Json {
  const made = z.toJSONSchema(schema, { io, unrepresentable: 'any' }) as Json;
  delete made['$schema'];
  return made;
}

function parameters(where: 'path' | 'query', schema: z.ZodType | undefined): Json[] {
  if (schema === undefined) return [];
  const shape = schemaOf(schema, 'input');
  const properties = (shape['properties'] ?? {}) as Record<string, Json>;
  const required = new Set((shape['required'] ?? []) as string[]);
  return Object.entries(properties).map(([name, property]) => ({
    name,
    in: where,
    required: where === 'path' || required.has(name),
    schema: property,
  }));
}

function operation(name: string, route: Route): Json {
  const answer: Json = { description: route.summary };
  if (route.answer !== undefined) {
    answer['content'] = { 'application/json': { schema: schemaOf(route.answer, 'output') } };
  }
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
  if (route.body !== undefined) {
    made['requestBody'] = {
      required: true,
      content: { 'application/json': { schema: schemaOf(route.body, 'input') } },
    };
  }
  return made;
}

export function openApiDocument(): Json {
  const paths: Record<string, Json> = {};
  for (const [name, route] of Object.entries(ROUTES) as [string, Route][]) {
    (paths[route.path] ??= {})[route.method] = operation(name, route);
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
      securitySchemes: { session: { type: 'apiKey', in: 'cookie', name: 'itinerary' } },
      responses: {
        Problem: {
          description: 'What went wrong, as RFC 9457 has it',
          content: { 'application/problem+json': { schema: schemaOf(problemSchema, 'output') } },
        },
      },
    },
  };
}
