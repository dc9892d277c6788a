import { Migration } from '@mikro-orm/migrations';

/** A comment that is taken away is kept, so that it can be brought back; and each knows which it was. */
export class Migration0008 extends Migration {
  override up(): void {
    this.addSql(
      'alter table remark add column removed_by text null references person deferrable initially deferred',
    );
    this.addSql('alter table remark add column turn int not null default 0');
    this.addSql(
      `update remark set turn = numbered.turn from (
         select course_id, id,
           row_number() over (partition by course_id, announcement_id order by at, id) - 1 as turn
         from remark) as numbered
       where remark.course_id = numbered.course_id and remark.id = numbered.id`,
    );
  }
}
