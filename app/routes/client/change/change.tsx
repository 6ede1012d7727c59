import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import Typography from "@mui/material/Typography";
import { useTheme } from "@mui/material/styles";
import { Link, useSearchParams } from "react-router";
import type { Route } from "./+types/change";
import { compareMoments, type Change as MetricChange } from "~core/change/compare";
import { keptBetween } from "~core/change/carry-over";
import { momentsOf, type MomentReadings } from "~core/change/moments";
import { formatSigned, formatValue, unitSign } from "~core/measure/format";
import { stanceLine } from "~core/measure/stance-line";
import { viewName, views, isSideView } from "~core/measure/view";
import { structureOf } from "~core/anatomy/structures";
import { inSession } from "~app/session.server";
import { visitOf } from "~app/routes/client/workspace.server";
import { changeColour } from "~app/ui/change-colour";
import { Empty } from "~app/ui/page";
import { getClient } from "~data/clients";
import { restrictionsOf } from "~data/findings";
import { measurementsOf } from "~data/measurements";
import { photosOfClient } from "~data/photos";
import { changeBar, stancePaths } from "./change-layout";
import { summarise } from "~core/change/summary";

export function loader({ request, params, context }: Route.LoaderArgs) {
  return inSession(context, async ({ tx }) => {
    const client = await getClient(tx, params.clientId);
    const { visit } = await visitOf(tx, client.id, request);
    return {
      clientId: client.id,
      ordinal: visit.ordinal,
      photos: await photosOfClient(tx, client.id),
      byHand: await measurementsOf(tx, client.id),
      restrictions: await restrictionsOf(tx, client.id),
    };
  });
}

const momentName = (moment: MomentReadings) => `${moment.moment} visit ${moment.ordinal}`;

export default function Change({
  loaderData: { clientId, ordinal, photos, byHand, restrictions },
}: Route.ComponentProps) {
  const [params, setParams] = useSearchParams();
  const moments = momentsOf(photos, byHand);
  if (moments.length < 2)
    return (
      <Box sx={{ p: 3 }}>
        <Empty
          title={moments.length === 0 ? "Nothing is measured yet" : "One moment is measured; change needs two"}
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
          Mark the same view before and after a session, or at two visits. What changed then appears here, with how sure
          that is.
        </Empty>
      </Box>
    );

  // By default: within the visit that is shown, when both its moments are there; else from the first to the latest.
  const at = (key: string | null) => moments.find((moment) => moment.key === key);
  const own = { before: at(`${ordinal}-before`), after: at(`${ordinal}-after`) };
  const second = at(params.get("to")) ?? own.after ?? own.before ?? moments.at(-1)!;
  const first = at(params.get("from")) ?? (second === own.after && own.before ? own.before : moments[0]!);
  const changes = compareMoments(first.readings, second.readings);
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
  const { title, next } = summarise(changes, keptBetween(moments, second.ordinal - 1));
  const graded = restrictions.filter((restriction) => restriction.grades.length > 1);

  return (
    <Box sx={{ display: "grid", gridTemplateColumns: { xs: "1fr", lg: "430px minmax(0, 1fr)" } }}>
      <Box
        sx={(t) => ({
          bgcolor: "background.paper",
          borderRight: { lg: `1px solid ${t.tokens.line}` },
          p: 2.5,
        })}
      >
        <Box sx={{ display: "flex", gap: 1.5, mb: 2, flexWrap: "wrap" }}>
          {pick("from", "From", first.key)}
          {pick("to", "To", second.key)}
        </Box>
        <Overlay first={first} second={second} />
        <Typography sx={{ fontSize: 13.5, color: "text.secondary", mt: 1 }}>
          Dashed: {momentName(first)}. Solid: {momentName(second)}. Same scale, standing on the same ankles, true to the
          plumb line.
        </Typography>
      </Box>
      <Box sx={{ p: { xs: 2, sm: 3 }, minWidth: 0 }}>
        <Typography variant="h2">{title}</Typography>
        <Typography sx={{ color: "text.secondary", mb: 1.5 }}>
          Pale band: smaller than this cannot be told from marking error. It is the model’s error, not yet your own.
        </Typography>
        {changes.length === 0 ? (
          <Typography>These two moments have no metric in common. Mark the same view at both.</Typography>
        ) : (
          <Box component="ul" sx={{ listStyle: "none", p: 0, m: 0 }}>
            {changes.map((change) => (
              <Row key={change.id} change={change} />
            ))}
          </Box>
        )}
        {changes.length > 0 && (
          <>
            <Typography variant="h3" component="h3" sx={{ mt: 2.5 }}>
              What next
            </Typography>
            <Typography sx={{ maxWidth: 720 }}>{next}</Typography>
          </>
        )}
        {graded.length > 0 && (
          <>
            <Typography variant="h3" component="h3" sx={{ mt: 2.5 }}>
              Restrictions by hand
            </Typography>
            <Box component="ul" sx={{ m: 0, pl: 2.5 }}>
              {graded.map((restriction) => (
                <li key={restriction.id}>
                  {structureOf(restriction.structure)?.name}
                  {restriction.side === "both" ? "" : restriction.side === "L" ? ", left" : ", right"}:{" "}
                  {restriction.grades.map((each) => each.grade).join(" → ")}
                </li>
              ))}
            </Box>
          </>
        )}
      </Box>
    </Box>
  );
}

const sideName = (change: MetricChange) =>
  change.first.metric.sides === "each"
    ? change.first.side === "L"
      ? ", left"
      : ", right"
    : change.id.endsWith(".right") && change.first.metric.sides === "near"
      ? ", right side"
      : "";

function Row({ change }: { change: MetricChange }) {
  const { tokens } = useTheme();
  const { metric } = change.first;
  const bar = changeBar(change, 230);
  const colour = changeColour(tokens, change);
  const ahead = bar.end >= bar.start ? 1 : -1;
  const long = Math.abs(bar.end - bar.start) > 3;
  return (
    <Box
      component="li"
      title={
        change.verdict === "unclear"
          ? `Unclear: the difference (${formatSigned(metric, change.difference)}${unitSign(metric)}) is smaller than the marking error (±${formatValue(metric, change.smallestReal)}${unitSign(metric)}).`
          : `From ${formatValue(metric, change.first.value)} to ${formatValue(metric, change.second.value)}${unitSign(metric)}.`
      }
      sx={(t) => ({
        display: "grid",
        gridTemplateColumns: { xs: "1fr auto", md: "minmax(150px, 190px) 232px 84px minmax(0, 1fr)" },
        columnGap: 2,
        alignItems: "center",
        minHeight: 42,
        borderTop: `1px solid ${t.tokens.line}`,
      })}
    >
      <span>
        {metric.name}
        {sideName(change)}
      </span>
      <svg width={bar.width} height={28} aria-hidden style={{ display: "block" }}>
        <rect x={bar.band.from} width={bar.band.to - bar.band.from} y={4} height={20} fill={tokens.band} />
        <line x1={bar.start} x2={bar.start} y1={3} y2={25} stroke={tokens.inkSoft} strokeWidth={1} />
        <line x1={bar.start} x2={bar.end - (long ? ahead * 5 : 0)} y1={14} y2={14} stroke={colour} strokeWidth={3.2} />
        {long && <path d={`M${bar.end} 14 l${-ahead * 8} -5 v10 z`} fill={colour} />}
      </svg>
      <Box sx={{ textAlign: "right", whiteSpace: "nowrap" }}>
        <strong style={{ fontSize: 16.5 }}>
          {formatSigned(metric, change.difference)}
          {unitSign(metric)}
        </strong>
      </Box>
      <Box sx={{ color: colour, fontSize: 14.5 }}>
        {change.verdict === "real"
          ? `real${change.direction ? `, ${change.direction}` : ", in the usual range"}`
          : `unclear, under ±${formatValue(metric, change.smallestReal)}${unitSign(metric)}`}
      </Box>
    </Box>
  );
}

function Overlay({ first, second }: { first: MomentReadings; second: MomentReadings }) {
  const { tokens } = useTheme();
  const scale = 0.19;
  const shown = views
    .map((view) => {
      const line = (moment: MomentReadings) => {
        const photo = moment.photos.find((each) => each.view === view);
        return photo && stanceLine(photo);
      };
      return { view, before: line(first), after: line(second) };
    })
    .filter(({ before, after }) => before && after)
    .slice(0, 3);
  if (shown.length === 0)
    return <Typography sx={{ color: "text.secondary" }}>No view is marked at both moments.</Typography>;
  const gap = 420 / shown.length;
  return (
    <svg
      viewBox="0 0 420 390"
      width="100%"
      role="img"
      aria-label={`Stance lines of ${shown.map(({ view }) => viewName[view].toLowerCase()).join(" and ")}, two moments laid over each other`}
    >
      <line x1={10} x2={410} y1={358} y2={358} stroke={tokens.line} strokeWidth={1.5} />
      {shown.map(({ view, before, after }, i) => (
        <g key={view} transform={`translate(${gap * (i + 0.5)} 358)`}>
          <line x1={0} x2={0} y1={6} y2={-345} stroke={tokens.ember} strokeWidth={1.4} opacity={0.65} />
          {/* side views are drawn as seen: facing left from the left side */}
          <g
            transform={view === "left" || view === "back" ? "scale(-1 1)" : undefined}
            fill="none"
            strokeLinecap="round"
            strokeLinejoin="round"
          >
            {stancePaths(before!, scale).map((d) => (
              <path key={d} d={d} stroke={tokens.inkSoft} strokeWidth={1.6} strokeDasharray="4 4" />
            ))}
            {stancePaths(after!, scale).map((d) => (
              <path key={d} d={d} stroke={tokens.ink} strokeWidth={2.3} />
            ))}
            {isSideView(view) &&
              [before!, after!].map((line, k) =>
                line.chains
                  .flat()
                  .map(({ across, up }, n) => (
                    <circle
                      key={`${k} ${n}`}
                      cx={across * scale}
                      cy={-up * scale}
                      r={k === 0 ? 3 : 3.6}
                      fill={k === 0 ? tokens.sheet : tokens.ink}
                      stroke={k === 0 ? tokens.inkSoft : tokens.ink}
                      strokeWidth={1.2}
                    />
                  )),
              )}
          </g>
          <text y={24} textAnchor="middle" fontSize={13} fill={tokens.inkSoft}>
            {viewName[view].toLowerCase()}
          </text>
        </g>
      ))}
    </svg>
  );
}
