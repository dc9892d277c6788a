/**
 * A course that somebody is working on while the server decides (docs/semantics.md, Changes).
 *
 * `base` is what the server has taken up to `seq`; `pending` are one's own changes that it has not answered
 * yet, applied on top. An answer brings the changes that the server took since, in its order; pending ones
 * are then applied again on the new base. The way back of one's own change is always that of the effect it
 * really had, so undo is right whatever came between.
 */
import type { Course } from '../schema/schema.ts';
import { findNode } from '../tree.ts';
import { applyChange } from './apply.ts';
import { sameValue } from './edits.ts';
import type { Change, Edit, FieldValue, SetEdit } from './edits.ts';
import { fieldSchema, readField } from './fields.ts';
import type { Refusal } from './refusal.ts';

/** A change as the server took it. */
export interface TakenChange {
  readonly seq: number;
  readonly change: Change;
  readonly author: string;
  readonly mine: boolean;
}

/** A step that can be taken back, or taken again. */
export interface UndoStep {
  readonly of: string;
  readonly edits: readonly Edit[];
}

/** Something its author must be told: their change was refused, or their words were replaced. */
export type Notice =
  | { readonly kind: 'refused'; readonly change: Change; readonly refusal: Refusal }
  | {
      readonly kind: 'replaced';
      readonly target: string;
      readonly field: string;
      readonly yours: FieldValue;
      readonly theirs: FieldValue;
      /** Whose words theirs are; null: one's own, from another page that is open. */
      readonly by: string | null;
      /** Which of the two is there now: whoever came to the server last has their words there. */
      readonly stands: 'yours' | 'theirs';
    };
/** Somebody set what one had set, neither having seen the other's. */
export type Replaced = Extract<Notice, { readonly kind: 'replaced' }>;

export interface WorkingCopy {
  readonly base: Course;
  readonly seq: number;
  readonly pending: readonly Change[];
  /** `base` with `pending` applied: what is on the screen. */
  readonly course: Course;
  readonly undo: readonly UndoStep[];
  readonly redo: readonly UndoStep[];
  /** What one has set and nobody has replaced, so that a replacement can be shown: `target field` → value. */
  readonly mine: Readonly<Record<string, FieldValue>>;
}

export const MAX_UNDO = 200;

export type Attempt =
  { readonly ok: true; readonly copy: WorkingCopy } | { readonly ok: false; readonly refusal: Refusal };

export function openCopy(course: Course, seq: number): WorkingCopy {
  return { base: course, seq, pending: [], course, undo: [], redo: [], mine: {} };
}

/** Makes a change of one's own: applied at once, remembered for undo, waiting for the server. */
export function makeChange(copy: WorkingCopy, change: Change): Attempt {
  const applied = applyChange(copy.course, change);
  if (!applied.ok) return { ok: false, refusal: applied.refusal };
  const step = { of: change.id, edits: applied.inverse };
  const next = { ...copy, course: applied.course, pending: [...copy.pending, change] };
  if (applied.inverse.length === 0) return { ok: true, copy: next };
  return {
    ok: true,
    copy: {
      ...next,
      undo: keepLast([...copy.undo, step]),
      redo: [],
      mine: remember(copy.mine, change, copy.course),
    },
  };
}

/**
 * Joins a change that sets one field with the last pending one, when that one sets the same field and has
 * not been sent: typing is one step of undo. Null when the two do not join.
 */
export function joinChange(copy: WorkingCopy, change: Change, sent: ReadonlySet<string>): Attempt | null {
  const last = copy.pending.at(-1);
  const edit = onlySet(change);
  const earlier = last === undefined ? null : onlySet(last);
  if (last === undefined || edit === null || earlier === null || sent.has(last.id)) return null;
  if (edit.target !== earlier.target || edit.field !== earlier.field) return null;
  // A change that takes another back keeps its own id, or undo would lose track of it.
  if (copy.undo.at(-1)?.of !== last.id || change.undoes !== undefined || last.undoes !== undefined)
    return null;
  if (last.keepsEarned === true) return null;
  const without = rebuild({ ...copy, pending: copy.pending.slice(0, -1), undo: copy.undo.slice(0, -1) }).copy;
  return makeChange(without, { id: last.id, edits: [{ ...edit, was: earlier.was }] });
}

function onlySet(change: Change): SetEdit | null {
  const [edit, ...rest] = change.edits;
  return edit?.kind === 'set' && rest.length === 0 ? edit : null;
}

/**
 * Takes back one's last change. It applies only where nobody has changed the same since.
 *
 * @param of that change instead, whatever was done since
 */
export function undoLast(copy: WorkingCopy, id: string, of?: string): Attempt | null {
  return retrace(copy, id, 'undo', of);
}

/** Makes again the change that was last taken back. */
export function redoLast(copy: WorkingCopy, id: string): Attempt | null {
  return retrace(copy, id, 'redo');
}

function retrace(copy: WorkingCopy, id: string, way: 'undo' | 'redo', of?: string): Attempt | null {
  const at = stepAt(copy, way, of);
  const step = copy[way][at];
  if (step === undefined) return null;
  const change: Change = { id, edits: [...step.edits], undoes: step.of };
  const applied = applyChange(copy.course, change);
  if (!applied.ok) return { ok: false, refusal: applied.refusal };
  const back: UndoStep = { of: id, edits: applied.inverse };
  const left = copy[way].filter((_step, index) => index !== at);
  const next = {
    ...copy,
    course: applied.course,
    pending: [...copy.pending, change],
    mine: remember(copy.mine, change, copy.course),
  };
  const ahead = copy[way === 'undo' ? 'redo' : 'undo'];
  const gained = applied.inverse.length === 0 ? ahead : keepLast([...ahead, back]);
  return {
    ok: true,
    copy: way === 'undo' ? { ...next, undo: left, redo: gained } : { ...next, undo: gained, redo: left },
  };
}

/** Drops the step that can no longer be taken back, after its author has been shown both values. */
export function forgetUndo(copy: WorkingCopy, way: 'undo' | 'redo', of?: string): WorkingCopy {
  const at = stepAt(copy, way, of);
  return { ...copy, [way]: copy[way].filter((_step, index) => index !== at) };
}

/** Where the step that takes back that change stands; without one it is the last. */
const stepAt = (copy: WorkingCopy, way: 'undo' | 'redo', of?: string): number =>
  of === undefined ? copy[way].length - 1 : copy[way].findIndex((step) => step.of === of);

/** Another change in the place of a pending one that has not been sent: with the same edits, and more or less said of it. */
export function replacePending(copy: WorkingCopy, change: Change): WorkingCopy {
  return { ...copy, pending: copy.pending.map((one) => (one.id === change.id ? change : one)) };
}

/** Takes a pending change that has not been sent out again, as if it had never been made; what leans on it goes too, and is said. */
export function dropPending(
  copy: WorkingCopy,
  id: string,
): { readonly copy: WorkingCopy; readonly notices: readonly Notice[] } {
  return rebuild({
    ...copy,
    pending: copy.pending.filter((one) => one.id !== id),
    undo: copy.undo.filter(({ of }) => of !== id),
    redo: copy.redo.filter(({ of }) => of !== id),
  });
}

/** What an answer says: changes taken since `seq`, in order, and which of one's own were refused. */
export interface ServerAnswer {
  readonly taken: readonly TakenChange[];
  readonly refused: readonly { readonly id: string; readonly refusal: Refusal }[];
}

/**
 * Moves the base on to what the server took, and applies what is still pending on top of it.
 *
 * One's own is what was made in this copy. What the same person did on another page is somebody else's here:
 * it was as little seen as a colleague's.
 */
export function takeAnswer(
  copy: WorkingCopy,
  answer: ServerAnswer,
): { readonly copy: WorkingCopy; readonly notices: readonly Notice[] } {
  let { base, seq, undo, redo } = copy;
  let mine = copy.mine;
  const settled = new Set<string>();
  const replaced: Replaced[] = [];
  for (const taken of answer.taken) {
    if (taken.seq <= seq) continue;
    const own = copy.pending.find(({ id }) => id === taken.change.id);
    if (own === undefined) replaced.push(...replacedBy(base, taken, mine));
    // The server may have altered what was sent (a text that it cleaned).
    else mine = settle(mine, own, taken.change, base);
    const applied = applyChange(base, taken.change);
    // The server took it on this very base, so a refusal here is a fault of ours, not of the data.
    if (!applied.ok)
      throw new Error(`change ${taken.change.id} (${taken.seq}) does not apply: ${applied.refusal.code}`);
    base = applied.course;
    seq = taken.seq;
    settled.add(taken.change.id);
    undo = withWayBack(undo, taken.change.id, applied.inverse);
    redo = withWayBack(redo, taken.change.id, applied.inverse);
  }
  const refused = answer.refused.flatMap(({ id, refusal }): Notice[] => {
    const change = copy.pending.find((candidate) => candidate.id === id);
    settled.add(id);
    return change === undefined ? [] : [{ kind: 'refused', change, refusal }];
  });
  const refusedIds = new Set(answer.refused.map(({ id }) => id));
  const rebuilt = rebuild({
    ...copy,
    base,
    seq,
    pending: copy.pending.filter(({ id }) => !settled.has(id)),
    undo: undo.filter(({ of }) => !refusedIds.has(of)),
    redo: redo.filter(({ of }) => !refusedIds.has(of)),
  });
  const told = whatStands(rebuilt.copy.course, replaced);
  return {
    copy: { ...rebuilt.copy, mine: forget(mine, told) },
    notices: [...told, ...refused, ...rebuilt.notices],
  };
}

/** Applies the pending changes on the base again; those that no longer apply are dropped and said. */
function rebuild(copy: WorkingCopy): { readonly copy: WorkingCopy; readonly notices: readonly Notice[] } {
  const notices: Notice[] = [];
  const pending: Change[] = [];
  let { base: course, undo, redo } = copy;
  for (const change of copy.pending) {
    const applied = applyChange(course, change);
    if (!applied.ok) {
      notices.push({ kind: 'refused', change, refusal: applied.refusal });
      undo = undo.filter(({ of }) => of !== change.id);
      redo = redo.filter(({ of }) => of !== change.id);
      continue;
    }
    course = applied.course;
    pending.push(change);
    undo = withWayBack(undo, change.id, applied.inverse);
    redo = withWayBack(redo, change.id, applied.inverse);
  }
  return { copy: { ...copy, course, pending, undo, redo }, notices };
}

function withWayBack(steps: readonly UndoStep[], id: string, edits: readonly Edit[]): readonly UndoStep[] {
  return steps.map((step) => (step.of === id ? { of: id, edits } : step));
}

const key = (edit: { readonly target: string; readonly field: string }): string =>
  `${edit.target} ${edit.field}`;

const setsOf = (change: Change): readonly SetEdit[] =>
  change.edits.filter((edit): edit is SetEdit => edit.kind === 'set');

/** What a set puts there: schemas trim. */
function storedValue(course: Course, { target, field, value }: SetEdit): FieldValue {
  const kind = target === course.id ? null : (findNode(course, target)?.node.kind ?? null);
  const checked = fieldSchema(kind, field)?.safeParse(value);
  return checked?.success ? (checked.data as FieldValue) : value;
}

type Mine = WorkingCopy['mine'];

export function remember(mine: Mine, change: Change, course: Course): Mine {
  return {
    ...mine,
    ...Object.fromEntries(setsOf(change).map((edit) => [key(edit), storedValue(course, edit)])),
  };
}

/** One's own change as it was taken: where nothing was set since, that is what one has set. */
function settle(mine: Mine, sent: Change, taken: Change, course: Course): Mine {
  const before = remember({}, sent, course);
  const after = remember({}, taken, course);
  const settled = Object.entries(after).filter(([name]) =>
    sameValue(mine[name] ?? null, before[name] ?? null),
  );
  return { ...mine, ...Object.fromEntries(settled) };
}

function forget(mine: Mine, told: readonly Replaced[]): Mine {
  const gone = new Set(told.filter(({ stands }) => stands === 'theirs').map(key));
  return Object.fromEntries(Object.entries(mine).filter(([name]) => !gone.has(name)));
}

/** Which of one's own words somebody set anew without having seen them. */
export function replacedBy(course: Course, taken: TakenChange, mine: Mine): readonly Replaced[] {
  return setsOf(taken.change).flatMap((edit): Replaced[] => {
    const { target, field } = edit;
    const yours = mine[key(edit)];
    const theirs = storedValue(course, edit);
    if (yours === undefined || sameValue(yours, theirs) || sameValue(yours, edit.was)) return [];
    const by = taken.mine ? null : taken.author;
    return [{ kind: 'replaced', target, field, yours, theirs, by, stands: 'theirs' }];
  });
}

/** The last of each field, with what is there now; where it is neither of the two, both were seen since. */
export function whatStands(course: Course, replaced: readonly Replaced[]): readonly Replaced[] {
  const last = new Map(replaced.map((notice) => [key(notice), notice]));
  return [...last.values()].flatMap((notice): Replaced[] => {
    const holder = notice.target === course.id ? course : findNode(course, notice.target)?.node;
    const now = holder === undefined ? undefined : readField(holder, notice.field);
    if (now === undefined) return [];
    if (sameValue(now, notice.yours)) return [{ ...notice, stands: 'yours' }];
    return sameValue(now, notice.theirs) ? [notice] : [];
  });
}

function keepLast(steps: readonly UndoStep[]): readonly UndoStep[] {
  return steps.slice(-MAX_UNDO);
}
