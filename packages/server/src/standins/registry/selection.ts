/** `filter`, `sort`, `orderBy`, `fields`, `limit` and `offset` of the OneRoster 1.2 REST binding. */

export type Said = Readonly<Record<string, unknown>>;

/** What is asked cannot be answered: told as the standard tells it. */
export class BadSelection extends Error {}

type Operator = '=' | '!=' | '>' | '>=' | '<' | '<=' | '~';
const TERM = /^\s*([A-Za-z.]+)\s*(!=|>=|<=|=|>|<|~)\s*'([^']*)'\s*$/;
const MOST = 1000;
const USUAL = 100;

function valueAt(one: Said, path: string): unknown {
  return path.split('.').reduce<unknown>((at, key) => (at as Said | undefined)?.[key], one);
}

function holds(value: unknown, operator: Operator, wanted: string): boolean {
  const text = typeof value === 'string' || typeof value === 'number' ? String(value) : '';
  switch (operator) {
    case '=':
      return text === wanted;
    case '!=':
      return text !== wanted;
    case '>':
      return text > wanted;
    case '>=':
      return text >= wanted;
    case '<':
      return text < wanted;
    case '<=':
      return text <= wanted;
    case '~':
      return text.includes(wanted);
  }
}

/** One comparison, or two joined by AND or OR. */
function predicate(filter: string): (one: Said) => boolean {
  const isEither = / OR /i.test(filter);
  const tests = filter.split(/ (?:AND|OR) /i).map((term) => {
    const found = TERM.exec(term);
    if (found === null) throw new BadSelection(`filter: "${term.trim()}" is no comparison`);
    const [, path = '', operator, wanted = ''] = found;
    return (one: Said) => holds(valueAt(one, path), operator as Operator, wanted);
  });
  return (one) => (isEither ? tests.some((test) => test(one)) : tests.every((test) => test(one)));
}

function wholeNumber(name: string, text: string | undefined, usual: number, most: number): number {
  if (text === undefined) return usual;
  const number = Number(text);
  if (!Number.isInteger(number) || number < 0 || number > most) {
    throw new BadSelection(`${name}: "${text}" is not a whole number up to ${most}`);
  }
  return number;
}

export interface Selected {
  readonly all: readonly Said[];
  readonly total: number;
  readonly limit: number;
  readonly offset: number;
}

/** @throws BadSelection */
export function select(all: readonly Said[], query: Readonly<Record<string, string | undefined>>): Selected {
  const limit = wholeNumber('limit', query['limit'], USUAL, MOST);
  const offset = wholeNumber('offset', query['offset'], 0, Number.MAX_SAFE_INTEGER);
  const { filter, sort = 'sourcedId', orderBy = 'asc', fields } = query;
  const found = filter === undefined ? [...all] : all.filter(predicate(filter));
  const sign = orderBy === 'desc' ? -1 : 1;
  const key = (one: Said): string => String(valueAt(one, sort) ?? '');
  found.sort((a, b) => (key(a) < key(b) ? -sign : key(a) > key(b) ? sign : 0));
  const wanted = fields?.split(',').map((name) => name.trim());
  const page = found.slice(offset, offset + limit);
  return {
    all:
      wanted === undefined
        ? page
        : page.map((one) => Object.fromEntries(wanted.map((name) => [name, one[name]]))),
    total: found.length,
    limit,
    offset,
  };
}
