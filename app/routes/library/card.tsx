import Button from "@mui/material/Button";
import { useMemo } from "react";
import { Link } from "react-router";
import { placeNames } from "~core/anatomy/places";
import { regionName } from "~core/anatomy/regions";
import { structureOf } from "~core/anatomy/structures";
import { continuedBy } from "~core/home-care/suggest";
import { leavesOut, schoolKinds } from "~core/screening/schools";
import { retestsOf } from "~core/session/retest";
import { isFixed } from "~core/series/arc-session";
import { halves } from "~core/series/plan";
import { neededCover, prepares, regionsWorked, rulebook } from "~core/series/rulebook";
import { offered } from "~core/techniques/library";
import { alike } from "~core/techniques/find";
import { safetyTags, type SafetyTag } from "~core/techniques/safety-tags";
import { hasTag } from "~core/techniques/touches";
import { passesOf, positionName, type Technique } from "~core/techniques/technique";
import { capitalised } from "~core/words";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { Fine } from "~app/ui/fine";
import { ForceFigure } from "~app/ui/force-figure";
import { ReachFigure } from "~app/ui/reach-figure";
import { layerWord, loadWord } from "./words";

const phaseWords = {
  open: "opens a session",
  warm: "warms",
  work: "works",
  balance: "balances",
  close: "closes a session",
} as const;
const mediumWords = { dry: "dry", wax: "with a little wax", oil: "with oil", any: "dry or with oil" } as const;
const intentWords = {
  lengthen: "lengthening",
  free: "freeing",
  settle: "settling",
  activate: "waking up",
  mobilise: "moving",
  assess: "finding out",
} as const;
const effortWords = { breathes: "breathes with it", moves: "moves meanwhile", presses: "presses lightly" } as const;
const shownStructures = 8;

/** All that is known of one technique: where it reaches on the figure, how it is done, what it needs and prepares, what else does it. */
export function Card({
  technique,
  no,
  choose,
  adapt = false,
}: {
  technique: Technique;
  no: string | undefined;
  /** Opens another card. */
  choose?: (key: string) => void;
  /** Leads to where it is adapted and retired. */
  adapt?: boolean;
}) {
  const others = useMemo(() => alike(technique, offered()).slice(0, 4), [technique]);
  const reach = [...technique.reach].sort((a, b) => b.share - a.share);
  const needs = neededCover(technique) > 0;
  const covers = useMemo(
    () =>
      needs
        ? offered()
            .filter((cover) => regionsWorked(technique).some((region) => prepares(cover, technique, region)))
            .slice(0, 5)
        : [],
    [technique, needs],
  );
  const prepared = useMemo(
    () =>
      offered()
        .filter((later) => regionsWorked(later).some((region) => prepares(technique, later, region)))
        .slice(0, 5),
    [technique],
  );
  const retests = useMemo(() => retestsOf(technique), [technique]);
  const home = useMemo(() => continuedBy(technique), [technique]);
  const fits = useMemo(() => schoolKinds.filter(({ school }) => !leavesOut(school, technique)), [technique]);
  const tags = (Object.keys(safetyTags) as SafetyTag[]).filter((tag) => hasTag(technique, tag));
  const list = (all: readonly { name: string }[]) => all.map(({ name }) => name.toLowerCase()).join(", ");
  return (
    <Box sx={{ display: "flex", gap: 3, flexWrap: "wrap", py: 1.5, px: 0.75 }}>
      {reach.length > 0 && (
        <Box sx={{ display: "flex", gap: 2, alignItems: "flex-start" }}>
          <ReachFigure technique={technique} sides={{ L: true, R: true }} out={[]} height={240} />
          <ForceFigure technique={technique} />
        </Box>
      )}
      <Box sx={{ flex: 1, minWidth: 280, maxWidth: 640, display: "grid", gap: 0.75, alignContent: "start" }}>
        {no && (
          <Typography sx={(t) => ({ color: t.tokens.amber, fontWeight: 650 })}>Out for them today: {no}.</Typography>
        )}
        <Typography>{technique.what}</Typography>
        <Typography>
          {capitalised(phaseWords[technique.phase])}, {layerWord(technique)}, {mediumWords[technique.medium]};{" "}
          {technique.positions.length === 0
            ? "in any position"
            : technique.positions.map((each) => positionName[each].toLowerCase()).join(" or ")}
          ; {technique.minutes.least}–{halves(technique.minutes.ideal * rulebook.stretch) / 2} min
          {technique.sided ? " a side" : ""}, usually {technique.minutes.ideal},{" "}
          {passesOf(technique) === 1 ? "one pass" : `${passesOf(technique)} passes`}; about {technique.pressure} of 10.
        </Typography>
        {reach.length > 0 && (
          <Typography>
            <strong>Reaches</strong>{" "}
            {reach
              .slice(0, shownStructures)
              .map(
                ({ structure, share }) => `${structureOf(structure)!.name.toLowerCase()} ${Math.round(100 * share)} %`,
              )
              .join(", ")}
            {reach.length > shownStructures && ` and ${reach.length - shownStructures} more`}, at the{" "}
            {placeNames([...new Set(reach.flatMap(({ places }) => places))].slice(0, 5))} (
            {[...new Set(technique.doses.map(({ region }) => regionName(region).toLowerCase()))].join(", ")}).
          </Typography>
        )}
        <Typography>
          <strong>Your hands:</strong> {loadWord(technique) || "no load worth counting"}. <strong>Stop when</strong>{" "}
          {technique.stopWhen}.
        </Typography>
        {needs && (
          <Typography>
            <strong>Needs first</strong>, in the same session:{" "}
            {covers.length > 1
              ? `one of ${list(covers)}`
              : covers.length === 1
                ? list(covers)
                : "the layer above it softened"}
            .
          </Typography>
        )}
        {prepared.length > 0 && (
          <Typography>
            <strong>Prepares</strong> {list(prepared)}.
          </Typography>
        )}
        {(tags.length > 0 || technique.consent) && (
          <Typography>
            <strong>Mind:</strong>{" "}
            {[...(technique.consent ? ["consent for a sensitive area, every time"] : []), ...tags].join(", ")}.
          </Typography>
        )}
        <Typography>
          <strong>For</strong> {intentWords[technique.intent]}, with {technique.tools.join(" or ")}
          {technique.hold &&
            `; a hold of ${technique.hold.least === technique.hold.most ? "" : `${technique.hold.least}–`}${technique.hold.most} ${technique.hold.unit}`}
          {technique.effort !== "nothing" && `; the client ${effortWords[technique.effort]}`}.
        </Typography>
        {retests.length > 0 && (
          <Typography>
            <strong>Look again at</strong> {retests.map(({ name }) => name.toLowerCase()).join(" · ")}.
          </Typography>
        )}
        {home.length > 0 && (
          <Typography>
            <strong>Continues at home</strong> as {list(home)}.
          </Typography>
        )}
        <Typography>
          <strong>Schools:</strong>{" "}
          {fits.length === schoolKinds.length
            ? "every one to start from does it"
            : fits.length === 0
              ? "none to start from does it as it is"
              : `${list(fits)} ${fits.length === 1 ? "does" : "do"} it; ${list(schoolKinds.filter((kind) => !fits.includes(kind)))} ${schoolKinds.length - fits.length === 1 ? "does" : "do"} not`}
          .
        </Typography>
        {others.length > 0 && choose && (
          <Box sx={{ display: "flex", gap: 1, flexWrap: "wrap", alignItems: "center" }}>
            <strong>What else does this:</strong>
            {others.map(({ technique: other, share }) => (
              <Button key={other.key} size="small" variant="outlined" color="inherit" onClick={() => choose(other.key)}>
                {other.name}{" "}
                <Fine component="span" sx={{ ml: 0.75 }}>
                  {Math.round(100 * share)} % the same
                </Fine>
              </Button>
            ))}
          </Box>
        )}
        {adapt && !isFixed(technique.stem) && (
          <Box>
            <Button
              component={Link}
              to={`/library/technique/${technique.stem}`}
              size="small"
              variant="outlined"
              color="inherit"
            >
              Adapt or retire
            </Button>
          </Box>
        )}
      </Box>
    </Box>
  );
}
