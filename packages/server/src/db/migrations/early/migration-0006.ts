import { Migration } from '@mikro-orm/migrations';

/**
 * What stands around a course: the institution's own pages and the menus it proposes, who was there when, and
 * what people say about announcements. Pictures know how large they are.
 */
export class Migration0006 extends Migration {
  override up(): void {
    for (const statement of STATEMENTS) this.addSql(statement);
  }
}

const STATEMENTS = [
  `create table institution_page (
     institution_id text not null references institution deferrable initially deferred, id text not null,
     use text not null check (use in ('site', 'help', 'library', 'policies', 'other')),
     names jsonb not null, address text not null check (address <> ''), beside text,
     primary key (institution_id, id))`,
  `create table menu_template (
     institution_id text not null references institution deferrable initially deferred, id text not null,
     name text not null check (name <> ''), menu jsonb not null,
     primary key (institution_id, id))`,
  `create table visit (
     course_id text not null, person_id text not null,
     arrived_at text, previous_at text, last_at text not null, last_item text,
     primary key (course_id, person_id),
     foreign key (course_id, person_id) references member deferrable initially deferred)`,
  `create table remark (
     course_id text not null references course deferrable initially deferred, id text not null,
     announcement_id text not null, person_id text not null references person deferrable initially deferred,
     at text not null, text text not null check (text <> ''),
     primary key (course_id, id))`,
  `create index remark_by_announcement on remark (course_id, announcement_id, at)`,
  `alter table stored_file add column width integer check (width > 0), add column height integer check (height > 0)`,
];
