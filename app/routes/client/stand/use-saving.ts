import { useCallback, useEffect, useRef, useState } from "react";
import { fetchSignedIn } from "~app/ui/signed-in";
import type { Marks, PhotoSetup } from "~core/measure/calibration";

export type SaveState =
  | { kind: "saved"; at: number | undefined }
  | { kind: "saving" }
  | { kind: "waiting" }
  | { kind: "stale" }
  | { kind: "failed"; message: string };

type Work = { marks: Marks; setup: PhotoSetup };
const keep = (id: string) => `ember-marks-${id}`;

/** Marks typed but not yet confirmed by the server survive a reload: they wait in this tab's storage. */
export function unsavedMarks(id: string, version: number): Work | undefined {
  try {
    const kept = JSON.parse(sessionStorage.getItem(keep(id)) ?? "null") as (Work & { version: number }) | null;
    return kept && kept.version === version ? kept : undefined;
  } catch {
    return undefined;
  }
}

/** Saves as you go: half a second after the last change, again after a lost network, never two at once. */
export function useSaving(url: string, id: string, version: number) {
  const [state, setState] = useState<SaveState>({ kind: "saved", at: undefined });
  const known = useRef(version);
  const pending = useRef<Work | undefined>(undefined);
  const busy = useRef(false);
  const timer = useRef<number | undefined>(undefined);

  const flush = useCallback(async () => {
    if (busy.current || !pending.current) return;
    busy.current = true;
    const work = pending.current;
    setState({ kind: "saving" });
    try {
      const response = await fetchSignedIn(url, {
        method: "POST",
        headers: { "Content-Type": "application/json" },
        body: JSON.stringify({ ...work, version: known.current }),
        keepalive: true,
      });
      const answer = (await response.json().catch(() => ({}))) as { version?: number; error?: string };
      if (response.ok && answer.version) {
        known.current = answer.version;
        if (pending.current === work) {
          pending.current = undefined;
          sessionStorage.removeItem(keep(id));
          setState({ kind: "saved", at: Date.now() });
        }
      } else if (response.status === 409) setState({ kind: "stale" });
      else
        setState({
          kind: "failed",
          message: answer.error ?? "The server did not take the marks. They are kept in this tab.",
        });
    } catch {
      setState({
        kind: "failed",
        message: "No connection. The marks are kept in this tab and sent when it is back.",
      });
      timer.current = window.setTimeout(() => void flush(), 3000);
    } finally {
      busy.current = false;
      if (pending.current && pending.current !== work) timer.current = window.setTimeout(() => void flush(), 100);
    }
  }, [url, id]);

  const save = useCallback(
    (work: Work) => {
      pending.current = work;
      try {
        sessionStorage.setItem(keep(id), JSON.stringify({ ...work, version: known.current }));
      } catch {
        // storage full or forbidden: the save below still happens
      }
      setState({ kind: "waiting" });
      window.clearTimeout(timer.current);
      timer.current = window.setTimeout(() => void flush(), 500);
    },
    [flush, id],
  );

  useEffect(() => {
    const online = () => void flush();
    window.addEventListener("online", online);
    return () => {
      window.removeEventListener("online", online);
      window.clearTimeout(timer.current);
      void flush();
    };
  }, [flush]);

  /** As the server has it by now. */
  const versionNow = useCallback(() => known.current, []);
  return { state, save, versionNow };
}
