/** Somebody in front of a course, from their row and their membership. */
import type { Viewer } from '@itinerary/core';
import type { Person } from '../db/entities.ts';
import { MemberRow } from '../db/entities.ts';
import type { EntityManager } from '../db/orm.ts';

export async function viewerOf(em: EntityManager, person: Person, courseId: string): Promise<Viewer> {
  const member = await em.findOne(MemberRow, { courseId, personId: person.id, leftAt: null });
  return {
    role: member?.role ?? null,
    institutionStaff: person.kind === 'staff',
    joinedAt: member?.joinedAt ?? null,
  };
}

export function mayCreateCourses(person: Person): boolean {
  return person.kind === 'teaching' || person.kind === 'staff';
}

export async function countLearners(em: EntityManager, courseId: string): Promise<number> {
  return em.count(MemberRow, { courseId, role: 'learner', leftAt: null });
}
