import { Migration } from '@mikro-orm/migrations';

/** Discussions: threads, what is posted in them, what a post was before, and how far somebody has read. */
export class Migration0022 extends Migration {
  override up(): void {
    for (const statement of STATEMENTS) this.addSql(statement);
  }
}

const DEFERRED = 'deferrable initially deferred';

const STATEMENTS = [
  // More time in quizzes.
  'alter table person_exception add column factor double precision check (factor >= 1)',
  // By the name that PostgreSQL gives a check of several columns.
  'alter table person_exception drop constraint person_exception_check',
  `alter table person_exception add constraint person_exception_says
     check (opens is not null or due is not null or until is not null or factor is not null)`,
  `create table thread (
     id text primary key, course_id text not null references course ${DEFERRED}, item_id text not null,
     title text not null, author_id text not null references person ${DEFERRED}, by_staff boolean not null, at text not null,
     last_at text not null,
     posts integer not null default 0 check (posts >= 0), group_ids jsonb not null default '[]',
     pinned boolean not null default false, closed boolean not null default false, answer_id text)`,
  'create index thread_of on thread (course_id, item_id, pinned desc, last_at desc)',
  `create table post (
     id text primary key, thread_id text not null references thread ${DEFERRED}, course_id text not null,
     item_id text not null, author_id text not null references person ${DEFERRED}, number integer not null check (number > 0),
     at text not null, html text not null, plain text not null, edited_at text, removed_at text,
     removed_by text references person ${DEFERRED}, answers integer, unique (thread_id, number))`,
  'create index post_by on post (course_id, item_id, author_id)',
  // What has been changed is kept for staff.
  `create table post_before (
     post_id text not null references post ${DEFERRED}, at text not null, html text not null, primary key (post_id, at))`,
  `create table thread_read (
     thread_id text not null references thread ${DEFERRED}, person_id text not null references person ${DEFERRED},
     number integer not null check (number >= 0), primary key (thread_id, person_id))`,
];
