/** The table of routes, and the OpenAPI document that is made from it. */
import { describe, expect, test } from '@jest/globals';
import { newCourse } from '@itinerary/core';
import { newCourseSchema, openApiDocument, problemCodes, problemSchema, ROUTES } from '../src/index.ts';
import type { Route } from '../src/index.ts';

const routes = Object.entries(ROUTES) as [string, Route][];

describe('routes', () => {
  test('have one address each, below /api', () => {
    const addresses = routes.map(([, { method, path }]) => `${method} ${path}`);
    expect(new Set(addresses).size).toBe(addresses.length);
    for (const [, { path }] of routes) expect(path).toMatch(/^\/api\/[a-z{}/.]+$/);
  });

  test.each(routes)('%s checks every parameter of its address', (_name, { path, params }) => {
    const named = [...path.matchAll(/\{(\w+)\}/g)].map((found) => found[1] as string);
    const values = Object.fromEntries(named.map((name) => [name, 'abc']));
    if (named.length === 0) expect(params).toBeUndefined();
    else {
      expect(params?.safeParse(values).success).toBe(true);
      for (const name of named)
        expect(params?.safeParse({ ...values, [name]: undefined }).success).toBe(false);
    }
  });

  test.each(routes.filter(([, { path }]) => path.includes('{course}')))(
    '%s needs a right in its course',
    (_name, { access }) => {
      expect(['plan', 'state', 'members', 'mark', 'read', 'knows']).toContain(access);
    },
  );

  test.each(routes.filter(([, { method, takesFile }]) => method === 'post' && takesFile !== true))(
    '%s takes what its schema says, and nothing besides',
    (_name, { body }) => {
      expect(body).toBeDefined();
      expect(body?.safeParse({ surprise: true }).success).toBe(false);
      expect(body?.safeParse(null).success).toBe(false);
    },
  );

  test('take a file as it is, or JSON, never both', () => {
    const files = routes.filter(([, { takesFile }]) => takesFile === true);
    expect(files.map(([name]) => name)).toEqual(['upload', 'addWorkFile', 'addMarkFile', 'addPostFile']);
    for (const [, { body }] of files) expect(body).toBeUndefined();
  });

  test('give nothing only where there is nothing to give', () => {
    for (const [, { status, answer, media }] of routes) {
      expect(answer === undefined && media === undefined).toBe(status === 204);
    }
  });
});

describe('the OpenAPI document', () => {
  const document = openApiDocument() as unknown as {
    paths: Record<
      string,
      Record<
        string,
        {
          parameters: { name: string; in: string; required: boolean }[];
          responses: Record<string, object>;
          security?: object[];
        }
      >
    >;
    components: { responses: { Problem: { content: Record<string, { schema: { properties: object } }> } } };
  };

  test('is JSON, and has an operation a route', () => {
    expect(JSON.parse(JSON.stringify(document))).toEqual(document);
    const operations = Object.values(document.paths).flatMap((path) => Object.keys(path));
    expect(operations).toHaveLength(routes.length);
  });

  test.each(routes)('describes %s', (_name, { method, path, status, access }) => {
    const operation = document.paths[path]?.[method];
    expect(operation?.responses).toHaveProperty(String(status));
    expect(operation?.responses).toHaveProperty('default');
    expect(operation?.security === undefined).toBe(access === 'anyone');
    const inPath = (operation?.parameters ?? []).filter((parameter) => parameter.in === 'path');
    expect(inPath.map(({ name }) => `{${name}}`).sort()).toEqual((path.match(/\{\w+\}/g) ?? []).sort());
    for (const { required } of inPath) expect(required).toBe(true);
  });

  test('has problem documents for what goes wrong', () => {
    const problem = document.components.responses.Problem.content['application/problem+json'];
    expect(Object.keys(problem?.schema.properties ?? {})).toEqual(
      expect.arrayContaining(['type', 'title', 'status', 'detail', 'code']),
    );
  });
});

test.each(problemCodes)('a problem may have the code %s', (code) => {
  expect(problemSchema.safeParse({ type: 'urn:x', title: 'X', status: 400, code }).success).toBe(true);
  expect(problemSchema.safeParse({ type: 'urn:x', title: 'X', status: 400, code: `${code}?` }).success).toBe(
    false,
  );
});

describe('a new course', () => {
  const good = {
    title: 'Estuary Field Methods',
    code: 'EFM-210',
    purpose: 'learners',
    department: null,
    term: null,
    firstDay: '2027-01-11',
    weeks: 15,
    zone: 'Europe/Lisbon',
  };

  test('needs no more than the form asks, and makes a course', () => {
    const parsed = newCourseSchema.parse(good);
    const made = newCourse({ ...parsed, id: 'c', sectionIds: ['a', 'b'] });
    expect(made).toMatchObject({
      state: 'draft',
      title: 'Estuary Field Methods',
      dates: { weeks: 15, weekStart: 1 },
    });
    expect(made.sections.map(({ id, title }) => [id, title])).toEqual([
      ['a', null],
      ['b', null],
    ]);
  });

  test.each([
    ['title', ''],
    ['title', 'x'.repeat(201)],
    ['code', 'EFM--210'],
    ['code', '-EFM'],
    ['code', 'x'.repeat(41)],
    ['purpose', 'fun'],
    ['firstDay', '2027-02-29'],
    ['weeks', 0],
    ['weeks', 105],
    ['weeks', 1.5],
    ['zone', 'Mars/Olympus'],
    ['surprise', true],
  ])('refuses %s = %p', (field, value) => {
    expect(newCourseSchema.safeParse({ ...good, [field]: value }).success).toBe(false);
  });

  test.each([
    ['firstDay', null],
    ['code', 'a.b_c-1'],
    ['title', '  trimmed  '],
    ['weeks', 104],
  ])('takes %s = %p', (field, value) => {
    expect(newCourseSchema.safeParse({ ...good, [field]: value }).success).toBe(true);
  });
});

test('every reference in the OpenAPI document leads somewhere in it', () => {
  const document = openApiDocument();
  let count = 0;
  const visit = (value: unknown): void => {
    if (value === null || typeof value !== 'object') return;
    for (const [key, inner] of Object.entries(value)) {
      if (key === '$ref' && typeof inner === 'string') {
        const found = inner
          .slice(2)
          .split('/')
          .reduce<unknown>((here, part) => (here as Record<string, unknown> | undefined)?.[part], document);
        expect({ inner, found: found !== undefined }).toEqual({ inner, found: true });
        count += 1;
      } else visit(inner);
    }
  };
  visit(document);
  // Items in folders refer to themselves, in answers and in what is sent.
  expect(count).toBeGreaterThan(30);
  expect(JSON.stringify(document)).not.toContain('$defs');
});

test('an address says whose it is: of those who plan a course, or of those who read it', () => {
  const rightsOf = (beginning: string): readonly string[] => [
    ...new Set(
      Object.values(ROUTES)
        .filter(({ path }) => path === beginning || path.startsWith(`${beginning}/`))
        .map(({ access }) => access),
    ),
  ];
  expect([...rightsOf('/api/courses/{course}')].sort()).toEqual(['mark', 'members', 'plan']);
  expect(rightsOf('/api/learn/{course}')).toEqual(['read']);
});
