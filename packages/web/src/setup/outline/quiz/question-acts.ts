/** What is done with the questions of a quiz: each act is one change, and can be taken back as one. */
import { asKind, newQuestion, planned, questionsOf, setQuizEntry } from '@itinerary/core';
import type { AskedQuestion, CourseFileRef, PlannedQuestion, Quiz, WrittenQuestion } from '@itinerary/core';
import { newId } from '../../../stores/new-id.ts';
import { usePlan } from '../../../stores/plan.ts';

type Kind = PlannedQuestion['kind'];
interface Words {
  readonly question: string;
  readonly choice: (number: number) => string;
}

/** Without its id, as the table of the quiz holds it. */
export function asPlanned({ id: _id, ...question }: AskedQuestion): PlannedQuestion {
  void _id;
  return question as PlannedQuestion;
}

export interface QuestionActs {
  readonly set: (id: string, question: PlannedQuestion, typing?: boolean) => void;
  /** @returns its id */
  readonly add: (kind: Kind) => string;
  readonly copy: (question: AskedQuestion) => string;
  readonly remove: (id: string) => void;
  readonly move: (id: string, by: -1 | 1) => void;
  readonly become: (question: AskedQuestion, kind: Kind) => void;
  /** A choice of it becomes a picture. */
  readonly picture: (id: string, choice: string, picture: CourseFileRef) => void;
  readonly put: (written: readonly WrittenQuestion[]) => void;
}

export function useQuestionActs(quiz: () => Quiz, words: Words): QuestionActs {
  const plan = usePlan();
  const part = (at: number): { readonly id: string; readonly text: string } => ({
    id: newId(),
    text: words.choice(at + 1),
  });
  const last = (): number => Math.max(0, ...questionsOf(quiz()).map(({ at }) => at));
  const put = (id: string, question: PlannedQuestion): void => {
    plan.change([setQuizEntry(quiz(), 'questions', id, question)]);
  };
  return {
    set: (id, question, typing = false) => {
      plan.change([setQuizEntry(quiz(), 'questions', id, question)], { typing });
    },
    picture: (id, choice, picture) => {
      const question = quiz().questions[id];
      if (question?.kind !== 'single' && question?.kind !== 'several') return;
      const choices = question.choices.map((one) => (one.id === choice ? { ...one, picture } : one));
      put(id, { ...question, choices });
    },
    add: (kind) => {
      const id = newId();
      const common = {
        text: words.question,
        why: '',
        points: 1,
        required: false,
        pool: null,
        at: last() + 1,
      };
      put(id, newQuestion(kind, common, part));
      return id;
    },
    copy: (question) => {
      const id = newId();
      const after = questionsOf(quiz()).find(({ at }) => at > question.at)?.at ?? question.at + 2;
      put(id, { ...asPlanned(question), at: (question.at + after) / 2 });
      return id;
    },
    remove: (id) => {
      plan.change([setQuizEntry(quiz(), 'questions', id, null)]);
    },
    move: (id, by) => {
      const all = questionsOf(quiz());
      const from = all.findIndex((one) => one.id === id);
      const [one, other] = [all[from], all[from + by]];
      if (one === undefined || other === undefined) return;
      // Copies may stand at the same place: then all of them are numbered anew.
      const places = all.map(({ id: of }, at) => ({ id: of, at: at + 1 }));
      const isOdd = one.at === other.at;
      const next = isOdd ? places : all.map(({ id: of, at }) => ({ id: of, at }));
      const swapped = next.map(({ id: of, at }) => {
        if (of === one.id) return { id: of, at: next[from + by]!.at };
        return of === other.id ? { id: of, at: next[from]!.at } : { id: of, at };
      });
      plan.change(
        swapped.flatMap(({ id: of, at }) => {
          const question = quiz().questions[of];
          if (question === undefined || question.at === at) return [];
          return [setQuizEntry(quiz(), 'questions', of, { ...question, at })];
        }),
      );
    },
    become: (question, kind) => put(question.id, asKind(asPlanned(question), kind, part)),
    put: (written) => {
      const from = last();
      plan.change(
        written.flatMap((one, index) => {
          const question = planned(one, from + index + 1);
          return question === null ? [] : [setQuizEntry(quiz(), 'questions', newId(), question)];
        }),
      );
    },
  };
}
