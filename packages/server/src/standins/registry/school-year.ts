/** What the stand-in for a registry has before any time passes: the college's terms, courses, classes and people. */
import { demoCalendar } from '../../demo/calendar.ts';
import { addressOf, DEMO_PEOPLE } from '../../demo/people.ts';

export interface Term {
  readonly sourcedId: string;
  readonly title: string;
  readonly startDate: string;
  readonly endDate: string;
}
export interface Subject {
  readonly sourcedId: string;
  readonly courseCode: string;
  readonly title: string;
}
export interface SchoolClass {
  readonly sourcedId: string;
  readonly course: string;
  readonly term: string;
  readonly classCode: string;
  readonly title: string;
}
export interface User {
  readonly sourcedId: string;
  readonly identifier: string;
  readonly givenName: string;
  readonly familyName: string;
  readonly email: string;
  readonly username: string;
  readonly role: 'student' | 'teacher';
}
export interface Enrolment {
  readonly sourcedId: string;
  readonly user: string;
  readonly class: string;
  readonly role: 'student' | 'teacher' | 'aide';
}
/** Of everything that there is or was: `tobedeleted` is still told, so that whoever reads hears of it. */
export interface Held<T> {
  readonly one: T;
  readonly status: 'active' | 'tobedeleted';
  readonly dateLastModified: string;
}

export interface SchoolYear {
  readonly terms: readonly Term[];
  readonly courses: readonly Subject[];
  readonly classes: readonly SchoolClass[];
  readonly users: readonly User[];
  readonly enrolments: readonly Enrolment[];
}

/** Who has no account of the college's yet. */
const NEWCOMERS = [
  'Amara Nwosu-Bell',
  'Bruno Castelhano',
  'Ciara Ní Dhuibhne',
  'Daoud Ferhat',
  'Elif Karaca',
  'Fionn Ashgrove',
  'Giulia Brandolin',
  'Hedda Lindqvist',
  'Iker Zubiaurre',
  'Joséphine Mbarga',
  'Kofi Ansah-Reed',
  'Linnea Sjöberg',
  'Mirela Vukčević',
  'Nadia Chraïbi',
  'Orla Penhallow',
  'Petra Hlaváčková',
  'Rafiq Mohsin',
  'Sunniva Aas',
  'Thandeka Mokoena',
  'Uxía Souto',
  'Viggo Rask',
  'Wiremu Paki',
  'Yara Antoun',
  'Zenón Abril',
] as const;

const COURSES: readonly Subject[] = [
  { sourcedId: 'crs-efm-210', courseCode: 'EFM-210', title: 'Estuary Field Methods' },
  { sourcedId: 'crs-fsk-105', courseCode: 'FSK-105', title: 'Field Sketching' },
  { sourcedId: 'crs-tid-140', courseCode: 'TID-140', title: 'Tides and Currents' },
];

/** Course, class, who teaches it, and which of the learners are in it. */
const CLASSES = [
  ['crs-efm-210', 'A', 'Inês Carvalhal', 0, 16],
  ['crs-efm-210', 'B', 'Inês Carvalhal', 16, 30],
  ['crs-fsk-105', 'A', 'Tunde Balewa-Price', 30, 44],
  ['crs-tid-140', 'A', 'Inês Carvalhal', 4, 20],
  ['crs-tid-140', 'B', 'Saoirse Quill', 40, 54],
] as const;

function userOf(name: string, at: number, role: User['role']): User {
  const [given = '', ...rest] = name.split(' ');
  const email = addressOf(name);
  return {
    sourcedId: `usr-${String(at + 1).padStart(4, '0')}`,
    identifier: `${role === 'teacher' ? 'T' : 'L'}${String(4100 + at)}`,
    givenName: given,
    familyName: rest.join(' '),
    email,
    username: email.slice(0, email.indexOf('@')),
    role,
  };
}

/** @param today the day that it begins on: classes are of the term that comes */
export function schoolYear(today: string): SchoolYear {
  const { current, next } = demoCalendar(today);
  const terms = [current, next].map(({ code, name, firstDay, lastDay }) => ({
    sourcedId: `trm-${code.toLowerCase()}`,
    title: name,
    startDate: firstDay,
    // The first day after it, as the standard has it.
    endDate: new Date(Date.parse(lastDay) + 86_400_000).toISOString().slice(0, 10),
  }));
  const term = terms[1]?.sourcedId ?? '';
  const teachers = DEMO_PEOPLE.filter(({ kind }) => kind === 'teaching').map(({ name }) => name);
  const learners = [
    ...DEMO_PEOPLE.filter(({ kind, part }) => kind === 'learner' && part !== 'assistant').map(
      ({ name }) => name,
    ),
    ...NEWCOMERS,
  ];
  const users = [
    ...learners.map((name, at) => userOf(name, at, 'student')),
    ...teachers.map((name, at) => userOf(name, 900 + at, 'teacher')),
  ];
  const idOf = (name: string): string =>
    users.find(({ email }) => email === addressOf(name))?.sourcedId ?? '';
  const classes = CLASSES.map(([course, letter]) => {
    const code = COURSES.find(({ sourcedId }) => sourcedId === course)?.courseCode ?? '';
    return {
      sourcedId: `cls-${code.toLowerCase()}-${letter.toLowerCase()}-${term.slice(4)}`,
      course,
      term,
      classCode: `${code}-${letter}`,
      title: `${code} ${letter}`,
    };
  });
  const enrolments = CLASSES.flatMap(([, , teacher, from, to], at) => {
    const inClass = classes[at]?.sourcedId ?? '';
    const enrol = (name: string, role: Enrolment['role']): Enrolment => ({
      sourcedId: `enr-${inClass.slice(4)}-${idOf(name).slice(4)}`,
      user: idOf(name),
      class: inClass,
      role,
    });
    return [enrol(teacher, 'teacher'), ...learners.slice(from, to).map((name) => enrol(name, 'student'))];
  });
  return { terms, courses: COURSES, classes, users, enrolments };
}
