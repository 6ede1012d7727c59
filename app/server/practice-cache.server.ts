import type { Tx } from "~data/database";

/**
 * Every cache of the server. What is kept belongs to the practice of the transaction it was made in and is found in that
 * practice's transactions only: ids are made by clients, and another practice may send the same ones. The least recently
 * used is let go first, when all that is kept weighs more than `most`.
 */
export class PracticeCache<V> {
  static readonly #all: { forget: () => void }[] = [];
  readonly #kept = new Map<string, { value: V; weight: number }>();
  #weight = 0;

  constructor(
    private readonly most: number,
    private readonly weigh: (value: V) => number = () => 1,
  ) {
    PracticeCache.#all.push({ forget: () => [...this.#kept.keys()].forEach((whole) => this.#forget(whole)) });
  }

  /** Lets go of everything in every cache, as a process that has just started: for tests of what caches answer. */
  static forgetAll(): void {
    for (const cache of PracticeCache.#all) cache.forget();
  }

  /** What is kept under `key`, if `fits` agrees; else what `make` makes, kept from now on. */
  async of(
    tx: Pick<Tx, "practiceId">,
    key: string,
    make: () => V | Promise<V>,
    fits?: (kept: V) => boolean,
  ): Promise<V> {
    const whole = `${tx.practiceId} ${key}`;
    const known = this.#kept.get(whole);
    if (known && (fits?.(known.value) ?? true)) {
      this.#kept.delete(whole);
      this.#kept.set(whole, known);
      return known.value;
    }
    const value = await make();
    this.#forget(whole);
    const weight = this.weigh(value);
    this.#kept.set(whole, { value, weight });
    this.#weight += weight;
    for (const oldest of this.#kept.keys()) {
      if (this.#weight <= this.most) break;
      this.#forget(oldest);
    }
    return value;
  }

  #forget(whole: string) {
    this.#weight -= this.#kept.get(whole)?.weight ?? 0;
    this.#kept.delete(whole);
  }
}
