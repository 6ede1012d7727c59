import { createContext, redirect, type MiddlewareFunction, type RouterContextProvider } from "react-router";
import { inPractice, type Tx } from "~data/database";
import { handoverOfSession } from "~data/handovers";
import { NotFound, Stale } from "~data/errors";
import { practiceOfToken, practitionerOfToken, sessionHours, type Practitioner } from "~data/practitioners";
import { database } from "./database.server";

export type Session = { tx: Tx; practitioner: Practitioner; token: string };

const sessionContext = createContext<Session | null>(null);

/** Who asks, and the transaction that sees their practice only. Only below a route that carries `signedIn`. */
export function session(context: Readonly<RouterContextProvider>): Session {
  const found = context.get(sessionContext);
  if (!found) throw new Response("Not signed in", { status: 401 });
  return found;
}

const cookieName = "ember_session";

export function tokenOf(request: Request): string | undefined {
  const cookies = request.headers.get("cookie") ?? "";
  return cookies.match(new RegExp(`(?:^|;\\s*)${cookieName}=([A-Za-z0-9_-]+)`))?.[1];
}

const cookie = (request: Request, value: string, maxAge: number) => {
  const secure = new URL(request.url).protocol === "https:" ? "; Secure" : "";
  return `${cookieName}=${value}; Path=/; HttpOnly; SameSite=Lax; Max-Age=${maxAge}${secure}`;
};
export const sessionCookie = (request: Request, token: string) => cookie(request, token, sessionHours * 3600);
export const endedCookie = (request: Request) => cookie(request, "", 0);

const unreachable = new Set([
  "ECONNREFUSED",
  "ECONNRESET",
  "ETIMEDOUT",
  "EPIPE",
  "57P01",
  "57P02",
  "57P03",
  "08006",
  "53300",
  "55000",
]);

/** A database that does not answer becomes a 503 with its own page, instead of a fault of ours. */
export async function databaseErrors<T>(work: () => Promise<T>): Promise<T> {
  try {
    return await work();
  } catch (error) {
    const code = error instanceof Error && "code" in error ? String(error.code) : "";
    const name = error instanceof Error ? error.name : "";
    if (
      unreachable.has(code) ||
      name === "KnexTimeoutError" ||
      /Connection terminated|AggregateError/.test(String(error))
    )
      throw new Response("The database does not answer", { status: 503 });
    throw error;
  }
}

class Undone extends Error {
  constructor(readonly response: Response) {
    super("answered with an error: nothing is kept");
  }
}

/**
 * Middleware of everything behind sign-in: finds the session, opens one transaction bound to its practice, and
 * commits it unless the answer is an error. Rows that are missing, or another practice's, answer 404 alike.
 */
export const signedIn: MiddlewareFunction<Response> = async ({ request, context }, next) => {
  const token = tokenOf(request);
  const practiceId = token && (await databaseErrors(() => practiceOfToken(database(), token)));
  if (!token || !practiceId) {
    const { pathname, search } = new URL(request.url);
    const asked = pathname.replace(/\.data$/, "");
    throw redirect(
      asked === "/"
        ? "/sign-in"
        : `/sign-in?next=${encodeURIComponent(asked + search.replace(/[?&]_routes=[^&]*/, ""))}`,
    );
  }
  try {
    return await databaseErrors(() =>
      inPractice(database(), practiceId, async (tx) => {
        const practitioner = await practitionerOfToken(tx, token);
        if (!practitioner) throw redirect("/sign-in");
        const handover = await handoverOfSession(tx, practitioner.sessionId);
        // A tablet in the client's hands reaches its questions and nothing else, whatever is typed or gone back to.
        if (handover && new URL(request.url).pathname.replace(/\.data$/, "") !== `/handed/${handover.id}`)
          throw redirect(`/handed/${handover.id}`);
        context.set(sessionContext, { tx, practitioner, token });
        const response = await next();
        if (response.status >= 400) throw new Undone(response);
        return response;
      }),
    );
  } catch (error) {
    if (error instanceof Undone) return error.response;
    throw error;
  }
};

/**
 * Runs the body of a loader or action within the request's transaction. Bodies of one request take turns, because
 * they share one connection. What repositories throw becomes an answer that a page can show.
 */
export async function inSession<T>(
  context: Readonly<RouterContextProvider>,
  work: (session: Session) => Promise<T>,
): Promise<T> {
  const own = session(context) as Session & { turn?: Promise<unknown> };
  const mine = (own.turn ?? Promise.resolve()).then(() => work(own));
  own.turn = mine.catch(() => undefined);
  try {
    return await mine;
  } catch (error) {
    if (error instanceof NotFound) throw new Response("Not found", { status: 404, statusText: error.what });
    if (error instanceof Stale) throw new Response(error.message, { status: 409, statusText: "Changed elsewhere" });
    throw error;
  }
}
