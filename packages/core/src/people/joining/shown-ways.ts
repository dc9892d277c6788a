/** Which ways somebody is told of who knows of a course, and what of each: for the server's page, and for a preview. */
import type { CoursePlan } from '../../calendar/course-plan.ts';
import type { JoinAnswer } from './joining.ts';
import { wayIn } from './of-course.ts';
import { priceFor } from './price.ts';
import type { Priced } from './price.ts';

type Way = 'link' | 'invitation' | 'request' | 'paying';

export interface ShownWay {
  readonly way: Way;
  readonly answer: JoinAnswer;
  /** To be answered by whoever asks to join. */
  readonly question: string | null;
  /** The title of a course that has to be completed before. */
  readonly after: string | null;
  readonly price: Priced | null;
}

/** What is said first, where several ways stand open. */
const RANK: Readonly<Record<JoinAnswer['can'], number>> = { yes: 0, wait: 1, no: 2 };

/**
 * @param kind what somebody is to the institution; null: nobody has said
 * @param at the instant, in milliseconds
 * @returns the best first; of a way that is off nothing, where there is another; a reason that is the same for two once
 */
export function shownWays(
  plan: CoursePlan,
  ways: readonly Way[],
  answerBy: (way: Way) => JoinAnswer,
  kind: string | null,
  at: number,
): readonly ShownWay[] {
  const all = ways
    .map((way): ShownWay => {
      const { question, after, price } = wayIn(plan, way);
      return {
        way,
        answer: answerBy(way),
        question: way === 'request' ? question : null,
        after: after?.title ?? null,
        price: way !== 'paying' || price === null ? null : priceFor(plan, price, kind, at),
      };
    })
    .sort((a, b) => RANK[a.answer.can] - RANK[b.answer.can]);
  const open = all.filter(({ answer }, index) => {
    if (answer.can !== 'no') return true;
    const { because } = answer;
    const first = all.findIndex((one) => one.answer.can === 'no' && one.answer.because === because);
    return because !== 'off' && first === index;
  });
  return open.length > 0 ? open : all.slice(0, 1);
}
