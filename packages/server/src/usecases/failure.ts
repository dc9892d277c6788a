/** Why a use case did not do what it was asked. One place in http/ maps it to an answer. */
import type { FieldProblem, ProblemCode } from '@itinerary/contract';

export class Failure extends Error {
  constructor(
    readonly code: ProblemCode,
    message: string,
    readonly errors: readonly FieldProblem[] = [],
    /** In so many seconds it may be tried again. */
    readonly retryAfter: number | null = null,
  ) {
    super(message);
  }
}
