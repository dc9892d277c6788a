import { Migration } from '@mikro-orm/migrations';

/** Uploaded files: which have come to which course, and what was found in them. Their content is kept apart. */
export class Migration0003 extends Migration {
  override up(): void {
    this.addSql(
      `create table stored_file (
         course_id text not null references course deferrable initially deferred,
         hash text not null check (hash ~ '^[0-9a-f]{64}$'), size integer not null check (size > 0),
         type text not null, created_at text not null, primary key (course_id, hash))`,
    );
  }
}
