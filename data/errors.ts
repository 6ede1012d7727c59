/** The row a request names does not exist, or belongs to another practice: the same answer for both. */
export class NotFound extends Error {
  constructor(readonly what: string) {
    super(`${what} not found`);
  }
}

/** Somebody (another tab, another practitioner) changed the row since it was read. */
export class Stale extends Error {
  constructor(readonly what: string) {
    super(`${what} was changed elsewhere`);
  }
}

/** As Stale, with what is there now, so that a person can choose between the two. */
export class Overtaken extends Stale {
  constructor(
    what: string,
    /** What somebody else kept meanwhile; null when they took it away. */
    readonly theirs: unknown,
  ) {
    super(what);
  }
}

/** Something else was stored already under the id that was sent with this: nothing of it was stored. */
export class Taken extends Error {
  constructor(readonly what: string) {
    super(
      `${what[0]!.toUpperCase()}${what.slice(1)}: what you sent first is stored already, and this says something else. Nothing of it was stored: load the page again to see what is there.`,
    );
  }
}
