/** What is kept in memory because it took work to find out, and of which there may be more than there is room for. */
export class Bounded<Value> {
  private readonly values = new Map<string, Value>();

  /** @param most how many are kept: the one put there longest ago goes first. */
  constructor(private readonly most: number) {}

  get size(): number {
    return this.values.size;
  }

  get(key: string): Value | undefined {
    return this.values.get(key);
  }

  /** Puts it there, or puts it last in the order in which they go. */
  set(key: string, value: Value): void {
    this.values.delete(key);
    this.values.set(key, value);
    if (this.values.size > this.most) this.values.delete(this.values.keys().next().value as string);
  }

  /** What is kept under the key, or what `make` makes of it. */
  orElse(key: string, make: () => Value): Value {
    const found = this.values.get(key);
    if (found !== undefined) return found;
    const value = make();
    this.set(key, value);
    return value;
  }
}

/** A shelf for each of some holders, gone when its holder is. */
export class BoundedBy<Holder extends object, Value> {
  private readonly shelves = new WeakMap<Holder, Bounded<Value>>();

  constructor(private readonly most: number) {}

  of(holder: Holder): Bounded<Value> {
    let shelf = this.shelves.get(holder);
    if (shelf === undefined) this.shelves.set(holder, (shelf = new Bounded(this.most)));
    return shelf;
  }
}

/** Persons who asked last: a course that stands for months has more of them than there is room for. */
export const LAST_FEW = 100;
