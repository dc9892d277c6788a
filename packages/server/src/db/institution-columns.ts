/** What an institution keeps for all its courses, as columns: asked for beside other things, in one question. */

/** @param id of the institution, written as SQL. The column is null where there are none */
export const termsColumn = (id: string): string => `
  (select jsonb_agg(jsonb_build_object(
      'code', code, 'name', name, 'firstDay', first_day, 'lastDay', last_day) order by first_day)
     from term where institution_id = ${id})`;

/** In no order. */
export const pagesColumn = (id: string): string => `
  (select jsonb_agg(jsonb_build_object(
      'id', id, 'use', use, 'names', names, 'address', address, 'beside', beside))
     from institution_page where institution_id = ${id})`;
