/** What is not with the server yet, on this device: a reload or an empty battery loses none of it. */

export interface Device<Kept> {
  readonly read: () => Kept | null;
  /** False: this browser keeps nothing for us, or is full. */
  readonly keep: (what: Kept) => boolean;
  readonly forget: () => void;
}

/** @param names whose it is, and of what */
export function deviceFor<Kept>(...names: readonly string[]): Device<Kept> {
  const key = ['itinerary', 'work', ...names].join('.');
  return {
    read: () => {
      try {
        return JSON.parse(localStorage.getItem(key) ?? 'null') as Kept | null;
      } catch {
        return null;
      }
    },
    keep: (what) => {
      try {
        localStorage.setItem(key, JSON.stringify(what));
        return true;
      } catch {
        return false;
      }
    },
    forget: () => {
      try {
        localStorage.removeItem(key);
      } catch {
        // What was never kept need not go.
      }
    },
  };
}
