import { Migration } from '@mikro-orm/migrations';

/**
 * What the institution's registry said when it was read last, which of its classes a course follows, and what came of
 * it there. The registry finds no seat beyond the limits either: only staff may.
 */
export class Migration0016 extends Migration {
  override up(): void {
    for (const statement of STATEMENTS) this.addSql(statement);
  }
}

const DEFERRED = 'deferrable initially deferred';
const INSTITUTION = `institution_id text not null references institution ${DEFERRED}`;
const COURSE = `course_id text not null references course ${DEFERRED}`;

const STATEMENTS = [
  `create table registry_reading (
     institution_id text primary key references institution ${DEFERRED},
     tried_at text, read_at text, problem text, unread jsonb not null default '[]')`,
  `create table registry_term (
     ${INSTITUTION}, id text not null, title text not null, starts text not null, ends text not null,
     primary key (institution_id, id))`,
  `create table registry_class (
     ${INSTITUTION}, id text not null, title text not null, code text, course_code text, course_title text,
     terms jsonb not null, primary key (institution_id, id))`,
  `create table registry_person (
     ${INSTITUTION}, id text not null, identifier text, given text, family text, address text, user_name text,
     primary key (institution_id, id))`,
  'create index registry_person_address on registry_person (institution_id, lower(address))',
  `create table registry_enrolment (
     ${INSTITUTION}, id text not null, class_id text not null, person_id text not null,
     role text not null check (role in ('learner', 'instructor', 'assistant')), primary key (institution_id, id))`,
  'create index registry_enrolment_class on registry_enrolment (institution_id, class_id)',
  'create index registry_enrolment_person on registry_enrolment (institution_id, person_id)',
  // Without a group its people are in no class of the course.
  `create table registry_follow (
     ${COURSE}, class_id text not null, group_id text, by text not null references person ${DEFERRED},
     at text not null, primary key (course_id, class_id))`,
  'create index registry_follow_class on registry_follow (class_id)',
  `create table registry_link (
     ${COURSE}, registry_id text not null,
     person_id text not null references person on update cascade on delete cascade ${DEFERRED},
     said jsonb not null, is_there boolean not null, kept jsonb not null default '[]', stays_out boolean not null default false,
     primary key (course_id, registry_id), unique (course_id, person_id) ${DEFERRED})`,
  `create table registry_news (
     ${COURSE}, turn bigserial primary key, at text not null, read_at text, steps jsonb not null)`,
  'create index registry_news_course on registry_news (course_id, turn)',
  // What somebody has said to a question of who is meant, by what the question is known by.
  `create table registry_answer (
     ${COURSE}, entry text not null, choice jsonb not null, by text not null references person ${DEFERRED},
     at text not null, primary key (course_id, entry))`,
  `create table registry_standing (
     course_id text primary key references course ${DEFERRED}, followed_at text not null, next_at double precision,
     listed integer not null, expected jsonb not null, questions jsonb not null, broken jsonb not null,
     held jsonb not null)`,
  `create or replace function member_seats() returns trigger language plpgsql as $$
   begin
     if new.role = 'learner' and new.left_at is null and new.way <> 'staff' then
       perform must_have_seat(new.course_id, new.way);
     end if;
     return null;
   end $$`,
  // The plan may let in now whom it did not before: a switch, seats, a date, going live.
  `create function registry_may_follow() returns trigger language plpgsql as $$
   begin
     if exists (select 1 from registry_follow where course_id = new.id) then
       perform graphile_worker.add_job('follow_registry', json_build_object('course', new.id),
         job_key => 'follow_registry:' || new.id, job_key_mode => 'replace');
     end if;
     return null;
   end $$`,
  `create trigger course_may_follow after update of settings, state, dates on course
     for each row execute function registry_may_follow()`,
];
