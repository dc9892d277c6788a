import { Migration } from '@mikro-orm/migrations';

/**
 * What a desk of thousands is sorted and narrowed by stands beside the course: its first day, and the instant at which
 * a draft goes live by itself. Core works both out; `listed` is false until it has, of a course of an earlier release.
 */
export class Migration0026 extends Migration {
  override up(): void {
    for (const statement of STATEMENTS) this.addSql(statement);
  }
}

const STATEMENTS = [
  `alter table course add column first_day text, add column goes_live double precision,
     add column listed boolean not null default false`,
  `create index course_on_desk on course
     (institution_id, (state = 'archived'), (coalesce(first_day, '9999')), code)`,
];
