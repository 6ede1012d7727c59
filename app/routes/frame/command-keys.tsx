import { useEffect, useState, type ComponentType } from "react";
import { notKept } from "~app/ui/keep-typed";

type Box = ComponentType<{ open: "jump" | "keys"; close: () => void }>;

/** Hears Ctrl+K and ?; what they open is loaded then, and where it cannot be, that is said. */
export function CommandKeys() {
  const [open, setOpen] = useState<"jump" | "keys" | null>(null);
  const [CommandBox, setBox] = useState<Box>();
  useEffect(() => {
    const show = (what: "jump" | "keys") => {
      setOpen(what);
      import("./command-box").then(
        (loaded) => setBox(() => loaded.default),
        () =>
          window.dispatchEvent(
            new CustomEvent(notKept, { detail: { why: "No connection: this opens when it is back." } }),
          ),
      );
    };
    const onKey = (event: KeyboardEvent) => {
      const typing = (event.target as HTMLElement).closest?.("input, textarea, [contenteditable]");
      if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === "k") {
        event.preventDefault();
        show("jump");
      } else if (event.key === "?" && !typing) show("keys");
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  }, []);
  return open && CommandBox && <CommandBox open={open} close={() => setOpen(null)} />;
}
