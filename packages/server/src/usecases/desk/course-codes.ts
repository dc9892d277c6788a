/** Codes are unique in the institution, whatever their case. */
import type { CodeAnswer } from '@itinerary/contract';
import { codesLike, foldCode, isThere, resolveAccess } from '@itinerary/core';
import type { Person } from '../../db/entities.ts';
import { keptCourse } from '../../db/kept-courses.ts';
import { knownQuestion } from '../../db/known-question.ts';
import { viewerOf } from '../access/viewer.ts';
import type { EntityManager } from '../../db/orm.ts';

/** The course that has a code, and a code like it that none has. */
export interface CodeHeld {
  readonly holder: { readonly id: string; readonly title: string; readonly code: string } | null;
  readonly proposal: string;
}

const FIRST_ASKED = 8;

const coursesOf = knownQuestion<{ readonly id: string; readonly title: string; readonly code: string }>(
  'courses-of-codes',
  `select id, title, code from course where institution_id = ?
   and lower(code) = any (array(select jsonb_array_elements_text(?::jsonb))) and id is distinct from ?`,
);

/** @param except a course whose own code does not count as taken. */
export async function codeHeld(
  em: EntityManager,
  institutionId: string,
  code: string,
  except?: string,
): Promise<CodeHeld> {
  const proposals = codesLike(code);
  let holder: CodeHeld['holder'] = null;
  // Few codes have many like them: the first handful is asked for at once, by the index that keeps them apart.
  for (let many = FIRST_ASKED; ; many *= 2) {
    const wanted = Array.from({ length: many }, () => proposals.next().value);
    const rows = await coursesOf(em, [institutionId, JSON.stringify(wanted.map(foldCode)), except ?? null]);
    const taken = new Map(rows.map((row) => [foldCode(row.code), row]));
    holder ??= taken.get(foldCode(code)) ?? null;
    const proposal = wanted.find((one) => !taken.has(foldCode(one)));
    if (proposal !== undefined) return { holder, proposal };
  }
}

/** Who asks about a code, and when. */
export interface Asking {
  readonly person: Person;
  readonly now: string;
}

/** That a code is taken is told to everybody who asks, and by which course to whoever knows of that course. */
export async function checkCode(
  em: EntityManager,
  { person, now }: Asking,
  code: string,
  except?: string,
): Promise<CodeAnswer> {
  const { holder, proposal } = await codeHeld(em, person.institutionId, code, except);
  const isTold = holder !== null && (await isKnown(em, person, holder.id, now));
  const heldBy = isTold ? { title: holder.title, code: holder.code } : null;
  return { free: holder === null, heldBy, proposal };
}

async function isKnown(em: EntityManager, person: Person, courseId: string, now: string): Promise<boolean> {
  const loaded = await keptCourse(em, courseId);
  if (loaded === null) return false;
  const viewer = await viewerOf(em, person, loaded.course, now);
  return isThere(resolveAccess(loaded.course, viewer, now).course);
}
