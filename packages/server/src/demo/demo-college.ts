/** Writes the made-up college into an empty database: terms, departments, people, courses. */
import { createHash } from 'node:crypto';
import { addDays, dayOf } from '@itinerary/core';
import {
  DepartmentRow,
  InstitutionPageRow,
  InstitutionRow,
  MenuTemplateRow,
  PersonRow,
  StoredFileRow,
  TermRow,
} from '../db/entities.ts';
import type { EntityManager } from '../db/orm.ts';
import { COST_OF_PUBLIC, hashPassword } from '../usecases/people/passwords.ts';
import { storeCourse } from '../usecases/plan/store-course.ts';
import type { StoredCourse } from '../usecases/plan/store-course.ts';
import { demoCalendar } from './calendar.ts';
import type { BuiltCourse } from './build-course.ts';
import { bookbindingByHand, fieldSketching, nightSkyDiary, smallBoatRefresher } from './other-courses.ts';
import { withFace } from './faces.ts';
import { coreFilm } from './film/core-film.ts';
import { withFilm } from './film/with-film.ts';
import { INSTITUTION_PAGES, MENU_TEMPLATE } from './institution.ts';
import { takeQuiz } from './answered.ts';
import { handIn } from './handed-in.ts';
import { goThrough } from './gone-through.ts';
import { takePart } from './taken-part.ts';
import { talkOf } from './talked.ts';
import { estuaryFieldMethods } from './estuary/course.ts';
import type { Run } from './estuary/course.ts';
import { addressOf, DEMO_PASSWORD, DEMO_PEOPLE } from './people.ts';
import type { DemoPart } from './people.ts';

const INSTITUTION = 'tern-point';
const ZONE = 'Europe/Lisbon';

const DEPARTMENTS = [
  { code: 'ECO', name: 'Coastal Ecology' },
  { code: 'EAW', name: 'Earth and Water' },
  { code: 'ART', name: 'Field Arts' },
  { code: 'SEA', name: 'Boats and Seamanship' },
];

function personId(name: string): string {
  const hex = createHash('sha256').update(addressOf(name)).digest('hex');
  return `${hex.slice(0, 8)}-${hex.slice(8, 12)}-4${hex.slice(13, 16)}-8${hex.slice(17, 20)}-${hex.slice(20, 32)}`;
}

const withPart = (part: DemoPart): readonly string[] =>
  DEMO_PEOPLE.filter((person) => person.part === part).map(({ name }) => personId(name));

type Member = StoredCourse['members'][number];

function teachers(): readonly Member[] {
  return [
    ...[...withPart('instructor'), ...withPart('co_instructor')].map((person) => ({
      person,
      role: 'instructor' as const,
    })),
    ...withPart('assistant').map((person) => ({ person, role: 'assistant' as const })),
  ];
}

/** Two classes and two boats, turn by turn. */
function inGroups(members: readonly Member[]): readonly Member[] {
  return members.map((member, at) => ({
    ...member,
    groups: [at % 2 === 0 ? 'class-a' : 'class-b', at % 4 < 2 ? 'boat-avocet' : 'boat-curlew'],
  }));
}

function learners(from: number, to: number): readonly Member[] {
  return DEMO_PEOPLE.filter(({ kind, part }) => kind === 'learner' && part !== 'assistant')
    .slice(from, to)
    .map(({ name }) => ({ person: personId(name), role: 'learner' as const }));
}

/** @param put keeps the bytes of a file. */
export async function writeDemoCollege(
  em: EntityManager,
  now: string,
  put: (bytes: Buffer) => Promise<void>,
): Promise<void> {
  const institutionId = INSTITUTION;
  const calendar = demoCalendar(dayOf(now, ZONE));
  // The password is printed on the sign-in page, so a hash of its own for everybody would only cost time.
  const passwordHash = await hashPassword(DEMO_PASSWORD, COST_OF_PUBLIC);
  const files = new Map<string, Buffer>();
  await em.transactional(async (inner) => {
    inner.persist(
      inner.create(InstitutionRow, {
        id: institutionId,
        name: 'Tern Point College of Coastal Field Studies',
        zone: ZONE,
        largestUpload: 200,
        nameOrder: 'given_first',
      }),
    );
    for (const department of DEPARTMENTS)
      inner.persist(inner.create(DepartmentRow, { institutionId, ...department }));
    for (const term of [calendar.current, calendar.next])
      inner.persist(inner.create(TermRow, { institutionId, ...term }));
    DEMO_PEOPLE.forEach(({ name, kind, part }) => {
      const row = {
        id: personId(name),
        institutionId,
        name,
        address: addressOf(name),
        kind,
        passwordHash,
        demoPart: part ?? null,
        placeIn: null,
      };
      inner.persist(inner.create(PersonRow, row));
    });
    for (const page of INSTITUTION_PAGES)
      inner.persist(inner.create(InstitutionPageRow, { institutionId, ...page }));
    inner.persist(inner.create(MenuTemplateRow, { institutionId, ...MENU_TEMPLATE }));
    const instructors = [...withPart('instructor'), ...withPart('co_instructor')];
    const keep = async (bare: BuiltCourse, members: readonly Member[]): Promise<void> => {
      const built = await withFilm(await withFace(bare, instructors));
      const { course, texts } = built;
      storeCourse(inner, { institutionId, course, texts, members: [...teachers(), ...members], now });
      for (const { hash, type, bytes, width = null, height = null } of built.files) {
        files.set(hash, bytes);
        const row = { courseId: course.id, hash, size: bytes.length, type, width, height, createdAt: now };
        inner.persist(inner.create(StoredFileRow, row));
      }
    };
    const store = (run: Run, members: readonly Member[]): Promise<void> =>
      keep(estuaryFieldMethods(run), members);
    const live = estuaryFieldMethods({
      code: `EFM-210-${calendar.current.code}`,
      term: calendar.current.code,
      state: 'live',
      firstDay: calendar.current.firstDay,
      written: 15,
      paused: true,
    });
    const here = inGroups(learners(0, 24));
    await keep(live, here);
    const [marker] = instructors;
    // Nobody who is offered on the sign-in page has handed in yet: that is theirs to try.
    const others = here.map(({ person }) => person).slice(OFFERED);
    handIn(inner, live.course, others, marker ?? '', now);
    takeQuiz(inner, live.course, others, now);
    talkOf(inner, live.course, others, marker ?? '', now);
    const halfWay = here[0]?.person ?? '';
    const film = (await coreFilm()).hash;
    takePart(inner, live.course, others, { staff: marker ?? '', film, half: halfWay }, now);
    await inner.flush();
    await goThrough(inner, live.course, others, now);
    // A draft as somebody leaves it on a Friday: it starts on a Tuesday, and the last weeks are still empty.
    await store(
      {
        code: `EFM-210-${calendar.next.code}`,
        term: calendar.next.code,
        state: 'draft',
        firstDay: addDays(calendar.next.firstDay, 1),
        written: 12,
        paused: false,
      },
      [],
    );
    const lastYear = `EFM-210-${calendar.current.code.slice(0, 3)}${String(Number(calendar.current.code.slice(3)) - 1).padStart(2, '0')}`;
    await store(
      {
        code: lastYear,
        term: null,
        state: 'archived',
        firstDay: calendar.lastYear,
        written: 15,
        paused: true,
      },
      learners(3, 31),
    );
    await keep(bookbindingByHand(calendar.current), learners(4, 16));
    await keep(fieldSketching(calendar.next), []);
    await keep(smallBoatRefresher(calendar.current), learners(0, 30));
    await keep(nightSkyDiary(calendar.current), learners(8, 20));
  });
  for (const bytes of files.values()) await put(bytes);
}

/** Learners who are offered on the sign-in page. */
const OFFERED = 3;

const TABLES = [
  'calendar_feed',
  'film_watch',
  'attendance',
  'attendance_code',
  'survey_answered',
  'survey_batch',
  'mark',
  'item_opened',
  'work_note',
  'mark_file',
  'post_draft',
  'thread_follow',
  'thread_read',
  'post_before',
  'post',
  'thread',
  'quiz_mark',
  'quiz_late_answer',
  'quiz_answer',
  'quiz_attempt',
  'hand_in_for',
  'hand_in',
  'work_draft',
  'registry_standing',
  'registry_answer',
  'registry_news',
  'registry_link',
  'registry_follow',
  'registry_enrolment',
  'registry_person',
  'registry_class',
  'registry_term',
  'registry_reading',
  'payment',
  'receipt_count',
  'letter',
  'account_key',
  'invitation',
  'join_request',
  'held_seat',
  'waiting',
  'remark',
  'visit',
  'menu_template',
  'institution_page',
  'session',
  'attempt',
  'course_secret',
  'deed',
  'deed_log',
  'progress',
  'person_exception',
  'member_group',
  'member_list',
  'join_code',
  'member',
  'change',
  'long_text',
  'stored_file',
  'node',
  'course',
  'person',
  'holiday',
  'term',
  'department',
  'institution',
];

export async function emptyDatabase(em: EntityManager): Promise<void> {
  await em.getConnection().execute(`truncate ${TABLES.map((table) => `"${table}"`).join(', ')}`);
}
