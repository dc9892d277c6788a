/**
 * Courses as they stand after their latest change, read from their rows and checked once, however many ask. Nothing
 * but a change alters a course, and each has its number: one look at the number says whether what is kept still holds.
 * What core has worked out for a course is kept with it.
 */
import { IsolationLevel } from '@mikro-orm/core';
import type { QBFilterQuery } from '@mikro-orm/core';
import { BoundedBy, isHolder } from '@itinerary/core';
import type { Course, CourseNode } from '@itinerary/core';
import { inPieces } from '../lanes/give-way.ts';
import { byCourse, toCourse } from './course-rows.ts';
import { CourseRow, NodeRow } from './entities.ts';
import type { CourseRecord } from './entities.ts';
import type { EntityManager } from './orm.ts';

/** In nodes, of some three kilobytes each with what core works out for them: the course asked for longest ago goes first. */
const MOST = 40_000;
/** What a course weighs without its nodes. */
const HEAD = 10;

export interface KeptCourse {
  readonly row: Pick<CourseRecord, 'id' | 'institutionId' | 'seq' | 'createdAt'>;
  readonly course: Course;
}

/** A course that nobody else changes until the transaction ends; its number moves on with each change made in it. */
export interface LockedCourse {
  readonly row: Omit<KeptCourse['row'], 'seq'> & { seq: number };
  readonly course: Course;
}

/** By the connection, since tests have several databases with the same courses. */
const kept = new BoundedBy<object, KeptCourse>(MOST, ({ course }) => HEAD + nodesIn(course.sections));

const nodesIn = (nodes: readonly CourseNode[]): number =>
  nodes.reduce((sum, node) => sum + 1 + (isHolder(node) ? nodesIn(node.items) : 0), 0);

export type CourseNumber = KeptCourse['row'];

/** The demo, loaded anew, has the same courses at the same numbers. */
const isOf = ({ row }: KeptCourse, { seq, createdAt }: CourseNumber): boolean =>
  row.seq === seq && row.createdAt === createdAt;

/** Of a whole row, which can be long, only what tells whether its course is kept. */
function numbersOf(em: EntityManager, where: QBFilterQuery<CourseRecord>): Promise<readonly CourseNumber[]> {
  return em
    .createQueryBuilder(CourseRow)
    .select(['id', 'institutionId', 'seq', 'createdAt'])
    .where(where)
    .execute<CourseNumber[]>('all');
}

/** The course, or null where there is none. */
export async function keptCourse(em: EntityManager, id: string): Promise<KeptCourse | null> {
  return (await keptCourses(em, await numbersOf(em, { id })))[0] ?? null;
}

/**
 * The course, which nobody else changes until the transaction ends; for whoever changes it, or who is in it.
 * What is not kept is read in this transaction, on its own connection: whoever waits for the lock holds one too.
 */
export async function lockedCourse(em: EntityManager, id: string): Promise<LockedCourse | null> {
  const [row] = await em.execute<CourseNumber[]>(
    `select id, institution_id as "institutionId", seq, created_at as "createdAt" from course where id = ? for no key update`,
    [id],
  );
  if (row === undefined) return null;
  const there = kept.of(em.getConnection()).get(id);
  if (there !== undefined && isOf(there, row)) return { row, course: there.course };
  const whole = await em.findOneOrFail(CourseRow, { id }, { refresh: true });
  // Not kept: this transaction may have changed it already, and may yet come to nothing.
  return { row, course: toCourse(whole, await em.find(NodeRow, { courseId: id })) };
}

/** What a change has made of a course, once its transaction has ended well: nobody has to read its rows. */
export function keepChanged(em: EntityManager, { row, course }: KeptCourse): void {
  const shelf = kept.of(em.getConnection());
  const there = shelf.get(row.id);
  // Two that were taken after one another may come here the other way round.
  if (there === undefined || there.row.createdAt !== row.createdAt || there.row.seq < row.seq)
    shelf.set(row.id, { row: { ...row }, course });
}

/**
 * Those of the rows that are still there, in their order: with one question more where not all are kept.
 *
 * @param unread what becomes of one whose rows are no course
 */
export async function keptCourses(
  em: EntityManager,
  rows: readonly CourseNumber[],
  unread: 'throw' | 'leave' = 'throw',
): Promise<readonly KeptCourse[]> {
  const shelf = kept.of(em.getConnection());
  const found = new Map<string, KeptCourse>();
  const missing: string[] = [];
  for (const row of rows) {
    const there = shelf.get(row.id);
    if (there !== undefined && isOf(there, row)) found.set(row.id, there);
    else missing.push(row.id);
  }
  if (missing.length > 0) for (const one of await fromRows(em, missing, unread)) found.set(one.row.id, one);
  for (const [id, one] of found) shelf.set(id, one);
  return rows.flatMap(({ id }) => found.get(id) ?? []);
}

/** How much is kept of this database just now. */
export function keptNow(em: EntityManager): { readonly courses: number; readonly nodes: number } {
  const shelf = kept.of(em.getConnection());
  return { courses: shelf.size, nodes: shelf.total - HEAD * shelf.size };
}

/** The courses whose rows are like that. */
export async function coursesWhere(
  em: EntityManager,
  where: QBFilterQuery<CourseRecord>,
): Promise<readonly Course[]> {
  return (await keptCourses(em, await numbersOf(em, where))).map(({ course }) => course);
}

/** At one moment of the database: a course whose rows a change came between would be none that ever was. */
function fromRows(
  em: EntityManager,
  ids: readonly string[],
  unread: 'throw' | 'leave',
): Promise<readonly KeptCourse[]> {
  return em.fork().transactional(
    async (inner) => {
      const rows = await inner.find(CourseRow, { id: { $in: [...ids] } });
      const nodes = byCourse(await inner.find(NodeRow, { courseId: { $in: [...ids] } }));
      const read = await inPieces(rows, (row): KeptCourse | null => {
        const { id, institutionId, seq, createdAt } = row;
        try {
          return { row: { id, institutionId, seq, createdAt }, course: toCourse(row, nodes.get(id) ?? []) };
        } catch (error) {
          if (unread === 'throw') throw error;
          return null;
        }
      });
      return read.filter((one) => one !== null);
    },
    { isolationLevel: IsolationLevel.REPEATABLE_READ, readOnly: true },
  );
}
