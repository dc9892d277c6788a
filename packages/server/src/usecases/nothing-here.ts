/** What somebody may not see answers as what does not exist. */
import { Failure } from './failure.ts';

export function nothingHere(): Failure {
  return new Failure('not_found', 'There is nothing here, or nothing that you may see');
}
