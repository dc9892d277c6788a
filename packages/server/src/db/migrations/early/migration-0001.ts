import { Migration } from '@mikro-orm/migrations';

/**
 * The first tables. The database repeats the core's invariants: a code once in an institution, order keys
 * once among siblings, sections on top and items in sections, a change's id and number once in a course.
 */
export class Migration0001 extends Migration {
  override up(): void {
    for (const statement of STATEMENTS) this.addSql(statement);
  }
}

// Checked when the transaction ends: rows of one change may be written in any order.
const DEFERRED = 'deferrable initially deferred';

const STATEMENTS = [
  `create table institution (id text primary key, name text not null, zone text not null)`,
  `create table department (
     institution_id text not null references institution ${DEFERRED}, code text not null, name text not null,
     primary key (institution_id, code))`,
  `create table term (
     institution_id text not null references institution ${DEFERRED}, code text not null, name text not null,
     first_day text not null, last_day text not null,
     primary key (institution_id, code),
     check (first_day ~ '^\\d{4}-\\d{2}-\\d{2}$' and last_day >= first_day))`,
  `create table person (
     id text primary key, institution_id text not null references institution ${DEFERRED},
     name text not null check (name <> ''), address text not null, password_hash text not null,
     kind text not null check (kind in ('teaching', 'staff', 'learner', 'visitor')), demo_part text)`,
  `create unique index person_address on person (institution_id, lower(address))`,
  `create table course (
     id text primary key, institution_id text not null references institution ${DEFERRED},
     code text not null check (code ~ '^[A-Za-z0-9]+([-._][A-Za-z0-9]+)*$' and length(code) <= 40),
     title text not null check (length(title) between 1 and 200),
     purpose text not null check (purpose in ('learners', 'practice', 'circle')),
     state text not null check (state in ('draft', 'live', 'archived')),
     department text, term text, description text check (description ~ '^[0-9a-f]{64}$'),
     tags jsonb not null, dates jsonb not null, seq integer not null check (seq >= 0),
     created_at text not null,
     check ((dates ->> 'weeks')::int between 1 and 104),
     foreign key (institution_id, department) references department (institution_id, code) ${DEFERRED},
     foreign key (institution_id, term) references term (institution_id, code) ${DEFERRED})`,
  `create unique index course_code on course (institution_id, lower(code))`,
  `create table node (
     course_id text not null references course ${DEFERRED}, id text not null, parent_id text,
     kind text not null check (kind in ('section', 'page', 'link')),
     order_key text collate "C" not null, title text check (length(title) between 1 and 200),
     shown boolean not null, removed boolean not null, settings jsonb not null,
     primary key (course_id, id),
     foreign key (course_id, parent_id) references node (course_id, id) ${DEFERRED},
     constraint node_order unique nulls not distinct (course_id, parent_id, order_key) ${DEFERRED},
     check ((kind = 'section') = (parent_id is null)),
     check (kind = 'section' or title is not null))`,
  `create table long_text (
     course_id text not null references course ${DEFERRED}, hash text not null check (hash ~ '^[0-9a-f]{64}$'),
     html text not null, primary key (course_id, hash))`,
  `create table change (
     course_id text not null references course ${DEFERRED}, seq integer not null check (seq > 0), id text not null,
     author_id text not null references person ${DEFERRED}, edits jsonb not null, undoes text, at text not null,
     primary key (course_id, seq), unique (course_id, id))`,
  `create table member (
     course_id text not null references course ${DEFERRED}, person_id text not null references person ${DEFERRED},
     role text not null check (role in ('instructor', 'assistant', 'learner', 'visitor')),
     joined_at text not null, left_at text, primary key (course_id, person_id))`,
  `create index member_person on member (person_id)`,
  // express-session through connect-pg-simple reads and writes this one; the names are that package's.
  `create table session (sid text primary key, sess json not null, expire timestamp(6) not null)`,
  `create index session_expire on session (expire)`,
  `create table sign_in_failure (address text not null, at timestamptz not null default now())`,
  `create index sign_in_failure_address on sign_in_failure (address, at)`,
];
