import { styled } from "@mui/material/styles";
import { memo } from "react";
import { layerName } from "~core/anatomy/layers";
import { historyOf, latestGrade, type Moment, type Restriction } from "~core/findings/restriction";
import { Overtaken, useKeeper } from "~app/ui/use-keeper";
import { useHydrated } from "~app/ui/use-hydrated";
import { findingName } from "~core/findings/finding-name";
import { LineMenu, type ActOnLine } from "./line-menu";
import { takingBack, type Undoable } from "./use-undo";

type Felt = { grade: number; tenderness: number };

/** One style for a whole row, and plain elements in it: a long list is there at once, and stays light. */
const Line = styled("li")(({ theme: { tokens, breakpoints } }) => ({
  borderTop: `1px solid ${tokens.line}`,
  padding: "10px 0",
  display: "grid",
  gridTemplateColumns: "auto auto 1fr",
  justifyItems: "start",
  alignItems: "center",
  gap: 12,
  contentVisibility: "auto",
  containIntrinsicSize: "auto 110px",
  [breakpoints.up("lg")]: { gridTemplateColumns: "minmax(0, 1fr) auto auto auto", containIntrinsicSize: "auto 84px" },
  "& p": { margin: 0 },
  "& .what": { gridColumn: "1 / -1", [breakpoints.up("lg")]: { gridColumn: "auto" } },
  "& .how, & label": { fontSize: 13.5, color: tokens.inkSoft },
  "& label": { whiteSpace: "nowrap" },
  "& .waits": {
    height: 40,
    gridColumn: "1 / -1",
    [breakpoints.up("lg")]: { width: 350, gridColumn: "2 / -1" },
  },
  "& select": {
    font: "inherit",
    color: "inherit",
    background: "transparent",
    border: `1px solid ${tokens.line}`,
    borderRadius: 6,
    padding: 6,
    "& option": { color: tokens.ink, background: tokens.sheet },
  },
  "& .grades": { display: "flex" },
  "& .grades button": {
    font: "inherit",
    fontSize: 14,
    fontWeight: 550,
    minWidth: 40,
    height: 36,
    cursor: "pointer",
    color: tokens.inkSoft,
    background: "transparent",
    border: `1px solid ${tokens.line}`,
    marginLeft: -1,
    "&:first-of-type": { borderRadius: "8px 0 0 8px", marginLeft: 0 },
    "&:last-of-type": { borderRadius: "0 8px 8px 0" },
    "&:hover": { background: tokens.band },
    "&:focus-visible": { outline: `2px solid ${tokens.ember}`, outlineOffset: 1, zIndex: 1 },
    "&[aria-pressed=true]": { background: tokens.emberWash, color: tokens.ink, fontWeight: 750 },
  },
}));

const tendernesses = Array.from({ length: 11 }, (_, i) => <option key={i}>{i}</option>);

/** One spot: its history, and how it grades now. */
export const RestrictionRow = memo(function RestrictionRow({
  restriction,
  restrictions,
  did,
  act,
  takeOff,
  worked,
  visit,
  moment,
}: {
  restriction: Restriction;
  restrictions: readonly Restriction[];
  /** Something was done that can be taken back. */
  did: (undoable: Undoable) => void;
  act: ActOnLine;
  takeOff: (id: string, name: string) => void;
  /** Sessions that worked it. */
  worked: readonly number[];
  visit: { id: string; ordinal: number };
  moment: Moment;
}) {
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
    <Line>
      <div className="what">
        <p>
          <strong>{name}</strong>, {historyOf(restriction)}
        </p>
        <p className="how">
          {layerName(restriction.layer).toLowerCase()} · {restriction.quality}
          {restriction.bind && ` · binds ${restriction.bind}`}
          {restriction.ease && ` · eases ${restriction.ease}`}
          {worked.length > 0 &&
            ` · worked ${worked.length === 1 ? "once" : `${worked.length} times`}: ${worked.length === 1 ? "session" : "sessions"} ${worked.join(", ")}`}
        </p>
      </div>
      {hydrated ? (
        <>
          <div className="grades" role="group" aria-label={`Grade of ${name}`}>
            {[0, 1, 2, 3].map((each) => (
              <button key={each} type="button" aria-pressed={grade === each} onClick={() => send({ grade: each })}>
                {each}
              </button>
            ))}
          </div>
          <label>
            tender{" "}
            <select
              value={tenderness}
              onChange={(event) => send({ tenderness: Number(event.target.value) })}
              aria-label={`Tenderness of ${name}`}
            >
              {tendernesses}
            </select>
          </label>
          <LineMenu restriction={restriction} restrictions={restrictions} remove={remove} act={act} />
        </>
      ) : (
        // what cannot be pressed yet is not drawn yet: a long list is there sooner
        <div className="waits" />
      )}
      <Overtaken
        by={kept}
        what={name}
        words={(felt) => (felt ? `grade ${felt.grade}, tender ${felt.tenderness}` : "not graded")}
      />
    </Line>
  );
});
