/** That somebody was done with a section or the course: since when, by what, and by which rules. */
export interface Reached {
  readonly since: number;
  /** What it was done by: an item by its id, others with what they are before it. */
  readonly by: readonly string[];
  /** A sign of the rules by which it was. */
  readonly rules: string;
}
