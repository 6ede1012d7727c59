import Button from "@mui/material/Button";
import { useEffect, useState } from "react";
import type { Moment } from "~core/findings/restriction";
import {
  compareTenderness,
  feltInOrder,
  referralWords,
  type PointFelt,
  type TriggerPoint,
} from "~core/findings/trigger-point";
import { findingName } from "~core/findings/finding-name";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { Overtaken, useKeeper } from "~app/ui/use-keeper";
import { useTakeOff } from "~app/ui/use-take-off";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import { Tender } from "./tender";

type Pressed = Pick<PointFelt, "tenderness" | "reproduced" | "held">;

/** One point: how tender now, whether it brings the known pain, how long it was held, and what changed since it was pressed before. */
export function PointCard({
  point,
  out,
  visit,
  moment,
  shown,
  show,
}: {
  point: TriggerPoint;
  /** Why it is not held for this client today; it is not offered then, and what was held stays on record. */
  out: string | undefined;
  visit: { id: string; ordinal: number };
  moment: Moment;
  /** Its area is drawn on the figure. */
  shown: boolean;
  show: () => void;
}) {
  const takeOff = useTakeOff();
  const name = findingName(point);
  const order = (each: Pick<PointFelt, "visit" | "moment">) => 2 * each.visit + (each.moment === "after" ? 1 : 0);
  const now = order({ visit: visit.ordinal, moment });
  const own = point.felt.find((each) => order(each) === now);
  const earlier = feltInOrder(point).findLast((each) => order(each) < now);
  const kept = useKeeper<Pressed>(
    own ? { tenderness: own.tenderness, reproduced: own.reproduced, held: own.held } : null,
    (felt) => ({ intent: "press", id: point.id, visitId: visit.id, moment, ...felt }),
  );
  const { value } = kept;
  const change = earlier && value ? compareTenderness(earlier, { visit: visit.ordinal, moment, ...value }) : undefined;
  // a hold without a rating is not kept yet: what was not felt is not made up
  const [begun, setBegun] = useState<Omit<Pressed, "tenderness">>({ reproduced: null, held: null });
  const rest = value ?? begun;
  const send = (part: Partial<Pressed>) => {
    const next: Omit<Pressed, "tenderness"> & Partial<Pressed> = { ...rest, ...part };
    if (next.tenderness === undefined) setBegun({ reproduced: next.reproduced, held: next.held });
    else kept.keep({ tenderness: next.tenderness, reproduced: next.reproduced, held: next.held });
  };
  const waits = !value && (begun.held !== null || begun.reproduced !== null);
  return (
    <Box component="li" aria-label={name} sx={(t) => ({ borderTop: `1px solid ${t.tokens.line}`, py: 1.5 })}>
      <Box sx={{ display: "flex", gap: 1, alignItems: "baseline", flexWrap: "wrap" }}>
        <Typography variant="h3" sx={{ flex: 1 }}>
          {name}
        </Typography>
        {point.area && (
          <Button size="small" color="inherit" aria-pressed={shown} onClick={show}>
            {shown ? "Hide where it is felt" : "Show where it is felt"}
          </Button>
        )}
        <Button
          size="small"
          color="inherit"
          aria-label={`Take ${name} off the list`}
          onClick={() => takeOff(point.id, name)}
        >
          Remove
        </Button>
      </Box>
      <Typography sx={{ color: "text.secondary", mb: 1 }}>
        {point.referral.length > 0 ? `Felt at ${referralWords(point.referral)}.` : "Felt nowhere else."}
        {point.felt.length > 0 &&
          ` Tender ${feltInOrder(point)
            .map(({ tenderness }) => tenderness)
            .join(" → ")}.`}
      </Typography>
      {out !== undefined && (
        <Typography sx={(t) => ({ mb: 1, color: t.tokens.amber })}>
          Not held for them today: {out}.{rest.held !== null && ` Held ${rest.held} s.`}
        </Typography>
      )}
      <Tender name="Tender" value={value?.tenderness} set={(tenderness) => send({ tenderness })} />
      <Box sx={{ display: "flex", gap: 2, alignItems: "center", flexWrap: "wrap", mt: 1 }}>
        <Typography>Brings the known pain</Typography>
        <ToggleButtonGroup
          exclusive
          size="small"
          value={rest.reproduced}
          onChange={(_, next: boolean | null) => next !== null && send({ reproduced: next })}
          aria-label={`${name} brings the known pain`}
        >
          <ToggleButton value={true}>Yes</ToggleButton>
          <ToggleButton value={false}>No</ToggleButton>
        </ToggleButtonGroup>
        {out === undefined && <Hold seconds={rest.held} kept={(held) => send({ held })} />}
      </Box>
      {waits && (
        <Typography role="status" sx={(t) => ({ mt: 1, color: t.tokens.amber })}>
          Press it again: how tender is it now? It is kept with that.
        </Typography>
      )}
      {change && (
        <Typography sx={{ mt: 1 }}>
          {change.difference > 0 ? "+" : change.difference < 0 ? "−" : "±"}
          {Math.abs(change.difference)} (±{change.band.toFixed(1)}) against{" "}
          {earlier!.visit === visit.ordinal ? "before the work" : `visit ${earlier!.visit}`}: {change.verdict}.
        </Typography>
      )}
      {kept.errors && (
        <Typography role="alert" sx={(t) => ({ color: t.tokens.clay })}>
          {Object.values(kept.errors).join(" ")}
        </Typography>
      )}
      <Overtaken by={kept} what={name} words={(felt) => (felt ? `tender ${felt.tenderness}` : "not pressed")} />
    </Box>
  );
}

/** Seconds a point is held: a press begins, the next press is when it let go. */
function Hold({ seconds, kept }: { seconds: number | null; kept: (seconds: number) => void }) {
  const [since, setSince] = useState<number | undefined>();
  const [now, setNow] = useState(0);
  useEffect(() => {
    if (since === undefined) return;
    const timer = window.setInterval(() => setNow(Date.now()), 250);
    return () => window.clearInterval(timer);
  }, [since]);
  const gone = since === undefined ? 0 : Math.max(0, Math.round((now - since) / 1000));
  return (
    <Button
      variant="outlined"
      sx={{ minHeight: 44 }}
      onClick={() => {
        if (since === undefined) {
          setSince(Date.now());
          setNow(Date.now());
        } else {
          setSince(undefined);
          kept(Math.max(1, Math.round((Date.now() - since) / 1000)));
        }
      }}
    >
      {since !== undefined
        ? `Holding ${gone} s: it lets go`
        : seconds === null
          ? "Hold it"
          : `Let go after ${seconds} s; hold again`}
    </Button>
  );
}
