import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Typography from "@mui/material/Typography";
import { useTheme } from "@mui/material/styles";
import { useEffect, useMemo, useRef } from "react";
import { bestViews, laidOut, whole } from "~core/anatomy/sights";
import type { Moment } from "~core/findings/restriction";
import { answersTo, isAnswered, type Answer, type Pressed, type VisitAnswers } from "~core/table/answers";
import { lyingWords, standsOut, type Check } from "~core/table/checks";
import { wordsOf } from "~core/table/results";
import type { Side } from "~core/units";
import { Measured } from "./measured";
import { BodyFigure } from "~app/ui/body-figure";

const sideWord = { L: "Left", R: "Right" } as const;
/** The client's sides as they lie before whoever stands at their feet: the right one at the left while they lie face up. */
const sidesSeen = (check: Check): readonly [Side, Side] => (check.lying === "supine" ? ["R", "L"] : ["L", "R"]);

type Press = (answer: Omit<Pressed, "moment">) => void;

/** One check, big enough for a knuckle: what is done, the answers, and on to the next. */
export function CheckCard({
  check,
  at,
  of,
  moment,
  answers,
  earlier,
  press,
  step,
}: {
  check: Check;
  at: number;
  of: number;
  moment: Moment;
  answers: readonly Answer[];
  earlier: VisitAnswers | undefined;
  press: Press;
  step: (by: number) => void;
}) {
  const own = answersTo(check, answers, moment);
  const byHand = (side: Side | null) => own.find((each) => each.way === "hand" && each.side === side)?.value;
  const felt = check.kind === "side" || check.steps !== undefined;
  const hand = (side: Side | null, value: number) => press({ check: check.key, side, way: "hand", value });
  /** One press of a key on that side of the keyboard: a side stands out a step more, or is a step worse. */
  const key = (side: Side) => {
    if (check.kind === "side") {
      const sign = side === "L" ? 1 : -1;
      const now = (byHand(null) ?? 0) * sign;
      hand(null, sign * (now >= 3 || now < 0 ? (now < 0 ? 1 : 3) : now + 1));
    } else if (check.steps) {
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
  const latest = useRef({ key, even, step });
  useEffect(() => {
    latest.current = { key, even, step };
  });
  const [first, second] = sidesSeen(check);
  useEffect(() => {
    const pressed = (event: KeyboardEvent) => {
      const busy =
        event.target instanceof Element &&
        event.target.closest("input, textarea, select, [role=slider], button, a, [role=dialog]");
      if (event.ctrlKey || event.metaKey || event.altKey || (busy && !event.key.startsWith("Arrow"))) return;
      if (event.target instanceof Element && event.target.closest("input, [role=slider], [role=dialog]")) return;
      const act: Record<string, () => void> = {
        ArrowLeft: () => latest.current.key(first),
        ArrowRight: () => latest.current.key(second),
        ArrowDown: () => latest.current.step(1),
        ArrowUp: () => latest.current.step(-1),
        " ": () => latest.current.even(),
      };
      if (!act[event.key]) return;
      event.preventDefault();
      act[event.key]!();
    };
    window.addEventListener("keydown", pressed);
    return () => window.removeEventListener("keydown", pressed);
  }, [first, second]);
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
                    name={sideWord[side]}
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
        <Typography sx={{ display: { xs: "none", sm: "block" }, fontSize: 13.5, color: "text.secondary", mt: 1 }}>
          Keys: ← and → for the side that lies there, each press a step more; Space, or a pedal, for “as it should be”
          and the next; ↓ skips, ↑ goes back.
        </Typography>
      </Box>
      <Where check={check} />
    </Box>
  );
}

/** Which side stands out, and how far: as the client lies. */
function WhichSide({
  check,
  seen,
  value,
  choose,
}: {
  check: Check & { kind: "side" };
  seen: readonly [Side, Side];
  value: number | undefined;
  choose: (value: number) => void;
}) {
  const grades = (side: Side) => (
    <Box role="group" aria-label={`${sideWord[side]} ${check.stands}`} sx={{ display: "grid", gap: 1 }}>
      <Typography sx={{ fontWeight: 650, textAlign: "center" }}>
        {sideWord[side]} {check.stands}
      </Typography>
      {[1, 2, 3].map((grade) => {
        const signed = side === "L" ? grade : -grade;
        return (
          <Choice key={grade} chosen={value === signed} choose={() => choose(signed)}>
            {standsOut[grade]}
          </Choice>
        );
      })}
    </Box>
  );
  return (
    <Box sx={{ display: "grid", gridTemplateColumns: "1fr 1fr 1fr", gap: 1.5, alignItems: "end" }}>
      {grades(seen[0])}
      <Choice chosen={value === 0} choose={() => choose(0)} tall>
        even
      </Choice>
      {grades(seen[1])}
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

function Choice({
  chosen,
  choose,
  tall = false,
  children,
}: {
  chosen: boolean;
  choose: () => void;
  tall?: boolean;
  children: React.ReactNode;
}) {
  return (
    <Button
      variant={chosen ? "contained" : "outlined"}
      aria-pressed={chosen}
      onClick={choose}
      sx={{ minHeight: tall ? 160 : 48, fontSize: 16, fontWeight: 600 }}
    >
      {children}
    </Button>
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
