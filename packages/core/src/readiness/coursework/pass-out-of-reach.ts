import { worthOf } from '../../coursework/quiz/planned.ts';
import type { Assignment, Quiz } from '../../course/schema/items-schema.ts';
import { takenRule } from './taken.ts';

/** What can be reached: a quiz without a total of its own gives what its questions do. */
const reach = (one: Assignment | Quiz): number =>
  one.total ?? (one.kind === 'quiz' ? worthOf(one).points : 0);

/** More points pass than there are. The cure lets all of them pass, or asks for none where there are none. */
export const passOutOfReach = takenRule('pass_out_of_reach', ['assignment', 'quiz'], {
  isWrong: (one) => one.passAt !== null && one.passAt > reach(one),
  values: (one) => ({ points: one.passAt ?? 0, total: reach(one) }),
  cure: {
    field: 'passAt',
    cured: (one) => (one.kind === 'assignment' ? one.total : reach(one) === 0 ? null : reach(one)),
  },
});
