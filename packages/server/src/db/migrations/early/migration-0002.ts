import { Migration } from '@mikro-orm/migrations';

/**
 * Every kind of item, folders that hold others, and what a course has beside its dates. The database goes on
 * repeating the core's invariants: the kinds there are, and the formats.
 */
export class Migration0002 extends Migration {
  override up(): void {
    for (const statement of STATEMENTS) this.addSql(statement);
  }
}

const KINDS = [
  'section',
  'page',
  'file',
  'link',
  'video',
  'assignment',
  'quiz',
  'discussion',
  'meeting',
  'heading',
  'folder',
]
  .map((kind) => `'${kind}'`)
  .join(', ');

const STATEMENTS = [
  `alter table node drop constraint node_kind_check`,
  `alter table node add constraint node_kind_check check (kind in (${KINDS}))`,
  `alter table course add column settings jsonb not null default '{}'`,
  `alter table course alter column settings drop default`,
  `alter table institution add column largest_upload integer not null default 100
     check (largest_upload between 1 and 2000)`,
  `create table holiday (
     institution_id text not null references institution deferrable initially deferred, id text not null,
     name text not null check (name <> ''), first_day text not null, last_day text not null,
     primary key (institution_id, id),
     check (first_day ~ '^\\d{4}-\\d{2}-\\d{2}$' and last_day >= first_day))`,
  `alter table course add check (dates ->> 'format' in ('weeks', 'units', 'meetings', 'item'))`,
];
