import type { Tx } from "~data/database";

/**
 * Every cache of the server. What is kept belongs to the practice of the transaction it was made in and is found in that
 * practice's transactions only: ids are made by clients, and another practice may send the same ones. The least recently
 * used is let go first.
 */
export class PracticeCache<V> {
  readonly #kept = new Map<string, V>();

  constructor(private readonly most: number) {}

  /** What is kept under `key`, if `fits` agrees; else what `make` makes, kept from now on. */
  async of(
    tx: Pick<Tx, "practiceId">,
    key: string,
    make: () => V | Promise<V>,
    fits?: (kept: V) => boolean,
  ): Promise<V> {
    const whole = `${tx.practiceId} ${key}`;
    const known = this.#kept.get(whole);
    const value = known !== undefined && (fits?.(known) ?? true) ? known : await make();
    this.#kept.delete(whole);
    this.#kept.set(whole, value);
    if (this.#kept.size > this.most) this.#kept.delete(this.#kept.keys().next().value!);
    return value;
  }
}
