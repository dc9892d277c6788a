/**
 * A class list of 10,000 rows read, guessed and held against a course that has most of them, against the library alone
 * parting the same text into cells. What is found is checked before anything is measured.
 */
import Papa from 'papaparse';
import { readList, reconcile } from '../src/people/index.ts';
import type { Roster } from '../src/people/index.ts';
import { member, rosterOf } from '../test/support/roster.ts';
import type { Comparison } from './measure.ts';

const ROWS = 10_000;
const GIVEN = ['Inês', 'Noor', 'Pavel', 'Kenji', 'Adaeze', 'Tunde', 'Marit', 'María José'];
const FAMILY = [
  'Carvalhal',
  'Rahimi',
  'Dvořan',
  'Morisawa',
  'Okpara',
  'Balewa-Price',
  'Solvang',
  'de la Vega',
];

interface Made {
  readonly id: string;
  readonly given: string;
  readonly family: string;
  readonly address: string;
  readonly inClass: string;
}
const made = (at: number): Made => ({
  id: `T-${100_000 + at}`,
  given: GIVEN[at % GIVEN.length] ?? '',
  family: `${FAMILY[Math.floor(at / 8) % FAMILY.length] ?? ''} ${at}`,
  address: `l${at}@ternpoint.example`,
  inClass: `EFM-210-${at % 40}`,
});

const text = [
  'Class list;;;;',
  'Student ID;Given name;Family name;Email;Class',
  ...Array.from({ length: ROWS }, (_, at) => {
    const { id, given, family, address, inClass } = made(at);
    return [id, given, family, address, inClass].join(';');
  }),
  `Total;${ROWS};;;`,
].join('\n');

/** Every tenth is new, every twentieth has moved to another class, and some have gone. */
const people = rosterOf(
  ...Array.from({ length: ROWS + 50 }, (_, at) => at)
    .filter((at) => at % 10 !== 0)
    .map((at) => {
      const { id, given, family, address, inClass } = made(at);
      const classes = [at % 20 === 1 ? 'EFM-210-x' : inClass];
      return member(`m${at}`, { id, given, family, address, classes });
    }),
);
/** As it comes to the worker, whose objects all have one shape; those that a test puts together have many. */
const roster: Roster = new Map(structuredClone([...people.values()]).map((one) => [one.key, one]));

function read(): ReturnType<typeof reconcile> {
  return reconcile(readList(text).rows, roster);
}

export function listComparisons(): readonly Comparison[] {
  const { outcomes, gone } = read();
  const many = (kind: string): number => outcomes.filter((one) => one.kind === kind).length;
  const found = [many('added'), many('changed'), many('unchanged'), gone.length].join(' ');
  if (found !== '1000 500 8500 45') throw new Error(`the list is read otherwise: ${found}`);
  return [
    {
      name: 'list-10000-vs-papaparse',
      says: 'reading, guessing and reconciling a list of 10,000 rows, against Papa Parse parsing it: times as long',
      count: 3,
      one: () => void Papa.parse(text, { delimiter: ';' }),
      other: () => void read(),
    },
  ];
}
