/** What could not be taken, of fields that are gone for now: it is there again when one comes back to them. */

const left = new Map<string, string>();

export interface LeftDraft {
  /** Null: nothing was left. */
  readonly get: () => string | null;
  readonly keep: (text: string | null) => void;
}

/** @param name told apart within a page; undefined: nothing is kept. */
export function leftDraft(name: string | undefined): LeftDraft {
  if (name === undefined) return { get: () => null, keep: () => undefined };
  // Where the field stands, and not where one goes when it is left.
  const place = `${window.location.pathname} ${name}`;
  return {
    get: () => left.get(place) ?? null,
    keep: (text) => {
      if (text === null) left.delete(place);
      else left.set(place, text);
    },
  };
}
