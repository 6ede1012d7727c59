import { useCallback, useEffect, useState } from "react";

/**
 * What was begun and is not whole yet, kept in this browser under `key`: whoever leaves the page finds it where it was left.
 * Setting undefined lets go of it.
 */
export function useDraft<T>(key: string): [T | undefined, (next: T | undefined) => void] {
  const [draft, set] = useState<T | undefined>();
  // after the first drawing: the server knows nothing of it
  useEffect(() => {
    try {
      const kept = localStorage.getItem(key);
      if (kept !== null) set(JSON.parse(kept) as T);
    } catch {
      // switched off, or not ours
    }
  }, [key]);
  const keep = useCallback(
    (next: T | undefined) => {
      set(next);
      try {
        if (next === undefined) localStorage.removeItem(key);
        else localStorage.setItem(key, JSON.stringify(next));
      } catch {
        // switched off: it stands here as long as the page does
      }
    },
    [key],
  );
  return [draft, keep];
}
