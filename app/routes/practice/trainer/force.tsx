import Button from "@mui/material/Button";
import MenuItem from "@mui/material/MenuItem";
import Slider from "@mui/material/Slider";
import TextField from "@mui/material/TextField";
import { useEffect, useRef, useState } from "react";
import { newtons, scoreForce, tareOf, type ForceScore, type Weighed } from "~core/trainer/force";
import { seeded } from "~core/random";
import { scaleStandIn, serialScale, type Scale } from "~devices/scale/scale";
import type { Ports } from "~devices/serial";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { Fine } from "~app/ui/fine";
import { useNotify } from "~app/ui/notices";
import { WhenReady } from "~app/ui/when-ready";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import { ForceTrace, type Trace } from "./force-trace";
import type { Keep } from "./kinds";

const targets = [2, 5, 10, 20];
/** Seconds with nothing on it, and of the round. */
const emptySeconds = 1.5;
const roundSeconds = 30;

type Phase = "idle" | "empty" | "round";
/** What a made-up hand does by itself: it wanders slowly, and has to be led back. */
const wander = (seconds: number) => 0.5 * Math.sin(0.7 * seconds) + 0.35 * Math.sin(0.23 * seconds + 1);

const portsOf = () =>
  typeof navigator === "undefined" ? undefined : (navigator as Navigator & { serial?: Ports }).serial;

/** A target of grams held on a scale, seen or blind, and what it says of the hand. */
export function Force({ keep }: { keep: Keep }) {
  const [target, setTarget] = useState(5);
  const [blind, setBlind] = useState(false);
  const [kind, setKind] = useState<"stand-in" | "cable">("stand-in");
  const [cable, setCable] = useState(false);
  const [phase, setPhase] = useState<Phase>("idle");
  const [left, setLeft] = useState(0);
  const [scored, setScored] = useState<{ score: ForceScore; early: boolean; truth: number | undefined }>();
  const notify = useNotify();
  const trace = useRef<Trace>(null);
  const stop = useRef<(() => void) | undefined>(undefined);
  const unplug = useRef<(() => void) | undefined>(undefined);
  const hand = useRef(0);
  useEffect(() => {
    setCable(portsOf() !== undefined);
    return () => stop.current?.();
  }, []);

  const begin = async () => {
    setScored(undefined);
    hand.current = 0;
    const began = performance.now();
    let truths: number[] = [];
    const force = () => {
      const seconds = (performance.now() - began) / 1000;
      const truth = hand.current === 0 ? 0 : Math.max(0, hand.current + wander(seconds));
      truths.push(truth);
      return truth;
    };
    let scale: Scale;
    try {
      if (kind === "cable") scale = await serialScale(portsOf()!);
      else {
        const standIn = scaleStandIn(force, seeded(Math.floor(Math.random() * 1e9)));
        unplug.current = standIn.unplug;
        scale = standIn;
      }
    } catch {
      return notify("The scale does not open: no port was chosen, or something else uses it.", { severity: "error" });
    }
    let empty: Weighed[] = [];
    let round: Weighed[] = [];
    let zero: number | undefined;
    trace.current?.clear();
    setPhase("empty");
    setLeft(roundSeconds);
    const quiet = scale.listen(
      (weighed) => {
        if (zero === undefined) {
          empty.push(weighed);
          if (weighed.at < emptySeconds) return;
          zero = tareOf(empty);
          if (zero === undefined) return;
          empty = [];
          truths = [];
          setPhase("round");
          return;
        }
        // the round begins with the first touch
        if (round.length === 0 && weighed.grams - zero < 0.8) return;
        round.push(weighed);
        const seconds = weighed.at - round[0]!.at;
        trace.current?.add(seconds, weighed.grams - zero);
        const rest = Math.ceil(roundSeconds - seconds);
        setLeft((known) => (known === rest ? known : rest));
        if (seconds >= roundSeconds) end(false);
      },
      () => end(true),
    );
    const end = (early: boolean) => {
      quiet();
      stop.current = undefined;
      unplug.current = undefined;
      setPhase("idle");
      const score = scoreForce(round, target, zero);
      // what the made-up hand really did while it was held: from the onset on
      const held = truths.slice(Math.floor((truths.length * 5) / Math.max(5, round.at(-1)?.at ?? 5)));
      const truth =
        kind === "stand-in" && held.length > 0
          ? held.reduce((sum, each) => sum + Math.abs(each - target), 0) / held.length
          : undefined;
      if (early)
        notify(
          score
            ? "The scale is gone. What it told until then is scored and kept."
            : "The scale is gone, after less than ten seconds of holding: too little to score. Nothing of earlier rounds is lost.",
          { severity: "error" },
        );
      round = [];
      if (!score) return;
      setScored({ score, early, truth });
      keep(score.error, {
        target,
        blind,
        within: score.within,
        steadiness: score.steadiness,
        overshoot: score.overshoot,
        drift: score.drift,
        lost: score.lost,
        early,
        device: kind,
      });
    };
    stop.current = quiet;
  };
  const running = phase !== "idle";
  return (
    <WhenReady>
      <Box sx={{ display: "flex", gap: 1.5, flexWrap: "wrap", mb: 2 }}>
        <TextField
          select
          label="Target"
          value={target}
          fullWidth={false}
          sx={{ width: 190 }}
          disabled={running}
          onChange={(event) => setTarget(Number(event.target.value))}
        >
          {targets.map((grams) => (
            <MenuItem key={grams} value={grams}>
              {grams} g ({newtons(grams).toFixed(3)} N)
            </MenuItem>
          ))}
        </TextField>
        <TextField
          select
          label="Scale"
          value={kind}
          fullWidth={false}
          sx={{ width: 200 }}
          disabled={running}
          onChange={(event) => setKind(event.target.value as typeof kind)}
        >
          <MenuItem value="stand-in">Stand-in</MenuItem>
          {cable && <MenuItem value="cable">Scale at the cable</MenuItem>}
        </TextField>
        <ToggleButtonGroup
          exclusive
          size="small"
          value={blind ? "blind" : "seen"}
          disabled={running}
          onChange={(_, next: string | null) => next && setBlind(next === "blind")}
          aria-label="Seen or blind"
        >
          <ToggleButton value="seen">seen</ToggleButton>
          <ToggleButton value="blind">blind</ToggleButton>
        </ToggleButtonGroup>
      </Box>
      <Box sx={{ display: "grid", gridTemplateColumns: kind === "stand-in" ? "minmax(0, 1fr) 64px" : "1fr", gap: 2 }}>
        <ForceTrace ref={trace} target={target} seconds={roundSeconds} blind={blind && running} />
        {kind === "stand-in" && (
          <Slider
            orientation="vertical"
            min={0}
            max={4 * target}
            step={target / 50}
            defaultValue={0}
            key={`${running} ${target}`}
            disabled={!running}
            aria-label="Force on the stand-in"
            onChange={(_, value) => (hand.current = value)}
            sx={{ height: 260 }}
          />
        )}
      </Box>
      <Typography role="status" sx={{ my: 1.5, fontSize: 18, minHeight: 28 }}>
        {phase === "empty"
          ? "Nothing on it: its zero is weighed."
          : phase === "round"
            ? `Hands on, and hold ${target} g: ${left} s.`
            : ""}
      </Typography>
      {running ? (
        <Box sx={{ display: "flex", gap: 1 }}>
          <Button
            variant="outlined"
            onClick={() => {
              stop.current?.();
              stop.current = undefined;
              setPhase("idle");
            }}
          >
            Leave this round
          </Button>
          {kind === "stand-in" && (
            <Button color="inherit" onClick={() => unplug.current?.()}>
              Pull the stand-in’s plug
            </Button>
          )}
        </Box>
      ) : (
        <Button variant="contained" onClick={() => void begin()}>
          {scored ? "Another round" : "Begin"}
        </Button>
      )}
      {scored && <Scored {...scored} target={target} />}
    </WhenReady>
  );
}

function Scored({
  score,
  early,
  truth,
  target,
}: {
  score: ForceScore;
  early: boolean;
  truth: number | undefined;
  target: number;
}) {
  const percent = (share: number) => `${Math.round(100 * share)} %`;
  return (
    <Box component="section" aria-label="This round" sx={{ mt: 2, maxWidth: 640 }}>
      <Typography variant="h3">
        Off by {score.error.toFixed(2)} g of {target} in the mean
      </Typography>
      <Typography>
        Within ±1 g {percent(score.within)} of the time; steady to {score.steadiness.toFixed(2)} g; the onset went{" "}
        {score.overshoot > 0 ? `${score.overshoot.toFixed(1)} g over` : "not over it"}; it crept{" "}
        {score.drift >= 0 ? "+" : "−"}
        {Math.abs(score.drift).toFixed(1)} ±{score.driftBand.toFixed(1)} g a minute.
      </Typography>
      <Fine>
        {Math.round(score.heard)} s were heard after the onset
        {score.lost > 0.005 && `, ${percent(score.lost)} dropped out and is not counted`}
        {early && "; the scale was gone before the end"}.
        {truth !== undefined && ` The stand-in knows the true figure: ${truth.toFixed(2)} g off in the mean.`}{" "}
        Steadiness is of hand and scale together.
      </Fine>
    </Box>
  );
}
