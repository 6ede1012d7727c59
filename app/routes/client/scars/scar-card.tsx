import { sideBehind } from "~core/words";
import Button from "@mui/material/Button";
import { useFetcher } from "react-router";
import { placeNames } from "~core/anatomy/places";
import type { Moment } from "~core/findings/restriction";
import {
  compareRoses,
  roseArea,
  rosesInOrder,
  scarWork,
  shortestWays,
  slideGrades,
  slideWords,
  type Rose,
  type Slide,
} from "~core/findings/scar";
import { z95 } from "~core/units";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { useTakeOff } from "~app/ui/use-take-off";
import { Overtaken, useKeeper } from "~app/ui/use-keeper";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import type { ScarRecorded } from "~data/scars";
import { useDraft } from "~app/ui/use-draft";
import { SlideRose } from "./rose";

type Felt = Pick<Rose, "slides" | "lift">;
/** A test on its way: what was not felt is not kept, and counts for nothing. */
type Feeling = { slides: readonly (Slide | undefined)[]; lift: Slide | undefined };
const unfelt: Feeling = { slides: Array<undefined>(8).fill(undefined), lift: undefined };
const isWhole = (feeling: Feeling): feeling is Felt =>
  feeling.lift !== undefined && feeling.slides.every((slide) => slide !== undefined);
const percent = (value: number) => `${Math.round(value)} %`.replace("-", "−");

/** One scar: what may be done at it, its eight slides and lift now, and what changed since the test before. */
export function ScarCard({
  scar,
  visit,
  moment,
  day,
}: {
  scar: ScarRecorded;
  visit: { id: string; ordinal: number };
  moment: Moment;
  /** Day of the visit: healing runs on the calendar. */
  day: string;
}) {
  const fetcher = useFetcher();
  const takeOff = useTakeOff();
  const name = `${placeNames(scar.places)}${sideBehind[scar.side]}`;
  const title = name.charAt(0).toUpperCase() + name.slice(1);
  const own = scar.roses.find((each) => each.visit === visit.ordinal && each.moment === moment);
  const kept = useKeeper<Felt>(own ? { slides: own.slides, lift: own.lift } : null, (felt) => ({
    intent: "feel",
    id: scar.id,
    visitId: visit.id,
    moment,
    ...felt,
  }));
  const tested = kept.value;
  // half pressed, it waits here for whoever was called away; a way that was not felt is null where it is kept
  const [begun, setBegun] = useDraft<{ slides: (Slide | null)[]; lift: Slide | null }>(
    `ember-rose-${scar.id}-${visit.id}-${moment}`,
  );
  const halfFelt: Feeling = begun
    ? { slides: begun.slides.map((slide) => slide ?? undefined), lift: begun.lift ?? undefined }
    : unfelt;
  const now: Feeling = tested ?? halfFelt;
  const feel = (change: Partial<Feeling>) => {
    const next = { ...now, ...change };
    if (isWhole(next)) {
      kept.keep(next);
      setBegun(undefined);
    } else setBegun({ slides: next.slides.map((slide) => slide ?? null), lift: next.lift ?? null });
  };
  const { lift } = now;
  const missing = now.slides.filter((slide) => slide === undefined).length;
  const order = (each: Pick<Rose, "visit" | "moment">) => 2 * each.visit + (each.moment === "after" ? 1 : 0);
  const earlier = rosesInOrder(scar).findLast((each) => order(each) < order({ visit: visit.ordinal, moment }));
  const work = scarWork(scar, day);
  const area = tested && roseArea(tested.slides);
  const change = earlier && tested ? compareRoses(earlier, { visit: visit.ordinal, moment, ...tested }) : undefined;
  const short = tested ? shortestWays(tested.slides) : [];
  const act = (intent: string, more: object = {}) =>
    void fetcher.submit({ intent, id: scar.id, ...more } as never, { method: "post", encType: "application/json" });
  return (
    <Box component="li" aria-label={title} sx={(t) => ({ borderTop: `1px solid ${t.tokens.line}`, py: 2 })}>
      <Box sx={{ display: "flex", gap: 1.5, alignItems: "baseline", flexWrap: "wrap" }}>
        <Typography variant="h3" sx={{ flex: 1 }}>
          {title}
        </Typography>
        <Button
          size="small"
          color="inherit"
          onClick={() => act("closed", { closed: !scar.closed, version: scar.version })}
        >
          {scar.closed ? "It has opened" : "It is closed now"}
        </Button>
        <Button
          size="small"
          color="inherit"
          aria-label={`Take ${name} off the list`}
          onClick={() => takeOff(scar.id, title)}
        >
          Remove
        </Button>
      </Box>
      <Typography sx={{ color: "text.secondary" }}>
        {scar.words && `${scar.words} · `}
        {scar.lengthMm} mm · {scar.since ? `since ${scar.since.slice(0, 4)}` : "age not known"} ·{" "}
        {scar.closed ? "closed" : "not closed"}
      </Typography>
      <Typography sx={(t) => ({ color: work.may === "all" ? t.tokens.moss : t.tokens.amber, mb: 1 })}>
        {work.why}
        {work.may !== "all" && " The plan keeps to it, for what is near the scar, too."}
      </Typography>
      {work.may !== "nothing" && (
        <Box sx={{ display: "grid", gridTemplateColumns: { xs: "minmax(0,1fr)", lg: "340px minmax(0,1fr)" }, gap: 2 }}>
          <SlideRose
            name={`Slides of ${name}`}
            slides={now.slides}
            earlier={earlier?.slides}
            side={scar.side}
            set={(way, slide) => feel({ slides: now.slides.map((each, i) => (i === way ? slide : each)) })}
          />
          <Box>
            {area ? (
              <>
                <Typography>
                  The rose is {percent(area.percent)} ±{percent(z95 * area.se)} of what the skin around it allows.
                </Typography>
                {short.length > 0 ? (
                  <Typography sx={{ mt: 0.5 }}>
                    Shortest {short.map((way) => slideWords[way]).join("; ")}: work there, then test all eight again.
                  </Typography>
                ) : (
                  <Typography sx={{ mt: 0.5 }}>It slides like the skin around it, every way.</Typography>
                )}
              </>
            ) : (
              <>
                <Typography sx={{ color: "text.secondary" }}>
                  {missing === 8
                    ? `Not tested yet ${moment} visit ${visit.ordinal}. Press how far it slides each way, out to the ring it reaches.`
                    : missing > 0
                      ? `${8 - missing} of 8 ways felt.`
                      : "All eight ways felt; how far does it lift?"}{" "}
                  It is kept once all eight and the lift are felt.
                </Typography>
                {missing > 0 && missing < 8 && (
                  <Button
                    variant="outlined"
                    size="small"
                    sx={{ mt: 1 }}
                    onClick={() => feel({ slides: now.slides.map((slide) => slide ?? 3) })}
                  >
                    The others slide like the skin around
                  </Button>
                )}
              </>
            )}
            {earlier && (
              <Typography sx={{ mt: 0.5, color: "text.secondary" }}>
                Dashed: {earlier.moment} visit {earlier.visit}, {percent(roseArea(earlier.slides).percent)}.
                {change &&
                  ` Change ${change.difference >= 0 ? "+" : ""}${percent(change.difference)} ±${percent(change.band)}: ${change.verdict}.`}
              </Typography>
            )}
            <Box sx={{ display: "flex", gap: 1, alignItems: "center", flexWrap: "wrap", mt: 1.5 }}>
              <Typography>Lifts</Typography>
              <ToggleButtonGroup
                exclusive
                size="small"
                value={now.lift ?? null}
                onChange={(_, next: Slide | null) => next !== null && feel({ lift: next })}
                aria-label={`Lift of ${name}`}
              >
                {slideGrades.map((word, i) => (
                  <ToggleButton key={word} value={i} aria-label={word} sx={{ minWidth: 44 }}>
                    {i}
                  </ToggleButton>
                ))}
              </ToggleButtonGroup>
              {lift !== undefined && (
                <Typography sx={{ color: "text.secondary" }}>{slideGrades[lift].slice(2)}</Typography>
              )}
            </Box>
            <Typography sx={{ mt: 1.5, fontSize: 13.5, color: "text.secondary" }}>
              A grade by hand is sure to half a step (common practice); the band and the verdict follow from it.
            </Typography>
            <Overtaken
              by={kept}
              what={name}
              words={(felt) => (felt ? `slides ${felt.slides.join(" ")}, lift ${felt.lift}` : "not tested")}
            />
          </Box>
        </Box>
      )}
    </Box>
  );
}
