import { lazy, Suspense, useEffect, useState } from "react";

const CommandBox = lazy(() => import("./command-box"));

/** Hears Ctrl+K and ?; what they open is loaded then. */
export function CommandKeys() {
  const [open, setOpen] = useState<"jump" | "keys" | null>(null);
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const typing = (event.target as HTMLElement).closest?.("input, textarea, [contenteditable]");
      if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === "k") {
        event.preventDefault();
        setOpen("jump");
      } else if (event.key === "?" && !typing) setOpen("keys");
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  }, []);
  return (
    open && (
      <Suspense>
        <CommandBox open={open} close={() => setOpen(null)} />
      </Suspense>
    )
  );
}
