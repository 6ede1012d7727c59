import type { ReactNode } from "react";
import { useHydrated } from "./use-hydrated";

/** Fields that take input only once the page's scripts have taken over: nothing typed or pressed before is lost. */
export function WhenReady({ children }: { children: ReactNode }) {
  return (
    <fieldset disabled={!useHydrated()} style={{ display: "contents" }}>
      {children}
    </fieldset>
  );
}
