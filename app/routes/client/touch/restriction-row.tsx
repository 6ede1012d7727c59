import Box from "@mui/material/Box";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import Typography from "@mui/material/Typography";
import { useFetcher } from "react-router";
import { layerName } from "~core/anatomy/layers";
import { historyOf, latestGrade, type Moment, type Restriction } from "~core/findings/restriction";
import { Overtaken, useKeeper } from "~app/ui/use-keeper";
import { useHydrated } from "~app/ui/use-hydrated";
import { useTakeOff } from "~app/ui/use-take-off";
import { findingName } from "./finding";
import { LineMenu } from "./line-menu";
import { takingBack, type Undoable } from "./use-undo";

type Felt = { grade: number; tenderness: number };

/** One spot: its history, and how it grades now. */
export function RestrictionRow({
  restriction,
  restrictions,
  did,
  worked,
  visit,
  moment,
}: {
  restriction: Restriction;
  restrictions: readonly Restriction[];
  /** Something was done that can be taken back. */
  did: (undoable: Undoable) => void;
  /** Sessions that worked it. */
  worked: readonly number[];
  visit: { id: string; ordinal: number };
  moment: Moment;
}) {
  const fetcher = useFetcher();
  const takeOff = useTakeOff();
  const hydrated = useHydrated();
  const grading = restriction.grades.find((each) => each.visit === visit.ordinal && each.moment === moment);
  const latest = latestGrade(restriction);
  const kept = useKeeper<Felt>(grading ? { grade: grading.grade, tenderness: grading.tenderness } : null, (felt) => ({
    intent: "grade",
    id: restriction.id,
    visitId: visit.id,
    moment,
    ...felt,
  }));
  const grade = kept.value?.grade;
  const tenderness = kept.value?.tenderness ?? latest?.tenderness ?? 0;
  const name = findingName(restriction);
  const send = (change: Partial<Felt>) => {
    const next = { grade: grade ?? latest?.grade ?? 0, tenderness, ...change };
    const at = { id: restriction.id, visitId: visit.id, moment };
    did({ says: name, body: takingBack({ body: { intent: "grade", ...at, ...next, was: kept.value } }) });
    kept.keep(next);
  };
  const remove = () => {
    takeOff(restriction.id, name);
    did({ says: `${name} taken off`, body: { intent: "restore", id: restriction.id } });
  };
  return (
    <Box
      component="li"
      sx={(t) => ({
        borderTop: `1px solid ${t.tokens.line}`,
        py: 1.25,
        display: "grid",
        gridTemplateColumns: { xs: "auto auto 1fr", lg: "minmax(0,1fr) auto auto auto" },
        justifyItems: "start",
        gap: 1.5,
        alignItems: "center",
      })}
    >
      <Box sx={{ gridColumn: { xs: "1 / -1", lg: "auto" } }}>
        <Typography sx={{ fontWeight: 650 }}>
          {name}
          <Box component="span" sx={{ fontWeight: 400 }}>
            {", "}
            {historyOf(restriction)}
          </Box>
        </Typography>
        <Typography sx={{ fontSize: 13.5, color: "text.secondary" }}>
          {layerName(restriction.layer).toLowerCase()} · {restriction.quality}
          {restriction.bind && ` · binds ${restriction.bind}`}
          {restriction.ease && ` · eases ${restriction.ease}`}
          {worked.length > 0 &&
            ` · worked ${worked.length === 1 ? "once" : `${worked.length} times`}: ${worked.length === 1 ? "session" : "sessions"} ${worked.join(", ")}`}
        </Typography>
      </Box>
      {hydrated ? (
        <>
          <ToggleButtonGroup
            exclusive
            size="small"
            value={grade ?? null}
            onChange={(_, value: number | null) => value !== null && send({ grade: value })}
            aria-label={`Grade of ${name}`}
          >
            {[0, 1, 2, 3].map((each) => (
              <ToggleButton key={each} value={each} sx={{ minWidth: 40 }}>
                {each}
              </ToggleButton>
            ))}
          </ToggleButtonGroup>
          <Box component="label" sx={{ fontSize: 13.5, color: "text.secondary", whiteSpace: "nowrap" }}>
            tender{" "}
            <Box
              component="select"
              value={tenderness}
              onChange={(event: React.ChangeEvent<HTMLSelectElement>) =>
                send({ tenderness: Number(event.target.value) })
              }
              aria-label={`Tenderness of ${name}`}
              sx={(t) => ({
                font: "inherit",
                color: "inherit",
                bgcolor: "transparent",
                border: `1px solid ${t.tokens.line}`,
                borderRadius: "6px",
                p: "6px",
              })}
            >
              {Array.from({ length: 11 }, (_, i) => (
                <option key={i}>{i}</option>
              ))}
            </Box>
          </Box>
          <LineMenu
            restriction={restriction}
            restrictions={restrictions}
            remove={remove}
            act={(body, back) => {
              void fetcher.submit(body as never, { method: "post", encType: "application/json" });
              did(back);
            }}
          />
        </>
      ) : (
        // what cannot be pressed yet is not drawn yet: a long list is there sooner
        <Box sx={{ height: 40, width: { lg: 350 }, gridColumn: { xs: "1 / -1", lg: "2 / -1" } }} />
      )}
      <Overtaken
        by={kept}
        what={name}
        words={(felt) => (felt ? `grade ${felt.grade}, tender ${felt.tenderness}` : "not graded")}
      />
    </Box>
  );
}
