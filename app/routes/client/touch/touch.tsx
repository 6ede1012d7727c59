import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import Typography from "@mui/material/Typography";
import { useEffect, useMemo, useRef, useState } from "react";
import { data, useFetcher } from "react-router";
import type { Route } from "./+types/touch";
import { layerName } from "~core/anatomy/layers";
import { placeOf } from "~core/anatomy/places";
import { structureOf } from "~core/anatomy/structures";
import { sinceLast } from "~core/findings/since-last";
import { sessionsOn } from "~core/session/worked-on";
import { historyOf, latestGrade, type Moment, type Restriction } from "~core/findings/restriction";
import { inSession, keeping } from "~app/session.server";
import { ownVisit, visitOf } from "~app/routes/client/workspace.server";
import { Overtaken, useKeeper } from "~app/ui/use-keeper";
import { MomentToggle } from "~app/ui/moment-toggle";
import { useHydrated } from "~app/ui/use-hydrated";
import { useTakeOff } from "~app/ui/use-take-off";
import type { Spot } from "~app/ui/body-figure";
import type { Side } from "~core/units";
import { validate } from "~app/validation";
import { addRestriction, gradeRestriction, restrictionsOf, setRestrictionRemoved } from "~data/findings";
import { getClient } from "~data/clients";
import { NotFound } from "~data/errors";
import { joinLines, separateLine, splitLine } from "~data/lines";
import { seriesOf } from "~data/series";
import { workedSessions } from "~app/routes/client/plan-input.server";
import { BodyMap } from "./body-map";
import { FeltPanel } from "./felt-panel";
import { findingName, sameSpot, sendingOf, sideFor, sideWord, type Finding, type Sending } from "./finding";
import { LineEntry } from "./line-entry";
import { LineMenu } from "./line-menu";
import { Sendings } from "./sendings";
import { StructuresHere } from "./structures-here";
import { takingBack, useUndo, type Undoable } from "./use-undo";
import { gradingSchema, restrictionSchema, splitSchema, ungradeSchema } from "./restriction-form";

export const handle = { slim: true };

export function loader({ request, params, context }: Route.LoaderArgs) {
  return inSession(context, async ({ tx }) => {
    const client = await getClient(tx, params.clientId);
    const { visit, visits } = await visitOf(tx, client.id, request);
    const restrictions = await restrictionsOf(tx, client.id);
    const done = await workedSessions(tx, visits, await seriesOf(tx, client.id));
    return { visit, restrictions, worked: restrictions.map(sessionsOn(done)) };
  });
}

export { keepTyped as clientAction } from "~app/ui/keep-typed";

export function action({ params, context }: Route.ActionArgs) {
  return keeping(context, async ({ tx, body }) => {
    const sent = body.fields;
    const client = await getClient(tx, params.clientId);
    if (sent.intent === "remove" || sent.intent === "restore") {
      const removed = setRestrictionRemoved(tx, client.id, String(sent.id), sent.intent === "remove");
      // typed twice it began one line: taking the second back finds none of its own
      await removed.catch((error: unknown) => {
        if (!(error instanceof NotFound && sent.ifThere === true)) throw error;
      });
      return { ok: true };
    }
    if (sent.intent === "join") {
      await joinLines(tx, client.id, String(sent.id), String(sent.into));
      return { ok: true };
    }
    if (sent.intent === "separate") {
      await separateLine(tx, client.id, String(sent.id));
      return { ok: true };
    }
    if (sent.intent === "split") {
      const { value, errors } = await validate(splitSchema, sent);
      if (errors) return data({ errors }, { status: 400 });
      const { from, visit, ...fresh } = value;
      const draft = fresh as Parameters<typeof splitLine>[3];
      const known = sameSpot(await restrictionsOf(tx, client.id), draft);
      if (known && known.id !== draft.id)
        return data({ errors: { structure: `${findingName(known)} has a line already: join them.` } }, { status: 400 });
      await splitLine(tx, client.id, from, draft, visit);
      return { ok: true };
    }
    const visit = await ownVisit(tx, client.id, sent.visitId);
    if (sent.intent === "ungrade") {
      const { value, errors } = await validate(ungradeSchema, sent);
      if (errors) return data({ errors }, { status: 400 });
      const at = { restrictionId: value.id, visitId: visit.id, moment: value.moment };
      await gradeRestriction(tx, client.id, at, null, value.was);
      return { ok: true };
    }
    const { value: grading, errors } = await validate(gradingSchema, sent);
    if (errors) return data({ errors }, { status: 400 });
    if (sent.intent === "add") {
      const { value, errors } = await validate(restrictionSchema, sent);
      if (errors) return data({ errors }, { status: 400 });
      const draft = value as Parameters<typeof addRestriction>[2];
      // typed twice before the page knew: the same structure and side is the same spot
      const known = sameSpot(await restrictionsOf(tx, client.id), draft);
      if (known) grading.id = known.id;
      else await addRestriction(tx, client.id, draft);
    }
    const { id, moment, was, grade, tenderness } = grading;
    const at = { restrictionId: id, visitId: visit.id, moment };
    await gradeRestriction(tx, client.id, at, { grade, tenderness }, sent.intent === "add" ? null : was);
    return { ok: true };
  });
}

const filters = {
  all: "All",
  still: "Still 2 or 3",
  new: "New",
  gone: "Gone",
} as const;
type Filter = keyof typeof filters;

/** What a filter keeps, seen from a visit: still stuck, first felt at it, or felt free since. */
function passes(filter: Filter, restriction: Restriction, visit: number): boolean {
  const latest = latestGrade(restriction)?.grade ?? 0;
  if (filter === "still") return latest >= 2;
  if (filter === "new") return restriction.grades.every((each) => each.visit >= visit);
  return filter === "all" || latest === 0;
}

export default function Touch({ loaderData: { visit, restrictions, worked } }: Route.ComponentProps) {
  const [moment, setMoment] = useState<Moment>("before");
  const [filter, setFilter] = useState<Filter>("all");
  const [spot, setSpot] = useState<Spot | undefined>();
  const [picked, setPicked] = useState<{ structure: string; side: Side | null } | undefined>();
  // what a finger may have meant besides
  const [unsure, setUnsure] = useState<readonly { name: string; choose: () => void }[] | undefined>();
  const [sendings, setSendings] = useState<readonly Sending[]>([]);
  const [last, setLast] = useState<Finding | undefined>();
  const lastQuality = last?.quality ?? restrictions.at(-1)?.quality ?? "drag";
  const recent = useMemo(() => [...restrictions].reverse().map(({ structure }) => structure), [restrictions]);
  const undo = useUndo();
  const keep = (finding: Finding) => {
    const sending = sendingOf(finding, { visit, moment }, restrictions);
    undo.did({ says: sending.name, body: takingBack(sending) });
    setSendings((before) => [...before, sending]);
    setLast(finding);
    setSpot(undefined);
    setPicked(undefined);
    setUnsure(undefined);
  };
  const otherSide =
    last && (last.side === "L" || last.side === "R")
      ? { ...last, side: last.side === "L" ? ("R" as const) : ("L" as const) }
      : undefined;
  // what was found there already is graded by hand, not by a copy
  const mirror = otherSide && !sameSpot(restrictions, otherSide) ? otherSide : undefined;
  const mirrored = useRef(() => {});
  useEffect(() => {
    mirrored.current = () => mirror && keep(mirror);
  });
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      const typing = event.target instanceof Element && event.target.closest("input, textarea, select, [role=slider]");
      if (event.key === "m" && !typing && !event.ctrlKey && !event.metaKey && !event.altKey) mirrored.current();
    };
    window.addEventListener("keydown", press);
    return () => window.removeEventListener("keydown", press);
  }, []);
  const shown = restrictions.filter((restriction) => passes(filter, restriction, visit.ordinal));
  return (
    <BodyMap
      restrictions={restrictions}
      visit={visit.ordinal}
      spot={spot}
      choosePlace={(next, near) => {
        setSpot(next);
        setPicked(undefined);
        setUnsure(
          near.length < 2
            ? undefined
            : near.map(({ place, side }) => ({
                name: `${placeOf(place).name}${side ? `, ${sideWord[side]}` : ""}`,
                choose: () => {
                  setSpot({ place, side });
                  setPicked(undefined);
                },
              })),
        );
      }}
      structure={picked}
      chooseStructure={(structure, side, near) => {
        setSpot(undefined);
        setPicked({ structure, side });
        setUnsure(
          near.length < 2
            ? undefined
            : near.map((each) => ({
                name: findingName({ structure: each.structure, side: each.side ?? "both" }),
                choose: () => setPicked(each),
              })),
        );
      }}
    >
      <Box sx={{ display: "flex", alignItems: "center", gap: 2, mb: 2, flexWrap: "wrap" }}>
        <Typography variant="h2" sx={{ flex: "1 0 auto" }}>
          {restrictions.length === 0
            ? "No restrictions yet"
            : `${restrictions.length} ${restrictions.length === 1 ? "restriction" : "restrictions"}`}
        </Typography>
        <MomentToggle moment={moment} visit={visit.ordinal} set={setMoment} />
        {undo.last && (
          <Button size="small" color="inherit" disabled={undo.busy} onClick={undo.back} title="Ctrl+Z">
            Undo: {undo.last.says}
          </Button>
        )}
      </Box>
      {undo.failed && (
        <Typography role="alert" sx={(t) => ({ color: t.tokens.clay, mb: 1 })}>
          {undo.failed}
        </Typography>
      )}
      <LineEntry restrictions={restrictions} recent={recent} lastQuality={lastQuality} keep={keep} />
      <Sendings list={sendings} done={(id) => setSendings((before) => before.filter((each) => each.id !== id))} />
      {unsure && (
        <Box role="group" aria-label="Or did you mean" sx={{ display: "flex", flexWrap: "wrap", gap: 0.5, mb: 1 }}>
          {unsure.map(({ name, choose }) => (
            <Button key={name} variant="outlined" sx={{ minHeight: 44 }} onClick={choose}>
              {name}
            </Button>
          ))}
        </Box>
      )}
      {picked ? (
        <FeltPanel
          key={`${picked.structure} ${picked.side}`}
          structure={picked.structure}
          side={sideFor(structureOf(picked.structure)!, picked.side)}
          restrictions={restrictions}
          lastQuality={lastQuality}
          keep={keep}
          close={() => {
            setPicked(undefined);
            setUnsure(undefined);
          }}
        />
      ) : (
        spot && (
          <StructuresHere
            spot={spot}
            choose={(structure) => setPicked({ structure, side: spot.side })}
            close={() => {
              setSpot(undefined);
              setUnsure(undefined);
            }}
          />
        )
      )}
      {mirror && (
        <Box sx={{ mb: 1.5 }}>
          <Button size="small" variant="outlined" onClick={() => keep(mirror)}>
            {findingName(mirror)}, the same (M)
          </Button>
        </Box>
      )}
      <Different restrictions={restrictions} visit={visit.ordinal} />
      {restrictions.length > 0 ? (
        <ToggleButtonGroup
          exclusive
          size="small"
          value={filter}
          onChange={(_, value: Filter | null) => value && setFilter(value)}
          aria-label="Shown"
          sx={{ mb: 1 }}
        >
          {(Object.keys(filters) as Filter[]).map((each) => (
            <ToggleButton key={each} value={each}>
              {filters[each]}
            </ToggleButton>
          ))}
        </ToggleButtonGroup>
      ) : (
        <Typography sx={{ color: "text.secondary", maxWidth: 480 }}>
          Type what skin lift, glide or rocking finds, or choose it on the figure. One spot keeps its history over the
          whole series, and the plan works from these grades.
        </Typography>
      )}
      {restrictions.length > 0 && shown.length === 0 && (
        <Typography sx={{ color: "text.secondary" }}>None of them.</Typography>
      )}
      <Box component="ul" sx={{ listStyle: "none", p: 0, m: 0 }}>
        {shown.map((restriction) => (
          <Row
            key={`${restriction.id} ${visit.id} ${moment}`}
            restriction={restriction}
            restrictions={restrictions}
            did={undo.did}
            worked={worked[restrictions.indexOf(restriction)] ?? []}
            visit={visit}
            moment={moment}
          />
        ))}
      </Box>
    </BodyMap>
  );
}

/** What is different from last time, in a few lines; nothing where nothing is. */
function Different({ restrictions, visit }: { restrictions: readonly Restriction[]; visit: number }) {
  const rows = useMemo(() => sinceLast(restrictions, visit), [restrictions, visit]);
  if (visit === 1 || rows.length === 0) return null;
  return (
    <Box component="section" aria-label="Different from last time" sx={{ mb: 1.5 }}>
      <Typography variant="h3" component="h3" sx={{ mb: 0.5 }}>
        Different from last time
      </Typography>
      <Box component="ul" sx={{ listStyle: "none", p: 0, m: 0, fontSize: 14.5 }}>
        {rows.map(({ restriction, from, to, verdict }) => (
          <li key={restriction.id}>
            {findingName(restriction)}: {from ? `${from.grade} at visit ${from.visit}, now ${to}` : `new, ${to}`}
            {verdict && ` (${verdict})`}
          </li>
        ))}
      </Box>
    </Box>
  );
}

type Felt = { grade: number; tenderness: number };

function Row({
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
