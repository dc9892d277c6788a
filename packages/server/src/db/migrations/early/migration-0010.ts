import { Migration } from '@mikro-orm/migrations';

/** Tries at passwords and passphrases are counted before they are checked, by place and by what they are tried at. */
export class Migration0010 extends Migration {
  override up(): void {
    this.addSql(
      'create table attempt (key varchar(255) primary key, points integer not null default 0, expire bigint)',
    );
    this.addSql('drop table sign_in_failure');
  }
}
