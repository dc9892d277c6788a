/** What a list to choose from offers. */
export interface SelectOption<Value extends string | number | null = string> {
  readonly value: Value;
  readonly title: string;
  /** Offered under this heading, after those without one. */
  readonly group?: string;
  /** To be seen, not to be chosen. */
  readonly disabled?: boolean;
}

/** What stands in the field before anything is chosen. */
export const NOTHING_CHOSEN: SelectOption = { value: '', title: '–', disabled: true };
