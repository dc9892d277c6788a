/** What core offers. Everything else in it is its own business. */
export {
  addressSchema,
  codeSchema,
  courseSchema,
  courseStateSchema,
  daySchema,
  idSchema,
  isRealDay,
  isZone,
  MAX_CODE,
  MAX_SECTIONS,
  MAX_TITLE,
  MAX_WEEKS,
  parseCourse,
  parseWith,
  purposeSchema,
  storableSchema,
  tagSchema,
  textHashSchema,
  titleSchema,
  zoneSchema,
} from './course/schema.ts';
export type {
  Course,
  CourseNode,
  CourseState,
  Dates,
  Item,
  ItemKind,
  Link,
  Mistake,
  Page,
  Parsed,
  Purpose,
  Section,
} from './course/schema.ts';
export {
  findNode,
  isOutOfSight,
  livingItems,
  livingSections,
  subtree,
  withoutTombstones,
} from './course/tree.ts';
export { changeSchema, editSchema, fieldValueSchema, sameValue } from './course/edits.ts';
export type {
  Applied,
  Change,
  Edit,
  FieldValue,
  InsertEdit,
  MoveEdit,
  Refusal,
  SetEdit,
} from './course/edits.ts';
export { courseFields, nodeFields, readField, TEXT_FIELDS } from './course/fields.ts';
export { applyChange } from './course/apply.ts';
export { numberNodes } from './course/numbering.ts';
export { newCourse, newSection } from './course/new-course.ts';
export type { NewCourse } from './course/new-course.ts';
export { foldCode, proposeCode } from './course/codes.ts';
export {
  forgetUndo,
  joinChange,
  makeChange,
  openCopy,
  redoLast,
  takeAnswer,
  undoLast,
} from './course/working-copy.ts';
export type { Notice, ServerAnswer, TakenChange, WorkingCopy } from './course/working-copy.ts';
export {
  COURSE_FILE_FORMAT,
  COURSE_FILE_VERSION,
  courseFileJsonSchema,
  courseFileSchema,
  MAX_TEXT,
  parseCourseFile,
  textHashes,
  toCourseFile,
} from './course/file.ts';
export type { CourseFile } from './course/file.ts';
export {
  addDays,
  clockChanges,
  dayOf,
  daysBetween,
  nearestWeekday,
  startOfDay,
  weekdayOf,
  weekdayOnOrAfter,
} from './calendar/days.ts';
export { planSections, teachingWeeks, weekAt } from './calendar/plan.ts';
export type { Moment, Plan, PlannedSection, Span, Week } from './calendar/plan.ts';
export { hasRight, mayPlan, ROLES } from './access/roles.ts';
export type { Right, Role, Viewer } from './access/roles.ts';
export { canSee, resolveAccess } from './access/resolve.ts';
export type { Access, AccessState, Answer, Reason } from './access/resolve.ts';
export { findings, isBlocker, RULES } from './readiness/findings.ts';
export type { ReadinessFacts } from './readiness/findings.ts';
export type { Finding, Rule, Severity, Stop } from './readiness/rule.ts';
export { courseView } from './learner/view.ts';
export type { CourseView, ItemView, SectionView } from './learner/view.ts';
