import { Migration } from '@mikro-orm/migrations';

/** Posts with files, begun and followed; marks with files; what staff note among themselves; when items were opened. */
export class Migration0024 extends Migration {
  override up(): void {
    for (const statement of STATEMENTS) this.addSql(statement);
  }
}

const DEFERRED = 'deferrable initially deferred';
const PERSON = `person_id text not null references person ${DEFERRED}`;

const STATEMENTS = [
  `alter table post add column files jsonb not null default '[]'`,
  `create table post_draft (
     course_id text not null references course ${DEFERRED}, item_id text not null, ${PERSON},
     place text not null, version integer not null check (version > 0), title text not null, html text not null,
     files jsonb not null default '[]', at text not null, primary key (course_id, item_id, person_id, place))`,
  // Whoever has been told of a post is told of the next once they have read up to it.
  `create table thread_follow (
     thread_id text not null references thread ${DEFERRED}, ${PERSON}, told integer not null check (told >= 0),
     primary key (thread_id, person_id))`,
  `alter table mark add column files jsonb not null default '[]'`,
  // Sent to be given back with this work, by whoever marks it.
  `create table mark_file (
     hand_in_id text not null references hand_in ${DEFERRED}, hash text not null, name text not null,
     size integer not null check (size >= 0), type text not null, "by" text not null references person ${DEFERRED},
     at text not null, primary key (hand_in_id, hash))`,
  `create table work_note (
     id text primary key, hand_in_id text not null references hand_in ${DEFERRED}, text text not null,
     "by" text not null references person ${DEFERRED}, at text not null)`,
  'create index work_note_of on work_note (hand_in_id)',
  // What is new to somebody is read off the changes since they were there.
  'create index change_when on change (course_id, at)',
  // When somebody opened what, for their own log.
  `create table item_opened (
     course_id text not null references course ${DEFERRED}, ${PERSON}, item_id text not null, first_at text not null,
     last_at text not null, primary key (course_id, person_id, item_id))`,
];
