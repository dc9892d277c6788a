/** The courses of somebody's desk: all that is theirs in each, and what is counted for it, page by page. */
import type { MeAnswer } from '@itinerary/contract';
import type { CourseState, StaffProfile } from '@itinerary/core';
import { NUMBER, ownColumns, ownRowsOf, staffColumn } from './coming.ts';
import type { OwnColumns, OwnRows } from './coming.ts';
import { pagesColumn, termsColumn } from './institution-columns.ts';
import { keptCourses } from './kept-courses.ts';
import type { CourseNumber, KeptCourse } from './kept-courses.ts';
import type { Person } from './entities.ts';
import { knownQuestion } from './known-question.ts';
import type { EntityManager } from './orm.ts';

export interface CourseOf {
  readonly kept: KeptCourse;
  readonly own: OwnRows;
}

export interface OnDesk extends CourseOf {
  readonly learners: number;
  /** In no order. */
  readonly staff: readonly StaffProfile[];
}

export interface DeskPageAsked {
  readonly person: Person;
  /** Of these alone; null: of all of the institution. */
  readonly only: readonly string[] | null;
  /** In milliseconds. */
  readonly at: number;
  /** Each of them stands in the title, the code or a tag. */
  readonly words: readonly string[];
  readonly term: string | null;
  readonly state: CourseState | null;
  readonly tag: string | null;
  /** From 1. */
  readonly page: number;
  readonly rows: number;
}

export interface DeskPage {
  /** In their order. */
  readonly courses: readonly OnDesk[];
  readonly broken: readonly { readonly id: string; readonly code: string; readonly title: string }[];
  readonly page: number;
  readonly total: number;
  readonly all: number;
  readonly states: readonly CourseState[];
  readonly tags: readonly string[];
  readonly next: { readonly title: string; readonly firstDay: string } | null;
  readonly terms: MeAnswer['institution']['terms'];
  readonly pages: MeAnswer['institution']['pages'];
}

interface AroundColumns extends Pick<DeskPage, 'page' | 'total' | 'all' | 'next'> {
  readonly states: readonly CourseState[] | null;
  readonly tags: readonly string[] | null;
  readonly terms: DeskPage['terms'] | null;
  readonly pages: DeskPage['pages'] | null;
}

interface PageRow extends OwnColumns, AroundColumns {
  /** Null: nothing is on the page. */
  readonly number: CourseNumber | null;
  readonly code: string;
  readonly title: string;
  readonly learners: number;
  readonly staff: readonly StaffProfile[] | null;
}

/** In the order of the index `course_on_desk`: what goes live by itself is no more in the archive for that. */
const ORDER = `(state = 'archived'), coalesce(first_day, '9999'), code`;
const IS_NOW = `case when state = 'draft' and goes_live <= asked.at then 'live' else state end`;

/** Each word that is asked for stands in the title, the code or `more`; a text is folded once, however many there are. */
const hasWords = (more: string): string => `(
    not exists (select from asked_words) or (
      select not exists (select from asked_words where strpos(text, word) = 0)
      from (select folded(concat_ws(' ', course.title, course.code, (${more}))) as text) as one))`;
const wordsIn = (words: string): string =>
  `asked_words as materialized (select folded(word) as word from asked, jsonb_array_elements_text(${words}) as word)`;

/** What is theirs, of which the page and its counts are: all of the institution, or the courses that are named. */
const THEIRS = `(asked.narrow -> 'only') = 'null' or course.id in (select jsonb_array_elements_text(asked.narrow -> 'only'))`;

/** Of what is theirs, what is asked for. */
const NARROWED = `
  and (${THEIRS})
  and (asked.narrow ->> 'term' is null or course.term = asked.narrow ->> 'term')
  and (asked.narrow ->> 'state' is null or ${IS_NOW} = asked.narrow ->> 'state')
  and (asked.narrow ->> 'tag' is null or course.tags @> (asked.narrow -> 'tag'))
  and ${hasWords("select string_agg(tag, ' ') from jsonb_array_elements_text(course.tags) as tag")}`;

/**
 * @param isNarrowed whether anything is asked for. Nothing is, as a rule, of thousands: their page is read off the index.
 *   Values: who, institution, instant, narrowed by, page, rows a page, institution
 */
const pageOf = (isNarrowed: boolean): string => `
  with asked as materialized (
      select ?::text as who, ?::text as institution, ?::float8 as at, ?::jsonb as narrow, ?::int as page, ?::int as most),
    ${isNarrowed ? `${wordsIn(`asked.narrow -> 'words'`)},` : ''}
    theirs as materialized (
      select course.title, course.code, course.tags, course.first_day, course.state, ${IS_NOW} as is_now
      from course, asked where course.institution_id = asked.institution${isNarrowed ? ` and (${THEIRS})` : ''}),
    counted as materialized (
      select ${isNarrowed ? `count(*)::int` : `(select count(*)::int from theirs)`} as total
      ${isNarrowed ? `from course, asked where course.institution_id = asked.institution ${NARROWED}` : ''}),
    -- Beyond the last page it is the last one.
    turned as materialized (
      select total, greatest(1, least(page, ceil(total::float8 / most)))::int as page from counted, asked),
    page as (
      select course.id, course.code, course.title, course.institution_id, course.seq, course.created_at,
        row_number() over (order by ${ORDER}) as nth
      from course${isNarrowed ? ', asked' : ''} where course.institution_id = ?${isNarrowed ? NARROWED : ''}
      order by ${ORDER} limit (select most from asked)
      offset (select (turned.page - 1) * asked.most from turned, asked)),
    around as materialized (
      select turned.page, turned.total,
        (select count(*)::int from theirs) as all,
        (select jsonb_agg(distinct is_now) from theirs) as states,
        (select jsonb_agg(distinct tag order by tag)
           from (select distinct tags from theirs) as one, jsonb_array_elements_text(one.tags) as tag) as tags,
        (select jsonb_build_object('title', title, 'firstDay', first_day) from theirs
           where state <> 'archived' and first_day > (
             select (to_timestamp(at / 1000) at time zone zone)::date::text from institution, asked
             where institution.id = asked.institution)
           order by first_day, code limit 1) as next,
        ${termsColumn('asked.institution')} as terms,
        ${pagesColumn('asked.institution')} as pages
      from turned, asked)
  select around.*, course.code, course.title,
    case when course.id is not null then ${NUMBER} end as number,
    ${ownColumns('asked.who', 'course.id')},
    ${staffColumn('course.id')},
    (select count(*)::int from member
       where course_id = course.id and role = 'learner' and left_at is null) as learners
  from around cross join asked left join page as course on true
  order by course.nth`;

const askWhole = knownQuestion<PageRow>('desk-page', pageOf(false));
const askNarrowed = knownQuestion<PageRow>('desk-page-narrowed', pageOf(true));

export async function deskPage(em: EntityManager, asked: DeskPageAsked): Promise<DeskPage> {
  const { person, at, page, rows, ...narrow } = asked;
  const { only, words, term, state, tag } = narrow;
  const isNarrowed = words.length > 0 || [only, term, state, tag].some((one) => one !== null);
  const { institutionId } = person;
  const ask = isNarrowed ? askNarrowed : askWhole;
  const values = [person.id, institutionId, at, JSON.stringify(narrow), page, rows, institutionId];
  const found = await ask(em, values);
  const [around] = found;
  if (around === undefined) throw new Error('no row came of a question that always has one');
  const there = found.filter((row): row is PageRow & Numbered => row.number !== null);
  const read = await withCourses(em, there, 'leave');
  const isRead = new Set(read.map(({ row }) => row.number.id));
  return {
    courses: read.map(({ kept, row }) => ({
      ...{ kept, own: ownRowsOf(row), learners: row.learners },
      staff: row.staff ?? [],
    })),
    broken: there.flatMap(({ number: { id }, code, title }) => (isRead.has(id) ? [] : [{ id, code, title }])),
    ...{ page: around.page, total: around.total, all: around.all, next: around.next },
    ...{ states: around.states ?? [], tags: around.tags ?? [] },
    ...{ terms: around.terms ?? [], pages: around.pages ?? [] },
  };
}

interface Numbered {
  readonly number: CourseNumber;
}

const askTheirs = knownQuestion<OwnColumns & Numbered & { readonly isFound: boolean }>(
  'courses-theirs',
  `with asked as materialized (
       select ?::text as who, ?::text as institution, ?::jsonb as words, ?::int as most),
     ${wordsIn('asked.words')},
     mine as materialized (
       select course_id from member, asked where person_id = asked.who and left_at is null),
     findable as (
       select course.id from course, asked
       where institution_id = asked.institution and settings ->> 'find' in ('here', 'anyone')
         and id not in (select course_id from mine)
         and ${hasWords('null')}
       order by folded(course.title), course.code limit (select most from asked))
   select ${NUMBER} as number, course.id not in (select course_id from mine) as "isFound",
     ${ownColumns('asked.who', 'course.id')}
   from asked, course
   where course.institution_id = asked.institution
     and (course.id in (select course_id from mine) or course.id in (select id from findable))`,
);

export interface Theirs {
  readonly courses: readonly CourseOf[];
  /** That they are not in, and can find, by title; no more than were asked for. */
  readonly found: readonly CourseOf[];
  /** Ids of those that they plan, and whose rows no course can be read from. */
  readonly unread: readonly string[];
}

/** The courses that somebody is in, and those of the others that can be found by these words. */
export async function coursesFor(
  em: EntityManager,
  { id, institutionId }: Person,
  words: readonly string[],
  most: number,
): Promise<Theirs> {
  const rows = await askTheirs(em, [id, institutionId, JSON.stringify(words), most]);
  const all = (await withCourses(em, rows, 'leave')).map(({ kept, row }) => ({
    ...{ kept, own: ownRowsOf(row), isFound: row.isFound },
  }));
  const isRead = new Set(all.map(({ kept }) => kept.row.id));
  const unread = rows.filter(
    ({ number, member }) =>
      !isRead.has(number.id) && (member?.role === 'instructor' || member?.role === 'assistant'),
  );
  return {
    courses: all.filter(({ isFound }) => !isFound),
    found: all.filter(({ isFound }) => isFound),
    unread: unread.map(({ number }) => number.id),
  };
}

const askOwn = knownQuestion<OwnColumns & Numbered>(
  'courses-of',
  `with asked as materialized (select ?::text as who)
     select ${NUMBER} as number,
       ${ownColumns('asked.who', 'course.id')}
     from asked join member mine on mine.person_id = asked.who and mine.left_at is null
       join course on course.id = mine.course_id`,
);

/** The courses that somebody is in, with all that is theirs in each. */
export async function coursesOf(em: EntityManager, personId: string): Promise<readonly CourseOf[]> {
  const rows = await askOwn(em, [personId]);
  return (await withCourses(em, rows)).map(({ kept, row }) => ({ kept, own: ownRowsOf(row) }));
}

/** Each row beside its course, of those that are still there. */
async function withCourses<One extends Numbered>(
  em: EntityManager,
  rows: readonly One[],
  unread: 'throw' | 'leave' = 'throw',
): Promise<readonly { readonly kept: KeptCourse; readonly row: One }[]> {
  const byId = new Map(rows.map((row) => [row.number.id, row]));
  const found = await keptCourses(
    em,
    rows.map(({ number }) => number),
    unread,
  );
  return found.flatMap((kept) => {
    const row = byId.get(kept.row.id);
    return row === undefined ? [] : [{ kept, row }];
  });
}
