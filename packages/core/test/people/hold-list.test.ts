/** A list from what was sent to what would happen, in one reckoning. */
import { expect, test } from '@jest/globals';
import { holdList, MAX_LIST_COLUMNS } from '../../src/people/index.ts';
import type { Holding, HoldingStep, ListColumn, RosterMember } from '../../src/people/index.ts';

const nobody: Omit<Holding, 'list'> = {
  roster: new Map(),
  choices: {},
  answers: new Map(),
  only: null,
  kept: [],
};
const held = (list: Holding['list'], more: Partial<Holding> = {}) => {
  const answer = holdList({ ...nobody, ...more, list });
  if (!answer.ok) throw new Error(answer.refusal.code);
  return answer;
};
const columnsOf = ({ reading }: ReturnType<typeof held>): readonly ListColumn[] =>
  reading.columns.map(({ column }) => column);

const SOMEBODY: RosterMember = {
  key: '',
  id: null,
  given: null,
  family: null,
  name: null,
  address: null,
  userName: null,
  classes: [],
  groups: [],
  role: 'learner',
  state: 'in',
  isPlace: false,
  isListed: false,
  cells: null,
};
const TEXT = 'Student ID;Name;Shore\n1001;Maëlle Tréguier;North\n1002;Odhran Keane;South';
const heading = ['Student ID', 'Name', 'Shore'];

test('a file is decoded, and each step is told before it', () => {
  const bytes = Uint8Array.from([...TEXT].map((sign) => sign.charCodeAt(0)));
  const steps: HoldingStep[] = [];
  const answer = holdList({ ...nobody, list: bytes }, (step) => steps.push(step));
  expect(steps).toEqual(['decoding', 'reading', 'reconciling']);
  expect(answer).toMatchObject({ ok: true, encoding: 'windows-1252' });
  expect(answer.ok && answer.reading.rows[0]?.name).toBe('Maëlle Tréguier');
  expect(held(TEXT).encoding).toBeNull();
});

test('what no list can be is refused before it is read', () => {
  const wide = ';'.repeat(MAX_LIST_COLUMNS);
  const answer = holdList({ ...nobody, list: wide });
  expect(answer).toMatchObject({ ok: false, refusal: { code: 'too_many_columns', line: 1 } });
});

test('the columns of an earlier list with the same headings are read as they were, the latest first', () => {
  const columns: ListColumn[] = ['id', 'name', 'class'];
  expect(columnsOf(held(TEXT))).toEqual(['id', 'name', 'ignored']);
  const kept = [
    { heading: ['Student ID', 'Name'], columns: ['userName', 'name'] as ListColumn[] },
    { heading, columns },
    { heading, columns: ['userName', 'name', 'ignored'] as ListColumn[] },
  ];
  const answer = held(TEXT, { kept });
  expect([columnsOf(answer), answer.isKept]).toEqual([columns, true]);
  expect(answer.reconciliation.outcomes.map((one) => one.kind === 'added' && one.entry.classes)).toEqual([
    ['North'],
    ['South'],
  ]);
  // Chosen now, it is as chosen now.
  expect(columnsOf(held(TEXT, { kept, choices: { columns: { 2: 'group' } } }))).toEqual([
    'id',
    'name',
    'group',
  ]);
  // A list that has no headings is no list of the same headings.
  expect(held('1001;Maëlle Tréguier\n1002;Odhran Keane', { kept: [{ heading: null, columns }] }).isKept).toBe(
    false,
  );
});

test('headings that nobody recognises are known again once somebody has explained them', () => {
  const text = TEXT.replace('Student ID;Name;Shore', 'Nr;Who;Shore');
  expect(held(text).reading.heading).toBeNull();
  const answer = held(text, {
    kept: [{ heading: ['Nr', 'Who', 'Shore'], columns: ['id', 'name', 'class'] }],
  });
  expect(answer.isKept).toBe(true);
  expect(answer.reading.rows).toMatchObject([
    { id: '1001', name: 'Maëlle Tréguier', class: 'North' },
    { id: '1002', class: 'South' },
  ]);
});

test('of a list of several classes those count that are wanted, and all are named', () => {
  const list =
    'Student ID;Name;Class\n1;Ada Ness;North\n2;Odhran Keane;South\n3;Wren Aldous-Bay;North\n4;Tove Ness;';
  const answer = held(list, { only: ['North'] });
  expect(answer.reading.rows.map(({ id }) => id)).toEqual(['1', '3']);
  expect(answer.classes).toEqual([
    { name: 'North', rows: 2 },
    { name: 'South', rows: 1 },
  ]);
  expect(answer.reconciliation.outcomes).toHaveLength(2);
});

test('an answer can be changed: what was asked stays asked, and whoever is left out is told', () => {
  const roster = new Map([['k', { ...SOMEBODY, key: 'k', name: 'Maëlle Tréguier' }]]);
  const list = 'Name\nMaëlle Tréguier\nTove Ness';
  const before = held(list, { roster });
  const [question] = before.questions;
  const key = question?.kind === 'possible' ? question.entry.key : '';
  const after = held(list, { roster, answers: new Map([[key, { is: 'nobody' as const }]]) });
  expect(after.questions).toEqual(before.questions);
  expect(after.left.map(({ row }) => row.name)).toEqual(['Maëlle Tréguier']);
  expect(after.reconciliation.outcomes).toHaveLength(1);
  expect(before.left).toEqual([]);
});

test('what would be read so anyway is not said to be remembered', () => {
  expect(held(TEXT, { kept: [{ heading, columns: ['id', 'name', 'ignored'] }] }).isKept).toBe(false);
});
