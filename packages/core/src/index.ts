/** What core offers. Everything else in it is its own business. */
// The document has an index of its own, which names what it offers.
// eslint-disable-next-line no-restricted-syntax
export * from './course/index.ts';
// So has what is typed.
// eslint-disable-next-line no-restricted-syntax
export * from './typed/index.ts';
export { copiedTexts, copySection, duplicateNodes } from './copies/copy.ts';
export type { CopyPattern, NewId } from './copies/copy.ts';
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
export { momentIn, planSections, usesTeachingWeeks } from './calendar/plan.ts';
export type { Moment, Plan, PlannedSection, Span } from './calendar/plan.ts';
export type { CalendarRow, HeldMeeting, PauseRow, Slot } from './calendar/rows.ts';
export { datedPauses } from './calendar/pauses.ts';
export { meetingsOf } from './calendar/meetings.ts';
export { momentsOf, namedPauses, numberNodes, numberOf, planCourse } from './calendar/course-plan.ts';
export type { CoursePlan, NamedPause, NodeMoments, SectionPlan } from './calendar/course-plan.ts';
export type { Resolved, ResolvedAt } from './calendar/moments.ts';
export { lengthsOf } from './calendar/lengths.ts';
export type { Length, Lengths, Term } from './calendar/lengths.ts';
export { whatIf } from './calendar/what-if.ts';
export type { Aside, Shift, ShiftVerdict, WhatIf, When } from './calendar/what-if.ts';
export { convertFormat } from './calendar/convert.ts';
export { sectionLoads, totalMinutes } from './forecast/load.ts';
export type { SectionLoad } from './forecast/load.ts';
export { listOutcomes, workTable } from './forecast/outcomes.ts';
export type { ListedOutcome, WorkRow } from './forecast/outcomes.ts';
export { onceLive } from './access/once-live.ts';
export { ANY_LEARNER, hasRight, mayPlan, NOTHING_DONE, ROLES } from './access/roles.ts';
export type { Deeds, Right, Role, Viewer } from './access/roles.ts';
export { planFor } from './access/plan-for.ts';
export { whyNot } from './access/why.ts';
export type { Layer, LayerName, Why } from './access/why.ts';
export { boundsOf } from './access/window.ts';
export type { Bounds } from './access/window.ts';
export { canSee, isReadable, isThere } from './access/answer.ts';
export type { AccessState, Answer, Reason } from './access/answer.ts';
export { accessAt, instantsFor as instantsOf, resolveAccess } from './access/resolve.ts';
export type { Access, Ahead, NodeAnswers } from './access/resolve.ts';
export { analyseRules } from './access/analysis.ts';
export type { Never, NeverBecause, RuleAnalysis } from './access/analysis.ts';
export { groupWorkOf, mayWith } from './access/group-work.ts';
export type { InGroup } from './access/group-work.ts';
export { classmatesOf, isNameTold } from './access/classmates.ts';
export type { Classmate, ClassmateView } from './access/classmates.ts';
export { isEasyPassphrase } from './access/passphrase.ts';
export { accessTimeline } from './access/timeline.ts';
export type { AccessMoment, StateChange } from './access/timeline.ts';
export { goesLiveAt, isFindable, stateAt } from './access/course-caps.ts';
export { exceptionsFor, ownCourse } from './access/own-course.ts';
export { heldAt, holdEdit, holdOver, learnersNode, planRelease, releaseEdit } from './access/holding.ts';
export { instantOf } from './calendar/local-instant.ts';
export type { OpeningPart } from './access/opening.ts';
export { findings, isBlocker, RULES } from './readiness/findings.ts';
export { offeredCure } from './readiness/offered-cure.ts';
export { withoutTypedNumber } from './readiness/outline/typed-numbers.ts';
export type { ReadinessFacts } from './readiness/findings.ts';
export type { DoorFacts, Finding, Passphrase, Rule, Severity, Stop } from './readiness/rule.ts';
export { NO_FACTS, textFacts, textFactsSchema } from './text/facts.ts';
export type { FactsByText, TextFacts } from './text/facts.ts';
export { AWAY, CONTACT_CARDS, fillText, relinkText } from './text/fill.ts';
export type { Filling, LinkTarget } from './text/fill.ts';
export { formulaHtml } from './text/formula.ts';
export type { SetTex } from './text/formula.ts';
export { csvOf } from './course/csv.ts';
export type { CsvCell } from './course/csv.ts';
export { escapeHtml, piecesOf } from './text/pieces.ts';
export type { FormulaPiece, ItemPiece, Piece, PicturePiece } from './text/pieces.ts';
export { linkTargets } from './learner/links.ts';
export type { LinkedItem } from './learner/links.ts';
export { pacingCsv } from './learner/pacing-csv.ts';
export { courseView, unlistedItem } from './learner/view.ts';
export type { SectionView } from './views/course-view.ts';
export type { PauseView } from './views/course-view.ts';
export type { ItemView } from './views/course-view.ts';
export type { DoneView } from './views/course-view.ts';
export type { CourseView } from './views/course-view.ts';
export type { MomentView } from './views/moment-view.ts';
export { waitsOf } from './learner/waits.ts';
export type { WaitReader } from './learner/waits.ts';
export type { WaitView } from './views/course-view.ts';
export type { NamedItem } from './views/course-view.ts';
export { ownPlan } from './access/resolve.ts';
export { isCompleted } from './progress/completed.ts';
export { institutionPageSchema } from './menu/institution.ts';
export type { InstitutionPage } from './menu/institution.ts';
export { areaOpen, menuEntries, NO_FACE_FACTS, resolveMenu } from './menu/resolve.ts';
export type { FaceFacts, MenuAnswer, MenuReason } from './menu/resolve.ts';
export { hostOf, menuView } from './menu/view.ts';
export type { MenuView } from './views/menu-view.ts';
export type { MenuItemView } from './views/menu-view.ts';
export type { MenuGroupView } from './views/menu-view.ts';
export { arrivalAt } from './menu/arrive.ts';
export type { Visits } from './menu/arrive.ts';
export type { Arrival } from './views/home-view.ts';
export { reordered, setEntry } from './menu/edits.ts';
export { compareMenus, takeAllOver, takeOver } from './menu/compare.ts';
export type { Menu, MenuDifference } from './menu/compare.ts';
export { offeredEntries, placeOf } from './menu/offered.ts';
export { homeView, panelEntries, resolveHome } from './home/resolve.ts';
export type { PanelAnswer, PanelReason } from './home/resolve.ts';
export type { PanelView } from './views/home-view.ts';
export type { HomeView } from './views/home-view.ts';
export type { WeekView } from './views/home-view.ts';
export type { AheadView } from './views/home-view.ts';
export { announcementsAt, datedAnnouncements, homeStandings } from './messages/announcements.ts';
export type { DatedAnnouncement, Standing } from './messages/announcements.ts';
export { announcementView } from './messages/announcement-view.ts';
export type { AnnouncementView } from './views/messages-view.ts';
export { contactsOf } from './messages/contacts.ts';
export type { StaffProfile } from './views/messages-view.ts';
export type { ContactView } from './views/messages-view.ts';
export { shareOf } from './progress/share.ts';
export type { Share } from './views/home-view.ts';
export { COLOURS, LEAST_CONTRAST, PAIRS } from './look/colours.ts';
export type { ColourName, Pair, Palette } from './look/colours.ts';
export { contrastOf } from './look/contrast.ts';
export { themeOf } from './look/theme.ts';
export type { Theme } from './look/theme.ts';
export { PRESETS } from './look/presets.ts';
export type { PresetName } from './look/presets.ts';
export { cropOf, FRAMES } from './look/crop.ts';
export type { Crop, Frame } from './look/crop.ts';
export { momentOfCourse } from './calendar/course-plan.ts';
export { lookView } from './look/view.ts';
export type { LookView } from './look/view.ts';
export { accessStateSchema } from './access/answer.ts';
export { bareSectionSchema, courseViewSchema, itemViewSchema } from './views/course-view.ts';
export { arrivalSchema, homeViewSchema } from './views/home-view.ts';
export { menuViewSchema } from './views/menu-view.ts';
export { announcementViewSchema, contactViewSchema, staffProfileSchema } from './views/messages-view.ts';
export { momentViewSchema } from './views/moment-view.ts';
export { lookViewSchema } from './look/view.ts';
