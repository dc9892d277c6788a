import { Migration } from '@mikro-orm/migrations';

/**
 * What long texts hold besides words (pictures, links to items), so that readiness and the handing out of
 * pictures need not read them. Texts from before have neither, since none could.
 */
export class Migration0004 extends Migration {
  override up(): void {
    this.addSql('alter table long_text add column facts jsonb');
  }
}
