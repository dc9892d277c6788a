import { Migration } from '@mikro-orm/migrations';

/** Films watched, who was at meetings, surveys, whose answers stand apart from whoever answers, and calendars at an address. */
export class Migration0023 extends Migration {
  override up(): void {
    for (const statement of STATEMENTS) this.addSql(statement);
  }
}

const DEFERRED = 'deferrable initially deferred';
const ITEM = `course_id text not null references course ${DEFERRED}, item_id text not null`;
const PERSON = `person_id text not null references person ${DEFERRED}`;

const STATEMENTS = [
  `create table film_watch (
     ${ITEM}, ${PERSON}, film text not null, runs jsonb not null default '[]',
     position integer not null default 0 check (position >= 0), opened_at text not null, reported_at text, report text,
     primary key (course_id, item_id, person_id, film))`,
  `create table attendance (
     ${ITEM}, ${PERSON}, attended text not null check (attended in ('there', 'late', 'excused', 'away')),
     "by" text references person ${DEFERRED}, at text not null, primary key (course_id, item_id, person_id))`,
  `create table attendance_code (
     ${ITEM}, id text not null, code text not null, until text not null, primary key (course_id, item_id))`,
  `create table survey_answered (${ITEM}, ${PERSON}, at text not null, primary key (course_id, item_id, person_id))`,
  // Neither a person nor a moment.
  `create table survey_batch (
     ${ITEM}, number integer not null check (number >= 0), size integer not null check (size > 0),
     answers jsonb not null check (jsonb_array_length(answers) between 1 and size),
     primary key (course_id, item_id, number))`,
  `create table calendar_feed (
     person_id text primary key references person ${DEFERRED}, number integer not null check (number > 0),
     is_on boolean not null)`,
];
