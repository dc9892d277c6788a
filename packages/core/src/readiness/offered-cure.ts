/**
 * Whether the press that cures a finding is offered: only where it is taken, and brings no blocker that was not there
 * (docs/semantics.md, Readiness). It takes as long as finding out all over again, so it is asked of what is shown.
 */
import { planCourse } from '../calendar/course-plan.ts';
import type { CoursePlan } from '../calendar/course-plan.ts';
import { applyChange } from '../course/edits/apply.ts';
import type { Edit } from '../course/edits/edits.ts';
import type { Course } from '../course/schema/schema.ts';
import { findings, isBlocker } from './findings.ts';
import type { ReadinessFacts } from './findings.ts';
import type { Finding } from './rule.ts';

/**
 * @param found all findings of the course, of which `finding` is one.
 * @returns the edits, as they are pressed; null: none is offered.
 */
export function offeredCure(
  course: Course,
  facts: ReadinessFacts,
  plan: CoursePlan,
  found: readonly Finding[],
  finding: Finding,
): readonly Edit[] | null {
  if (finding.cure === null) return null;
  const cured = applyChange(course, { id: 'cure', edits: [...finding.cure] });
  if (!cured.ok) return null;
  const before = found.filter(isBlocker);
  const after = findings(cured.course, facts, planCourse(cured.course, {}, plan)).filter(isBlocker);
  return after.every((one) => wasThere(one, before)) ? finding.cure : null;
}

/** Of the same rule, and about nothing more than before. */
function wasThere({ rule, targets }: Finding, before: readonly Finding[]): boolean {
  const same = before.find((one) => one.rule === rule);
  return same !== undefined && targets.every((id) => same.targets.includes(id));
}
