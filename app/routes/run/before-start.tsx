import Button from "@mui/material/Button";
import { Link, useFetcher } from "react-router";
import type { Subject } from "~core/consent/consent";
import type { Obstacle } from "~core/screening/may-start";
import type { RunStep } from "~core/session/events";
import { consentName, type TableList } from "~core/session/table-list";
import { techniqueOf } from "~core/techniques/library";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { useOwnId } from "~app/ui/use-own-id";

const place: Record<Exclude<Obstacle["settle"], "table">, { name: string; path: string }> = {
  screening: { name: "Go to screening", path: "intake/screening" },
  consent: { name: "Go to consent", path: "intake/consent" },
  path: { name: "Solve again", path: "path" },
};

const big = { minHeight: 64, fontSize: 22, px: 3 } as const;

/** Before the clock starts: what stands in the way, what changed, what is agreed to today, and what will be done. */
export function BeforeStart({
  visit,
  clientId,
  steps,
  asked,
  leftOut,
  obstacles: all,
  rescreened,
  timing,
  keys = "The clock starts when you do. Four keys do everything: right arrow goes on, left arrow back, S skips, N takes a note.",
}: {
  visit: { id: string; ordinal: number };
  clientId: string;
  steps: readonly RunStep[];
  asked: TableList["asked"];
  leftOut: readonly string[];
  obstacles: readonly Obstacle[];
  /** Whether what changed since last time was asked for this visit. */
  rescreened: boolean;
  /** How it is worked once the clock runs. */
  keys?: string;
  /** What is different from what the plan assumed, and is agreed to first; without sentences nothing is. */
  timing: { said: readonly string[]; agreed: boolean; agree: () => void };
}) {
  const fetcher = useFetcher();
  const busy = fetcher.state !== "idle";
  const idFor = useOwnId();
  const send = (body: Record<string, string | boolean | number>) =>
    void fetcher.submit({ id: idFor(body), ...body }, { method: "post", encType: "application/json" });
  const agree = (subject: Subject, given: boolean, seen: number) => send({ subject, given, seen });
  const link = (path: string) => `/clients/${clientId}/${path}?visit=${visit.ordinal}`;
  /** What is settled elsewhere; the rest is asked here. */
  const obstacles = all.flatMap(({ settle, sentence }) => (settle === "table" ? [] : [{ settle, sentence }]));
  if (obstacles.length > 0)
    return (
      <Box sx={{ gridColumn: "1 / -1", maxWidth: 900 }}>
        <Typography sx={{ fontFamily: "h1.fontFamily", fontWeight: 700, fontSize: 52, lineHeight: 1.1 }}>
          Not yet
        </Typography>
        <Box component="ul" sx={{ listStyle: "none", p: 0, mt: 3 }}>
          {obstacles.map((obstacle) => (
            <Box component="li" key={obstacle.sentence} sx={{ fontSize: 24, py: 1, color: "warning.main" }}>
              {obstacle.sentence}
            </Box>
          ))}
        </Box>
        <Box sx={{ display: "flex", gap: 2, mt: 2, flexWrap: "wrap" }}>
          {[...new Set(obstacles.map((obstacle) => obstacle.settle))].map((settle, i) => (
            <Button
              key={settle}
              component={Link}
              to={link(place[settle].path)}
              variant={i === 0 ? "contained" : "outlined"}
              sx={big}
            >
              {place[settle].name}
            </Button>
          ))}
        </Box>
      </Box>
    );
  return (
    <Box sx={{ gridColumn: "1 / -1" }}>
      <Typography sx={{ fontFamily: "h1.fontFamily", fontWeight: 700, fontSize: 52, lineHeight: 1.1 }}>
        {new Set(steps.map((each) => each.technique)).size} things to do
      </Typography>
      {timing.said.length > 0 && (
        <Box sx={{ display: "flex", gap: 2, alignItems: "center", mt: 2.5, flexWrap: "wrap" }}>
          <Typography sx={{ fontSize: 24, flex: 1, minWidth: 280 }}>{timing.said.join(" ")}</Typography>
          <Button
            variant={timing.agreed ? "outlined" : "contained"}
            aria-pressed={timing.agreed}
            onClick={timing.agree}
            sx={big}
          >
            {timing.agreed ? "Worked today ✓" : "Work it today"}
          </Button>
        </Box>
      )}
      {!rescreened && (
        <Box sx={{ display: "flex", gap: 2, alignItems: "center", mt: 2.5, flexWrap: "wrap" }}>
          <Typography sx={{ fontSize: 24, flex: 1, minWidth: 340 }}>
            New injury, illness, medication, numbness or sore skin since last time?
          </Typography>
          <Button
            variant={all.length > 0 ? "contained" : "outlined"}
            disabled={busy}
            sx={big}
            onClick={() => send({ intent: "nothing-changed" })}
          >
            Nothing changed
          </Button>
          <Button component={Link} to={link("intake/screening")} variant="outlined" sx={big}>
            Something did
          </Button>
        </Box>
      )}
      {asked.map(({ subject, stands, seen }) => (
        <Box key={subject} sx={{ display: "flex", gap: 2, alignItems: "center", mt: 1.5, flexWrap: "wrap" }}>
          <Typography sx={{ fontSize: 24, flex: 1, minWidth: 340 }}>
            {consentName(subject)}:{" "}
            <Box component="span" sx={{ color: stands ? "success.main" : "warning.main" }}>
              {stands === undefined ? "not asked, left out until agreed" : stands ? "agreed today" : "not today"}
            </Box>
          </Typography>
          <Button
            variant="outlined"
            disabled={busy || stands === true}
            aria-label={`Agreed: ${consentName(subject)}`}
            sx={big}
            onClick={() => agree(subject, true, seen)}
          >
            Agreed
          </Button>
          <Button
            variant="outlined"
            disabled={busy || stands === false}
            aria-label={`Not today: ${consentName(subject)}`}
            sx={big}
            onClick={() => agree(subject, false, seen)}
          >
            Not today
          </Button>
        </Box>
      ))}
      {leftOut.length > 0 && (
        <Typography sx={{ fontSize: 22, mt: 2, color: "warning.main" }}>
          Left out without consent: {leftOut.join(", ")}.
        </Typography>
      )}
      {asked.length < 2 && <Typography sx={{ fontSize: 22, mt: 2.5, color: "text.secondary" }}>{keys}</Typography>}
      <Box component="ol" sx={{ mt: 2, pl: 0, listStyle: "none", columns: { md: 3 }, columnGap: 6, fontSize: 22 }}>
        {[...new Set(steps.map((each) => each.technique))].map((key) => (
          <Box component="li" key={key} sx={{ py: 0.4, breakInside: "avoid" }}>
            {techniqueOf(key).name}
          </Box>
        ))}
      </Box>
    </Box>
  );
}
