import { Migration } from '@mikro-orm/migrations';

/**
 * Waiting for a seat, seats that are kept, asking to join, invitations, accounts that people make, and letters. Who
 * has a seat is counted with those for whom one is kept, at the instant that the transaction says it is.
 */
export class Migration0014 extends Migration {
  override up(): void {
    for (const statement of STATEMENTS) this.addSql(statement);
  }
}

const DEFERRED = 'deferrable initially deferred';
const WAYS = `('registry', 'link', 'invitation', 'request', 'paying')`;
const COURSE = `course_id text not null references course ${DEFERRED}`;
const PERSON = `person_id text not null references person ${DEFERRED}`;
const LANG = `check (lang in ('en', 'es', 'fr', 'ar'))`;

const STATEMENTS = [
  `create table waiting (
     ${COURSE}, ${PERSON}, way text not null check (way in ${WAYS}),
     line text not null check (line in ('way', 'course')), arrival bigserial, since text not null,
     primary key (course_id, person_id))`,
  // The holder is a person, or an invitation to an address that is nobody's yet.
  `create table held_seat (
     ${COURSE}, holder text not null, kind text not null check (kind in ('offer', 'payment', 'invitation')),
     way text not null check (way in ${WAYS}), lapses_at double precision not null,
     primary key (course_id, holder, kind))`,
  `create table join_request (
     ${COURSE}, ${PERSON}, question text, answer text, asked_at text not null,
     state text not null default 'open' check (state in ('open', 'yes', 'no')),
     reason text, decided_at text, decided_by text references person ${DEFERRED},
     primary key (course_id, person_id), check ((state = 'open') = (decided_at is null)))`,
  `create table invitation (
     ${COURSE}, id text not null, address text not null, role text not null
       check (role in ('instructor', 'assistant', 'learner', 'visitor')),
     key_hash text not null unique, lang text not null ${LANG}, by text not null references person ${DEFERRED},
     made_at text not null, sent_at text not null, times integer not null default 1 check (times > 0),
     lapses_at text, keeps_seat boolean not null default false,
     state text not null default 'waiting' check (state in ('waiting', 'taken', 'bounced', 'withdrawn')),
     why text, taken_by text references person ${DEFERRED}, taken_at text,
     primary key (course_id, id), check ((state = 'taken') = (taken_by is not null)))`,
  `create unique index invitation_open on invitation (course_id, lower(address))
     where state in ('waiting', 'bounced')`,
  `create table letter (
     id text primary key, kind text not null, address text not null, lang text not null ${LANG},
     facts jsonb not null, course_id text references course ${DEFERRED}, about text, made_at text not null,
     state text not null default 'queued' check (state in ('queued', 'sent', 'bounced')),
     sent_at text, why text)`,
  'create index letter_about on letter (course_id, about) where about is not null',
  // Kept as its hash: whoever reads the table can do nothing with it.
  `create table account_key (
     hash text primary key, kind text not null check (kind in ('confirm', 'reset')), address text not null,
     person_id text references person ${DEFERRED}, name text not null default '', lang text not null ${LANG},
     onward text, made_at text not null, lapses_at text not null, used_at text)`,
  `alter table person add column lang text not null default 'en' ${LANG}`,
  `create function seats_taken(course text, of_way text) returns integer language sql stable as $$
     select count(*)::integer from (
       select person_id from member where course_id = course and role = 'learner' and left_at is null
         and (of_way is null or way = of_way)
       union
       select holder from held_seat where course_id = course and (of_way is null or way = of_way)
         and lapses_at > coalesce(nullif(current_setting('itinerary.at', true), '')::double precision,
                                  extract(epoch from clock_timestamp()) * 1000)) as taken $$`,
  `create function must_have_seat(course text, of_way text) returns void language plpgsql as $$
   declare
     most integer;
     way_most integer;
   begin
     select (settings ->> 'seats')::integer, (settings -> 'ways' -> of_way ->> 'seats')::integer
       into most, way_most from course as c where c.id = course for update;
     if most is not null and most < seats_taken(course, null) then
       raise exception 'course % has no seat left', course
         using errcode = 'check_violation', constraint = 'member_seats';
     end if;
     if way_most is not null and way_most < seats_taken(course, of_way) then
       raise exception 'this way into course % has no seat left', course
         using errcode = 'check_violation', constraint = 'member_seats';
     end if;
   end $$`,
  `create or replace function member_seats() returns trigger language plpgsql as $$
   begin
     if new.role = 'learner' and new.left_at is null and new.way not in ('staff', 'registry') then
       perform must_have_seat(new.course_id, new.way);
     end if;
     return null;
   end $$`,
  `create function held_seats() returns trigger language plpgsql as $$
   begin
     perform must_have_seat(new.course_id, new.way);
     return null;
   end $$`,
  `create constraint trigger held_seat_taken after insert on held_seat
     deferrable initially immediate for each row execute function held_seats()`,
  // Whoever is in waits no more, whatever brought them in, and nothing is kept for them.
  `create function member_is_in() returns trigger language plpgsql as $$
   begin
     if new.left_at is null then
       delete from waiting where course_id = new.course_id and person_id = new.person_id;
       delete from held_seat where course_id = new.course_id and holder = new.person_id;
     end if;
     return null;
   end $$`,
  `create trigger member_waits_no_more after insert or update of left_at, person_id on member
     for each row execute function member_is_in()`,
  // Whatever may have freed a seat: a job looks whether the line moves, once, however much happens at once.
  `create function line_may_move(course text) returns void language plpgsql as $$
   begin
     if exists (select 1 from waiting where course_id = course) then
       perform graphile_worker.add_job('move_up', json_build_object('course', course),
         job_key => 'move_up:' || course, job_key_mode => 'replace');
     end if;
   end $$`,
  `create function line_of_row() returns trigger language plpgsql as $$
   begin
     perform line_may_move(coalesce(new.course_id, old.course_id));
     return null;
   end $$`,
  `create function line_of_course() returns trigger language plpgsql as $$
   begin
     perform line_may_move(new.id);
     return null;
   end $$`,
  `create trigger member_frees_seat after delete or update of left_at, role on member
     for each row execute function line_of_row()`,
  `create trigger held_frees_seat after delete or update on held_seat
     for each row execute function line_of_row()`,
  `create trigger line_has_begun after insert on waiting for each row execute function line_of_row()`,
  `create trigger course_frees_seat after update of settings, state, dates on course
     for each row execute function line_of_course()`,
];
