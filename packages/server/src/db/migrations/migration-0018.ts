import { Migration } from '@mikro-orm/migrations';

/** The order of names that an institution keeps, and what a member is filed under where the family's name comes first. */
export class Migration0018 extends Migration {
  override up(): void {
    for (const statement of STATEMENTS) this.addSql(statement);
  }
}

const STATEMENTS = [
  `alter table institution add column name_order text not null default 'given_first'
     constraint institution_name_order check (name_order in ('given_first', 'family_first'))`,
  `alter table member add column filed text not null default ''`,
  `create or replace function member_words() returns trigger language plpgsql as $$
   declare
     own_name text;
     own_address text;
   begin
     select name, address into own_name, own_address from person where id = new.person_id;
     new.called := coalesce(nullif(concat_ws(' ', new.listed ->> 'given', new.listed ->> 'family'), ''),
                            new.listed ->> 'name', own_name, '');
     new.filed := coalesce(nullif(concat_ws(', ', new.listed ->> 'family', new.listed ->> 'given'), ''), new.called);
     new.found_by := folded(concat_ws(' ', new.called, coalesce(new.listed ->> 'address', own_address),
                                      new.listed ->> 'id', new.listed ->> 'userName'));
     return new;
   end $$`,
  'update member set listed = listed',
];
