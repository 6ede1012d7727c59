import { useEffect } from "react";
import type { ShouldRevalidateFunctionArgs } from "react-router";
import { libraryOf, shelve, UnknownTechnique, type Library, type Version } from "~core/techniques/library";

let shelved: { versions: readonly Version[]; library: Library } | undefined;

/**
 * Puts the practice's library in use in the browser, before anything below is drawn: called while the page that loaded it
 * is. The server has its own, by request.
 */
export function bringLibrary(versions: readonly Version[]): void {
  if (typeof window === "undefined" || shelved?.versions === versions) return;
  const own = { versions, library: libraryOf(versions) };
  shelved = own;
  shelve(() => own.library);
}

/** The frame's own data changes where the library, the practice or the account is changed, and not with every other act. */
export const framed = ({ formAction, defaultShouldRevalidate }: ShouldRevalidateFunctionArgs): boolean =>
  formAction && !/^\/(library|practice|account|sign-in)/.test(formAction) ? false : defaultShouldRevalidate;

const reloadedFor = "ember-reloaded-for";

/**
 * A colleague may have added a technique since this page was loaded, and planned it: the page is loaded anew, once for each
 * that it does not know.
 */
export function useReloadForUnknown(error: unknown): void {
  const unknown = error instanceof UnknownTechnique ? error.key : undefined;
  useEffect(() => {
    if (unknown === undefined || sessionStorage.getItem(reloadedFor) === unknown) return;
    sessionStorage.setItem(reloadedFor, unknown);
    window.location.reload();
  }, [unknown]);
}
