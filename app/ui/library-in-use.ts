import type { ShouldRevalidateFunctionArgs } from "react-router";
import { putInUse, type OwnLibrary } from "~core/series/own-library";

let brought: OwnLibrary | undefined;

/**
 * Puts the practice's library in use in the browser, before anything below is drawn: called while the page that loaded it
 * is. The server has its own, by request.
 */
export function bringLibrary(own: OwnLibrary): void {
  if (typeof window === "undefined" || brought === own) return;
  brought = own;
  putInUse(own);
}

/** The frame's own data changes where the library, the practice or the account is changed, and not with every other act. */
export const framed = ({ formAction, defaultShouldRevalidate }: ShouldRevalidateFunctionArgs): boolean =>
  formAction && !/^\/(library|practice|account|sign-in)/.test(formAction) ? false : defaultShouldRevalidate;
