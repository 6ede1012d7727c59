import { useEffect } from "react";
import { UnknownVersion } from "~core/shelf";

const reloadedFor = "ember-reloaded-for";

/**
 * A colleague may have added a technique or a template since this page was loaded, and planned it: the page is loaded anew, once for each
 * that it does not know.
 */
export function useReloadForUnknown(error: unknown): void {
  const unknown = error instanceof UnknownVersion ? error.key : undefined;
  useEffect(() => {
    if (unknown === undefined || sessionStorage.getItem(reloadedFor) === unknown) return;
    sessionStorage.setItem(reloadedFor, unknown);
    window.location.reload();
  }, [unknown]);
}
