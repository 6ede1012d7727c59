import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import Typography from "@mui/material/Typography";
import { useState } from "react";
import { data, useFetcher, useSubmit } from "react-router";
import type { Route } from "./+types/touch";
import { layers, layerName, type LayerKey } from "~core/anatomy/layers";
import { regionName, type RegionKey } from "~core/anatomy/regions";
import { structureOf } from "~core/anatomy/structures";
import { historyOf, latestGrade, type Moment, type Restriction } from "~core/findings/restriction";
import { inSession, keeping } from "~app/session.server";
import { ownVisit, visitOf } from "~app/routes/client/workspace.server";
import { Overtaken, useKeeper } from "~app/ui/use-keeper";
import { useNotify } from "~app/ui/notices";
import { depthColours } from "~app/ui/theme";
import { validate } from "~app/validation";
import { addRestriction, gradeRestriction, restrictionsOf, setRestrictionRemoved } from "~data/findings";
import { getClient } from "~data/clients";
import { BodyMap } from "./body-map";
import { NewRestriction } from "./new-restriction";
import { gradingSchema, restrictionSchema } from "./restriction-form";

export const handle = { slim: true };

export function loader({ request, params, context }: Route.LoaderArgs) {
  return inSession(context, async ({ tx }) => {
    const client = await getClient(tx, params.clientId);
    const { visit } = await visitOf(tx, client.id, request);
    return { visit, restrictions: await restrictionsOf(tx, client.id) };
  });
}

export { keepTyped as clientAction } from "~app/ui/keep-typed";

export function action({ params, context }: Route.ActionArgs) {
  return keeping(context, async ({ tx, body }) => {
    const sent = body.fields;
    const client = await getClient(tx, params.clientId);
    if (sent.intent === "remove" || sent.intent === "restore") {
      await setRestrictionRemoved(tx, client.id, String(sent.id), sent.intent === "remove");
      return { ok: true };
    }
    const visit = await ownVisit(tx, client.id, sent.visitId);
    const { value: grading, errors } = await validate(gradingSchema, sent);
    if (errors) return data({ errors }, { status: 400 });
    if (sent.intent === "add") {
      const { value, errors } = await validate(restrictionSchema, sent);
      if (errors) return data({ errors }, { status: 400 });
      await addRestriction(tx, client.id, value as Parameters<typeof addRestriction>[2]);
    }
    const { id, moment, was, grade, tenderness } = grading;
    const at = { restrictionId: id, visitId: visit.id, moment };
    await gradeRestriction(tx, client.id, at, { grade, tenderness }, sent.intent === "add" ? null : was);
    return { ok: true };
  });
}

export default function Touch({ loaderData: { visit, restrictions } }: Route.ComponentProps) {
  const [moment, setMoment] = useState<Moment>("before");
  const [peeled, setPeeled] = useState<LayerKey | "all">("all");
  const [place, setPlace] = useState<{ region: RegionKey; side: "L" | "R" } | undefined>();
  const shown = restrictions.filter((restriction) => peeled === "all" || restriction.layer === peeled);
  return (
    <Box
      sx={{
        display: "grid",
        gridTemplateColumns: {
          xs: "1fr",
          sm: "minmax(300px, 45%) minmax(0, 1fr)",
          md: "minmax(420px, 548px) minmax(0, 1fr)",
        },
      }}
    >
      <Box
        sx={(t) => ({
          bgcolor: "background.paper",
          borderRight: { sm: `1px solid ${t.tokens.line}` },
          p: 2,
          minHeight: { md: "calc(100dvh - 132px)" },
        })}
      >
        <ToggleButtonGroup
          exclusive
          size="small"
          value={peeled}
          onChange={(_, value: LayerKey | "all" | null) => value && setPeeled(value)}
          aria-label="Peel to layer"
          sx={{ flexWrap: "wrap", mb: 1 }}
        >
          <ToggleButton value="all" sx={{ px: 0.75, fontSize: 12 }}>
            All layers
          </ToggleButton>
          {layers.map((layer) => (
            <ToggleButton key={layer.key} value={layer.key} sx={{ gap: 0.5, px: 0.75, fontSize: 12 }}>
              <Box
                component="span"
                sx={(t) => ({
                  width: 10,
                  height: 10,
                  borderRadius: "2px",
                  bgcolor: depthColours[layer.depth - 1],
                  border: `1px solid ${t.tokens.inkSoft}`,
                })}
              />
              {layer.name}
            </ToggleButton>
          ))}
        </ToggleButtonGroup>
        <Box sx={{ "& svg": { maxHeight: { xs: "44dvh", sm: "none" }, width: "100%" } }}>
          <BodyMap restrictions={shown} chosen={place} choose={setPlace} />
        </Box>
        <Typography sx={{ fontSize: 13.5, color: "text.secondary", mt: 1 }}>
          Choose a place to add what you feel. A mark’s size is its grade, its colour the layer; R and L are the
          client’s own sides.
        </Typography>
      </Box>
      <Box sx={{ p: { xs: 2, sm: 3 } }}>
        <Box sx={{ display: "flex", alignItems: "center", gap: 2, mb: 2, flexWrap: "wrap" }}>
          <Typography variant="h2" sx={{ flex: 1 }}>
            {restrictions.length === 0
              ? "No restrictions yet"
              : `${restrictions.length} ${restrictions.length === 1 ? "restriction" : "restrictions"}`}
          </Typography>
          <ToggleButtonGroup
            exclusive
            size="small"
            value={moment}
            onChange={(_, value: Moment | null) => value && setMoment(value)}
            aria-label="Moment"
          >
            <ToggleButton value="before">Before visit {visit.ordinal}</ToggleButton>
            <ToggleButton value="after">After</ToggleButton>
          </ToggleButtonGroup>
        </Box>
        {place && (
          <NewRestriction
            key={`${place.region} ${place.side}`}
            place={place}
            preferred={peeled === "all" ? undefined : peeled}
            visitId={visit.id}
            moment={moment}
            close={() => setPlace(undefined)}
          />
        )}
        {restrictions.length === 0 && !place && (
          <Typography sx={{ color: "text.secondary", maxWidth: 480 }}>
            Choose the place on the figure where skin lift, glide or rocking stops early. One spot keeps its history
            over the whole series, and the plan works from these grades.
          </Typography>
        )}
        <Box component="ul" sx={{ listStyle: "none", p: 0, m: 0 }}>
          {shown.map((restriction) => (
            <Row
              key={`${restriction.id} ${visit.id} ${moment}`}
              restriction={restriction}
              visit={visit}
              moment={moment}
            />
          ))}
        </Box>
      </Box>
    </Box>
  );
}

type Felt = { grade: number; tenderness: number };

const sideWord = { L: "left", R: "right", both: "both sides" } as const;

function Row({
  restriction,
  visit,
  moment,
}: {
  restriction: Restriction;
  visit: { id: string; ordinal: number };
  moment: Moment;
}) {
  const fetcher = useFetcher();
  const submit = useSubmit();
  const notify = useNotify();
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
  const send = (change: Partial<Felt>) => kept.keep({ grade: grade ?? latest?.grade ?? 0, tenderness, ...change });
  const name = `${structureOf(restriction.structure)?.name ?? regionName(restriction.region)}, ${sideWord[restriction.side]}`;
  const remove = () => {
    void fetcher.submit({ intent: "remove", id: restriction.id }, { method: "post", encType: "application/json" });
    notify(`${name} is taken off the list.`, {
      undo: () =>
        void submit(
          { intent: "restore", id: restriction.id },
          { method: "post", encType: "application/json", navigate: false },
        ),
    });
  };
  return (
    <Box
      component="li"
      sx={(t) => ({
        borderTop: `1px solid ${t.tokens.line}`,
        py: 1.25,
        display: "grid",
        gridTemplateColumns: { xs: "1fr", lg: "minmax(0,1fr) auto auto auto" },
        gap: 1.5,
        alignItems: "center",
      })}
    >
      <Box>
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
        </Typography>
      </Box>
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
          onChange={(event: React.ChangeEvent<HTMLSelectElement>) => send({ tenderness: Number(event.target.value) })}
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
      <Button
        size="small"
        color="inherit"
        sx={{ color: "text.secondary" }}
        onClick={remove}
        aria-label={`Take ${name} off the list`}
      >
        Remove
      </Button>
      <Overtaken
        by={kept}
        what={name}
        words={(felt) => (felt ? `grade ${felt.grade}, tender ${felt.tenderness}` : "not graded")}
      />
    </Box>
  );
}
