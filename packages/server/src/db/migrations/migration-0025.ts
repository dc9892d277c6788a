import { Migration } from '@mikro-orm/migrations';

/** Progress: what somebody has done in an item, deed by deed and folded, and where they stand in the course. */
export class Migration0025 extends Migration {
  override up(): void {
    for (const statement of STATEMENTS) this.addSql(statement);
  }
}

const DEFERRED = 'deferrable initially deferred';
const PERSON = `person_id text not null references person ${DEFERRED}`;
const COURSE = `course_id text not null references course ${DEFERRED}`;
/** Milliseconds of a moment that is kept as words. */
const ms = (moment: string): string => `(extract(epoch from ${moment}::timestamptz) * 1000)::bigint`;

/** Of rows that each say a moment of somebody in an item, the first, as a fact that was not known before. */
const factFrom = (fact: string, rows: string): string =>
  `insert into deed (course_id, person_id, item_id, facts)
     select course_id, person_id, item_id, jsonb_build_object('${fact}', min(${ms('at')})) from (${rows}) as one
     group by course_id, person_id, item_id
   on conflict (course_id, person_id, item_id) do update set facts = excluded.facts || deed.facts`;

const STATEMENTS = [
  // Beside what an item was done by, everything that another rule could ask about.
  `alter table deed add column facts jsonb not null default '{}'`,
  `update deed set facts = coalesce((
       select case node.settings -> 'done' ->> 'by'
         when 'opened' then jsonb_build_object('opened', ${ms('deed.done_at')})
         when 'ticked' then jsonb_build_object('ticked', ${ms('deed.done_at')})
         when 'handed_in' then jsonb_build_object('handedIn', ${ms('deed.done_at')})
         when 'attended' then jsonb_build_object('attended', ${ms('deed.done_at')})
         else jsonb_build_object('kept', ${ms('deed.done_at')}) end
       from node where node.course_id = deed.course_id and node.id = deed.item_id),
       jsonb_build_object('kept', ${ms('deed.done_at')}))
     where done_at is not null`,
  factFrom(
    'handedIn',
    `select f.course_id, f.person_id, f.item_id, h.at from hand_in_for f join hand_in h on h.id = f.hand_in_id
     union all select course_id, person_id, item_id, ended from quiz_attempt where ended is not null and ended_by <> 'nothing'
     union all select course_id, person_id, item_id, at from survey_answered`,
  ),
  factFrom(
    'attended',
    `select course_id, person_id, item_id, at from attendance where attended in ('there', 'late')`,
  ),
  factFrom('opened', `select course_id, person_id, item_id, first_at as at from item_opened`),
  `insert into deed (course_id, person_id, item_id, facts)
     select course_id, author_id, item_id, jsonb_build_object('posts', jsonb_build_object(
       'before', count(*), 'at', max(ms), 'came', 0, 'went', 0, 'most', jsonb_agg(jsonb_build_array(ms, nth) order by nth)))
     from (select course_id, author_id, item_id, ${ms('at')} as ms,
             row_number() over (partition by course_id, author_id, item_id order by at, id) as nth
           from post where removed_at is null) as one
     group by course_id, author_id, item_id
   on conflict (course_id, person_id, item_id) do update set facts = excluded.facts || deed.facts`,
  `insert into deed (course_id, person_id, item_id, facts)
     select course_id, author_id, item_id, jsonb_build_object('replies', jsonb_build_object(
       'before', count(*), 'at', max(ms), 'came', 0, 'went', 0, 'most', jsonb_agg(jsonb_build_array(ms, nth) order by nth)))
     from (select course_id, author_id, item_id, ${ms('at')} as ms,
             row_number() over (partition by course_id, author_id, item_id order by at, id) as nth
           from post where removed_at is null and number > 1) as one
     group by course_id, author_id, item_id
   on conflict (course_id, person_id, item_id) do update set facts = excluded.facts || deed.facts`,
  // A mark that stands is as staff left it; since when, where nobody has said, since it was handed in.
  `update deed set facts = facts || jsonb_build_object('marks', jsonb_build_object(
       'before', '[]'::jsonb, 'own', null, 'staff', score,
       'at', coalesce(${ms('done_at')}, (facts ->> 'handedIn')::bigint, 0)))
     where score is not null`,
  `create table deed_log (
     id bigint generated always as identity primary key, ${COURSE}, ${PERSON}, item_id text not null,
     at bigint not null, deed jsonb not null, "by" text references person ${DEFERRED}, reason text)`,
  'create index deed_log_of on deed_log (course_id, person_id, id)',
  // Where somebody stands, as it was reckoned with the last deed, by rules of which \`basis\` is a sign.
  `create table progress (
     ${COURSE}, ${PERSON}, done jsonb not null default '{}', reached jsonb not null default '{}',
     basis text not null default '', last_at bigint not null default 0,
     letters text not null default '', completed bigint,
     primary key (course_id, person_id))`,
];
