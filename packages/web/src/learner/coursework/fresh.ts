/**
 * What is read of somebody's work while something of it is being changed from here: an answer that was made before the
 * change would bring back what was there, so that it is asked for again.
 */
export interface Fresh {
  /** Whatever comes of it: an answer that is lost may have been given. */
  readonly change: <Answer>(ask: () => Promise<Answer>) => Promise<Answer>;
  readonly read: <Answer>(ask: () => Promise<Answer>) => Promise<Answer>;
}

export function freshly(): Fresh {
  let changes = 0;
  return {
    change: async (ask) => {
      try {
        return await ask();
      } finally {
        changes += 1;
      }
    },
    read: async (ask) => {
      for (;;) {
        const before = changes;
        const answer = await ask();
        if (changes === before) return answer;
      }
    },
  };
}
