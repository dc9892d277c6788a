import { Migration } from '@mikro-orm/migrations';

/**
 * Class lists: places that nobody has claimed yet are people without an address, each in one course; members know by
 * which way they came and what lists say of them; a list that was taken is kept, so that it can be taken back.
 */
export class Migration0012 extends Migration {
  override up(): void {
    for (const statement of STATEMENTS) this.addSql(statement);
  }
}

const DEFERRED = 'deferrable initially deferred';

const STATEMENTS = [
  'alter table person alter column address drop not null',
  `alter table person add column place_in text references course ${DEFERRED}`,
  'alter table person add constraint person_place check ((place_in is null) = (address is not null))',
  'create index person_place_in on person (place_in) where place_in is not null',
  `alter table member add column left_how text check (left_how in ('left', 'removed')),
     add column way text not null default 'staff'
       check (way in ('staff', 'registry', 'link', 'invitation', 'request', 'paying')),
     add column listed jsonb, add column is_listed boolean not null default false, add column cells text`,
  `update member set left_how = 'removed' where left_at is not null`,
  'alter table member add constraint member_left check ((left_at is null) = (left_how is null))',
  `create table member_list (
     course_id text not null references course ${DEFERRED}, id text not null, turn integer not null check (turn > 0),
     at text not null, by text not null references person ${DEFERRED}, source text not null,
     shape jsonb not null, counts jsonb not null, touched jsonb not null, made jsonb not null,
     undone_at text, undone_by text references person ${DEFERRED},
     primary key (course_id, id), unique (course_id, turn),
     check ((undone_at is null) = (undone_by is null)))`,
];
