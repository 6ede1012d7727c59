import Alert from "@mui/material/Alert";
import Button from "@mui/material/Button";
import { useEffect, useRef, useState } from "react";
import { useFetcher, useRevalidator } from "react-router";
import type { FieldErrors } from "~app/validation";

type Answer<T> = { ok?: boolean; errors?: FieldErrors; overtaken?: { theirs: T | null } };

/**
 * A value that is kept as soon as it is chosen: one request at a time, the latest choice last. Each says what it
 * replaces, so that what another tab or person kept meanwhile is never written over unseen: `overtaken` then holds both,
 * and their user chooses.
 */
export function useKeeper<T>(stored: T | null, body: (value: T) => Record<string, unknown>) {
  const fetcher = useFetcher<Answer<T>>();
  const { revalidate } = useRevalidator();
  const [wanted, setWanted] = useState<{ value: T } | undefined>();
  const [settled, setSettled] = useState<unknown>();
  const waiting = useRef<{ value: T } | undefined>(undefined);
  // by a ref, not by what was drawn last: two quick presses may come before anything is drawn
  const request = useRef<"none" | "posted" | "begun">("none");
  const idle = fetcher.state === "idle";
  const answer = fetcher.data;
  const post = (value: T, was: T | null) => {
    request.current = "posted";
    void fetcher.submit({ ...body(value), was } as never, { method: "post", encType: "application/json" });
  };
  const latest = useRef(post);
  useEffect(() => {
    latest.current = post;
  });
  useEffect(() => {
    if (!idle) request.current = "begun";
    if (!idle || request.current === "posted") return;
    request.current = "none";
    const next = waiting.current;
    waiting.current = undefined;
    if (next && !answer?.overtaken) latest.current(next.value, stored);
    else if (answer?.ok) setWanted(undefined);
  }, [idle, answer, stored]);
  const overtaken =
    idle && answer?.overtaken && answer !== settled && wanted
      ? { theirs: answer.overtaken.theirs, mine: wanted.value }
      : undefined;
  return {
    value: wanted ? wanted.value : stored,
    errors: idle ? answer?.errors : undefined,
    saved: idle && answer?.ok === true,
    busy: !idle,
    overtaken,
    keep: (value: T) => {
      setWanted({ value });
      if (request.current === "none") post(value, stored);
      else waiting.current = { value };
    },
    /** Mine replaces theirs, now that it was seen. */
    insist: () => {
      if (!overtaken) return;
      setSettled(answer);
      post(overtaken.mine, overtaken.theirs);
    },
    /** Theirs stays. */
    yield: () => {
      setSettled(answer);
      setWanted(undefined);
      void revalidate();
    },
  };
}

/** Says that something else was kept meanwhile, and lets the user choose. */
export function Overtaken<T>({
  by,
  what,
  words,
}: {
  by: Pick<ReturnType<typeof useKeeper<T>>, "overtaken" | "insist" | "yield">;
  what: string;
  words: (value: T | null) => string;
}) {
  if (!by.overtaken) return null;
  return (
    <Alert
      severity="warning"
      role="alert"
      sx={{ my: 1, gridColumn: "1 / -1", alignItems: "center" }}
      action={
        <>
          <Button color="inherit" size="small" onClick={by.insist}>
            Keep mine
          </Button>
          <Button color="inherit" size="small" onClick={by.yield}>
            Take theirs
          </Button>
        </>
      }
    >
      {what} was changed elsewhere meanwhile. Theirs: {words(by.overtaken.theirs)}. Yours, not saved:{" "}
      {words(by.overtaken.mine)}.
    </Alert>
  );
}
