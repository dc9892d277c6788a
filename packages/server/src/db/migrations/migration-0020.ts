import { Migration } from '@mikro-orm/migrations';

/** What learners hand in: what is begun, what has been handed in and for whom it counts, and every mark it was given. */
export class Migration0020 extends Migration {
  override up(): void {
    for (const statement of STATEMENTS) this.addSql(statement);
  }
}

const DEFERRED = 'deferrable initially deferred';

const STATEMENTS = [
  `create table work_draft (
     course_id text not null references course ${DEFERRED}, person_id text not null references person ${DEFERRED},
     item_id text not null, version integer not null check (version > 0), text text not null default '',
     address text not null default '', files jsonb not null default '[]', at text not null,
     primary key (course_id, person_id, item_id))`,
  `create table hand_in (
     id text primary key, course_id text not null references course ${DEFERRED}, item_id text not null,
     person_id text not null references person ${DEFERRED}, attempt integer not null check (attempt > 0),
     text text not null, address text not null, files jsonb not null, at text not null, hash text not null,
     unique (course_id, item_id, person_id, attempt))`,
  // Whoever is in the group at that moment has it too, and keeps it.
  `create table hand_in_for (
     hand_in_id text not null references hand_in ${DEFERRED}, person_id text not null references person ${DEFERRED},
     course_id text not null, item_id text not null, is_late boolean not null, primary key (hand_in_id, person_id))`,
  'create index hand_in_for_person on hand_in_for (course_id, item_id, person_id)',
  // Written once and added to: the latest counts, and what it was before can be read.
  `create table mark (
     id text primary key, hand_in_id text not null references hand_in ${DEFERRED},
     after text unique references mark ${DEFERRED}, points double precision check (points >= 0), comment text not null,
     by text not null references person ${DEFERRED}, at text not null)`,
  'create unique index mark_first on mark (hand_in_id) where after is null',
  'create index mark_of on mark (hand_in_id)',
];
