import { sideTitle } from "~core/words";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { Fine } from "~app/ui/fine";
import Button from "@mui/material/Button";
import { useTheme } from "@mui/material/styles";
import { useMemo } from "react";
import { bestViews, laidOut, whole } from "~core/anatomy/sights";
import {
  answersTo,
  isAnswered,
  type Answer,
  type Pressed,
  type TableMoment,
  type VisitAnswers,
} from "~core/table/answers";
import { lyingWords, unitWords, type Check } from "~core/table/checks";
import { basisWords, type LookError } from "~core/table/own-looks";
import { wordsOf } from "~core/table/results";
import { z95, type Side } from "~core/units";
import { Measured } from "./measured";
import { useTableKeys } from "./use-table-keys";
import { aStepMore, Choice, sidesSeen, WhichSide } from "./which-side";
import { BodyFigure } from "~app/ui/body-figure";

type Press = (answer: Omit<Pressed, "moment">) => void;

/** One check, big enough for a knuckle: what is done, the answers, and on to the next. */
export function CheckCard({
  check,
  out,
  at,
  of,
  moment,
  answers,
  earlier,
  error,
  press,
  step,
}: {
  check: Check;
  /** Why cautions rule the check out for this client today. */
  out: string | undefined;
  at: number;
  of: number;
  moment: TableMoment;
  answers: readonly Answer[];
  earlier: VisitAnswers | undefined;
  /** Of one look by whoever presses: graded, where it is felt. */
  error: LookError;
  press: Press;
  step: (by: number) => void;
}) {
  const own = answersTo(check, answers, moment);
  const byHand = (side: Side | null) => own.find((each) => each.way === "hand" && each.side === side)?.value;
  const felt = check.kind === "side" || check.steps !== undefined;
  const hand = (side: Side | null, value: number) => press({ check: check.key, side, way: "hand", value });
  /** One press of a key on that side of the keyboard: a side stands out a step more, or is a step worse. */
  const key = (side: Side) => {
    if (check.kind === "side") hand(null, aStepMore(byHand(null) ?? 0, side));
    else if (check.steps) {
      const to = check.kind === "each" ? side : null;
      const last = check.steps.length - 1;
      const now = byHand(to);
      hand(to, now === undefined ? Math.min(1, last) : (now + 1) % (last + 1));
    }
  };
  /** On to the next: what was not said is as it should be. */
  const even = () => {
    if (felt && !isAnswered(check, answers, moment) && !own.some(({ way }) => way === "measured")) {
      if (check.kind === "each") {
        for (const side of ["L", "R"] as const) if (byHand(side) === undefined) hand(side, 0);
      } else hand(null, 0);
    }
    step(1);
  };
  const [first, second] = sidesSeen(check);
  useTableKeys({
    left: () => key(first),
    right: () => key(second),
    next: even,
    skip: () => step(1),
    back: () => step(-1),
  });
  const before = moment === "after" ? wordsOf(check, answers, "before") : "";
  const last = earlier ? wordsOf(check, earlier.answers, "before") : "";
  return (
    <Box
      component="section"
      aria-label={check.name}
      sx={{ display: "grid", gridTemplateColumns: { xs: "1fr", lg: "minmax(0, 1fr) auto" }, gap: 3, mb: 2 }}
    >
      <Box>
        <Typography sx={{ color: "text.secondary" }}>
          {lyingWords[check.lying].replace(/^./, (letter) => letter.toUpperCase())} · {at + 1} of {of}
        </Typography>
        <Typography component="h3" sx={{ fontFamily: "h1.fontFamily", fontSize: 26, fontWeight: 650, lineHeight: 1.2 }}>
          {check.name}
        </Typography>
        <Typography sx={{ fontSize: 17, mt: 0.5, maxWidth: 560 }}>{check.how}</Typography>
        {out !== undefined && (
          <Typography sx={(t) => ({ color: t.tokens.amber, fontWeight: 650, maxWidth: 560 })}>
            Leave it out for them today: {out}.
          </Typography>
        )}
        <Typography sx={{ color: "text.secondary", minHeight: 24 }}>
          {before && `Before the work: ${before}. `}
          {last && `Visit ${earlier!.visit}: ${last}.`}
        </Typography>
        {felt && (
          <Box sx={{ mt: 1.5 }}>
            {check.kind === "side" ? (
              <WhichSide
                check={check}
                seen={[first, second]}
                value={byHand(null)}
                choose={(value) => hand(null, value)}
              />
            ) : check.kind === "each" ? (
              <Box sx={{ display: "grid", gridTemplateColumns: "1fr 1fr", gap: 2 }}>
                {[first, second].map((side) => (
                  <Steps
                    key={side}
                    name={sideTitle[side]}
                    steps={check.steps!}
                    value={byHand(side)}
                    choose={(value) => hand(side, value)}
                  />
                ))}
              </Box>
            ) : (
              <Steps
                name={check.name}
                steps={check.steps!}
                value={byHand(null)}
                choose={(value) => hand(null, value)}
              />
            )}
          </Box>
        )}
        {check.measure && (
          <Measured
            check={check}
            own={own}
            felt={felt}
            seen={[first, second]}
            keep={(side, value) => press({ check: check.key, side, way: "measured", value })}
            next={() => step(1)}
          />
        )}
        {!(check.kind === "one" && felt) && (
          <Fine sx={{ mt: 1.5 }}>
            One look is good to ±{(z95 * error.se).toFixed(1)}
            {felt ? " grades" : unitWords[check.measure!.unit]}: {basisWords(error)}.
          </Fine>
        )}
        <Box
          sx={{
            display: "flex",
            gap: 1,
            mt: 2,
            // always under the thumb where the card is longer than the screen
            position: "sticky",
            bottom: { xs: 72, sm: 0 },
            zIndex: 1,
            bgcolor: "background.default",
            py: 1,
          }}
        >
          <Button
            variant="outlined"
            color="inherit"
            sx={{ minHeight: 56, flex: 1 }}
            disabled={at === 0}
            onClick={() => step(-1)}
          >
            Back
          </Button>
          <Button variant="outlined" color="inherit" sx={{ minHeight: 56, flex: 1 }} onClick={() => step(1)}>
            Skip
          </Button>
          <Button variant="contained" sx={{ minHeight: 56, flex: 2, fontSize: 17 }} onClick={even}>
            {felt && own.length === 0
              ? check.kind === "side"
                ? "Even, next"
                : `All ${check.steps![0]!}, next`
              : "Next"}
          </Button>
        </Box>
        <Fine sx={{ display: { xs: "none", sm: "block" }, mt: 1 }}>
          Keys: ← and → for the side that lies there, each press a step more; Space, or a pedal, for “as it should be”
          and the next; ↓ skips, ↑ goes back.
        </Fine>
      </Box>
      <Where check={check} />
    </Box>
  );
}

function Steps({
  name,
  steps,
  value,
  choose,
}: {
  name: string;
  steps: readonly string[];
  value: number | undefined;
  choose: (value: number) => void;
}) {
  return (
    <Box role="group" aria-label={name} sx={{ display: "grid", gap: 1 }}>
      <Typography sx={{ fontWeight: 650, textAlign: "center" }}>{name}</Typography>
      {steps.map((word, i) => (
        <Choice key={word} chosen={value === i} choose={() => choose(i)}>
          {word}
        </Choice>
      ))}
    </Box>
  );
}

const figureHeight = 380;

/** Where hands and eyes are. */
function Where({ check }: { check: Check }) {
  const { tokens } = useTheme();
  const sights = useMemo(() => {
    if (check.lying !== "supine") return [whole("back")];
    return bestViews(new Map(check.places.map((place, i) => [place, 1 / 2 ** i])))
      .slice(0, 1)
      .map(whole);
  }, [check]);
  const sheet = laidOut(sights);
  return (
    <Box
      sx={{
        display: { xs: "none", lg: "block" },
        height: figureHeight,
        width: (figureHeight * sheet.width) / sheet.height,
      }}
    >
      <BodyFigure
        sights={sights}
        label="Where it is looked at"
        paint={({ place }) =>
          check.places.includes(place)
            ? { fill: `${tokens.ember}99`, stroke: tokens.ember, says: "looked at" }
            : undefined
        }
      />
    </Box>
  );
}
