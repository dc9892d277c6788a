/** Whether there is anything in an answer, as whoever answers sees it: the server has the last word. */
import type { QuizAnswer } from '@itinerary/contract';

export function isAnswered(answer: QuizAnswer | undefined): boolean {
  if (answer === undefined) return false;
  switch (answer.kind) {
    case 'single':
    case 'truth':
      return answer.chosen !== null;
    case 'several':
      return answer.chosen.length > 0;
    case 'order':
      return answer.placed !== null;
    case 'matching':
      return Object.keys(answer.placed).length > 0;
    default:
      return answer.text.trim() !== '';
  }
}
