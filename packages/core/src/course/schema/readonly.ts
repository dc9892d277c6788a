/** A value that is only read, all the way down: what is inferred from a schema, as core hands it out. A pair stays one. */
export type DeepReadonly<T> = T extends readonly [infer One, infer Other]
  ? readonly [DeepReadonly<One>, DeepReadonly<Other>]
  : T extends readonly (infer One)[]
    ? readonly DeepReadonly<One>[]
    : T extends object
      ? { readonly [Key in keyof T]: DeepReadonly<T[Key]> }
      : T;
