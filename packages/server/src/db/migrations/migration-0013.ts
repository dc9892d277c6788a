import { Migration } from '@mikro-orm/migrations';

/**
 * Joining by a code, and seats that are never oversold: whoever comes by themselves is counted when their row is
 * written, by the database, under the course's own row. Staff may go beyond the seats.
 */
export class Migration0013 extends Migration {
  override up(): void {
    for (const statement of STATEMENTS) this.addSql(statement);
  }
}

const STATEMENTS = [
  `create table join_code (
     course_id text primary key references course deferrable initially deferred,
     code text not null unique check (code ~ '^[0-9A-HJKMNP-TV-Z]{10}$'), made_at text not null)`,
  `create function member_seats() returns trigger language plpgsql as $$
   declare
     most integer;
     way_most integer;
   begin
     if new.role <> 'learner' or new.left_at is not null or new.way in ('staff', 'registry') then
       return null;
     end if;
     select (settings ->> 'seats')::integer, (settings -> 'ways' -> new.way ->> 'seats')::integer
       into most, way_most from course where id = new.course_id for update;
     if most is not null and most < (select count(*) from member
          where course_id = new.course_id and role = 'learner' and left_at is null) then
       raise exception 'course % has no seat left', new.course_id
         using errcode = 'check_violation', constraint = 'member_seats';
     end if;
     if way_most is not null and way_most < (select count(*) from member
          where course_id = new.course_id and role = 'learner' and left_at is null and way = new.way) then
       raise exception 'this way into course % has no seat left', new.course_id
         using errcode = 'check_violation', constraint = 'member_seats';
     end if;
     return null;
   end $$`,
  `create constraint trigger member_seats_taken after insert or update of left_at on member
     deferrable initially immediate for each row execute function member_seats()`,
];
