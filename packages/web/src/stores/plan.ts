/**
 * The course being set up. Changes are applied here at once and sent on; the server's answer is the truth,
 * and what is still under way is applied on top of it again (core, working-copy).
 */
import type { ChangesAnswer, PlanAnswer } from '@itinerary/contract';
import {
  forgetUndo,
  joinChange,
  makeChange,
  openCopy,
  planCourse,
  sameValue,
  takeAnswer,
} from '@itinerary/core';
import type {
  Change,
  Course,
  CoursePlan,
  Edit,
  FieldValue,
  ServerAnswer,
  WorkingCopy,
} from '@itinerary/core';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import { ask, ProblemError } from '../api/client.ts';
import { leftBehind, whenLeft } from './device/kept.ts';
import { newId } from './new-id.ts';
import { useFieldStates } from './plan-fields.ts';
import { useKeptPlan } from './device/plan-kept.ts';
import { textSetters } from './plan-texts.ts';
import { planFacts } from './plan-facts.ts';
import { useReadiness } from './readiness.ts';
import { useSession } from './session.ts';
import { useTexts } from './texts.ts';
import { useRetrace } from './retrace.ts';
import { useTold } from './told.ts';
import { useWhoMoves } from './who-moves.ts';

/** `stopped`: the server will not take these changes however often they are sent. */
export type Saving = 'saved' | 'saving' | 'retrying' | 'stopped';

const TYPING_REST_MS = 2000;
const LONGEST_WAIT_MS = 15_000;
const SLOW_MS = 4000;
const GIVEN_UP_MS = 60_000;
/** As often as the server breaks on the same changes before they are sent no more. */
const MOST_BREAKDOWNS = 3;
const LARGEST_BATCH = 100;
/** Browsers take about this much in a request that outlives its page. */
const KEEPALIVE_BYTES = 60_000;

export const usePlan = defineStore('plan', () => {
  const session = useSession();
  const texts = useTexts();
  const copy = shallowRef<WorkingCopy | null>(null);
  const rights = ref<PlanAnswer['rights']>({ plan: false, state: false, members: false });
  const { facts, takeFacts } = planFacts();
  const saving = ref<Saving>('saved');
  const savedAt = ref<string | null>(null);
  const telltale = useTold();
  const { told, tell, dismiss, clear } = telltale;
  /** Whose changes these are: they are never sent in another's name. */
  let owner = '';
  const whoever = (): string => session.person?.id ?? '';
  const sent = new Set<string>();
  let lastOpened = '';
  let timer: ReturnType<typeof setTimeout> | undefined;
  let underWay: Promise<void> | null = null;
  let failures = 0;
  let breakdowns = 0;
  let batch = LARGEST_BATCH;

  const course = computed<Course | null>(() => copy.value?.course ?? null);
  /** Days, numbers and moments. What an edit leaves alone is the same object before and after. */
  const planned = computed<CoursePlan | null>((before) =>
    course.value === null ? null : planCourse(course.value, {}, before ?? null),
  );
  /** Groups and classes by id, in their order. */
  const groups = computed(() =>
    Object.entries(course.value?.groups ?? {}).sort(([, a], [, b]) => a.at - b.at),
  );
  const { found, cureOf, term } = useReadiness({ course, planned, ...facts });
  /** Whoever may not change the plan reads it, and an archived course is read by everybody. */
  const isReadonly = computed(() => !rights.value.plan || course.value?.state === 'archived');

  async function open(courseId: string): Promise<void> {
    if (lastOpened !== courseId) clear();
    lastOpened = courseId;
    owner = whoever();
    copy.value = null;
    sent.clear();
    moves.clear();
    failures = 0;
    clearTimeout(timer);
    texts.start(courseId);
    const answer = await ask('GET /api/courses/{course}/plan', { params: { course: courseId } });
    const left = await leftBehind(owner, courseId);
    texts.learn(answer.texts);
    copy.value = openCopy(answer.course, answer.seq);
    rights.value = answer.rights;
    takeFacts(answer);
    saving.value = 'saved';
    savedAt.value = null;
    for (const kept of left) await takeUp(kept);
    void whenLeft(owner, courseId, (kept) => void takeUp(kept));
  }

  const { stateOf, settled } = useFieldStates(() => copy.value?.pending ?? []);
  const { isKept, onDevice, takeUp } = useKeptPlan({
    copy,
    owner: () => owner,
    named: (changes) => textsNamed(changes),
    took: (kept, notices) => {
      kept.changes.forEach(({ id }) => sent.add(id));
      notices.forEach((notice) => tell(notice));
      moves.weighPending();
      if ((copy.value?.pending.length ?? 0) > 0) send(0);
    },
  });

  interface How {
    /** Joins with the change before it and waits for a rest. */
    readonly typing?: boolean;
    readonly undoable?: boolean;
  }

  /** Makes a change of one's own. False when core refuses it, which is told. */
  function change(edits: readonly Edit[], { typing = false, undoable = true }: How = {}): boolean {
    if (copy.value === null || edits.length === 0) return false;
    const before = copy.value.course;
    const made: Change = { id: newId(), edits: [...edits] };
    const joined = typing ? joinChange(copy.value, made, sent) : null;
    const attempt = joined ?? makeChange(copy.value, made);
    if (!attempt.ok) {
      tell({ kind: 'refused', change: made, refusal: attempt.refusal });
      return false;
    }
    copy.value = undoable ? attempt.copy : forgetUndo(attempt.copy, 'undo');
    retraced.pass();
    // What is held back is what it is: nothing joins with it.
    if (!typing && moves.weigh(made, before, attempt.copy.course)) sent.add(made.id);
    send(typing ? TYPING_REST_MS : 0);
    return true;
  }

  const moves = useWhoMoves({ copy, learners: facts.learners, flush, send: () => send(0), tell });

  function set(target: string, field: string, value: FieldValue, was: FieldValue, how: How = {}): boolean {
    // Fields report values that they were given; only a different one is a change.
    return sameValue(value, was) ? false : change([{ kind: 'set', target, field, value, was }], how);
  }

  const { setText, setEntryText } = textSetters(course, set, tell);

  const retraced = useRetrace({ copy, send: () => send(0), telltale });

  function send(wait: number): void {
    if (saving.value === 'stopped') return;
    if (saving.value === 'saved') saving.value = 'saving';
    clearTimeout(timer);
    timer = setTimeout(() => void flush(), wait);
  }

  /** Sends what is pending, now. Resolves when the server has answered, or has not. */
  async function flush(): Promise<void> {
    clearTimeout(timer);
    while (underWay !== null) await underWay;
    underWay = sendOnce().finally(() => (underWay = null));
    await underWay;
  }

  /** Somebody else has changed the course: what this copy does not have yet is fetched. */
  async function catchUp(seq: number): Promise<void> {
    while (underWay !== null) await underWay;
    if (copy.value !== null && copy.value.seq < seq) await flush();
  }

  /** The long texts that changes name, as far as they are here. */
  function textsNamed(changes: readonly Change[]): Record<string, string> {
    const named = JSON.stringify(changes);
    return Object.fromEntries([...texts.known].filter(([hash]) => named.includes(hash)));
  }

  function body({ seq, pending }: WorkingCopy): {
    since: number;
    changes: readonly Change[];
    texts: Record<string, string>;
  } {
    const changes = moves.sendable(pending).slice(0, batch);
    return { since: seq, changes, texts: textsNamed(changes) };
  }

  async function sendOnce(): Promise<void> {
    const working = copy.value;
    if (working === null || saving.value === 'stopped' || whoever() !== owner) return;
    const request = body(working);
    request.changes.forEach(({ id }) => sent.add(id));
    const patience = new AbortController();
    const timers = [
      // Nobody looks at "Saving" for longer than that; the answer may come all the same.
      setTimeout(() => request.changes.length > 0 && (saving.value = 'retrying'), SLOW_MS),
      setTimeout(() => patience.abort(), GIVEN_UP_MS),
    ];
    try {
      const answer = await ask(
        'POST /api/courses/{course}/changes',
        { params: { course: working.base.id }, body: request },
        { signal: patience.signal },
      );
      if (copy.value?.base.id === working.base.id) took(answer);
    } catch (error) {
      if (copy.value?.base.id === working.base.id) failed(error);
    } finally {
      timers.forEach((one) => clearTimeout(one));
    }
  }

  function took(answer: ChangesAnswer): void {
    if (copy.value === null) return;
    failures = 0;
    breakdowns = 0;
    batch = LARGEST_BATCH;
    texts.learn(answer.texts);
    texts.rename(answer.renamed);
    const before = copy.value.pending;
    const taken = takeAnswer(copy.value, answer as ServerAnswer);
    const refused = taken.notices.flatMap((one) => (one.kind === 'refused' ? one.change.id : []));
    settled(before.filter((one) => !taken.copy.pending.includes(one) && !refused.includes(one.id)));
    copy.value = taken.copy;
    takeFacts(answer);
    taken.notices.forEach((notice) => tell(notice));
    const left = taken.copy.pending;
    if (left.length > 0) {
      saving.value = 'saving';
      if (moves.sendable(left).length === 0) return;
      // What was sent before and is still here waits for nothing; what is being typed waits for a rest.
      send(left.some(({ id }) => sent.has(id)) ? 0 : TYPING_REST_MS);
      return;
    }
    saving.value = 'saved';
    savedAt.value = session.now();
  }

  /** What no later attempt can mend stops; everything else is tried again, less and less often. */
  function failed(error: unknown): void {
    const problem = error instanceof ProblemError ? error.problem : null;
    if (problem?.code === 'too_large' && batch > 1) {
      // Much was written while the server was away: it is sent in smaller parts.
      batch = Math.ceil(Math.min(batch, copy.value?.pending.length ?? 1) / 2);
      send(0);
      return;
    }
    const isFinal = problem !== null && problem.status < 500 && problem.status !== 429;
    // What broke the server every time will break it again.
    breakdowns = problem?.code === 'internal' ? breakdowns + 1 : 0;
    if (isFinal || (problem !== null && breakdowns >= MOST_BREAKDOWNS)) {
      breakdowns = 0;
      saving.value = 'stopped';
      tell({ kind: 'problem', code: problem.code });
      return;
    }
    failures += 1;
    saving.value = 'retrying';
    send(Math.min(1000 * 2 ** (failures - 1), LONGEST_WAIT_MS));
  }

  /** After something that only a person could mend: signed in again, a right given back. */
  function resume(): void {
    saving.value = 'saving';
    send(0);
  }

  /** As the page goes away: what is pending is sent in a request that outlives it. */
  function leave(): void {
    const working = copy.value;
    if (working === null || working.pending.length === 0 || whoever() !== owner) return;
    const request = body(working);
    if (JSON.stringify(request).length > KEEPALIVE_BYTES) return;
    // The page may live on: what is typed then is another change, or the server would know this one already.
    request.changes.forEach(({ id }) => sent.add(id));
    void ask(
      'POST /api/courses/{course}/changes',
      { params: { course: working.base.id }, body: request },
      { keepalive: true },
    ).catch(() => undefined);
  }

  const unsent = computed(() => copy.value?.pending.length ?? 0);
  const isUnsaved = computed(() => unsent.value > 0);

  return {
    course,
    planned,
    groups,
    term,
    found,
    cureOf,
    rights,
    ...facts,
    saving,
    savedAt,
    told,
    isReadonly,
    isUnsaved,
    unsent,
    isKept,
    onDevice,
    stateOf,
    open,
    change,
    weighed: moves.weighed,
    decide: moves.decide,
    set,
    setText,
    setEntryText,
    ...retraced,
    flush,
    catchUp,
    leave,
    resume,
    tell,
    dismiss,
  };
});
