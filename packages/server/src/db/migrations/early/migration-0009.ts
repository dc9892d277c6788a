import { Migration } from '@mikro-orm/migrations';

/**
 * The kinds that a node can have stand in a table, filled from core's own list when a server begins: a new kind needs
 * no migration, and one that core does not know is refused as before.
 */
export class Migration0009 extends Migration {
  override up(): void {
    this.addSql('create table node_kind (name text primary key)');
    this.addSql('insert into node_kind select distinct kind from node');
    this.addSql('alter table node drop constraint node_kind_check');
    this.addSql('alter table node add constraint node_kind_known foreign key (kind) references node_kind');
  }
}
