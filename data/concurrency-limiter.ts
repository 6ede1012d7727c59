/** More work waits than may: come again in a while. */
export class Busy extends Error {
  constructor() {
    super("too much is waiting already");
  }
}

/**
 * Work that is dear in memory or time, done a few at a time, with a bounded number inside, in all and for each key
 * (a practice, an address). Nobody is made to wait in a line without an end.
 */
export class ConcurrencyLimiter {
  readonly #inside = new Map<string, number>();
  readonly #waiting: (() => void)[] = [];
  #all = 0;
  #running = 0;

  constructor(private readonly most: { atOnce: number; inside: number; ofOne: number }) {}

  /** Takes a place inside; throws Busy when there is none. Returns what gives the place back (more than once is once). */
  enter(key: string): () => void {
    const own = this.#inside.get(key) ?? 0;
    if (this.#all >= this.most.inside || own >= this.most.ofOne) throw new Busy();
    this.#all++;
    this.#inside.set(key, own + 1);
    let left = false;
    return () => {
      if (left) return;
      left = true;
      this.#all--;
      const rest = this.#inside.get(key)! - 1;
      if (rest > 0) this.#inside.set(key, rest);
      else this.#inside.delete(key);
    };
  }

  /** Does `work` when its turn comes. */
  async turn<T>(work: () => Promise<T>): Promise<T> {
    if (this.#running >= this.most.atOnce) await new Promise<void>((go) => this.#waiting.push(go));
    else this.#running++;
    try {
      return await work();
    } finally {
      const next = this.#waiting.shift();
      if (next) next();
      else this.#running--;
    }
  }

  /** Takes a place, waits for its turn, works, and leaves. */
  async through<T>(key: string, work: () => Promise<T>): Promise<T> {
    const leave = this.enter(key);
    try {
      return await this.turn(work);
    } finally {
      leave();
    }
  }
}
