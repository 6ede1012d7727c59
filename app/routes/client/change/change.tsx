import { changeNames, changeWords } from "~core/change/words";
import Button from "@mui/material/Button";
import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import { useTheme } from "@mui/material/styles";
import { Link, useSearchParams } from "react-router";
import type { Route } from "./+types/change";
import { incomparable, oneChangeEach, type Change as MetricChange } from "~core/change/compare";
import { compareMoments } from "~core/change/judge";
import { keptBetween } from "~core/change/carry-over";
import { momentsRead, withFound, type MomentReadings } from "~core/change/moments";
import { formatDifference, formatValue, unitSign } from "~core/measure/format";
import { methodName } from "~core/measure/methods";
import { stanceLine } from "~core/measure/stance-line";
import { viewName, views, type View } from "~core/measure/view";
import { cachedLoader } from "~app/server/cached-loader.server";
import { ownHands } from "~app/server/client/looks.server";
import { visitOf } from "~app/server/client/workspace.server";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { changeColour } from "~app/ui/change-colour";
import { Empty } from "~app/ui/page";
import { getClient } from "~data/clients";
import { measurementsOf } from "~data/measurements";
import { ownFigures } from "~app/server/client/own-figures.server";
import { photosOfClient } from "~data/photos";
import { StanceOverlay } from "~app/ui/stance-overlay";
import { deserialised, type LoaderData } from "~app/serialised";
import { isAt, type At } from "~kinds/kind";
import { differencesIn, kindsWith, momentsIn } from "~kinds/register";
import { recordsOf } from "~app/server/client/records.server";
import { KindChange } from "./kind-change";
import { MoveChange } from "./move-change";
import { LightChange } from "./light-change";
import { TableChange } from "./table-change";
import { changeBar } from "./change-layout";
import { summarise } from "~core/change/summary";

export function loader(asked: Route.LoaderArgs) {
  return cachedLoader(asked, "change", async ({ tx }) => {
    const client = await getClient(tx, asked.params.clientId);
    const { visit, visits } = await visitOf(tx, client.id, asked.request);
    return {
      records: await recordsOf(tx, client.id, visits, [...kindsWith("differences"), "lightTouch"]),
      hands: await ownHands(tx),
      clientId: client.id,
      ordinal: visit.ordinal,
      photos: await photosOfClient(tx, client.id),
      byHand: await measurementsOf(tx, client.id),
      figures: await ownFigures(tx),
    };
  });
}

/** What hands say of a change, kind by kind, each judged among its own. */
function ByHand({
  title,
  records,
  hands,
  first,
  second,
}: Pick<LoaderData<typeof loader>, "records" | "hands"> & { title?: string; first: At; second: At }) {
  const { look: table = [], range: moved = [], lightTouch: light = [] } = records;
  if (!momentsIn(records).some((each) => isAt(each, second))) return null;
  // these three say more than a list of differences
  const { look: _, range: __, lightTouch: ___, ...others } = records;
  return (
    <>
      {title && (
        <Typography variant="h2" sx={{ mt: 3 }}>
          {title}
        </Typography>
      )}
      <TableChange table={table} first={first} second={second} />
      <MoveChange moved={moved} first={first} second={second} />
      <LightChange light={light} hands={hands} first={first} second={second} />
      {differencesIn(others, first, second).map(({ key, name, list }) => (
        <KindChange key={key} name={name} list={list} />
      ))}
    </>
  );
}

const atOf = ({ ordinal, moment }: MomentReadings): At => ({ visit: ordinal, moment });
const momentName = (moment: MomentReadings) => `${moment.moment} visit ${moment.ordinal}`;

export default function Change({ loaderData }: Route.ComponentProps) {
  const { clientId, ordinal, photos, byHand, figures, records, hands } = deserialised(loaderData);
  const [params, setParams] = useSearchParams();
  const measured = momentsRead(photos, byHand, figures);
  const moments = withFound(measured, momentsIn(records));
  if (moments.length < 2)
    return (
      <Box sx={{ p: 3 }}>
        <Empty
          title={moments.length === 0 ? "Nothing is measured yet" : "One moment is known; change needs two"}
          action={
            <Button
              component={Link}
              to={`/clients/${clientId}/assess/stand?visit=${ordinal}${moments.length === 1 ? "&moment=after" : ""}`}
              variant="contained"
            >
              {moments.length === 0 ? "Measure the first" : "Measure the second"}
            </Button>
          }
        >
          Mark the same view before and after a session, or at two visits; or look, move and listen again by hand. What
          changed then appears here, with how sure that is.
        </Empty>
      </Box>
    );

  // By default: within the visit that is shown, when both its moments are there; else from the first to the latest. What
  // was measured comes before what was only found by hand.
  const usual = measured.length >= 2 ? measured : moments;
  const at = (key: string | null, among = moments) => among.find((moment) => moment.key === key);
  const own = { before: at(`${ordinal}-before`, usual), after: at(`${ordinal}-after`, usual) };
  const second = at(params.get("to")) ?? own.after ?? own.before ?? usual.at(-1)!;
  const first = at(params.get("from")) ?? (second === own.after && own.before ? own.before : usual[0]!);
  const changes = compareMoments(first.readings, second.readings);
  const names = changeNames(changes);
  const set = (key: "from" | "to", value: string) => {
    const next = new URLSearchParams(params);
    next.set(key, value);
    setParams(next, { replace: true, preventScrollReset: true });
  };
  const pick = (key: "from" | "to", label: string, value: string) => (
    <TextField
      select
      label={label}
      value={value}
      onChange={(event) => set(key, event.target.value)}
      sx={{ width: 184 }}
    >
      {moments.map((moment) => (
        <MenuItem key={moment.key} value={moment.key}>
          {momentName(moment)}
        </MenuItem>
      ))}
    </TextField>
  );
  const mixed = incomparable(first.readings, second.readings);
  // hands alone found something at one of the two: there is nothing to draw, and no figure to sum up
  const byHands = first.readings.length === 0 || second.readings.length === 0;
  const { title, chance, next } = summarise(oneChangeEach(changes), keptBetween(moments, second.ordinal - 1));

  return (
    <Box sx={{ display: "grid", gridTemplateColumns: { xs: "minmax(0, 1fr)", lg: "430px minmax(0, 1fr)" } }}>
      <Box
        sx={(t) => ({
          bgcolor: "background.paper",
          borderRight: { lg: `1px solid ${t.tokens.line}` },
          minWidth: 0,
          p: 2.5,
        })}
      >
        <Box sx={{ display: "flex", gap: 1.5, mb: 2, flexWrap: "wrap" }}>
          {pick("from", "From", first.key)}
          {pick("to", "To", second.key)}
        </Box>
        {byHands ? (
          <Typography sx={{ color: "text.secondary" }}>
            No picture is marked at both: what hands found and measured is compared. Pictures of the same view, marked
            at both, are drawn here over each other.
          </Typography>
        ) : (
          <>
            {/* what it amounts to comes first where the figures leave it no room beside them */}
            <Typography variant="h2" sx={{ display: { lg: "none" }, mb: 1.5 }}>
              {title}
            </Typography>
            <Overlay first={first} second={second} />
            <Typography sx={{ fontSize: 13.5, color: "text.secondary", mt: 1 }}>
              Dashed: {momentName(first)}. Solid: {momentName(second)}. Same scale, standing on the same ankles, true to
              the plumb line.
            </Typography>
          </>
        )}
      </Box>
      <Box sx={{ p: { xs: 2, sm: 3 }, minWidth: 0 }}>
        {byHands ? (
          <Typography variant="h2">
            By hand, {momentName(first)} to {momentName(second)}
          </Typography>
        ) : (
          <>
            <Typography variant="h2" sx={{ display: { xs: "none", lg: "block" } }}>
              {title}
            </Typography>
            <Typography sx={{ fontSize: 17, mb: 0.5 }}>{chance}</Typography>
            <Typography sx={{ color: "text.secondary", mb: 1.5 }}>
              Pale band: 95 % of what measuring, marking and standing differ by from one time to the next.{" "}
              {basisWords(changes)}
            </Typography>
            {changes.length === 0 ? (
              <Typography>These two moments have no metric in common. Mark the same view at both.</Typography>
            ) : (
              <Box component="ul" sx={{ listStyle: "none", p: 0, m: 0 }}>
                {changes.map((change, i) => (
                  <Row key={`${change.id} ${change.first.method}`} change={change} name={names[i]!} />
                ))}
              </Box>
            )}
          </>
        )}
        {changes.some(({ unjudged }) => unjudged) && (
          <Typography sx={{ mt: 1.5, fontSize: 14.5, color: "text.secondary", maxWidth: 720 }}>
            Not judged: what one picture cannot tell, because its band is wider than any change to be expected, and what
            rests on marks that were only taken over.
          </Typography>
        )}
        {mixed.length > 0 && (
          <Typography sx={{ mt: 1.5, fontSize: 14.5, maxWidth: 720 }}>
            Not compared, because the method changed:{" "}
            {mixed
              .map(
                ([before, after]) =>
                  `${before.metric.name.toLowerCase()} (${methodName(before.method).toLowerCase()}, then ${methodName(after.method).toLowerCase()})`,
              )
              .join(", ")}
            .
          </Typography>
        )}
        {changes.length > 0 && (
          <>
            <Typography variant="h3" component="h3" sx={{ mt: 2.5 }}>
              What next
            </Typography>
            <Typography sx={{ maxWidth: 720 }}>{next}</Typography>
          </>
        )}
        <ByHand records={records} hands={hands} first={atOf(first)} second={atOf(second)} />
        {/* what was only looked at again by hand has no picture of its moment to be chosen by */}
        {!(second.ordinal === ordinal && second.moment === "after") && (
          <ByHand
            records={records}
            hands={hands}
            title={`Within visit ${ordinal}`}
            first={{ visit: ordinal, moment: "before" }}
            second={{ visit: ordinal, moment: "after" }}
          />
        )}
      </Box>
    </Box>
  );
}

/** What the bands rest on: whose marking, and whether it is known how differently this person stands. */
function basisWords(changes: readonly MetricChange[]): string {
  const photos = changes.flatMap(({ first, second }) => [first, second]).filter(({ method }) => method === "photo");
  if (photos.length === 0) return "How differently one stands is assumed.";
  const known = (of: (reading: (typeof photos)[number]) => boolean) => {
    const n = photos.filter(of).length;
    return n === 0 ? "none" : n === photos.length ? "all" : "some";
  };
  const marking = {
    none: "Marking is taken as the model has it, not yet as you do it.",
    some: "Marking is the marker’s own where there are enough repeats, the model’s elsewhere.",
    all: "Marking is the marker’s own, pooled with the model’s.",
  }[known(({ basis }) => basis.kind === "own")];
  const standing = {
    none: "How differently one stands is assumed, until a standing study shows it.",
    some: "How differently one stands comes from the standing study where there are enough, and is assumed elsewhere.",
    all: "How differently one stands comes from the standing study.",
  }[known(({ stance }) => stance.kind === "study")];
  return `${marking} ${standing}`;
}

const rarity = (p: number) =>
  p < 0.001 ? "less than once in 1000 times" : p > 0.5 ? "more often than not" : `once in ${Math.round(1 / p)} times`;

function Row({ change, name }: { change: MetricChange; name: string }) {
  const { tokens } = useTheme();
  const bar = changeBar(change, 190);
  const colour = changeColour(tokens, change);
  const ahead = bar.end >= bar.start ? 1 : -1;
  const long = Math.abs(bar.end - bar.start) > 3;
  return (
    <Box
      component="li"
      title={
        change.unjudged ??
        `From ${formatValue(change.first, change.first.value)} to ${formatValue(change.first, change.second.value)}${unitSign(change.first)}. As far from nothing by chance alone: ${rarity(change.p)}.`
      }
      sx={(t) => ({
        display: "grid",
        gridTemplateColumns: { xs: "1fr auto", md: "minmax(150px, 200px) 192px 104px minmax(0, 1fr)" },
        columnGap: 2,
        alignItems: "center",
        minHeight: 42,
        borderTop: `1px solid ${t.tokens.line}`,
      })}
    >
      <span>
        {name}
        {change.first.method === "photo" ? "" : `, ${methodName(change.first.method).toLowerCase()}`}
      </span>
      <svg width={bar.width} height={28} aria-hidden style={{ display: "block" }}>
        <rect x={bar.band.from} width={bar.band.to - bar.band.from} y={4} height={20} fill={tokens.band} />
        <line x1={bar.start} x2={bar.start} y1={3} y2={25} stroke={tokens.inkSoft} strokeWidth={1} />
        <line x1={bar.start} x2={bar.end - (long ? ahead * 5 : 0)} y1={14} y2={14} stroke={colour} strokeWidth={3.2} />
        {long && <path d={`M${bar.end} 14 l${-ahead * 8} -5 v10 z`} fill={colour} />}
      </svg>
      <Box sx={{ textAlign: "right", whiteSpace: "nowrap" }}>
        <strong style={{ fontSize: 16.5 }}>{formatDifference(change.first, change)}</strong>
      </Box>
      <Box sx={{ color: colour, fontSize: 14.5 }}>{change.unjudged ? "not judged" : changeWords(change)}</Box>
      {change.parts && <Parts parts={change.parts} />}
    </Box>
  );
}

/** What each of the views that were brought together says by itself. */
function Parts({ parts }: { parts: NonNullable<MetricChange["parts"]> }) {
  return (
    <Box component="details" sx={{ gridColumn: "1 / -1", fontSize: 14, color: "text.secondary", pb: 0.75 }}>
      <summary>Each view by itself</summary>
      {parts
        .map(
          ({ id, first, ...difference }) =>
            `${viewName[id.split(".").at(-1) as View]}: ${formatDifference(first, difference)}`,
        )
        .join(" · ")}
      . Together they are more certain than either.
    </Box>
  );
}

/** The views that are marked at both moments. */
function Overlay({ first, second }: { first: MomentReadings; second: MomentReadings }) {
  const shown = views
    .map((view) => {
      const line = (moment: MomentReadings) => {
        const photo = moment.photos.find((each) => each.view === view);
        return photo && stanceLine(photo);
      };
      return { view, before: line(first), after: line(second) };
    })
    .filter(({ before, after }) => before && after);
  return shown.length === 0 ? (
    <Typography sx={{ color: "text.secondary" }}>No view is marked at both moments.</Typography>
  ) : (
    <StanceOverlay views={shown} />
  );
}
