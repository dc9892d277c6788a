/** Who is there and waits, as far as its count decides, from what the server says of the ways in. */
import type { WaysInAnswer } from '@itinerary/contract';
import type { JoinFacts } from '@itinerary/core/people';

type Counts = Pick<WaysInAnswer, 'learners' | 'held' | 'waiting'>;

export function factsOf({ learners, held, waiting }: Counts): JoinFacts {
  return {
    learners: learners.flatMap(({ way, count }) =>
      Array.from({ length: count }, (_, index) => ({ person: `${way} ${index}`, way })),
    ),
    held: held.map(({ kind, way, lapsesAt }, index) => ({
      person: `kept ${index}`,
      kind,
      way,
      lapses: Date.parse(lapsesAt),
    })),
    waiting: waiting.map(({ person, way, line }) => ({ person, way, line })),
  };
}
