import { useEffect, useRef } from "react";
import { useFreeKeys } from "~app/ui/use-free-keys";

type Acts = { left: () => void; right: () => void; next: () => void; skip: () => void; back: () => void };

/** The four keys and the pedal of a run at the table, wherever nothing else takes them. */
export function useTableKeys(acts: Acts): void {
  const latest = useRef(acts);
  useFreeKeys();
  useEffect(() => {
    latest.current = acts;
  });
  useEffect(() => {
    const pressed = (event: KeyboardEvent) => {
      const busy =
        event.target instanceof Element &&
        event.target.closest("input, textarea, select, [role=slider], button, a, [role=dialog]");
      if (event.ctrlKey || event.metaKey || event.altKey || (busy && !event.key.startsWith("Arrow"))) return;
      if (event.target instanceof Element && event.target.closest("input, [role=slider], [role=dialog]")) return;
      const act: Record<string, keyof Acts> = {
        ArrowLeft: "left",
        ArrowRight: "right",
        ArrowDown: "skip",
        ArrowUp: "back",
        " ": "next",
      };
      const kind = act[event.key];
      if (!kind) return;
      event.preventDefault();
      latest.current[kind]();
    };
    window.addEventListener("keydown", pressed);
    return () => window.removeEventListener("keydown", pressed);
  }, []);
}
