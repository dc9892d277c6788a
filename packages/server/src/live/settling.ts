/** Work that is done one after the other, and of which many that wait are one. */
export function oneAfterTheOther(work: () => Promise<void>): () => Promise<void> {
  let last = Promise.resolve();
  let waiting: Promise<void> | null = null;
  return () =>
    (waiting ??= last =
      last.then(() => {
        waiting = null;
        return work();
      }));
}
