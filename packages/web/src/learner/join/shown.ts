/** Whether the page of a course says anything of joining it. */
import type { JoinPageAnswer } from '@itinerary/contract';

/** Of a way that there is not, or that will never be theirs, nothing is said here. */
const SILENT: readonly string[] = ['off', 'absent', 'archived', 'draft', 'in'];

export function saysAnything({ ways }: Pick<JoinPageAnswer, 'ways'>): boolean {
  const first = ways[0]?.answer;
  return first !== undefined && (first.can !== 'no' || !SILENT.includes(first.because));
}
