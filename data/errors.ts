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
