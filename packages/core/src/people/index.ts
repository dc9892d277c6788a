/** People of a course: lists of them, and who on a list is whom. */
export { decodeList, encodingOf, LIST_ENCODINGS } from './lists/encoding.ts';
export type { ListEncoding } from './lists/encoding.ts';
export { LIST_COLUMNS, LIST_ROLES } from './lists/list-row.ts';
export type { Certainty, Doubt, ListColumn, ListRole, ListRow, Named } from './lists/list-row.ts';
export type { ColumnGuess } from './lists/columns.ts';
export { MAX_LIST_COLUMNS, MAX_LIST_LENGTH, MAX_LIST_ROWS, refuseList } from './lists/limits.ts';
export type { ListRefusal } from './lists/limits.ts';
export { BUNDLE_FILES, bundleList, roleOfRegistry } from './lists/bundle.ts';
export type { BundleFile } from './lists/bundle.ts';
export { tableText } from './lists/table-text.ts';
export { readList } from './lists/read-list.ts';
export type { ListChoices, ListReading } from './lists/read-list.ts';
export { applyList, takeBackList } from './roster/apply-list.ts';
export type { AppliedList } from './roster/apply-list.ts';
export type { MemberChange, MemberField } from './roster/changes.ts';
export type { Entry } from './roster/entries.ts';
export { HOLDING_STEPS, holdList } from './roster/hold-list.ts';
export type { HeldList, Holding, HoldingStep, KeptColumns } from './roster/hold-list.ts';
export { entriesIn, isQuestion, reconcile } from './roster/reconcile.ts';
export type {
  ConflictReason,
  EntryChoice,
  ListChoicesMade,
  Outcome,
  Question,
  Reconciliation,
} from './roster/reconcile.ts';
export { addressKey, calledOf, cellsOf, filedAs, NAME_ORDERS } from './roster/roster.ts';
export type { NameOrder, Roster, RosterMember } from './roster/roster.ts';
export { beyondSeats, canJoin } from './joining/can-join.ts';
export { WAYS } from './joining/joining.ts';
export type {
  HeldSeat,
  JoinAnswer,
  JoinCourse,
  Joiner,
  JoinWay,
  JoinWindow,
  Missing,
  Seated,
  Waiting,
  WayKind,
} from './joining/joining.ts';
export { amountWords, digitsOf, priceFor } from './joining/price.ts';
export type { Priced } from './joining/price.ts';
export { periodEnd, RENEWAL_DAYS, renewalAct, renewsAt } from './joining/renewal.ts';
export type { RenewalAct, Renewing } from './joining/renewal.ts';
export { offersDue, withinReach } from './joining/line.ts';
export { CODE_LENGTH, codeOf, readCode, showCode } from './joining/code.ts';
export { joinCourseOf, roleBy, wayIn, wayOf } from './joining/of-course.ts';
export type { JoinFacts } from './joining/of-course.ts';
export { shownWays } from './joining/shown-ways.ts';
export type { ShownWay } from './joining/shown-ways.ts';
export { heldFor, seatsTaken } from './joining/seats.ts';
export { dealGroups, groupsFor } from './grouping/deal.ts';
export type { Dealt, GroupCount } from './grouping/deal.ts';
export { chosenGroupings, choosingUntil, groupsIn } from './grouping/choosing.ts';
export { groupsOfList, valuesOfList } from './grouping/list-values.ts';
export type { GroupOfList, ListValues } from './grouping/list-values.ts';
export { standingIn } from './grouping/standing.ts';
export type { Grouping, GroupingStanding } from './grouping/standing.ts';
export { composed, unknownIn, writeList, WRITTEN_FIELDS } from './lists/write-list.ts';
export type { WrittenColumn, WrittenField } from './lists/write-list.ts';
export { isBroken, mendedName } from './registry/broken-name.ts';
export { changesToTake, nameOf } from './registry/compare.ts';
export { followRegistry } from './registry/follow.ts';
export type { Following, FollowInput, FollowStep } from './registry/follow.ts';
export { FOLLOWED_FIELDS } from './registry/registry.ts';
export type { FollowedField, Linked, RegistryPerson } from './registry/registry.ts';
export { changed } from './roster/changes.ts';
