import Button from "@mui/material/Button";
import { useCallback, useEffect, useMemo, useRef, useState } from "react";
import { data, useSubmit } from "react-router";
import { cachedLoader } from "~app/server/cached-loader.server";
import type { Route } from "./+types/touch";
import { placeOf } from "~core/anatomy/places";
import { structureOf } from "~core/anatomy/structures";
import { sessionsOn } from "~core/session/worked-on";
import { latestGrade, type Moment, type Restriction } from "~core/findings/restriction";
import type { SkinFound } from "~core/findings/skin";
import { today } from "~app/server/today.server";
import { skinOf } from "~data/skin";
import { keeping } from "~app/server/request/session.server";
import { ownVisit, visitOf } from "~app/server/client/workspace.server";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { MomentToggle } from "~app/ui/moment-toggle";
import { useTakeOff } from "~app/ui/use-take-off";
import type { Spot } from "~app/ui/body-figure";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import type { Side } from "~core/units";
import { validate } from "~app/validation";
import { addRestriction, gradeRestriction, restrictionsOf, setRestrictionRemoved } from "~data/findings";
import { getClient } from "~data/clients";
import { NotFound } from "~data/errors";
import { joinLines, separateLine, splitLine } from "~data/lines";
import { seriesOf } from "~data/series";
import { workedSessions } from "~app/server/client/plan-input.server";
import { deserialised } from "~app/serialised";
import { BodyMap } from "./body-map";
import { Different } from "./different";
import { FeltRing } from "./felt-ring";
import { FeltPanel } from "./felt-panel";
import { sameSpot, sendingOf, sideFor, type Finding, type Sending } from "./finding";
import { findingName } from "~core/findings/finding-name";
import { sideWord } from "~core/words";
import { LineEntry } from "./line-entry";
import type { ActOnLine } from "./line-menu";
import { RestrictionRow } from "./restriction-row";
import { actOnSkin } from "./skin.server";
import { SkinHere } from "./skin-here";
import { SkinList, skinName } from "./skin-list";
import { Sendings } from "./sendings";
import { StructuresHere } from "./structures-here";
import { takingBack, useUndo } from "./use-undo";
import { gradingSchema, restrictionSchema, splitSchema, ungradeSchema } from "./restriction-form";

export const handle = { slim: true };

export function loader(asked: Route.LoaderArgs) {
  return cachedLoader(asked, "touch", async ({ tx }) => {
    const client = await getClient(tx, asked.params.clientId);
    const { visit, visits } = await visitOf(tx, client.id, asked.request);
    const restrictions = await restrictionsOf(tx, client.id);
    const done = await workedSessions(tx, visits, await seriesOf(tx, client.id));
    return {
      visit,
      today: today(),
      restrictions,
      worked: restrictions.map(sessionsOn(done)),
      skin: await skinOf(tx, client.id),
    };
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
    if (String(sent.intent).startsWith("skin-")) return actOnSkin(tx, client.id, sent);
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

const none: readonly number[] = [];

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

export default function Touch({ loaderData }: Route.ComponentProps) {
  const { visit, today, restrictions, worked, skin } = deserialised(loaderData);
  const [moment, setMoment] = useState<Moment>("before");
  const [filter, setFilter] = useState<Filter>("all");
  const [spot, setSpot] = useState<Spot | undefined>();
  const [picked, setPicked] = useState<{ structure: string; side: Side | null } | undefined>();
  // held: what is felt stands around the finger
  const [held, setHeld] = useState<
    { structure: string; side: Side | null; at: { x: number; y: number } } | undefined
  >();
  // what a finger may have meant besides
  const [unsure, setUnsure] = useState<readonly { name: string; choose: () => void }[] | undefined>();
  const [sendings, setSendings] = useState<readonly Sending[]>([]);
  const [last, setLast] = useState<Finding | undefined>();
  const lastQuality = last?.quality ?? restrictions.at(-1)?.quality ?? "drag";
  const recent = useMemo(() => [...restrictions].reverse().map(({ structure }) => structure), [restrictions]);
  const undo = useUndo();
  const { did } = undo;
  const takeOff = useTakeOff();
  const submit = useSubmit();
  const act: ActOnLine = useCallback(
    (body, back) => {
      void submit(body as never, { method: "post", encType: "application/json", navigate: false });
      did(back);
    },
    [submit, did],
  );
  const sessions = useMemo(
    () => new Map(restrictions.map(({ id }, i) => [id, worked[i] ?? none] as const)),
    [restrictions, worked],
  );
  const keep = (finding: Finding) => {
    const sending = sendingOf(finding, { visit, moment }, restrictions);
    undo.did({ says: sending.name, body: takingBack(sending) });
    setSendings((before) => [...before, sending]);
    setLast(finding);
    setSpot(undefined);
    setPicked(undefined);
    setHeld(undefined);
    setUnsure(undefined);
  };
  // the same to its readers however often the page is drawn: what they show is drawn anew only when it changes
  const latestKeep = useRef(keep);
  useEffect(() => {
    latestKeep.current = keep;
  });
  const keepFinding = useCallback((finding: Finding) => latestKeep.current(finding), []);
  const closePanel = useCallback(() => {
    setPicked(undefined);
    setUnsure(undefined);
  }, []);
  const keepSkin = (found: Pick<SkinFound, "place" | "side" | "response" | "after">) => {
    const id = crypto.randomUUID();
    const name = skinName(found);
    undo.did({ says: name, body: { intent: "skin-remove", id, ifThere: true } });
    setSendings((before) => [...before, { id, name, body: { intent: "skin-add", id, visitId: visit.id, ...found } }]);
    setSpot(undefined);
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
      holdStructure={(structure, side, at) => {
        setPicked(undefined);
        setHeld({ structure, side, at });
      }}
    >
      {held && (
        <FeltRing
          {...held}
          side={sideFor(structureOf(held.structure)!, held.side)}
          restrictions={restrictions}
          lastQuality={lastQuality}
          keep={keep}
          close={() => setHeld(undefined)}
        />
      )}
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
      <LineEntry restrictions={restrictions} recent={recent} lastQuality={lastQuality} keep={keepFinding} />
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
          keep={keepFinding}
          close={closePanel}
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
          >
            <SkinHere keep={(response, after) => keepSkin({ ...spot, response, after })} />
          </StructuresHere>
        )
      )}
      {mirror && (
        <Box sx={{ mb: 1.5 }}>
          <Button size="small" variant="outlined" onClick={() => keep(mirror)}>
            {findingName(mirror)}, the same (M)
          </Button>
        </Box>
      )}
      <SkinList skin={skin} visit={visit.ordinal} today={today} />
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
          <RestrictionRow
            key={`${restriction.id} ${visit.id} ${moment}`}
            restriction={restriction}
            restrictions={restrictions}
            did={did}
            act={act}
            takeOff={takeOff}
            worked={sessions.get(restriction.id) ?? none}
            visit={visit}
            moment={moment}
          />
        ))}
      </Box>
    </BodyMap>
  );
}
