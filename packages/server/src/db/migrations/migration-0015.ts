import { Migration } from '@mikro-orm/migrations';

/**
 * Joining by paying: each payment from its begin, and the receipts, numbered without a gap. And who works at the queue,
 * so that what a process has left behind as it fell is taken up by another.
 */
export class Migration0015 extends Migration {
  override up(): void {
    for (const statement of STATEMENTS) this.addSql(statement);
  }
}

const DEFERRED = 'deferrable initially deferred';

const STATEMENTS = [
  `create table payment (
     id text primary key, course_id text not null references course ${DEFERRED},
     person_id text not null references person ${DEFERRED},
     amount integer not null check (amount >= 0), currency text not null check (currency ~ '^[A-Z]{3}$'),
     state text not null default 'begun'
       check (state in ('begun', 'paid', 'refused', 'timed_out', 'late', 'taken_back')),
     desk_id text unique, page text, begun_at text not null, settled_at text,
     receipt integer, taken_by text references person ${DEFERRED},
     check ((receipt is not null) = (state in ('paid', 'taken_back'))))`,
  // Whoever presses twice pays once.
  `create unique index payment_begun on payment (course_id, person_id) where state = 'begun'`,
  'create index payment_course on payment (course_id)',
  // Under a lock of its own row: a number that was given to nothing would be a gap.
  'create table receipt_count (institution_id text primary key references institution deferrable initially deferred, last integer not null)',
  'create table job_worker (worker_id text primary key, instance text not null)',
  `create unique index payment_receipt on payment (receipt) where receipt is not null`,
];
