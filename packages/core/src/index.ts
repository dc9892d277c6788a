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
export type { CoursePlan, NamedPause, SectionPlan } from './calendar/course-plan.ts';
export type { NodeMoments } from './calendar/node-moments.ts';
export type { Resolved, ResolvedAt } from './calendar/moments.ts';
export { lengthsOf } from './calendar/lengths.ts';
export type { Length, Lengths, Term } from './calendar/lengths.ts';
export { whatIf } from './calendar/what-if.ts';
export type { Aside, Shift, ShiftVerdict, WhatIf, When } from './calendar/what-if.ts';
export { convertFormat } from './calendar/convert.ts';
export { fileGroupOf } from './coursework/file-groups.ts';
export {
  fileFault,
  handInFault,
  largestFile,
  MAX_HANDED_TEXT,
  NOTHING_HANDED,
  receiptWords,
  scoreOf,
} from './coursework/hand-in.ts';
export type { HandedFile, HandedIn, HandInFault, ReceiptFacts } from './coursework/hand-in.ts';
export type { AttemptResult, Counts, Judged } from './coursework/quiz/judge.ts';
export { likened } from './coursework/quiz/folding.ts';
export { readQuestions, writeQuestions } from './coursework/quiz/notation.ts';
export type { ReadBlock, Unread, WrittenQuestion } from './coursework/quiz/notation.ts';
export { toNumber } from './coursework/quiz/rational.ts';
export type { Rational } from './coursework/quiz/rational.ts';
export type { Question, QuestionAnswer, QuestionKind } from './coursework/quiz/question.ts';
export {
  planned,
  questionsOf,
  readShare,
  shareOfPoints,
  worthOf,
  written,
} from './coursework/quiz/planned.ts';
export type { AskedQuestion, Worth } from './coursework/quiz/planned.ts';
export { asKind, newQuestion, QUESTION_KINDS, questionFault } from './coursework/quiz/making.ts';
export type { QuestionFault } from './coursework/quiz/making.ts';
export { drawn } from './coursework/quiz/drawing.ts';
export {
  renamed,
  rightWords,
  shownQuestion,
  shownQuestionSchema,
  solutionOf,
  solutionSchema,
  unnamed,
} from './coursework/quiz/shown.ts';
export type { Naming, ShownQuestion, Solution } from './coursework/quiz/shown.ts';
export {
  attemptEnd,
  beginFault,
  judgeAnew,
  judgeAttempt,
  resultOfJudged,
  standingOf,
} from './coursework/quiz/attempt.ts';
export type { AttemptPoints, BeginFault, JudgedAnswer, QuizStanding } from './coursework/quiz/attempt.ts';
export { alikeAs, answerWords } from './coursework/quiz/alike.ts';
export { attemptWords } from './coursework/quiz/receipt.ts';
export { figuresOf } from './coursework/quiz/statistics.ts';
export type { QuestionFigures } from './coursework/quiz/statistics.ts';
export { agendaEntrySchema, agendaOf, inOrder } from './agenda/entries.ts';
export type { AgendaEntry } from './agenda/entries.ts';
export { writeCalendar } from './agenda/icalendar.ts';
export type { FedEntry } from './agenda/icalendar.ts';
export { readChapters, writeChapters } from './coursework/film/chapters.ts';
export type { ReadChapters } from './coursework/film/chapters.ts';
export { MAX_CAPTIONS_BYTES, MAX_CUES, readCaptions } from './coursework/film/captions.ts';
export type { CaptionMistake, Cue, ReadCaptions } from './coursework/film/captions.ts';
export { readLength, writeLength } from './coursework/film/length.ts';
export { isTooFast, MAX_RUNS, runsWithin, shareWatched, united } from './coursework/film/runs.ts';
export type { Run } from './coursework/film/runs.ts';
export { isAttending, meetingAt } from './coursework/meeting.ts';
export type { Attended, MeetingPhase, MeetingTimes } from './coursework/meeting.ts';
export { askedOf, MAX_OPEN, readAnswers, survives } from './coursework/survey/answers.ts';
export type { Asked, SurveyAnswer, SurveyAnswers } from './coursework/survey/answers.ts';
export { added, wholeBatches } from './coursework/survey/batches.ts';
export type { Batch } from './coursework/survey/batches.ts';
export { totalsOf } from './coursework/survey/totals.ts';
export type { AskTotals } from './coursework/survey/totals.ts';
export { handInWindow, punctualAt } from './coursework/window.ts';
export type { HandInWindow, Punctual } from './coursework/window.ts';
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
export { goesLiveAt, isFindable, stateAt, windowCap } from './access/course-caps.ts';
export { slotCount } from './calendar/slot-count.ts';
export { firstDayOf } from './calendar/teaching-weeks.ts';
export { exceptionsFor, ownCourse, timeFactor } from './access/own-course.ts';
export { shutsAt } from './access/shuts.ts';
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
export { deedSchema, factsSchema, fold, lastRelated, NO_FACTS_YET, topOf } from './deeds/facts.ts';
export type { Deed, DeedKind, Facts } from './deeds/facts.ts';
export type { Done } from './deeds/done.ts';
export { countedItems, countingFor, countingOf } from './progress/counting.ts';
export type { CountedItem, CountedSection, Counting } from './progress/counting.ts';
export { KEPT, ledgerOf } from './progress/ledger.ts';
export type { Ledger } from './progress/ledger.ts';
export type { Reached } from './deeds/reached.ts';
export { deedsOf, progress, progressAt, progressOf, sharesOf } from './progress/progress.ts';
export type { ItemProgress, Part, Progress, SectionProgress, Shares } from './progress/progress.ts';
export { putDone, reckon, reckonFrom, step } from './progress/reckon.ts';
export { couldMove, itemsRuledAnew, keptOf, movesOf } from './progress/moves.ts';
export type { Kept, Moves, Stand } from './progress/moves.ts';
export { forecast, nobodyYet } from './forecast/cohort.ts';
export type { Band, CohortLearner, Forecast, ForecastAsked } from './forecast/cohort.ts';
export type { Peak, Still } from './forecast/crowds.ts';
export type { Waiting } from './forecast/together.ts';
export { feasibility } from './progress/feasible.ts';
export type { Feasibility, Finish, Link } from './progress/feasible.ts';
export { reasonsWhyNot } from './progress/reasons.ts';
export type { ReasonBecause, Reason as ReasonWhyNot } from './progress/reasons.ts';
export { cureOf } from './progress/cures.ts';
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
export { datedThings } from './home/ahead.ts';
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
export { finishedTold, progressTold, standsAt } from './progress/told.ts';
export { withFacts } from './progress/with-facts.ts';
export { pretended } from './progress/pretend.ts';
export type { Pretended } from './progress/pretend.ts';
export { factsUntil } from './deeds/until.ts';
export { partSchema, progressViewSchema } from './views/progress-view.ts';
export type { FinishedView, ProgressView } from './views/progress-view.ts';
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
export { aheadViewSchema, arrivalSchema, homeViewSchema } from './views/home-view.ts';
export { menuViewSchema } from './views/menu-view.ts';
export { announcementViewSchema, contactViewSchema, staffProfileSchema } from './views/messages-view.ts';
export { momentViewSchema } from './views/moment-view.ts';
export { lookViewSchema } from './look/view.ts';
