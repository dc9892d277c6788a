/** What is kept in memory because it took work to find out, and of which there may be more than there is room for. */
export class Bounded<Value> {
  private readonly values = new Map<string, { readonly value: Value; readonly weight: number }>();
  private weight = 0;

  /**
   * @param most how much is kept: the one put there longest ago goes first.
   * @param weigh what each weighs, in the unit of `most`: they are counted, where nothing is said.
   */
  constructor(
    private readonly most: number,
    private readonly weigh: (value: Value) => number = () => 1,
  ) {}

  get size(): number {
    return this.values.size;
  }

  /** What all of it weighs. */
  get total(): number {
    return this.weight;
  }

  get(key: string): Value | undefined {
    return this.values.get(key)?.value;
  }

  /** Puts it there, or puts it last in the order in which they go. */
  set(key: string, value: Value): void {
    this.drop(key);
    const weight = this.weigh(value);
    this.values.set(key, { value, weight });
    this.weight += weight;
    // The last one stays, however much it weighs: it has been made.
    while (this.weight > this.most && this.values.size > 1)
      this.drop(this.values.keys().next().value as string);
  }

  private drop(key: string): void {
    const there = this.values.get(key);
    if (there === undefined) return;
    this.values.delete(key);
    this.weight -= there.weight;
  }

  /** What is kept under the key, or what `make` makes of it. */
  orElse(key: string, make: () => Value): Value {
    const found = this.values.get(key);
    if (found !== undefined) return found.value;
    const value = make();
    this.set(key, value);
    return value;
  }
}

/** A shelf for each of some holders, gone when its holder is. */
export class BoundedBy<Holder extends object, Value> {
  private readonly shelves = new WeakMap<Holder, Bounded<Value>>();

  constructor(
    private readonly most: number,
    private readonly weigh: (value: Value) => number = () => 1,
  ) {}

  of(holder: Holder): Bounded<Value> {
    let shelf = this.shelves.get(holder);
    if (shelf === undefined) this.shelves.set(holder, (shelf = new Bounded(this.most, this.weigh)));
    return shelf;
  }
}

/** Persons who asked last: a course that stands for months has more of them than there is room for. */
export const LAST_FEW = 100;
