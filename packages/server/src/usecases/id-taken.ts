/** Whoever sends something makes its id: sent again it is the same, and what somebody else has made is not theirs. */
import { Failure } from './failure.ts';

export function idTaken(id: string): Failure {
  return new Failure('bad_input', 'Something else has this id; make another one', [
    { path: 'id', value: id, expected: 'an id that nothing has' },
  ]);
}
