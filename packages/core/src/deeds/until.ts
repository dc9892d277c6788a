/** What was known by a moment, of all that is known now. */
import { stepsOf } from './facts.ts';
import type { Facts, Step } from './facts.ts';

/**
 * What has been undone since was there then and is known no more: a tick that was taken back, a mark that staff have
 * lowered, what they have had count no more.
 *
 * @param at milliseconds since 1970-01-01T00:00Z, itself among them
 */
export function factsUntil(facts: Facts, at: number): Facts {
  const steps = (all: readonly Step[]): readonly Step[] => all.filter(([from]) => from <= at);
  const { posts, replies, watched, marks, ...moments } = facts;
  const then = Object.entries(moments).filter(([, when]) => when <= at);
  return {
    ...(Object.fromEntries(then) as Facts),
    ...(posts === undefined ? {} : { posts: { ...posts, most: steps(posts.most) } }),
    ...(replies === undefined ? {} : { replies: { ...replies, most: steps(replies.most) } }),
    ...(watched === undefined ? {} : { watched: steps(watched) }),
    ...(marks === undefined
      ? {}
      : { marks: { before: steps(stepsOf(marks)), at: Math.min(at, marks.at), own: null, staff: false } }),
  };
}
