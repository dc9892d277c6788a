import { Migration } from '@mikro-orm/migrations';

/** Attempts at quizzes: what is asked, what was answered, what came too late, and what staff have said of it. */
export class Migration0021 extends Migration {
  override up(): void {
    for (const statement of STATEMENTS) this.addSql(statement);
  }
}

const DEFERRED = 'deferrable initially deferred';

const STATEMENTS = [
  `create table quiz_attempt (
     id text primary key, course_id text not null references course ${DEFERRED}, item_id text not null,
     person_id text not null references person ${DEFERRED}, number integer not null check (number > 0),
     begun text not null, asks jsonb not null, ended text, ended_by text check (ended_by in ('hand', 'time', 'nothing')),
     is_late boolean not null default false, judged jsonb, hash text,
     unique (course_id, item_id, person_id, number),
     check ((ended is null) = (judged is null) and (ended is null) = (ended_by is null)))`,
  // However many windows begin one in the same moment.
  `create unique index quiz_attempt_under_way on quiz_attempt (course_id, item_id, person_id) where ended is null`,
  'create index quiz_attempt_of on quiz_attempt (course_id, item_id)',
  `create table quiz_answer (
     attempt_id text not null references quiz_attempt ${DEFERRED}, question_id text not null, answer jsonb not null,
     version integer not null check (version > 0), at text not null, is_checked boolean not null default false,
     primary key (attempt_id, question_id))`,
  // Refused, and kept apart for staff.
  `create table quiz_late_answer (
     attempt_id text not null references quiz_attempt ${DEFERRED}, question_id text not null, answer jsonb not null,
     at text not null, primary key (attempt_id, question_id, at))`,
  `create table quiz_mark (
     id text primary key, attempt_id text not null references quiz_attempt ${DEFERRED}, question_id text not null,
     after text unique references quiz_mark ${DEFERRED}, points double precision not null check (points >= 0),
     share text not null, comment text not null, by text not null references person ${DEFERRED}, at text not null)`,
  'create unique index quiz_mark_first on quiz_mark (attempt_id, question_id) where after is null',
];
