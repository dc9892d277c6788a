/** In which order an institution writes names where people are looked up. */
import type { NameOrder } from '@itinerary/core/people';
import { CourseRow, InstitutionRow } from '../../db/entities.ts';
import type { EntityManager } from '../../db/orm.ts';

export async function setNameOrder(
  em: EntityManager,
  institutionId: string,
  nameOrder: NameOrder,
): Promise<{ nameOrder: NameOrder }> {
  await em.nativeUpdate(InstitutionRow, { id: institutionId }, { nameOrder });
  return { nameOrder };
}

export async function nameOrderOf(em: EntityManager, courseId: string): Promise<NameOrder> {
  const { institutionId } = await em.findOneOrFail(
    CourseRow,
    { id: courseId },
    { fields: ['institutionId'] },
  );
  return (await em.findOneOrFail(InstitutionRow, { id: institutionId })).nameOrder;
}
