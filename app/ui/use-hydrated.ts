import { useSyncExternalStore } from "react";

const never = () => () => undefined;

/** False until the page's scripts have taken over: a button that must not lose a click waits for it. */
export const useHydrated = (): boolean =>
  useSyncExternalStore(
    never,
    () => true,
    () => false,
  );
