import { Migration } from '@mikro-orm/migrations';

/**
 * What a member is called and found by, beside the member, so that a table of thousands begins as quickly as one of a
 * class: kept by the database whenever what a list or the account says of them changes.
 */
export class Migration0017 extends Migration {
  override up(): void {
    for (const statement of STATEMENTS) this.addSql(statement);
  }
}

const STATEMENTS = [
  // Without accents and case, as words are looked for everywhere: also Arabic's signs for vowels.
  `create function folded(words text) returns text language sql immutable as $$
     select lower(regexp_replace(normalize(words, NFD), '[\\u0300-\\u036f\\u0640\\u064b-\\u065f\\u0670]', '', 'g')) $$`,
  `alter table member add column called text not null default '', add column found_by text not null default ''`,
  'create index if not exists member_person on member (person_id)',
  // What a list says of somebody here comes before what their account says.
  `create function member_words() returns trigger language plpgsql as $$
   declare
     own_name text;
     own_address text;
   begin
     select name, address into own_name, own_address from person where id = new.person_id;
     new.called := coalesce(nullif(concat_ws(' ', new.listed ->> 'given', new.listed ->> 'family'), ''),
                            new.listed ->> 'name', own_name, '');
     new.found_by := folded(concat_ws(' ', new.called, coalesce(new.listed ->> 'address', own_address),
                                      new.listed ->> 'id', new.listed ->> 'userName'));
     return new;
   end $$`,
  `create trigger member_is_called before insert or update of listed, person_id on member
     for each row execute function member_words()`,
  `create function person_words() returns trigger language plpgsql as $$
   begin
     update member set listed = listed where person_id = new.id;
     return null;
   end $$`,
  // The person of a member may be written after them, in one transaction.
  `create trigger person_is_called after insert or update of name, address on person
     for each row execute function person_words()`,
  'update member set listed = listed',
];
