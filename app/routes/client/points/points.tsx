import Button from "@mui/material/Button";
import { useMemo, useState } from "react";
import { data } from "react-router";
import { cachedLoader } from "~app/server/cached-loader.server";
import type { Route } from "./+types/points";
import { depthOf } from "~core/anatomy/layers";
import { structureOf } from "~core/anatomy/structures";
import type { Moment } from "~core/findings/restriction";
import { outFor, workOf } from "~core/screening/advice";
import { acting } from "~core/screening/outcome";
import { dayOfVisit, judgedOf } from "~app/server/client/screening.server";
import { feltInOrder, type TriggerPoint } from "~core/findings/trigger-point";
import { keeping } from "~app/server/request/session.server";
import { ownVisit, visitOf } from "~app/server/client/workspace.server";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { BodyFigure, type FigureMark } from "~app/ui/body-figure";
import type { DrawnLine } from "~app/ui/draw-on-figure";
import { FigureColumn } from "~app/ui/figure-column";
import { MomentToggle } from "~app/ui/moment-toggle";
import { depthColours } from "~app/ui/theme";
import { findingName } from "~core/findings/finding-name";
import { validate } from "~app/validation";
import { deserialised } from "~app/serialised";
import { getClient } from "~data/clients";
import { addTriggerPoint, feelPoint, setPointRemoved, triggerPointsOf, type PointDraft } from "~data/trigger-points";
import { NewPoint } from "./new-point";
import { PointCard } from "./point-card";
import { pointSchema, pressedSchema } from "./point-form";

export const handle = { slim: true };

export function loader(asked: Route.LoaderArgs) {
  return cachedLoader(asked, "points", async ({ tx, practitioner }) => {
    const client = await getClient(tx, asked.params.clientId);
    const { visit } = await visitOf(tx, client.id, asked.request);
    const cautions = acting(await judgedOf(tx, client, practitioner), dayOfVisit(visit));
    const points = await triggerPointsOf(tx, client.id);
    return {
      visit,
      points: points.map((point) => {
        const places = structureOf(point.structure)!.places;
        const out = outFor(workOf("hold", { places, structure: point.structure }), cautions, point.side);
        return { ...point, ...(out !== undefined && { out }) };
      }),
    };
  });
}

export { keepTyped as clientAction } from "~app/ui/keep-typed";

export function action({ params, context }: Route.ActionArgs) {
  return keeping(context, async ({ tx, body: { fields: sent } }) => {
    const client = await getClient(tx, params.clientId);
    if (sent.intent === "remove" || sent.intent === "restore") {
      await setPointRemoved(tx, client.id, String(sent.id), sent.intent === "remove");
      return { ok: true };
    }
    if (sent.intent === "add") {
      const { value, errors } = await validate(pointSchema, sent);
      if (errors) return data({ errors }, { status: 400 });
      await addTriggerPoint(tx, client.id, value as PointDraft);
      if (sent.tenderness === undefined) return { ok: true };
    }
    const { value, errors } = await validate(pressedSchema, sent);
    if (errors) return data({ errors }, { status: 400 });
    const visit = await ownVisit(tx, client.id, sent.visitId);
    const { id, moment, was, ...felt } = value;
    await feelPoint(
      tx,
      client.id,
      { pointId: id, visitId: visit.id, moment },
      felt,
      sent.intent === "add" ? null : was,
    );
    return { ok: true };
  });
}

/** Points as marks where they lie, each with its latest tenderness. */
const marksOf = (points: readonly TriggerPoint[], chosen: string | undefined): FigureMark[] =>
  points.map((point): FigureMark => {
    const own = structureOf(point.structure)!;
    const tender = feltInOrder(point).at(-1)?.tenderness;
    const deep = depthOf(own.layer);
    return {
      id: point.id,
      text: tender === undefined ? "·" : String(tender),
      title: `${findingName(point)}: ${tender === undefined ? "not pressed yet" : `tender ${tender} of 10`}`,
      structure: own.key,
      places: own.places,
      side: point.side,
      r: 8,
      fill: depthColours[deep - 1]!,
      ink: deep <= 2 ? "#2B2622" : "#FFFDFA",
      ...(point.at ? { at: point.at } : {}),
      faded: chosen !== undefined && chosen !== point.id,
    };
  });

export default function Points({ loaderData }: Route.ComponentProps) {
  const { visit, points } = deserialised(loaderData);
  const [moment, setMoment] = useState<Moment>("before");
  const [adding, setAdding] = useState(false);
  const [at, setAt] = useState<DrawnLine | undefined>();
  const [area, setArea] = useState<DrawnLine | undefined>();
  const [shown, setShown] = useState<string | undefined>();
  const marks = useMemo(() => marksOf(points, shown), [points, shown]);
  const chosen = points.find(({ id }) => id === shown);
  const done = () => {
    setAdding(false);
    setAt(undefined);
    setArea(undefined);
  };
  const own: FigureMark[] = at
    ? [
        {
          id: "new",
          text: "+",
          title: "The new point",
          places: at.places,
          side: at.side,
          r: 8,
          fill: "#B5431E",
          ink: "#FFFDFA",
          at: { view: at.view, point: at.points[0]! },
        },
      ]
    : [];
  return (
    <FigureColumn
      look={chosen?.area?.view}
      figure={(sights) => (
        <BodyFigure
          sights={sights}
          label="Where points lie and where they are felt"
          marks={[...marks, ...own]}
          areas={chosen?.area && !adding ? [{ id: chosen.id, ...chosen.area }] : []}
          chooseMark={adding ? undefined : (id) => setShown(id === shown ? undefined : id)}
          drawing={
            !adding
              ? undefined
              : at
                ? { kind: "area", line: area, done: setArea }
                : { kind: "point", line: undefined, done: setAt }
          }
        />
      )}
      hint={
        !adding
          ? "A mark’s number is how tender the point was last, its colour the layer. Choose a mark to see where it is felt."
          : at
            ? "Now draw round where it is felt, if it is felt elsewhere."
            : "Press where the point lies. R and L are the client’s own sides."
      }
    >
      <Box sx={{ display: "flex", alignItems: "center", gap: 2, mb: 2, flexWrap: "wrap" }}>
        <Typography variant="h2" sx={{ flex: "1 0 auto" }}>
          {points.length === 0
            ? "No trigger points yet"
            : `${points.length} ${points.length === 1 ? "trigger point" : "trigger points"}`}
        </Typography>
        <MomentToggle moment={moment} visit={visit.ordinal} set={setMoment} />
        {!adding && (
          <Button variant="contained" onClick={() => setAdding(true)}>
            Add a point
          </Button>
        )}
      </Box>
      {adding && (
        <NewPoint
          at={at}
          area={area}
          again={() => setAt(undefined)}
          visit={visit}
          moment={moment}
          points={points}
          done={done}
        />
      )}
      {points.length === 0 && !adding && (
        <Typography sx={{ color: "text.secondary", maxWidth: 480 }}>
          A point that is tender and felt elsewhere, too. How tender it is before and after says whether the hold did
          something; where it is felt says where to look.
        </Typography>
      )}
      <Box component="ul" sx={{ listStyle: "none", p: 0, m: 0 }}>
        {points.map((point) => (
          <PointCard
            key={`${point.id} ${visit.id} ${moment}`}
            point={point}
            out={point.out}
            visit={visit}
            moment={moment}
            shown={shown === point.id}
            show={() => setShown(shown === point.id ? undefined : point.id)}
          />
        ))}
      </Box>
    </FigureColumn>
  );
}
