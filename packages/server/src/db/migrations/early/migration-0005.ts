import { Migration } from '@mikro-orm/migrations';

/**
 * What decides about a person and stands outside the course document: the groups they are in, moments of their
 * own, what they have done; and the passphrase for visitors, which no document holds.
 */
export class Migration0005 extends Migration {
  override up(): void {
    for (const statement of STATEMENTS) this.addSql(statement);
  }
}

const MEMBER = 'foreign key (course_id, person_id) references member deferrable initially deferred';

const STATEMENTS = [
  `create table member_group (
     course_id text not null, person_id text not null, group_id text not null check (group_id <> ''),
     primary key (course_id, person_id, group_id), ${MEMBER})`,
  `create table person_exception (
     course_id text not null, id text not null, person_id text not null, node_id text not null,
     opens jsonb, due jsonb, until jsonb, at double precision not null check (at >= 0),
     primary key (course_id, id), unique (course_id, person_id, node_id), ${MEMBER},
     check (opens is not null or due is not null or until is not null))`,
  `create table deed (
     course_id text not null, person_id text not null, item_id text not null,
     done_at text, score double precision check (score between 0 and 100),
     primary key (course_id, person_id, item_id), ${MEMBER})`,
  `create table course_secret (
     course_id text primary key references course deferrable initially deferred,
     passphrase_hash text not null, easy boolean not null)`,
];
