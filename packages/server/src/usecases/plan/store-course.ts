/** Puts a whole new course into the database: a blank one, an imported one, the demo's. */
import { textHashes } from '@itinerary/core';
import type { Course } from '@itinerary/core';
import { headOf, nodeRows } from '../../db/course-rows.ts';
import { CourseRow, MemberGroupRow, MemberRow, NodeRow } from '../../db/entities.ts';
import type { Role } from '@itinerary/core';
import type { EntityManager } from '../../db/orm.ts';
import { keepText } from './texts.ts';

export interface StoredCourse {
  readonly institutionId: string;
  readonly course: Course;
  readonly texts: Readonly<Record<string, string>>;
  readonly members: readonly {
    readonly person: string;
    readonly role: Role;
    /** Ids of the course's groups. */
    readonly groups?: readonly string[];
  }[];
  readonly now: string;
}

/** Persists rows into the unit of work; the caller flushes. */
export function storeCourse(
  em: EntityManager,
  { institutionId, course, texts, members, now }: StoredCourse,
): void {
  const { id } = course;
  const row = em.create(CourseRow, { institutionId, ...headOf(course), seq: 0, createdAt: now });
  em.persist(row);
  for (const node of nodeRows(course)) em.persist(em.create(NodeRow, node));
  for (const hash of textHashes(course)) {
    keepText(em, id, hash, texts[hash] as string);
  }
  for (const { person, role, groups = [] } of members) {
    for (const groupId of groups) {
      em.persist(em.create(MemberGroupRow, { courseId: id, personId: person, groupId }));
    }
    em.persist(
      em.create(MemberRow, {
        courseId: id,
        personId: person,
        role,
        joinedAt: now,
        leftAt: null,
        leftHow: null,
      }),
    );
  }
}
