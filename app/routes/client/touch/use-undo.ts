import { useCallback, useEffect, useRef, useState } from "react";
import { useFetcher } from "react-router";
import type { FieldErrors } from "~app/validation";
import type { Sending } from "./finding";

/** Something that was done, and what is sent to take it back. */
export type Undoable = { says: string; body: Record<string, unknown> };

/** What takes a finding back that was sent: a line that it began goes, a grading returns to what stood before. */
export function takingBack({ body }: Pick<Sending, "body">): Record<string, unknown> {
  const { id, visitId, moment, grade, tenderness, was } = body;
  if (body.intent === "add") return { intent: "remove", id, ifThere: true };
  const at = { id, visitId, moment, was: { grade, tenderness } };
  return was ? { intent: "grade", ...at, ...(was as object) } : { intent: "ungrade", ...at };
}

/** What was done on this page, newest last, taken back one by one: by its button or Ctrl+Z. */
export function useUndo() {
  const fetcher = useFetcher<{ ok?: boolean; errors?: FieldErrors; overtaken?: unknown; unsent?: boolean }>();
  const [list, setList] = useState<readonly Undoable[]>([]);
  const did = useCallback((undoable: Undoable) => setList((before) => [...before, undoable]), []);
  const busy = fetcher.state !== "idle";
  const last = list.at(-1);
  const back = () => {
    if (!last || busy) return;
    setList(list.slice(0, -1));
    void fetcher.submit(last.body as never, { method: "post", encType: "application/json" });
  };
  const latest = useRef(back);
  useEffect(() => {
    latest.current = back;
  });
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      const typing =
        event.target instanceof Element && event.target.closest("input:not([type=radio]), textarea, select");
      if (event.key !== "z" || !(event.ctrlKey || event.metaKey) || event.shiftKey || typing) return;
      event.preventDefault();
      latest.current();
    };
    window.addEventListener("keydown", press);
    return () => window.removeEventListener("keydown", press);
  }, []);
  const { data } = fetcher;
  const failed =
    busy || !data || data.ok
      ? undefined
      : data.overtaken !== undefined
        ? "It was changed again since: nothing was taken back."
        : data.unsent
          ? "Not taken back: the network is away."
          : Object.values(data.errors ?? {}).join(" ") || "It could not be taken back.";
  return { did, last, back, busy, failed };
}
