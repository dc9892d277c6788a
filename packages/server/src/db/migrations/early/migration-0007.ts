import { Migration } from '@mikro-orm/migrations';

/** What has changed within the last minute is asked for whenever somebody begins to listen. */
export class Migration0007 extends Migration {
  override up(): void {
    this.addSql('create index change_by_moment on change (at)');
  }
}
