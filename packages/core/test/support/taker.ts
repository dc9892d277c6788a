import { applyChange } from '../../src/index.ts';
import type { Change, Course, ServerAnswer, TakenChange } from '../../src/index.ts';

/** A server in miniature: takes changes in the order in which they come, each id once. */
export class Taker {
  private readonly log: TakenChange[] = [];
  constructor(public course: Course) {}

  take(who: string, since: number, changes: readonly Change[]): ServerAnswer {
    const refused: ServerAnswer['refused'][number][] = [];
    for (const change of changes) {
      if (this.log.some((taken) => taken.change.id === change.id)) continue;
      const applied = applyChange(this.course, change);
      if (applied.ok) {
        this.course = applied.course;
        this.log.push({ seq: this.log.length + 1, change, author: who, mine: false });
      } else refused.push({ id: change.id, refusal: applied.refusal });
    }
    const taken = this.log
      .filter(({ seq }) => seq > since)
      .map((one) => ({ ...one, mine: one.author === who }));
    return { taken, refused };
  }
}
