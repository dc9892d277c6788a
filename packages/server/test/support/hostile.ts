/**
 * Requests made from the OpenAPI document alone, as somebody would make them who has read it and means harm: what an
 * operation takes, with real ids in it; and the same, broken.
 */
import fc from 'fast-check';

export type Json = { readonly [key: string]: unknown };

export interface Operation {
  readonly operationId: string;
  readonly method: 'get' | 'post' | 'put' | 'delete';
  readonly path: string;
  readonly parameters: readonly {
    readonly name: string;
    readonly in: 'path' | 'query';
    readonly schema: Json;
  }[];
  /** Null: it takes none. `binary`: a file as it is. */
  readonly body: Json | 'binary' | null;
}

interface Document {
  readonly paths: Readonly<Record<string, Readonly<Record<string, Json>>>>;
  readonly components: { readonly schemas: Readonly<Record<string, Json>> };
}

export interface Api {
  readonly operations: readonly Operation[];
  readonly schemas: Readonly<Record<string, Json>>;
}

export function readApi(document: unknown): Api {
  const { paths, components } = document as Document;
  const operations = Object.entries(paths).flatMap(([path, methods]) =>
    Object.entries(methods).map(([method, said]): Operation => {
      const {
        operationId,
        parameters = [],
        requestBody,
      } = said as unknown as {
        operationId: string;
        parameters?: Operation['parameters'];
        requestBody?: { content: Record<string, { schema: Json }> };
      };
      const content = requestBody?.content ?? {};
      const json = content['application/json']?.schema;
      const body = json ?? ('application/octet-stream' in content ? 'binary' : null);
      return { operationId, method: method as Operation['method'], path, parameters, body };
    }),
  );
  return { operations, schemas: components.schemas };
}

/** Numbers and words that have broken something somewhere. */
const ODD: readonly unknown[] = [
  ...[
    null,
    true,
    false,
    0,
    -1,
    -0,
    1.5,
    1e21,
    Number.MAX_SAFE_INTEGER,
    '',
    ' ',
    '\u0000',
    '\ud800',
    '🌊',
    'a'.repeat(3000),
  ],
  ...[
    [],
    {},
    [[]],
    { a: {} },
    'constructor',
    '__proto__',
    'toString',
    "'; drop table course; --",
    '%00',
    '../..',
    '${x}',
  ],
  ...[
    '2027-02-30',
    '9999-12-31',
    '0000-00-00',
    '24:00',
    'NaN',
    'undefined',
    '<script>x</script>',
    '\u202e',
    '-'.repeat(65),
  ],
];

/** What a schema takes; strings are real ids where they can be. */
export function valueFor(
  schema: Json,
  { schemas }: Api,
  ids: readonly string[],
  depth = 0,
): fc.Arbitrary<unknown> {
  const into = (inner: unknown): fc.Arbitrary<unknown> =>
    valueFor(inner as Json, { schemas, operations: [] }, ids, depth + 1);
  if (typeof schema['$ref'] === 'string') {
    const name = schema['$ref'].replace('#/components/schemas/', '');
    return depth > 8 ? fc.constant(null) : into(schemas[name] ?? {});
  }
  if ('const' in schema) return fc.constant(schema['const']);
  if (Array.isArray(schema['enum'])) return fc.constantFrom(...(schema['enum'] as unknown[]));
  const ways = (schema['anyOf'] ?? schema['oneOf']) as readonly Json[] | undefined;
  if (ways !== undefined) return fc.oneof(...ways.map(into));
  switch (schema['type']) {
    case 'object': {
      const {
        properties = {},
        required = [],
        additionalProperties,
      } = schema as {
        properties?: Record<string, Json>;
        required?: string[];
        additionalProperties?: Json | boolean;
      };
      const known = Object.fromEntries(Object.entries(properties).map(([key, inner]) => [key, into(inner)]));
      if (Object.keys(known).length > 0) return fc.record(known, { requiredKeys: required });
      const entry = typeof additionalProperties === 'object' ? into(additionalProperties) : fc.constant(1);
      return depth > 6
        ? fc.constant({})
        : fc.dictionary(fc.constantFrom('a', 'b', ...ids.slice(0, 3)), entry, { maxKeys: 2 });
    }
    case 'array':
      return depth > 8
        ? fc.constant([])
        : fc.array(into(schema['items'] ?? {}), {
            maxLength: 2,
            minLength: Math.min(Number(schema['minItems'] ?? 0), 3),
          });
    case 'string':
      return stringFor(schema, ids);
    case 'integer':
    case 'number': {
      const [least, most] = [Number(schema['minimum'] ?? -5), Number(schema['maximum'] ?? 5000)];
      return fc.integer({ min: Math.ceil(Math.max(least, -1e6)), max: Math.floor(Math.min(most, 1e6)) });
    }
    case 'boolean':
      return fc.boolean();
    case 'null':
      return fc.constant(null);
    default:
      return fc.constantFrom<unknown>(null, 'x', 1, {}, ...ids.slice(0, 2));
  }
}

function stringFor(schema: Json, ids: readonly string[]): fc.Arbitrary<string> {
  const { pattern, format } = schema as { pattern?: string; format?: string };
  const fitting = pattern === undefined ? ids : ids.filter((id) => new RegExp(pattern).test(id));
  const plain = fc.constantFrom(
    'Mud',
    'a',
    'https://terns.example/x',
    '2027-03-01',
    '09:30',
    'Europe/Lisbon',
    'UTC',
    '<p>Mud</p>',
  );
  if (format === 'date-time') return fc.constant('2027-02-16T09:42:00.000Z');
  if (format === 'email') return fc.constantFrom('somebody@away.example', 'Some.Body@away.example');
  // What looks ahead is not made from its pattern: an address on this site is the one such text there is.
  if (pattern?.includes('(?!') === true) return fc.constantFrom('/desk', '/join/ABCDEFGHJK');
  if (pattern === undefined)
    return fc.oneof({ weight: 2, arbitrary: plain }, { weight: 1, arbitrary: fc.constantFrom(...ids) });
  const made = fc.stringMatching(new RegExp(pattern)).filter((text) => text.length < 300);
  if (fitting.length === 0) return made;
  return fc.oneof({ weight: 3, arbitrary: fc.constantFrom(...fitting) }, { weight: 1, arbitrary: made });
}

/** The same with something in it that was not asked for. */
export function broken(value: fc.Arbitrary<unknown>): fc.Arbitrary<unknown> {
  return fc
    .tuple(value, fc.nat({ max: 60 }), fc.constantFrom(...ODD), fc.boolean())
    .map(([whole, at, odd, drops]) => {
      let left = at;
      const walk = (one: unknown): unknown => {
        if (left === 0) {
          left -= 1;
          return drops ? undefined : odd;
        }
        left -= 1;
        if (Array.isArray(one)) return one.map(walk);
        if (one === null || typeof one !== 'object') return one;
        return Object.fromEntries(Object.entries(one).map(([key, inner]) => [key, walk(inner)]));
      };
      const made = walk(whole);
      return left >= 0 ? odd : made;
    });
}

export interface Made {
  readonly path: string;
  readonly body: unknown;
}

/** A request to an operation: an address with real ids, and a body that it takes, or one that it does not. */
export function requestTo(
  api: Api,
  operation: Operation,
  ids: Readonly<Record<string, readonly string[]>>,
  isBroken: boolean,
): fc.Arbitrary<Made> {
  const all = [...new Set(Object.values(ids).flat())];
  const parameter = ({ name, in: where, schema }: Operation['parameters'][number]): fc.Arbitrary<string> => {
    const own = where === 'path' ? (ids[name] ?? all) : all;
    const good = where === 'path' ? fc.constantFrom(...own) : valueFor(schema, api, own).map(String);
    return isBroken
      ? fc.oneof(
          { weight: 4, arbitrary: good },
          { weight: 1, arbitrary: fc.constantFrom(...ODD).map(String) },
        )
      : good;
  };
  const named = Object.fromEntries(
    operation.parameters.map((one) => [`${one.in} ${one.name}`, parameter(one)]),
  );
  const good: fc.Arbitrary<unknown> =
    operation.body === null || operation.body === 'binary'
      ? fc.constant(undefined)
      : valueFor(operation.body, api, all);
  const body = operation.body !== null && operation.body !== 'binary' && isBroken ? broken(good) : good;
  return fc.tuple(fc.record(named), body).map(([values, made]) => {
    let { path } = operation;
    const query = new URLSearchParams();
    for (const one of operation.parameters) {
      const value = values[`${one.in} ${one.name}`] ?? '';
      if (one.in === 'path')
        path = path.replace(`{${one.name}}`, encodeURIComponent(value.replaceAll(/\p{Surrogate}/gu, '')));
      else query.set(one.name, value);
    }
    const asked = query.toString();
    return { path: asked === '' ? path : `${path}?${asked}`, body: made };
  });
}
