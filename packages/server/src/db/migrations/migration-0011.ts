import { Migration } from '@mikro-orm/migrations';

/** Who sent a file, so that nobody fills a course alone. */
export class Migration0011 extends Migration {
  override up(): void {
    this.addSql('alter table stored_file add column by text references person deferrable initially deferred');
    this.addSql('create index stored_file_hash on stored_file (hash)');
  }
}
