import { useEffect } from "react";
import type { ShouldRevalidateFunctionArgs } from "react-router";
import { putInUse, type OwnLibrary } from "~core/series/own-library";
import { UnknownTemplate } from "~core/series/template";
import { UnknownTechnique } from "~core/techniques/library";

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

const reloadedFor = "ember-reloaded-for";

/**
 * A colleague may have added a technique or a template since this page was loaded, and planned it: the page is loaded anew, once for each
 * that it does not know.
 */
export function useReloadForUnknown(error: unknown): void {
  const unknown = error instanceof UnknownTechnique || error instanceof UnknownTemplate ? error.key : undefined;
  useEffect(() => {
    if (unknown === undefined || sessionStorage.getItem(reloadedFor) === unknown) return;
    sessionStorage.setItem(reloadedFor, unknown);
    window.location.reload();
  }, [unknown]);
}
