import { data } from "react-router";
import { tellOtherTabs } from "./other-tabs";

/** Told to the page when something could not be sent. */
export const unsent = "ember:unsent";

/**
 * The client's side of an action: when the network is gone, the page stays as it is with all that was typed, and says
 * so, instead of giving way to a page about a fault; when something was kept, other tabs hear of it.
 * `export { keepTyped as clientAction }` in a route with a form.
 */
export async function keepTyped<T>({ serverAction }: { serverAction: () => Promise<T> }) {
  try {
    const answer = await serverAction();
    if ((answer as { ok?: boolean } | undefined)?.ok) tellOtherTabs(window.location.pathname);
    return answer;
  } catch (error) {
    if (!(error instanceof TypeError)) throw error;
    window.dispatchEvent(new Event(unsent));
    // an error status: nothing is loaded anew, which would fail as well
    return data({ unsent: true }, { status: 503 });
  }
}
