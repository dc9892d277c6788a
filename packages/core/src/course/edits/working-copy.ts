/**
 * A course that somebody is working on while the server decides (docs/semantics.md, Changes).
 *
 * `base` is what the server has taken up to `seq`; `pending` are one's own changes that it has not answered
 * yet, applied on top. An answer brings the changes that the server took since, in its order; pending ones
 * are then applied again on the new base. The way back of one's own change is always that of the effect it
 * really had, so undo is right whatever came between.
 */
import type { Course } from '../schema/schema.ts';
import { applyChange } from './apply.ts';
import { sameValue } from './edits.ts';
import type { Change, Edit, FieldValue, SetEdit } from './edits.ts';
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
      readonly by: string;
    };

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
    copy: { ...next, undo: keepLast([...copy.undo, step]), redo: [], mine: remember(copy.mine, change) },
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
  const without = rebuild({ ...copy, pending: copy.pending.slice(0, -1), undo: copy.undo.slice(0, -1) }).copy;
  return makeChange(without, { id: last.id, edits: [{ ...edit, was: earlier.was }] });
}

function onlySet(change: Change): SetEdit | null {
  const [edit, ...rest] = change.edits;
  return edit?.kind === 'set' && rest.length === 0 ? edit : null;
}

/** Takes back one's last change. It applies only where nobody has changed the same since. */
export function undoLast(copy: WorkingCopy, id: string): Attempt | null {
  return retrace(copy, id, 'undo');
}

/** Makes again the change that was last taken back. */
export function redoLast(copy: WorkingCopy, id: string): Attempt | null {
  return retrace(copy, id, 'redo');
}

function retrace(copy: WorkingCopy, id: string, way: 'undo' | 'redo'): Attempt | null {
  const step = copy[way].at(-1);
  if (step === undefined) return null;
  const change: Change = { id, edits: [...step.edits], undoes: step.of };
  const applied = applyChange(copy.course, change);
  if (!applied.ok) return { ok: false, refusal: applied.refusal };
  const back: UndoStep = { of: id, edits: applied.inverse };
  const left = copy[way].slice(0, -1);
  const next = {
    ...copy,
    course: applied.course,
    pending: [...copy.pending, change],
    mine: remember(copy.mine, change),
  };
  const ahead = copy[way === 'undo' ? 'redo' : 'undo'];
  const gained = applied.inverse.length === 0 ? ahead : keepLast([...ahead, back]);
  return {
    ok: true,
    copy: way === 'undo' ? { ...next, undo: left, redo: gained } : { ...next, undo: gained, redo: left },
  };
}

/** Drops the step that can no longer be taken back, after its author has been shown both values. */
export function forgetUndo(copy: WorkingCopy, way: 'undo' | 'redo'): WorkingCopy {
  return { ...copy, [way]: copy[way].slice(0, -1) };
}

/** What an answer says: changes taken since `seq`, in order, and which of one's own were refused. */
export interface ServerAnswer {
  readonly taken: readonly TakenChange[];
  readonly refused: readonly { readonly id: string; readonly refusal: Refusal }[];
}

/** Moves the base on to what the server took, and applies what is still pending on top of it. */
export function takeAnswer(
  copy: WorkingCopy,
  answer: ServerAnswer,
): { readonly copy: WorkingCopy; readonly notices: readonly Notice[] } {
  const notices: Notice[] = [];
  let { base, seq, undo, redo } = copy;
  let mine = copy.mine;
  const settled = new Set<string>();
  for (const taken of answer.taken) {
    if (taken.seq <= seq) continue;
    if (!taken.mine) {
      const told = replacedBy(taken, mine);
      notices.push(...told);
      mine = forget(mine, told);
    }
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
  for (const { id, refusal } of answer.refused) {
    const change = copy.pending.find((candidate) => candidate.id === id);
    settled.add(id);
    if (change !== undefined) notices.push({ kind: 'refused', change, refusal });
  }
  const refusedIds = new Set(answer.refused.map(({ id }) => id));
  const rebuilt = rebuild({
    ...copy,
    base,
    seq,
    mine,
    pending: copy.pending.filter(({ id }) => !settled.has(id)),
    undo: undo.filter(({ of }) => !refusedIds.has(of)),
    redo: redo.filter(({ of }) => !refusedIds.has(of)),
  });
  return { copy: rebuilt.copy, notices: [...notices, ...rebuilt.notices] };
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

function remember(mine: WorkingCopy['mine'], change: Change): WorkingCopy['mine'] {
  const sets = change.edits.filter((edit): edit is SetEdit => edit.kind === 'set');
  return { ...mine, ...Object.fromEntries(sets.map((edit) => [key(edit), edit.value])) };
}

function forget(mine: WorkingCopy['mine'], told: readonly Notice[]): WorkingCopy['mine'] {
  const gone = new Set(told.map((notice) => (notice.kind === 'replaced' ? key(notice) : '')));
  return Object.fromEntries(Object.entries(mine).filter(([name]) => !gone.has(name)));
}

/** Which of one's own words somebody replaced without having seen them. */
function replacedBy(taken: TakenChange, mine: WorkingCopy['mine']): readonly Notice[] {
  return taken.change.edits.flatMap((edit): Notice[] => {
    if (edit.kind !== 'set') return [];
    const yours = mine[key(edit)];
    if (yours === undefined || sameValue(yours, edit.value) || sameValue(yours, edit.was)) return [];
    return [
      {
        kind: 'replaced',
        target: edit.target,
        field: edit.field,
        yours,
        theirs: edit.value,
        by: taken.author,
      },
    ];
  });
}

function keepLast(steps: readonly UndoStep[]): readonly UndoStep[] {
  return steps.slice(-MAX_UNDO);
}
