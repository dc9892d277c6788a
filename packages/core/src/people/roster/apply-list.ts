/** A list taken into a course as one act, and taken back as one. */
import { changed } from './changes.ts';
import type { Entry } from './entries.ts';
import { hasKey } from './entries.ts';
import type { Reconciliation } from './reconcile.ts';
import type { Roster, RosterMember } from './roster.ts';

export interface AppliedList {
  readonly roster: Roster;
  /** Each member that it touched, as it was before (null: not there) and after. */
  readonly touched: readonly {
    readonly before: RosterMember | null;
    readonly after: RosterMember;
  }[];
}

function placeOf({ row, classes, key: cells }: Entry, key: string): RosterMember {
  const { id, given, family, name, address, userName, role, group } = row;
  return {
    key,
    id,
    given,
    family,
    name,
    address,
    userName,
    classes,
    groups: group === null ? [] : [group],
    role: role ?? 'learner',
    state: 'in',
    isPlace: true,
    isListed: true,
    cells: hasKey(row) ? null : cells,
  };
}

/**
 * Effects in this order: returning, added, changed, removed. What is still asked has none.
 *
 * @param remove the keys of those who are no longer listed and are to go; others stay
 * @param newKey for whom it adds: a key that is in no roster
 */
export function applyList(
  roster: Roster,
  { outcomes, gone }: Reconciliation,
  remove: ReadonlySet<string>,
  newKey: (entry: Entry) => string,
): AppliedList {
  const next = new Map(roster);
  const touched: AppliedList['touched'][number][] = [];
  const put = (before: RosterMember | null, after: RosterMember): void => {
    next.set(after.key, after);
    touched.push({ before, after });
  };
  for (const one of outcomes) {
    if (one.kind !== 'returning') continue;
    put(one.member, { ...changed(one.member, one.changes), state: 'in', isListed: true });
  }
  for (const one of outcomes) if (one.kind === 'added') put(null, placeOf(one.entry, newKey(one.entry)));
  for (const one of outcomes) {
    if (one.kind === 'changed') put(one.member, { ...changed(one.member, one.changes), isListed: true });
    // Whom a list has is listed from then on.
    else if (one.kind === 'unchanged' && !one.member.isListed)
      put(one.member, { ...one.member, isListed: true });
  }
  for (const member of gone) if (remove.has(member.key)) put(member, { ...member, state: 'out' });
  return { roster: next, touched };
}

/** Whatever order their fields stand in: what was stored may come back in another. */
function isSame(one: RosterMember, other: RosterMember): boolean {
  const said = (member: RosterMember): string =>
    JSON.stringify(Object.entries(member).sort(([a], [b]) => (a < b ? -1 : 1)));
  return said(one) === said(other);
}

/** @returns the roster as it was, or those who have changed since: it is taken back whole, or not at all */
export function takeBackList(
  roster: Roster,
  { touched }: AppliedList,
):
  | { readonly ok: true; readonly roster: Roster }
  | { readonly ok: false; readonly against: readonly RosterMember[] } {
  const against = touched.flatMap(({ after }) => {
    const now = roster.get(after.key);
    if (now !== undefined && isSame(now, after)) return [];
    return [now ?? after];
  });
  if (against.length > 0) return { ok: false, against };
  const next = new Map(roster);
  for (const { before, after } of touched) {
    if (before === null) next.delete(after.key);
    else next.set(before.key, before);
  }
  return { ok: true, roster: next };
}
