import { Migration } from '@mikro-orm/migrations';

/** Payments that count for a period: until when, what they go on from, and whoever wants no other. */
export class Migration0019 extends Migration {
  override up(): void {
    for (const statement of STATEMENTS) this.addSql(statement);
  }
}

const STATEMENTS = [
  `alter table payment add column months integer check (months between 1 and 36),
     add column paid_until text, add column after text references payment deferrable initially deferred,
     add column is_stopped boolean not null default false, add column is_told boolean not null default false,
     add constraint payment_period check (paid_until is null or months is not null)`,
  // Of one period there is one next, however often it is asked for.
  `create unique index payment_after on payment (after) where state in ('begun', 'paid')`,
  `create index payment_until on payment (paid_until) where state = 'paid' and paid_until is not null`,
  'alter table member drop constraint member_left_how_check',
  `alter table member add constraint member_left_how_check check (left_how in ('left', 'removed', 'lapsed'))`,
];
