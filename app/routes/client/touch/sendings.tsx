import Button from "@mui/material/Button";
import { useEffect, useRef } from "react";
import { useFetcher } from "react-router";
import type { FieldErrors } from "~app/validation";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { signedInAgain } from "~app/ui/signed-in";
import type { Sending } from "./finding";

/** Findings on their way: each is tried until it is kept, and says so while it is not. */
export function Sendings({ list, done }: { list: readonly Sending[]; done: (id: string) => void }) {
  return (
    <Box role="status" aria-label="Being kept">
      {list.map((each) => (
        <OneSending key={each.id} sending={each} done={() => done(each.id)} />
      ))}
    </Box>
  );
}

function OneSending({ sending, done }: { sending: Sending; done: () => void }) {
  const fetcher = useFetcher<{
    ok?: boolean;
    errors?: FieldErrors;
    overtaken?: unknown;
    unsent?: boolean;
    signedOut?: boolean;
  }>();
  const { data, state } = fetcher;
  const begun = useRef(false);
  const send = () => void fetcher.submit(sending.body as never, { method: "post", encType: "application/json" });
  const latest = useRef({ send, done });
  useEffect(() => {
    latest.current = { send, done };
  });
  useEffect(() => {
    if (begun.current) return;
    begun.current = true;
    latest.current.send();
  }, []);
  useEffect(() => {
    if (state === "idle" && data?.ok) latest.current.done();
  }, [state, data]);
  const failed = state === "idle" && data && !data.ok;
  const waits = failed && Boolean(data.unsent);
  // who does not sign in is not asked again and again
  const byItself = waits && !data.signedOut;
  useEffect(() => {
    const again = () => latest.current.send();
    if (waits) window.addEventListener(signedInAgain, again);
    return () => window.removeEventListener(signedInAgain, again);
  }, [waits]);
  useEffect(() => {
    if (!byItself) return;
    const again = () => latest.current.send();
    window.addEventListener("online", again);
    const timer = window.setInterval(again, 5000);
    return () => {
      window.removeEventListener("online", again);
      window.clearInterval(timer);
    };
  }, [byItself]);
  if (!failed) return null;
  const why = data.errors
    ? Object.values(data.errors).join(" ")
    : data.overtaken !== undefined
      ? "It was graded differently in another tab meanwhile: look at it below, and grade it again."
      : data.signedOut
        ? "Not sent: your sign-in has ended."
        : "Not sent yet: it is tried again by itself.";
  return (
    <Box
      sx={(t) => ({
        display: "flex",
        gap: 1.5,
        alignItems: "center",
        flexWrap: "wrap",
        borderLeft: `3px solid ${t.tokens.clay}`,
        pl: 1.5,
        mb: 1,
      })}
    >
      <Typography sx={{ flex: 1, minWidth: 200 }}>
        <strong>{sending.name}</strong>
        {sending.body.grade !== undefined && `, grade ${String(sending.body.grade)}`}. {why}
      </Typography>
      {waits && (
        <Button size="small" variant="outlined" onClick={send}>
          Try now
        </Button>
      )}
      <Button size="small" color="inherit" onClick={done}>
        Drop it
      </Button>
    </Box>
  );
}
