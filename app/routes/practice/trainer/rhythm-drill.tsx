import Button from "@mui/material/Button";
import { useState } from "react";
import { leastTaps, rateBand, rateOfTaps } from "~core/light-touch/rhythm";
import {
  handsAt,
  leaderOf,
  leaders,
  rhythmOf,
  scoreRhythm,
  steadiness,
  type Leader,
  type Rhythm,
} from "~core/trainer/drills";
import { counted } from "~core/words";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { WhenReady } from "~app/ui/when-ready";
import { Hands } from "./hands";
import type { Keep } from "./kinds";

const draw = () => rhythmOf(Math.floor(Math.random() * 1e9));

/** A made-up rhythm: tapped once a full cycle, its leading side told, then compared with what it was. */
export function RhythmDrill({ keep }: { keep: Keep }) {
  const [truth, setTruth] = useState<Rhythm>();
  const [taps, setTaps] = useState<readonly number[]>([]);
  const [leader, setLeader] = useState<Leader>();
  const [scored, setScored] = useState<ReturnType<typeof scoreRhythm>>();
  const rate = rateOfTaps(taps);
  const steady = truth && steadiness(truth, taps);
  const begin = () => {
    setTruth(draw());
    setTaps([]);
    setLeader(undefined);
    setScored(undefined);
  };
  const tap = () =>
    setTaps((known) => {
      const now = performance.now() / 1000;
      return known.length > 0 && now <= known.at(-1)! ? known : [...known, now];
    });
  return (
    <WhenReady>
      <Hands
        at={(seconds) => (truth ? handsAt(truth, seconds) : { L: 0, R: 0 })}
        running={truth !== undefined && !scored}
      />
      {!truth || scored ? (
        <>
          {scored && truth && (
            <Typography sx={{ mt: 2, fontSize: 17, maxWidth: 640 }}>
              It was {truth.perMinute.toFixed(1)} a minute, {leaderOf(truth)}. You told {scored.off >= 0 ? "+" : "−"}
              {Math.abs(scored.off).toFixed(2)} beside it; your band of ±{scored.band.toFixed(2)}{" "}
              {scored.inside ? "holds" : "does not hold"} it, and the leader was {scored.leader ? "told" : "not told"}.
              {steady &&
                (steady.follows
                  ? ` Your taps fell within ±${steady.scatter.toFixed(1)} s (one SD) of the same place in its cycle.`
                  : " Your taps fell anywhere in its cycle: they did not follow it.")}
            </Typography>
          )}
          <Button variant="contained" sx={{ mt: 2 }} onClick={begin}>
            {scored ? "Another rhythm" : "Begin"}
          </Button>
        </>
      ) : (
        <>
          <Button
            variant="outlined"
            sx={{ width: "100%", maxWidth: 520, minHeight: 120, my: 2, fontSize: 20 }}
            onPointerDown={tap}
            onKeyDown={(event) => (event.key === " " || event.key === "Enter") && !event.repeat && tap()}
          >
            {rate
              ? `${rate.perMinute.toFixed(1)} ±${rateBand(rate).toFixed(1)} a minute, ${counted(rate.cycles, "cycle")}`
              : `Tap once a full cycle (${taps.length} of ${leastTaps} taps)`}
          </Button>
          <Box role="group" aria-label="Which side leads" sx={{ display: "flex", gap: 1, flexWrap: "wrap" }}>
            {leaders.map((each) => (
              <Button
                key={each}
                variant={leader === each ? "contained" : "outlined"}
                aria-pressed={leader === each}
                onClick={() => setLeader(each)}
              >
                {each}
              </Button>
            ))}
          </Box>
          <Button
            variant="contained"
            sx={{ mt: 2 }}
            disabled={!rate || !leader}
            onClick={() => {
              const result = scoreRhythm(truth, rate!, leader!);
              setScored(result);
              keep(Math.abs(result.off), {
                band: result.band,
                inside: result.inside,
                leader: result.leader,
                of: truth.perMinute,
              });
            }}
          >
            That is it
          </Button>
        </>
      )}
    </WhenReady>
  );
}
