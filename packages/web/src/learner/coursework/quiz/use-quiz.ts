/**
 * An attempt on its way: each answer is kept on the device at once and by the server soon after, one request at a time, each
 * built on the answer before it. Where another window has answered meanwhile, what the server has counts, and it is said.
 */
import type { OwnQuizAnswer, QuizAnswer } from '@itinerary/contract';
import { computed, onScopeDispose, ref, shallowRef } from 'vue';
import type { ComputedRef, Ref, ShallowRef } from 'vue';
import { ask, ProblemError, UnreachableError } from '../../../api/client.ts';
import { newId } from '../../../stores/new-id.ts';
import { deviceFor } from '../../../stores/device/on-device.ts';
import type { Device } from '../../../stores/device/on-device.ts';
import { freshly } from '../fresh.ts';
import type { Keeping } from '../use-begun.ts';

/** What is not with the server yet, by question. */
interface Pending {
  readonly answer: QuizAnswer;
  readonly version: number;
}
type PendingAnswers = Readonly<Record<string, Pending>>;

/** A choice goes at once, words when they rest. */
const SOON_MS: Readonly<Record<QuizAnswer['kind'], number>> = {
  single: 0,
  several: 0,
  truth: 0,
  matching: 0,
  order: 0,
  short: 700,
  number: 700,
  long: 700,
};
const AGAIN_MS = 3000;

/** The server orders the keys of an answer its own way. */
const inOrder = (value: unknown): unknown =>
  value === null || typeof value !== 'object' || Array.isArray(value)
    ? value
    : Object.entries(value)
        .sort(([a], [b]) => (a < b ? -1 : 1))
        .map(([key, one]) => [key, inOrder(one)]);
const isSame = (one: unknown, other: unknown): boolean =>
  JSON.stringify(inOrder(one)) === JSON.stringify(inOrder(other));

export interface QuizTaking {
  readonly quiz: ShallowRef<OwnQuizAnswer | null>;
  /** By question, as this page has it. */
  readonly answers: ComputedRef<ReadonlyMap<string, QuizAnswer>>;
  readonly keeping: Ref<Exclude<Keeping, 'elsewhere'>>;
  /** Questions that another window has answered meanwhile. */
  readonly elsewhere: Ref<readonly string[]>;
  readonly failure: ShallowRef<unknown>;
  readonly isBusy: Ref<boolean>;
  /** @param attempt the one to look at; null: the one under way */
  readonly load: (attempt?: string | null) => Promise<void>;
  readonly begin: () => Promise<void>;
  readonly answer: (question: string, answer: QuizAnswer) => void;
  /** Has it judged, and shows what is right. */
  readonly check: (question: string) => Promise<void>;
  /** @returns whether it is handed in */
  readonly end: () => Promise<boolean>;
}

export function useQuiz(course: string, item: string, person: string): QuizTaking {
  const params = { course, item };
  const quiz = shallowRef<OwnQuizAnswer | null>(null);
  const pending = shallowRef<PendingAnswers>({});
  const keeping = ref<Exclude<Keeping, 'elsewhere'>>('kept');
  const elsewhere = ref<readonly string[]>([]);
  const failure = shallowRef<unknown>(null);
  const isBusy = ref(false);
  /** As the server has them. */
  const versions = new Map<string, number>();
  /** What went on its way and has not been answered: any of it may be what the server has. */
  const sent = new Map<string, readonly QuizAnswer[]>();
  let device: Device<PendingAnswers> | null = null;
  let timer: ReturnType<typeof setTimeout> | null = null;
  let underWay: Promise<void> | null = null;
  const fresh = freshly();
  let beginId = newId();
  let looked: string | null = null;

  const open = (): OwnQuizAnswer['open'] => {
    const now = quiz.value?.open ?? null;
    return now !== null && isUnderWay(now.attempt) ? now : null;
  };
  const isUnderWay = (attempt: string): boolean =>
    quiz.value?.attempts.some(({ id, ended }) => id === attempt && ended === null) === true;

  function take(answer: OwnQuizAnswer): void {
    quiz.value = answer;
    versions.clear();
    for (const { question, version } of answer.open?.answers ?? []) versions.set(question, version);
    const attempt = open()?.attempt ?? null;
    if (attempt === null) {
      device = null;
      pending.value = {};
      keeping.value = 'kept';
      return;
    }
    if (device !== null) return;
    // What an earlier page left behind goes on its way, where nothing newer is there.
    device = deviceFor<PendingAnswers>(person, course, item, attempt);
    const left = device.read() ?? {};
    pending.value = Object.fromEntries(
      Object.entries(left).filter(([question, { version }]) => version === (versions.get(question) ?? 0)),
    );
    if (Object.keys(pending.value).length > 0) later(0);
  }

  async function load(attempt: string | null = looked): Promise<void> {
    looked = attempt;
    const query = attempt === null ? {} : { attempt };
    take(await fresh.read(() => ask('GET /api/learn/{course}/items/{item}/quiz', { params, query })));
  }

  async function act(work: () => Promise<void>): Promise<boolean> {
    isBusy.value = true;
    failure.value = null;
    try {
      await work();
      return true;
    } catch (error) {
      failure.value = error;
      if (error instanceof ProblemError) await load().catch(() => undefined);
      return false;
    } finally {
      isBusy.value = false;
    }
  }

  const begin = async (): Promise<void> => {
    looked = null;
    const isBegun = await act(async () => {
      const body = { id: beginId };
      take(
        await fresh.change(() =>
          ask('POST /api/learn/{course}/items/{item}/quiz/attempts', { params, body }),
        ),
      );
    });
    // Without an answer it may have been begun: asked again, it is the same attempt.
    if (isBegun || failure.value instanceof ProblemError) beginId = newId();
  };

  function keepHere(): void {
    const isKept = Object.keys(pending.value).length === 0 || device?.keep(pending.value) === true;
    if (Object.keys(pending.value).length === 0) device?.forget();
    if (!isKept) keeping.value = 'nowhere';
  }

  function answer(question: string, what: QuizAnswer): void {
    // Typed on, it is built on what it was built on.
    const version = pending.value[question]?.version ?? versions.get(question) ?? 0;
    pending.value = { ...pending.value, [question]: { answer: what, version } };
    elsewhere.value = elsewhere.value.filter((one) => one !== question);
    keeping.value = 'typing';
    keepHere();
    later(SOON_MS[what.kind]);
  }

  function later(ms: number): void {
    if (timer !== null) clearTimeout(timer);
    timer = setTimeout(() => void send(), ms);
  }
  function send(): Promise<void> {
    underWay = (underWay ?? Promise.resolve()).then(sendAll);
    return underWay;
  }
  async function sendAll(): Promise<void> {
    if (timer !== null) clearTimeout(timer);
    timer = null;
    for (const [question, what] of Object.entries(pending.value)) {
      const attempt = open()?.attempt;
      if (attempt === undefined) return;
      try {
        await sendOne(attempt, question, what);
      } catch (error) {
        await recover(error, question);
        return;
      }
    }
    if (Object.keys(pending.value).length === 0) keeping.value = 'kept';
    else later(SOON_MS.short);
  }

  async function sendOne(
    attempt: string,
    question: string,
    { answer: what, version: on }: Pending,
  ): Promise<void> {
    sent.set(question, [...(sent.get(question) ?? []), what]);
    const { version, at } = await fresh.change(() =>
      ask('PUT /api/learn/{course}/items/{item}/quiz/attempts/{attempt}/answers/{question}', {
        params: { ...params, attempt, question },
        // As it was when it was answered here: what has been loaded since may be another window's.
        body: { version: on, answer: what as never },
      }),
    );
    sent.delete(question);
    versions.set(question, version);
    failure.value = null;
    // What was typed while it was on its way is built on it, and goes next.
    const { [question]: now, ...others } = pending.value;
    if (now !== undefined)
      pending.value =
        now.answer === what ? others : { ...others, [question]: { answer: now.answer, version } };
    keepHere();
    const here = quiz.value;
    if (here?.open == null) return;
    const rest = here.open.answers.filter((one) => one.question !== question);
    const kept = { question, answer: what as never, version, at, isChecked: false };
    quiz.value = { ...here, open: { ...here.open, answers: [...rest, kept] } };
  }

  async function recover(error: unknown, question: string): Promise<void> {
    if (error instanceof UnreachableError) {
      if (keeping.value !== 'nowhere') keeping.value = 'here';
      later(AGAIN_MS);
      return;
    }
    const isElsewhere = error instanceof ProblemError && error.problem.code === 'changed_elsewhere';
    if (!isElsewhere) failure.value = error;
    // It may have ended meanwhile, or be answered in another window: as the server has it.
    const isLoaded = await load().then(
      () => true,
      () => false,
    );
    if (isElsewhere && isLoaded) giveWay(question);
    if (open() !== null) later(isElsewhere && isLoaded ? 0 : AGAIN_MS);
  }

  /** What the server has counts; if it is what was sent from here, and only its answer was lost, one goes on from that. */
  function giveWay(question: string): void {
    const { [question]: mine, ...others } = pending.value;
    const there = quiz.value?.open?.answers.find((one) => one.question === question);
    const isOwn = there !== undefined && (sent.get(question) ?? []).some((one) => isSame(one, there.answer));
    if (mine !== undefined && isOwn && !isSame(mine.answer, there.answer))
      pending.value = { ...others, [question]: { ...mine, version: there.version } };
    else pending.value = others;
    if (!isOwn) elsewhere.value = [...elsewhere.value, question];
    keepHere();
  }

  const check = async (question: string): Promise<void> => {
    await send();
    await act(async () => {
      const attempt = open()?.attempt ?? '';
      if (pending.value[question] !== undefined) throw new UnreachableError('not kept yet');
      take(
        await fresh.change(() =>
          ask('POST /api/learn/{course}/items/{item}/quiz/attempts/{attempt}/answers/{question}/checked', {
            params: { ...params, attempt, question },
            body: { version: versions.get(question) ?? 0 },
          }),
        ),
      );
    });
  };

  const end = async (): Promise<boolean> => {
    await send();
    return act(async () => {
      const attempt = open()?.attempt ?? '';
      if (Object.keys(pending.value).length > 0) throw new UnreachableError('not kept yet');
      const answer = await fresh.change(() =>
        ask('POST /api/learn/{course}/items/{item}/quiz/attempts/{attempt}/handed', {
          params: { ...params, attempt },
          body: { answers: Object.fromEntries(versions) },
        }),
      );
      looked = attempt;
      take(answer);
    });
  };

  onScopeDispose(() => {
    if (timer === null) return;
    clearTimeout(timer);
    void send();
  });

  return {
    quiz,
    answers: computed(() => {
      const kept = (quiz.value?.open?.answers ?? []).map((one) => [one.question, one.answer] as const);
      const here = Object.entries(pending.value).map(([question, one]) => [question, one.answer] as const);
      return new Map([...kept, ...here]);
    }),
    keeping,
    elsewhere,
    failure,
    isBusy,
    load,
    begin,
    answer,
    check,
    end,
  };
}
