import { sideTitle } from "~core/words";
import Button from "@mui/material/Button";
import { standsOut, type Check } from "~core/table/checks";
import type { Side } from "~core/units";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";

/** The client's sides as they lie before whoever stands at their feet: the right one at the left while they lie face up. */
export const sidesSeen = (check: Check): readonly [Side, Side] => (check.lying === "supine" ? ["R", "L"] : ["L", "R"]);

/** A key's press on a side: it stands out a step more, and a little where the other one did. Positive: the left side. */
export function aStepMore(grade: number, side: Side): number {
  const sign = side === "L" ? 1 : -1;
  const now = grade * sign;
  return sign * (now < 0 ? 1 : Math.min(3, now + 1));
}

/** Which side stands out, and how far: as the client lies. */
export function WhichSide({
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
    <Box role="group" aria-label={`${sideTitle[side]} ${check.stands}`} sx={{ display: "grid", gap: 1 }}>
      <Typography sx={{ fontWeight: 650, textAlign: "center" }}>
        {sideTitle[side]} {check.stands}
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

/** One answer, big enough for a knuckle. */
export function Choice({
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
