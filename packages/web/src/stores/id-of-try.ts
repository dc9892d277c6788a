/** What is sent carries an id that is made here, so that sent again, its answer being lost, it is the same and not one more. */
import { newId } from './new-id.ts';

export interface Tries {
  /** The same for as long as what is tried is the same. */
  readonly idOf: (content: unknown) => string;
  /** It has come: said in the same words again, it is another. */
  readonly done: () => void;
}

export function idsOfTries(): Tries {
  let last: { readonly content: string; readonly id: string } | null = null;
  return {
    idOf: (content) => {
      const now = JSON.stringify(content);
      if (last?.content !== now) last = { content: now, id: newId() };
      return last.id;
    },
    done: () => (last = null),
  };
}
