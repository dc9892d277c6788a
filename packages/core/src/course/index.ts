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
  FILE_GROUPS,
  MAX_GRACE,
  MAX_HANDED_FILES,
  MAX_POINTS,
  MAX_TRIES,
  pointsSchema,
  takesSchema,
  USUAL_TAKES,
} from './schema/coursework/work-schema.ts';
export type { FileGroup, Takes } from './schema/coursework/work-schema.ts';
export {
  MAX_LIMIT,
  MAX_PART,
  MAX_PARTS,
  MAX_POOLS,
  MAX_ASKED,
  MAX_QUESTIONS,
  MAX_WAIT,
  MAX_WHY,
  questionSchema,
  revealsSchema,
} from './schema/coursework/quiz-schema.ts';
export type { PlannedQuestion, Pool, Reveals } from './schema/coursework/quiz-schema.ts';
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
  MAX_MONTHS,
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
export { coursesNamed, isGroup, itemsOfRule, mapRule, momentsOfRule, singles } from './rules.ts';
export {
  changedBySchema,
  closedSchema,
  exceptionSchema,
  factorSchema,
  MAX_FACTOR,
  findableSchema,
  groupingSchema,
  groupSchema,
  MAX_GROUPINGS,
  MAX_GROUPS,
  MAX_IN_GROUP,
  groupWorkSchema,
  localMomentSchema,
  MAX_CONDITIONS,
  MAX_DAYS_AFTER,
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
export {
  conditionBy,
  conditionsOf,
  courseRuleSchema,
  DONE_BY,
  doneRuleSchema,
  isSeveral,
  MAX_COURSE_PARTS,
  MAX_NAMED,
  MAX_POSTS_WANTED,
  sectionRuleSchema,
} from './schema/progress-schema.ts';
export type {
  CoursePart,
  CourseRule,
  DoneBy,
  DoneCondition,
  DoneRule,
  Many,
  SectionRule,
  Want,
} from './schema/progress-schema.ts';
export { anchorSchema, momentSchema } from './schema/moment-schema.ts';
export type { Anchor, PlannedMoment, ShiftUnit } from './schema/moment-schema.ts';
export {
  accentSchema,
  isContent,
  isPictureType,
  isWork,
  itemSchema,
  MAX_EXAMPLE,
  MAX_FOLDER_DEPTH,
  MAX_ITEMS_PER_PARENT,
} from './schema/items-schema.ts';
export type {
  Accent,
  Assignment,
  ContentItem,
  Discussion,
  FiledItem,
  Film,
  Folder,
  Item,
  Leaf,
  Meeting,
  Quiz,
  Survey,
  WorkItem,
} from './schema/items-schema.ts';
export { fileSchema, MAX_ATTACHMENTS } from './schema/file-schema.ts';
export type { CourseFileRef } from './schema/file-schema.ts';
export {
  captionSchema,
  MAX_CAPTIONS,
  MAX_CHAPTER,
  MAX_CHAPTERS,
  MAX_SECONDS,
} from './schema/coursework/film-schema.ts';
export type { Caption, Chapter } from './schema/coursework/film-schema.ts';
export { MAX_AFTERWARDS } from './schema/coursework/meeting-schema.ts';
export {
  LEAST_ANSWERS,
  MAX_ASK,
  MAX_ASKS,
  MAX_CHOICE,
  MAX_LEAST,
  MAX_STEPS,
} from './schema/coursework/survey-schema.ts';
export type { Ask, AskKind } from './schema/coursework/survey-schema.ts';
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
export {
  courseEntries,
  courseFields,
  nodeEntries,
  nodeFields,
  readField,
  TEXT_FIELDS,
} from './edits/fields.ts';
export { share } from './edits/share.ts';
export { applyChange } from './edits/apply.ts';
export { newCourse, newDates, newItem, newItemIn, newSection } from './new-course.ts';
export type { NewCourse } from './new-course.ts';
export { codesLike, foldCode } from './codes.ts';
export {
  dropPending,
  forgetUndo,
  joinChange,
  makeChange,
  openCopy,
  redoLast,
  replacePending,
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
  filesOf,
  mapFiles,
  picturesOf,
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
export { byName } from './name-order.ts';
export { WEEKDAYS } from './schema/basics.ts';
export {
  setDates,
  setDatesEntry,
  setField,
  setMoment,
  setAsk,
  setQuizEntry,
  setTableEntry,
} from './edits/making.ts';
