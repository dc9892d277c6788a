/**
 * A OneRoster CSV bundle (1EdTech OneRoster 1.2, CSV binding) as one list: who is enrolled in which class. What is to be
 * deleted is not there.
 */
import Papa from 'papaparse';
import type { ListRole } from './list-row.ts';
import { tableText } from './table-text.ts';

/** The files of a bundle that a list is made of, by name. */
export const BUNDLE_FILES = ['users.csv', 'enrollments.csv', 'classes.csv'] as const;
export type BundleFile = (typeof BUNDLE_FILES)[number];

type Line = Readonly<Record<string, string>>;

const linesOf = (text: string): readonly Line[] =>
  Papa.parse<Line>(text, { header: true, delimiter: ',', skipEmptyLines: 'greedy' }).data.filter(
    ({ status }) => status?.trim().toLowerCase() !== 'tobedeleted',
  );

/** What OneRoster calls them, as lists do. */
const ROLES: Readonly<Record<string, ListRole>> = {
  student: 'learner',
  teacher: 'instructor',
  aide: 'assistant',
};

/** @returns null: somebody who is in no course of ours, such as a guardian */
export const roleOfRegistry = (role: string): ListRole | null => ROLES[role.trim().toLowerCase()] ?? null;

const HEADINGS = ['Student ID', 'Given name', 'Family name', 'E-mail', 'User name', 'Class', 'Role'];

/**
 * @param files the texts of the bundle's files; without enrolments everybody in it is on the list
 * @returns the list as a text; null: it is no such bundle, since it has no users
 */
export function bundleList(files: Partial<Readonly<Record<BundleFile, string>>>): string | null {
  const { 'users.csv': users, 'enrollments.csv': enrolments, 'classes.csv': classes } = files;
  if (users === undefined) return null;
  const titles = new Map(
    linesOf(classes ?? '').map((one): [string, string] => [
      one['sourcedId'] ?? '',
      one['title'] || one['classCode'] || one['sourcedId'] || '',
    ]),
  );
  const people = new Map(linesOf(users).map((one): [string, Line] => [one['sourcedId'] ?? '', one]));
  const row = (person: Line, inClass: string, role: string): string[] => [
    person['identifier'] || person['sourcedId'] || '',
    person['givenName'] ?? '',
    person['familyName'] ?? '',
    person['email'] ?? '',
    person['username'] ?? '',
    inClass,
    roleOfRegistry(role) ?? role,
  ];
  const rows =
    enrolments === undefined
      ? [...people.values()].map((person) => row(person, '', person['role'] ?? ''))
      : linesOf(enrolments).flatMap((one) => {
          const person = people.get(one['userSourcedId'] ?? '');
          const inClass = one['classSourcedId'] ?? '';
          return person === undefined ? [] : [row(person, titles.get(inClass) ?? inClass, one['role'] ?? '')];
        });
  return tableText([HEADINGS, ...rows]);
}
