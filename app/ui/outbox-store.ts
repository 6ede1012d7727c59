/** What is logged by what was pressed: an id that its sender made, and when (ISO). */
export type Logged = { id: string; at: string };
/** What the server refused, with the reason it gave. */
export type SetAside<E> = { event: E; reason: string };

/** What a browser's storage is asked for. */
export type Shelf = Pick<Storage, "getItem" | "setItem" | "removeItem" | "key" | "length">;

/**
 * What waits to reach the server, and what it refused: an entry of its own in the browser's storage each, so that several
 * tabs add and take away without writing over one another. Where the storage takes nothing (it is full, or switched off)
 * this page remembers by itself.
 */
export class OutboxStore<E extends Logged> {
  readonly #memory = new Map<string, string>();
  #last = 0;

  constructor(
    private readonly shelf: Shelf,
    private readonly key: string,
    private readonly now: () => number = Date.now,
  ) {
    this.#bringForward();
  }

  /** Of an event that waits, and of one that was set aside. */
  readonly #waits = (id: string) => `${this.key}/${id}`;
  readonly #aside = (id: string) => `${this.key}!${id}`;

  /** What an entry of the storage is about: where another tab changed one. */
  about(key: string | null): { what: "waits" | "aside"; id: string } | undefined {
    if (key?.startsWith(`${this.key}/`)) return { what: "waits", id: key.slice(this.key.length + 1) };
    if (key?.startsWith(`${this.key}!`)) return { what: "aside", id: key.slice(this.key.length + 1) };
    return undefined;
  }

  /** What waits, in the order in which it was pressed. */
  waiting(): E[] {
    return this.#all<{ n: number; event: E }>(this.#waits(""))
      .sort((a, b) => a.n - b.n)
      .map(({ event }) => event);
  }

  setAside(): SetAside<E>[] {
    return this.#all<{ n: number } & SetAside<E>>(this.#aside(""))
      .sort((a, b) => a.n - b.n)
      .map(({ event, reason }) => ({ event, reason }));
  }

  add(event: E): void {
    this.#put(this.#waits(event.id), { n: this.#next(), event });
  }

  /** It is stored: nothing has to be kept here any more. */
  confirm(id: string): void {
    this.#drop(this.#waits(id));
  }

  /** It was refused: kept where it does not hold up what waits. */
  refuse(id: string, reason: string): void {
    const entry = this.#read<{ n: number; event: E }>(this.#waits(id));
    if (!entry) return;
    this.#put(this.#aside(id), { ...entry, reason });
    this.#drop(this.#waits(id));
  }

  /** Everything that was refused waits again, in its order. */
  tryAgain(): void {
    for (const { n, event } of this.#all<{ n: number } & SetAside<E>>(this.#aside(""))) {
      this.#put(this.#waits(event.id), { n, event });
      this.#drop(this.#aside(event.id));
    }
  }

  /** Nobody wants any more what was refused. */
  discard(): void {
    for (const { event } of this.setAside()) this.#drop(this.#aside(event.id));
  }

  isAside(id: string): boolean {
    return this.#read(this.#aside(id)) !== undefined;
  }

  #next(): number {
    this.#last = Math.max(this.#last + 1, this.now() * 1000);
    return this.#last;
  }

  #put(key: string, value: unknown): void {
    const text = JSON.stringify(value);
    try {
      this.shelf.setItem(key, text);
    } catch {
      this.#memory.set(key, text);
    }
  }

  #drop(key: string): void {
    this.#memory.delete(key);
    try {
      this.shelf.removeItem(key);
    } catch {
      // switched off: nothing is there
    }
  }

  #read<T>(key: string): T | undefined {
    let text: string | null | undefined;
    try {
      text = this.#memory.get(key) ?? this.shelf.getItem(key);
    } catch {
      text = undefined;
    }
    if (text === null || text === undefined) return undefined;
    try {
      return JSON.parse(text) as T;
    } catch {
      return undefined;
    }
  }

  #all<T>(begins: string): T[] {
    const keys = new Set([...this.#memory.keys()].filter((key) => key.startsWith(begins)));
    try {
      for (let i = 0; i < this.shelf.length; i++) {
        const key = this.shelf.key(i);
        if (key?.startsWith(begins)) keys.add(key);
      }
    } catch {
      // switched off
    }
    return [...keys].map((key) => this.#read<T>(key)).filter((entry) => entry !== undefined);
  }

  /** A browser may hold a list from before there was an entry each. */
  #bringForward(): void {
    const list = this.#read<E[]>(this.key);
    if (!Array.isArray(list)) return;
    for (const event of list) this.add(event);
    this.#drop(this.key);
  }
}
