/** Courses of an earlier release, of which it is not written down yet what a desk is sorted by. */
import { byCourse, headOf, toCourse } from './course-rows.ts';
import { CourseRow, NodeRow } from './entities.ts';
import type { CourseRecord, NodeRecord } from './entities.ts';
import type { EntityManager } from './orm.ts';

const AT_ONCE = 50;

function headIn(row: CourseRecord, nodes: readonly NodeRecord[]): ReturnType<typeof headOf> | null {
  try {
    return headOf(toCourse(row, nodes));
  } catch {
    return null;
  }
}

export async function listCourses(em: EntityManager): Promise<void> {
  for (let after = ''; ;) {
    const inner = em.fork();
    const rows = await inner.find(
      CourseRow,
      { listed: false, id: { $gt: after } },
      { orderBy: { id: 'asc' }, limit: AT_ONCE },
    );
    const last = rows.at(-1);
    if (last === undefined) return;
    const nodes = byCourse(await inner.find(NodeRow, { courseId: { $in: rows.map(({ id }) => id) } }));
    for (const row of rows) {
      const head = headIn(row, nodes.get(row.id) ?? []);
      // One that cannot be read keeps no server from starting; a desk says which it is.
      if (head === null) continue;
      await inner.nativeUpdate(
        CourseRow,
        { id: row.id },
        {
          ...{ firstDay: head.firstDay ?? null, goesLive: head.goesLive ?? null, listed: true },
        },
      );
    }
    after = last.id;
  }
}
