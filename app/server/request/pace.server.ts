const seconds = 10;
const usual = 40;

/** Requests a second that one sign-in may make, over ten seconds: far more than hands do (REQUESTS_PER_SECOND sets it). */
const most = () => seconds * Number(process.env.REQUESTS_PER_SECOND ?? usual);

/** Counts what each sign-in of each practice asks for, so that a script that runs wild slows itself and nobody else. */
export class Pace {
  #began = 0;
  readonly #counts = new Map<string, number>();

  /** Whether one more request may be answered now (ms since 1970). */
  takes(practiceId: string, sessionId: string, now = Date.now()): boolean {
    if (now - this.#began >= seconds * 1000) {
      this.#began = now;
      this.#counts.clear();
    }
    const key = `${practiceId} ${sessionId}`;
    const count = (this.#counts.get(key) ?? 0) + 1;
    this.#counts.set(key, count);
    return count <= most();
  }
}

export const pace = new Pace();

/** What whoever asks too fast is told. */
export const tooFast = (): Response =>
  Response.json(
    { error: "This sign-in asks for too much at once. Nothing was stored; try again in a few seconds." },
    { status: 429, headers: { "Retry-After": String(seconds) } },
  );
