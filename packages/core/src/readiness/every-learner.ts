/** What the rules come to for a learner who is in every group: what not even they can reach, nobody can. */
import { analyseRules } from '../access/analysis.ts';
import type { RuleAnalysis } from '../access/analysis.ts';
import { ANY_LEARNER } from '../access/roles.ts';
import type { Course } from '../course/schema/schema.ts';

const known = new WeakMap<Course, RuleAnalysis>();

export function everyLearner(course: Course): RuleAnalysis {
  let found = known.get(course);
  if (found === undefined) {
    found = analyseRules(course, { ...ANY_LEARNER, groups: Object.keys(course.groups) });
    known.set(course, found);
  }
  return found;
}
