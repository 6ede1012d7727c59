import { createContext, data, redirect, type MiddlewareFunction, type RouterContextProvider } from "react-router";
import type { Tx } from "~data/database";
import { Overtaken } from "~data/errors";
import { asOneRequest, commit, rollBack } from "~data/transaction";
import { sessionHours, type Practitioner } from "~data/practitioners";
import { Body, readBody } from "./body.server";
import { enter } from "./enter.server";
import { answering, answerTo } from "./faults.server";
import { enterUploads } from "./uploads.server";
import { bringLibrary, withLibrary } from "./library.server";
import { pace, tooFast } from "./pace.server";
import { notesOf } from "./request.server";

/** Who asks, what they sent, and the transaction that sees their practice only. */
export type Session = { tx: Tx; practitioner: Practitioner; token: string; body: Body };

const cookieName = "ember_session";
const deviceName = "ember_device";

const cookieOf = (request: Request, name: string): string | undefined =>
  (request.headers.get("cookie") ?? "").match(new RegExp(`(?:^|;\\s*)${name}=([A-Za-z0-9_-]+)`))?.[1];
export const tokenOf = (request: Request) => cookieOf(request, cookieName);
export const deviceOf = (request: Request) => cookieOf(request, deviceName);

/**
 * Whether a browser reached us by TLS. Here a proxy's word counts even where nobody said that it is believed: who says so
 * wrongly only has their own browser keep the cookie back.
 */
export const overTls = (protocol: string, forwarded: string | null | undefined): boolean =>
  protocol.startsWith("https") || (forwarded ?? "").split(",")[0]!.trim() === "https";

const cookie = (request: Request, name: string, value: string, maxAge: number) => {
  const secure = overTls(new URL(request.url).protocol, request.headers.get("x-forwarded-proto")) ? "; Secure" : "";
  return `${name}=${value}; Path=/; HttpOnly; SameSite=Lax; Max-Age=${maxAge}${secure}`;
};
export const sessionCookie = (request: Request, token: string) =>
  cookie(request, cookieName, token, sessionHours * 3600);
export const endedCookie = (request: Request) => cookie(request, cookieName, "", 0);
/** Tells a device that signed in here before: strangers cannot lock it out. */
export const deviceCookie = (request: Request, device: string) => cookie(request, deviceName, device, 365 * 86_400);

const pathOf = (request: Request) => new URL(request.url).pathname.replace(/\.data$/, "");

/** Asked by a script of the page that reads the answer, and not by the router: it can be told, and the page stays. */
const byScript = (request: Request) =>
  !new URL(request.url).pathname.endsWith(".data") &&
  (request.headers.get("sec-fetch-dest") === "empty" || request.headers.get("content-type") === "application/json");

function toSignIn(request: Request) {
  if (byScript(request))
    return Response.json({ error: "Your sign-in has ended. Nothing was stored." }, { status: 401 });
  const asked = pathOf(request);
  const search = new URL(request.url).search.replace(/[?&]_routes=[^&]*/, "");
  return redirect(asked === "/" ? "/sign-in" : `/sign-in?next=${encodeURIComponent(asked + search)}`);
}

/**
 * One request of someone who signed in. Its transaction is opened when the first loader or action needs it and closed
 * with the answer. Bodies of loaders and actions take turns on it.
 */
class Visitor {
  practitioner!: Practitioner;
  #tx: Tx | undefined;
  #turn: Promise<unknown> = Promise.resolve();
  #over = false;

  constructor(
    private readonly request: Request,
    readonly token: string,
    public body: Body,
  ) {}

  /** Opens the transaction and asks who it is: a session that ended, or a tablet handed over, answers itself. */
  async open(): Promise<Tx> {
    if (this.#over) throw new Error("the request is over");
    if (this.#tx) return this.#tx;
    const entered = await enter(this.token);
    if (!entered) throw toSignIn(this.request);
    const { tx, practitioner, handover } = entered;
    try {
      // A tablet in the client's hands reaches its questions and nothing else, whatever is typed or gone back to.
      if (handover && pathOf(this.request) !== `/handed/${handover.id}`)
        throw byScript(this.request)
          ? Response.json({ error: "This tablet is handed over to a client. Nothing was stored." }, { status: 423 })
          : redirect(`/handed/${handover.id}`);
      await bringLibrary(tx, practitioner.library);
    } catch (error) {
      await rollBack(tx);
      throw error;
    }
    // who only looks gets the same answer to the same question
    if (this.request.method === "GET") tx.answered = new Map();
    this.practitioner = practitioner;
    return (this.#tx = tx);
  }

  /** Keeps what was done so far, or nothing of it, and gives the connection back. */
  async close(keep: boolean): Promise<void> {
    const tx = this.#tx;
    this.#tx = undefined;
    if (tx) await (keep ? commit(tx) : rollBack(tx));
  }

  /**
   * The request is over, whether its loaders are or not: who went away leaves some of them waiting for their turn. What is
   * being asked is waited for; nothing is opened anew, for nobody would close it again.
   */
  async end(): Promise<void> {
    this.#over = true;
    await this.#turn;
    await this.close(false);
  }

  inTurn<T>(work: (session: Session) => Promise<T>): Promise<T> {
    const mine = this.#turn.then(async () => {
      const tx = await this.open();
      return work({ tx, practitioner: this.practitioner, token: this.token, body: this.body });
    });
    this.#turn = mine.catch(() => undefined);
    return mine;
  }
}

const visitorContext = createContext<Visitor | null>(null);

function visitorOf(context: Readonly<RouterContextProvider>): Visitor {
  const found = context.get(visitorContext);
  if (!found) throw new Response("Not signed in", { status: 401 });
  return found;
}

/** Who asks. Only below a route that carries `signedIn`. */
export const asking = (context: Readonly<RouterContextProvider>): Practitioner => visitorOf(context).practitioner;

const uuid = /^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$/i;
const nothing = new Body("", Buffer.alloc(0), undefined);
const isUpload = (request: Request) => pathOf(request).endsWith("/photos/upload");

/**
 * Middleware of everything behind sign-in: finds out who asks, reads what they send while no connection is held, and
 * commits what was done unless the answer is an error. Rows that are missing, or another practice's, answer 404 alike.
 */
export const signedIn: MiddlewareFunction<Response> = (asked, next) =>
  asOneRequest(() => withLibrary(() => attend(asked, next)));

const attend: MiddlewareFunction<Response> = async ({ request, context, params }, next) => {
  const token = tokenOf(request);
  if (!token) throw toSignIn(request);
  const visitor = new Visitor(request, token, nothing);
  let leave = () => {};
  let kept = false;
  try {
    const response = await answering(async () => {
      const { practiceId } = await visitor.open();
      notesOf(context).user = visitor.practitioner.id;
      if (!pace.takes(practiceId, visitor.practitioner.sessionId)) throw tooFast();
      if (Object.entries(params).some(([name, value]) => name.endsWith("Id") && !uuid.test(value ?? "")))
        throw new Response("Not found", { status: 404, statusText: "this address" });
      if (request.method !== "GET" && request.method !== "HEAD") {
        await visitor.close(true);
        // files are held in memory: how many at once is decided before the first byte of one is read
        if (isUpload(request)) leave = enterUploads(practiceId, visitor.practitioner.id);
        visitor.body = await readBody(request);
      }
      context.set(visitorContext, visitor);
      return next();
    });
    kept = response.status < 400;
    // what could not be kept is not answered as if it were
    await answering(() => visitor.close(kept));
    return response;
  } finally {
    leave();
    await visitor.end();
  }
};

/** What was sent with the request: read and parsed already, while no connection was held. */
export const bodyOf = (context: Readonly<RouterContextProvider>): Body => visitorOf(context).body;

/** Runs the body of a loader or action within the request's transaction. What it throws becomes an answer of a page. */
export function inSession<T>(
  context: Readonly<RouterContextProvider>,
  work: (session: Session) => Promise<T>,
): Promise<T> {
  return answering(() => visitorOf(context).inTurn(work));
}

/** What an action answers when something else was kept meanwhile: the page lets its user choose. */
export type Overtaking = { overtaken: { theirs: unknown } };

/** As `inSession`, for an action that keeps a value where another stood: 409 with what stands there now. */
export async function keeping<T>(
  context: Readonly<RouterContextProvider>,
  work: (session: Session) => Promise<T>,
): Promise<T | ReturnType<typeof data<Overtaking>>> {
  try {
    return await visitorOf(context).inTurn(work);
  } catch (error) {
    if (error instanceof Overtaken) return data({ overtaken: { theirs: error.theirs } }, { status: 409 });
    throw answerTo(error) ?? error;
  }
}
