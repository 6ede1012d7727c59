import { data, isRouteErrorResponse } from "react-router";
import { tellOtherTabs } from "./other-tabs";
import { askToSignIn } from "./signed-in";

/** Told to the page when something could not be kept: why, and whether loading it again shows what is there now. */
export const notKept = "ember:not-kept";
export type NotKept = CustomEvent<{ why: string; again?: boolean }>;

const tell = (detail: NotKept["detail"]) => window.dispatchEvent(new CustomEvent(notKept, { detail }));
/** An error status: nothing is loaded anew, which would fail as well. */
const unsent = (status: number, more: { signedOut?: true } = {}) => data({ unsent: true, ...more }, { status });

/** What a server that could not keep something says of it. */
function sentence(status: number, said: unknown): string {
  const own = typeof said === "string" ? said : (said as { error?: unknown } | null)?.error;
  const kept = "What you typed still stands here.";
  if (status === 409 && typeof own === "string" && own.includes("changed elsewhere"))
    return `Somebody changed this meanwhile: yours was not saved, so that theirs is not lost. ${kept}`;
  if (status === 404) return `Nothing was saved: this is not there any more, or not by that address. ${kept}`;
  if (status === 503) return `The server could not take it just now: nothing was saved. ${kept} Try again in a moment.`;
  if (status < 500 || status === 507) return `${typeof own === "string" && own ? own : "That was not taken."} ${kept}`;
  return `Something broke on our side: nothing was saved. ${kept} Try again.`;
}

/**
 * The client's side of an action. Whatever keeps something from being stored, the page stays as it is with all that was typed,
 * and says so, instead of giving way to a page about a fault: no network, a server that cannot take it, sign-in that has
 * ended (whoever works here signs in again in place). When something was kept, other tabs hear of it.
 * `export { keepTyped as clientAction }` in a route with a form.
 */
export async function keepTyped<T>({ serverAction }: { serverAction: () => Promise<T> }) {
  try {
    const answer = await serverAction();
    if ((answer as { ok?: boolean } | undefined)?.ok) tellOtherTabs(window.location.pathname);
    return answer;
  } catch (error) {
    if (error instanceof TypeError) {
      tell({
        why: "No connection: whether this was saved is not known. Nothing you typed is lost: send it again when it is back, it is stored once.",
      });
      return unsent(503);
    }
    if (isRouteErrorResponse(error)) {
      tell({ why: sentence(error.status, error.data), again: error.status === 409 });
      return unsent(error.status);
    }
    if (!(error instanceof Response && error.headers.get("Location")?.startsWith("/sign-in"))) throw error;
    const back = await askToSignIn();
    tell({
      why: back
        ? "You are signed in again. What you typed still stands here: save it once more."
        : "Not signed in: nothing was saved. What you typed still stands here.",
    });
    return unsent(401, { signedOut: true });
  }
}
