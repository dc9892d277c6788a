/** The course document: what it is, how it is read and written, and how it is changed. */
export {
  addressSchema,
  codeSchema,
  daySchema,
  idSchema,
  isRealDay,
  isZone,
  MAX_CODE,
  MAX_MINUTES,
  MAX_OUTCOME,
  MAX_SUMMARY,
  MAX_TAG,
  MAX_TAGS,
  MAX_TITLE,
  parseWith,
  fileNameSchema,
  storableSchema,
  tagSchema,
  textHashSchema,
  timeSchema,
  titleSchema,
  zoneSchema,
} from './schema/basics.ts';
export type { Mistake, Parsed } from './schema/basics.ts';
export {
  datesSchema,
  eventSchema,
  formatSchema,
  MAX_MEETINGS,
  MAX_PATTERNS,
  MAX_PAUSES,
  MAX_WEEKS,
  meetingChangeSchema,
  meetingKey,
  paceSchema,
  patternSchema,
  pauseSchema,
} from './schema/dates-schema.ts';
export type {
  CourseEvent,
  Dates,
  Format,
  HandIn,
  MeetingChange,
  Pace,
  Pattern,
  Pause,
  PausePolicy,
} from './schema/dates-schema.ts';
export {
  MAX_AMOUNT,
  MAX_ANSWER_HOURS,
  MAX_DOMAINS,
  MAX_QUESTION,
  MAX_SEATS,
  GIVEN_ROLES,
  PERSON_KINDS,
  SHUT_WAY,
  SWITCHED_WAYS,
  domainSchema,
} from './schema/joining-schema.ts';
export type { Price, SwitchedWay, WayIn } from './schema/joining-schema.ts';
export { nextPlace } from './next-place.ts';
export { isGroup, itemsOfRule, mapRule, momentsOfRule, singles } from './rules.ts';
export {
  changedBySchema,
  closedSchema,
  doneRuleSchema,
  exceptionSchema,
  findableSchema,
  groupingSchema,
  groupSchema,
  MAX_GROUPINGS,
  MAX_GROUPS,
  MAX_IN_GROUP,
  groupWorkSchema,
  localMomentSchema,
  MAX_CONDITIONS,
  MAX_RULE_DEPTH,
  namesSchema,
  openingRuleSchema,
  personExceptionSchema,
  visitorsSchema,
} from './schema/access-schema.ts';
export type {
  ChangedBy,
  Closed,
  Condition,
  ConditionGroup,
  DoneRule,
  Exception,
  Findable,
  Group,
  GroupingPlan,
  GroupWork,
  LocalMoment,
  Names,
  OpeningRule,
  Outside,
  PersonException,
  SingleCondition,
  Visitors,
} from './schema/access-schema.ts';
export { anchorSchema, momentSchema } from './schema/moment-schema.ts';
export type { Anchor, PlannedMoment, ShiftUnit } from './schema/moment-schema.ts';
export {
  accentSchema,
  fileSchema,
  isContent,
  isPictureType,
  isWork,
  itemSchema,
  MAX_FOLDER_DEPTH,
  MAX_ITEMS_PER_PARENT,
} from './schema/items-schema.ts';
export type {
  Accent,
  ContentItem,
  FiledItem,
  CourseFileRef,
  Folder,
  Item,
  Leaf,
  WorkItem,
} from './schema/items-schema.ts';
export {
  courseSchema,
  courseStateSchema,
  MAX_OUTCOMES,
  MAX_NESTING,
  MAX_SECTIONS,
  wrongBefore,
  numberingSchema,
  outcomeSchema,
  purposeSchema,
  MAX_SPAN,
  unitSpanSchema,
} from './schema/schema.ts';
export type {
  Course,
  CourseNode,
  CourseState,
  HeldBack,
  Numbering,
  Outcome,
  Purpose,
  Section,
  UnitSpan,
} from './schema/schema.ts';
export { isContentKind, isHolderKind, isInArea, ITEM_KINDS, traitsOf } from './schema/kinds.ts';
export type { ItemKind, KindTraits } from './schema/kinds.ts';
export {
  allLivingItems,
  findNode,
  folderDepth,
  isForLearners,
  isHolder,
  isOutOfSight,
  isShown,
  livingItems,
  livingSections,
  sectionOf,
  shownItems,
  mapTops,
  subtree,
  topsOf,
  withoutTombstones,
} from './tree.ts';
export type { Holder, Place } from './tree.ts';
export { changeSchema, editSchema, fieldValueSchema, MAX_EDITS, sameValue } from './edits/edits.ts';
export type { Change, Edit, FieldValue, InsertEdit, MoveEdit, SetEdit } from './edits/edits.ts';
export type { Refusal } from './edits/refusal.ts';
export type { Applied } from './edits/refusal.ts';
export { courseEntries, courseFields, nodeFields, readField, TEXT_FIELDS } from './edits/fields.ts';
export { share } from './edits/share.ts';
export { applyChange } from './edits/apply.ts';
export { newCourse, newDates, newItem, newSection } from './new-course.ts';
export type { NewCourse } from './new-course.ts';
export { foldCode, proposeCode } from './codes.ts';
export {
  forgetUndo,
  joinChange,
  makeChange,
  openCopy,
  redoLast,
  takeAnswer,
  undoLast,
} from './edits/working-copy.ts';
export type { Notice, Replaced, ServerAnswer, TakenChange, WorkingCopy } from './edits/working-copy.ts';
export { bothValues } from './edits/both.ts';
export { takeUpKept } from './edits/kept-changes.ts';
export type { KeptChanges } from './edits/kept-changes.ts';
export {
  COURSE_FILE_FORMAT,
  COURSE_FILE_VERSION,
  courseFileJsonSchema,
  courseFileSchema,
  fileHashes,
  MAX_TEXT,
  parseCourseFile,
  textHashes,
  toCourseFile,
} from './file.ts';
export type { CourseFile } from './file.ts';
export { beginningOf, MOST_TOLD, readCourseFile, sentenceOf, sentencesOf } from './read-file.ts';
export type { FileRead } from './read-file.ts';
export { parseCourse } from './parse-course.ts';
export { LANGUAGES, languageSchema, MAX_LABEL, roleNameSchema, wordsSchema } from './schema/words-schema.ts';
export type { Language, RoleName, Words } from './schema/words-schema.ts';
export {
  AREAS,
  areaSchema,
  arriveSchema,
  FIRST_MENU,
  MAX_MENU,
  menuEntrySchema,
  menuGroupSchema,
} from './schema/menu-schema.ts';
export type { Area, Arrive, Leads, MenuEntry, MenuGroup } from './schema/menu-schema.ts';
export {
  isOnlyOnce,
  MAX_NEXT_DAYS,
  MAX_PANELS,
  MOST_ANNOUNCEMENTS_SHOWN,
  PANEL_KINDS,
  panelSchema,
} from './schema/home-schema.ts';
export type { Panel, PanelKind } from './schema/home-schema.ts';
export {
  announcementSchema,
  contactSchema,
  MAX_ANNOUNCEMENTS,
  MAX_ATTACHMENTS,
  MAX_CONTACTS,
} from './schema/messages-schema.ts';
export type { Announcement, Contact } from './schema/messages-schema.ts';
export { coursePictureSchema, headingFaceSchema, lookSchema, MAX_SIDE } from './schema/look-schema.ts';
export type { CoursePicture, HeadingFace, Look } from './schema/look-schema.ts';
export { mapTextHash } from './edits/fields.ts';
export { mapOwnContent, ownContent } from './own-content.ts';
export { refusalSchema } from './edits/refusal.ts';
export type { DeepReadonly } from './schema/readonly.ts';
export { Bounded, BoundedBy } from './bounded.ts';
export { WEEKDAYS } from './schema/basics.ts';
export { setDates, setDatesEntry, setField, setMoment, setTableEntry } from './edits/making.ts';
