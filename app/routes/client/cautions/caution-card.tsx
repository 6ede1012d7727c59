import Alert from "@mui/material/Alert";
import Button from "@mui/material/Button";
import TextField from "@mui/material/TextField";
import { useEffect, useState } from "react";
import { useFetcher } from "react-router";
import { consequences } from "~core/screening/consequence";
import { decisionFor, source, stateOf, type Judged, type OutcomeKind } from "~core/screening/outcome";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { shortDay } from "~app/ui/dates";
import { useOwnId } from "~app/ui/use-own-id";
import type { FieldErrors } from "~app/validation";

export const kindWord: Record<OutcomeKind, string> = {
  refer: "Refer first",
  exclude: "Excluded",
  limit: "Limited",
  inform: "To know",
};

const originWord = {
  history: "From the history",
  answer: "From an answer",
  preference: "Their wish or circumstances",
  setting: "Your own setting",
} as const;

/** One caution: what it is, what it changes, where it comes from, and what was or can be decided about it. */
export function CautionCard({ clientId, caution, today }: { clientId: string; caution: Judged; today: string }) {
  const [asking, setAsking] = useState(false);
  const way = decisionFor(caution);
  const over = caution.until !== undefined && caution.until <= today;
  const ahead = caution.from !== undefined && caution.from > today;
  return (
    <Box sx={(t) => ({ borderTop: `1px solid ${t.tokens.line}`, py: 1.5 })}>
      <Typography sx={{ fontWeight: 700 }}>
        <Box
          component="span"
          sx={(t) => ({ color: caution.decided || over || ahead ? t.tokens.inkSoft : t.tokens.amber, mr: 1 })}
        >
          {kindWord[caution.kind]}
        </Box>
        {caution.title}
      </Typography>
      <Typography sx={{ mt: 0.25 }}>{caution.reason}</Typography>
      {consequences(caution).map((sentence) => (
        <Typography key={sentence} sx={{ fontWeight: 600, textDecoration: caution.decided ? "line-through" : "none" }}>
          {sentence}
        </Typography>
      ))}
      <Typography sx={{ color: "text.secondary", fontSize: 13.5, mt: 0.5 }}>
        {[
          originWord[caution.origin],
          ahead ? `from ${shortDay(caution.from!, today)}` : "",
          caution.until ? `${over ? "ended" : "until"} ${shortDay(caution.until, today)}` : "",
          caution.origin === "history" || caution.origin === "answer" ? source : "",
        ]
          .filter(Boolean)
          .join(" · ")}
      </Typography>
      {caution.decided && (
        <Box sx={(t) => ({ mt: 1, pl: 1.5, borderLeft: `3px solid ${t.tokens.slate}` })}>
          <Typography sx={{ fontSize: 14.5 }}>
            {caution.decided.kind === "clearance" ? "Cleared" : "Worked against"} by {caution.decided.who},{" "}
            {shortDay(caution.decided.on, today)}: {caution.decided.what}
          </Typography>
          <Typography sx={{ fontSize: 13.5, color: "text.secondary" }}>Recorded by {caution.decided.by}.</Typography>
        </Box>
      )}
      {way && !over && !asking && (
        <Button size="small" variant="outlined" sx={{ mt: 1 }} onClick={() => setAsking(true)}>
          {caution.decided
            ? caution.decided.kind === "clearance"
              ? "Withdraw the clearance"
              : "Heed it again"
            : way === "clearance"
              ? "Record a clearance"
              : "Work against it, with a reason"}
        </Button>
      )}
      {way && asking && (
        <DecisionForm
          clientId={clientId}
          caution={caution}
          kind={caution.decided ? "withdrawn" : way}
          today={today}
          close={() => setAsking(false)}
        />
      )}
    </Box>
  );
}

function DecisionForm({
  clientId,
  caution,
  kind,
  today,
  close,
}: {
  clientId: string;
  caution: Judged;
  kind: "clearance" | "override" | "withdrawn";
  today: string;
  close: () => void;
}) {
  const fetcher = useFetcher<{ ok?: boolean; errors?: FieldErrors }>();
  const idFor = useOwnId();
  const [seen] = useState(() => stateOf(caution));
  const [values, setValues] = useState({ who: "", on: today, what: "" });
  const { data } = fetcher;
  useEffect(() => {
    if (data?.ok) close();
  }, [data, close]);
  const field = (name: keyof typeof values, label: string, props: Partial<Parameters<typeof TextField>[0]> = {}) => (
    <TextField
      {...props}
      label={label}
      value={values[name]}
      onChange={(event) => setValues({ ...values, [name]: event.target.value })}
      error={Boolean(data?.errors?.[name])}
      helperText={data?.errors?.[name] ?? props.helperText}
    />
  );
  return (
    <Box
      component="form"
      noValidate
      aria-label={`Decision about ${caution.title}`}
      sx={{ mt: 1.5, display: "grid", gap: 1.5 }}
      onSubmit={(event) => {
        event.preventDefault();
        const decided = { outcomeKey: caution.key, kind, seen, ...values };
        void fetcher.submit(
          { id: idFor(decided), ...decided },
          { method: "post", action: `/clients/${clientId}/cautions`, encType: "application/json" },
        );
      }}
    >
      {data?.errors && (data.errors.kind ?? data.errors.outcomeKey) && (
        <Alert severity="error">{data.errors.kind ?? data.errors.outcomeKey}</Alert>
      )}
      {kind === "clearance" && (
        <Box sx={{ display: "grid", gridTemplateColumns: "1fr 160px", gap: 1.5 }}>
          {field("who", "Who cleared it", {
            autoFocus: true,
            helperText: "Name or role, and how: by letter, by phone.",
          })}
          {field("on", "On", { type: "date" })}
        </Box>
      )}
      {field(
        "what",
        kind === "clearance"
          ? "What was cleared"
          : kind === "override"
            ? "Why you work against it"
            : "Why it no longer holds",
        { autoFocus: kind !== "clearance", multiline: true },
      )}
      <Box sx={{ display: "flex", gap: 1 }}>
        <Button type="submit" variant="contained" size="small" disabled={fetcher.state !== "idle"}>
          {kind === "clearance" ? "Record the clearance" : kind === "override" ? "Record the reason" : "Record it"}
        </Button>
        <Button size="small" color="inherit" onClick={close}>
          Cancel
        </Button>
      </Box>
    </Box>
  );
}
