/** Menus that the institution proposes; a course compares its own with one, and takes over what it likes. */
import type { MenuTemplatesAnswer } from '@itinerary/contract';
import type { Menu } from '@itinerary/core';
import { MenuTemplateRow } from '../../db/entities.ts';
import { underInstitution } from '../../db/locks.ts';
import type { EntityManager } from '../../db/orm.ts';

export async function menuTemplates(em: EntityManager, institutionId: string): Promise<MenuTemplatesAnswer> {
  const rows = await em.find(MenuTemplateRow, { institutionId }, { orderBy: { name: 'asc', id: 'asc' } });
  return { templates: rows.map(({ id, name, menu }) => ({ id, name, menu })) };
}

/** Pages of one course are in no other, so entries that lead to them are not part of a template. */
export async function keepMenuTemplate(
  em: EntityManager,
  institutionId: string,
  id: string,
  { name, menu }: { readonly name: string; readonly menu: Menu },
): Promise<MenuTemplatesAnswer> {
  const common = Object.fromEntries(
    Object.entries(menu).filter(([, { leads, removed }]) => leads.to !== 'item' && !removed),
  );
  await underInstitution(em, institutionId, async (inner) => {
    const row = await inner.findOne(MenuTemplateRow, { institutionId, id });
    if (row === null) inner.persist(inner.create(MenuTemplateRow, { institutionId, id, name, menu: common }));
    else inner.assign(row, { name, menu: common });
  });
  return menuTemplates(em.fork(), institutionId);
}

export async function removeMenuTemplate(
  em: EntityManager,
  institutionId: string,
  id: string,
): Promise<MenuTemplatesAnswer> {
  await em.nativeDelete(MenuTemplateRow, { institutionId, id });
  return menuTemplates(em, institutionId);
}
