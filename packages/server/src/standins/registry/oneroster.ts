/** What the register holds as OneRoster 1.2 says it: over REST, and as a bundle of CSV files. */
import { csvOf } from '@itinerary/core';
import type { CsvCell } from '@itinerary/core';
import { strToU8, zipSync } from 'fflate';
import type { Register } from './register.ts';
import type { Held } from './school-year.ts';
import type { Said } from './selection.ts';

const guid = (sourcedId: string, type: string): Said => ({ href: `/${type}s/${sourcedId}`, sourcedId, type });
const SCHOOL = guid('org-ternpoint', 'org');

function told<T extends { readonly sourcedId: string }>(
  table: ReadonlyMap<string, Held<T>>,
  more: (one: T) => Said,
): readonly Said[] {
  return [...table.values()].map(({ one, status, dateLastModified }) => ({
    sourcedId: one.sourcedId,
    status,
    dateLastModified,
    ...more(one),
  }));
}

/** The collections that are served, each by the name under which its answer has it. */
export const COLLECTIONS: Readonly<
  Record<string, { readonly name: string; readonly all: (register: Register) => readonly Said[] }>
> = {
  terms: {
    name: 'academicSessions',
    all: ({ terms }) =>
      told(terms, ({ title, startDate, endDate }) => ({
        title,
        type: 'term',
        startDate,
        endDate,
        schoolYear: endDate.slice(0, 4),
      })),
  },
  courses: {
    name: 'courses',
    all: ({ courses }) => told(courses, ({ title, courseCode }) => ({ title, courseCode, org: SCHOOL })),
  },
  classes: {
    name: 'classes',
    all: ({ classes }) =>
      told(classes, ({ title, classCode, course, term }) => ({
        title,
        classCode,
        classType: 'scheduled',
        course: guid(course, 'course'),
        school: SCHOOL,
        terms: [guid(term, 'academicSession')],
      })),
  },
  users: {
    name: 'users',
    all: ({ users }) =>
      told(users, ({ identifier, givenName, familyName, email, username, role }) => ({
        enabledUser: 'true',
        identifier,
        givenName,
        familyName,
        email,
        username,
        roles: [{ roleType: 'primary', role, org: SCHOOL }],
      })),
  },
  enrollments: {
    name: 'enrollments',
    all: ({ enrolments }) =>
      told(enrolments, (one) => ({
        role: one.role,
        primary: 'false',
        user: guid(one.user, 'user'),
        class: guid(one.class, 'class'),
        school: SCHOOL,
      })),
  },
};

type Columns = Readonly<Record<string, (one: Said) => CsvCell>>;
const own =
  (name: string) =>
  (one: Said): CsvCell =>
    (one[name] as CsvCell | undefined) ?? '';
const idOf =
  (name: string) =>
  (one: Said): CsvCell =>
    (one[name] as { sourcedId: string }).sourcedId;
const BASE: Columns = {
  sourcedId: own('sourcedId'),
  status: own('status'),
  dateLastModified: own('dateLastModified'),
};
const FILES: Readonly<Record<string, { readonly from: string; readonly columns: Columns }>> = {
  'academicSessions.csv': {
    from: 'terms',
    columns: {
      title: own('title'),
      type: own('type'),
      startDate: own('startDate'),
      endDate: own('endDate'),
      schoolYear: own('schoolYear'),
    },
  },
  'courses.csv': {
    from: 'courses',
    columns: { title: own('title'), courseCode: own('courseCode'), orgSourcedId: idOf('org') },
  },
  'classes.csv': {
    from: 'classes',
    columns: {
      title: own('title'),
      courseSourcedId: idOf('course'),
      classCode: own('classCode'),
      classType: own('classType'),
      schoolSourcedId: idOf('school'),
      termSourcedIds: (one) =>
        (one['terms'] as readonly { sourcedId: string }[]).map(({ sourcedId }) => sourcedId).join(','),
    },
  },
  'users.csv': {
    from: 'users',
    columns: {
      enabledUser: own('enabledUser'),
      username: own('username'),
      givenName: own('givenName'),
      familyName: own('familyName'),
      identifier: own('identifier'),
      email: own('email'),
      role: (one) => (one['roles'] as readonly { role: string }[])[0]?.role ?? '',
    },
  },
  'enrollments.csv': {
    from: 'enrollments',
    columns: {
      classSourcedId: idOf('class'),
      schoolSourcedId: idOf('school'),
      userSourcedId: idOf('user'),
      role: own('role'),
      primary: own('primary'),
    },
  },
};

const MANIFEST = ['academicSessions', 'classes', 'courses', 'enrollments', 'users'];

export function bundleOf(register: Register): Uint8Array {
  const files: Record<string, Uint8Array> = {
    'manifest.csv': strToU8(
      csvOf([
        ['propertyName', 'value'],
        ['manifest.version', '1.0'],
        ['oneroster.version', '1.2'],
        ...MANIFEST.map((name) => [`file.${name}`, 'bulk']),
      ]),
    ),
  };
  for (const [name, { from, columns }] of Object.entries(FILES)) {
    const all = COLLECTIONS[from]?.all(register) ?? [];
    const whole = { ...BASE, ...columns };
    const lines = all.map((one) => Object.values(whole).map((cell) => cell(one)));
    files[name] = strToU8(csvOf([Object.keys(whole), ...lines]));
  }
  return zipSync(files);
}
