import { useLocation } from "react-router";
import { createContext, useCallback, useContext, useEffect, useState, type ReactNode } from "react";
import { notKept, type NotKept } from "./keep-typed";
import { ShownNotice, type Notice, type Options } from "./notice";
import { onOtherTabs } from "./other-tabs";

type Notify = (text: string, options?: Options) => void;

const NotifyContext = createContext<Notify>(() => undefined);

/** Says what was just done, with a way back where there is one. */
export const useNotify = (): Notify => useContext(NotifyContext);

/** One notice at a time, the newest: it outlives the part of the page that gave it. */
export function Notices({ children }: { children: ReactNode }) {
  const [notice, setNotice] = useState<Notice | undefined>();
  const notify = useCallback<Notify>(
    (text, options = {}) => setNotice((last) => ({ key: (last?.key ?? 0) + 1, text, ...options })),
    [],
  );
  // what a fault is drawn with is there before it is needed: without a network it could not be fetched. Only the first
  // page of all does without: it would come while "Sign in" is pressed.
  const signingIn = useLocation().pathname === "/sign-in";
  useEffect(() => {
    if (!signingIn) void import("./fault-page").catch(() => undefined);
  }, [signingIn]);
  useEffect(() => {
    const lost = (event: Event) => {
      const { why, again } = (event as NotKept).detail;
      notify(why, { severity: "error", ...(again && { again: () => window.location.reload() }) });
    };
    window.addEventListener(notKept, lost);
    return () => window.removeEventListener(notKept, lost);
  }, [notify]);
  useEffect(
    () =>
      onOtherTabs((path) => {
        const [, place, id] = path.split("/");
        const [, here, mine] = window.location.pathname.split("/");
        if (place !== here || id !== mine) return;
        notify("Changed in another tab. What you see here is from before.", {
          again: () => window.location.reload(),
        });
      }),
    [notify],
  );
  // Ctrl+Z undoes what a notice offers to undo, wherever nothing is being typed and nothing else hears it.
  const undo = notice?.undo;
  useEffect(() => {
    if (!undo) return;
    const onKey = (event: KeyboardEvent) => {
      if (!(event.ctrlKey || event.metaKey) || event.shiftKey || event.key.toLowerCase() !== "z") return;
      if (event.defaultPrevented || (event.target as HTMLElement).closest("input, textarea, [contenteditable]")) return;
      event.preventDefault();
      undo();
      setNotice(undefined);
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  }, [undo]);
  const close = () => setNotice(undefined);
  return (
    <NotifyContext.Provider value={notify}>
      {children}
      {notice && <ShownNotice key={notice.key} notice={notice} close={close} />}
    </NotifyContext.Provider>
  );
}
