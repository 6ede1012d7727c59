import { useTheme } from "@mui/material/styles";
import { useState } from "react";
import { landmarks, type LandmarkKey } from "~core/anatomy/landmarks";
import { formatSigned, formatValue, unitSign } from "~core/measure/format";
import type { Metric } from "~core/measure/metrics";
import { leastPairs } from "~core/statistics/pooled-ratio";
import type { MetricRepeat } from "~core/repeatability/study";
import { z95 } from "~core/units";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { agreementPlot } from "./agreement-layout";

type Shown = Omit<MetricRepeat, "metric"> & { metric: Pick<Metric, "name" | "unit">; more: number };
type Placing = { landmark: LandmarkKey; sd: number; dof: number; high: number };

const viewOf = (key: string) => key.split(".")[1]!;

/** Own figures metric by metric beside the model's, agreement of the chosen one, and the scatter of each landmark. */
export function Results({ metrics, placing }: { metrics: readonly Shown[]; placing: readonly Placing[] }) {
  const { tokens } = useTheme();
  const [chosen, setChosen] = useState(metrics[0]?.key);
  const shown = metrics.find(({ key }) => key === chosen) ?? metrics[0]!;
  const used = metrics.filter((each) => each.used.own).length;
  return (
    <Box>
      <Typography variant="h2">
        {used === 0
          ? metrics.some(({ sem }) => sem.dof >= leastPairs)
            ? "Your marks scatter no more than the model has it"
            : "Too few repeats to be used yet"
          : `Your own figures are used for ${used} of ${metrics.length} metrics`}
      </Typography>
      <Typography sx={{ color: "text.secondary", mb: 1.5, maxWidth: 640 }}>
        From {leastPairs} repeat pairs on, your SEM is pooled with the model’s by degrees of freedom, and counts where
        it is larger: marking again cannot see a point that is found wrongly both times. The smallest difference that
        marking alone could tell is MDC95; camera and standing come on top of it in every comparison.
      </Typography>
      <Box sx={{ overflowX: "auto" }}>
        <Box component="table" sx={{ borderCollapse: "collapse", width: "100%", minWidth: 620, fontSize: 15 }}>
          <thead>
            <Box
              component="tr"
              sx={{ "& th": { textAlign: "right", fontWeight: 450, fontSize: 13, color: "text.secondary", pb: 0.5 } }}
            >
              <Box component="th" sx={{ "&&": { textAlign: "left" } }}>
                Metric
              </Box>
              <th>Pairs</th>
              <th>Own SEM</th>
              <th>Model</th>
              <th>Used</th>
              <th>MDC95</th>
              <th>ICC (95%)</th>
            </Box>
          </thead>
          <tbody>
            {metrics.map((each) => (
              <Box
                component="tr"
                key={each.key}
                sx={{
                  borderTop: `1px solid ${tokens.line}`,
                  boxShadow: each === shown ? `inset 3px 0 0 ${tokens.ember}` : "none",
                  "& td": { textAlign: "right", py: 0.6, whiteSpace: "nowrap" },
                }}
              >
                <Box component="td" sx={{ "&&": { textAlign: "left", pl: 1 } }}>
                  <Box
                    component="button"
                    type="button"
                    onClick={() => setChosen(each.key)}
                    aria-pressed={each === shown}
                    sx={{
                      all: "unset",
                      cursor: "pointer",
                      "&:focus-visible": { outline: "2px solid", outlineColor: "primary.main" },
                    }}
                  >
                    {each.metric.name}, {viewOf(each.key)}
                  </Box>
                </Box>
                <td>{each.sem.dof}</td>
                <td>{formatValue(each.metric, each.sem.sd)}</td>
                <Box component="td" sx={{ color: "text.secondary" }}>
                  {formatValue(each.metric, each.model)}
                </Box>
                <td>
                  <strong>{formatValue(each.metric, each.used.sd)}</strong> {each.used.own ? "own" : "model"}
                </td>
                <td>
                  ±{formatValue(each.metric, each.mdc)}
                  {unitSign(each.metric)}
                </td>
                <td>
                  {each.icc
                    ? `${each.icc.icc.toFixed(2).replace("-", "−")} (${Math.max(0, each.icc.low).toFixed(2)}–${each.icc.high.toFixed(2)})`
                    : "–"}
                </td>
              </Box>
            ))}
          </tbody>
        </Box>
      </Box>
      <Agreement shown={shown} />
      <Typography sx={{ mt: 1, maxWidth: 640 }}>
        {shown.more === 0
          ? `${shown.sem.dof} pairs are enough: the true SEM is at most half again as large as the one found (95%).`
          : `${shown.more} more ${shown.more === 1 ? "pair" : "pairs"} of this view would settle it: until then the true SEM may be more than half again as large as the one found (95%).`}
      </Typography>
      <Typography variant="h2" sx={{ mt: 4 }}>
        How far your points scatter
      </Typography>
      <Typography sx={{ color: "text.secondary", mb: 1 }}>
        Standard deviation on the body in one direction. Dot: yours, line up to where it may truly be (95%). Bar: usual.
      </Typography>
      <Scatter placing={placing} />
    </Box>
  );
}

function Agreement({ shown }: { shown: Shown }) {
  const { tokens } = useTheme();
  if (!shown.agreement) return null;
  const [width, height] = [560, 170];
  const plot = agreementPlot(shown.agreement, width, height);
  const { metric } = shown;
  const inUnit = (value: number) => `${formatSigned(metric, value)}${unitSign(metric)}`;
  return (
    <Box sx={{ mt: 3 }}>
      <Typography variant="h3">
        {metric.name}, {viewOf(shown.key)}: second marking against first
      </Typography>
      <svg
        viewBox={`-62 -8 ${width + 220} ${height + 46}`}
        width="100%"
        style={{ maxWidth: 720, display: "block" }}
        role="img"
        aria-label={`Differences between first and second marking: bias ${inUnit(shown.agreement.bias)}, limits ${inUnit(shown.agreement.low)} to ${inUnit(shown.agreement.high)}`}
      >
        <rect x={0} width={width} y={plot.high} height={plot.low - plot.high} fill={tokens.band} />
        <line x1={0} x2={width} y1={plot.zero} y2={plot.zero} stroke={tokens.line} strokeWidth={1.5} />
        <line x1={0} x2={width} y1={plot.bias} y2={plot.bias} stroke={tokens.ink} strokeDasharray="5 4" />
        {plot.points.map(({ x, y }, i) => (
          <circle key={i} cx={x} cy={y} r={4.2} fill={tokens.ink} fillOpacity={0.75} />
        ))}
        <g fontSize={12.5} fill={tokens.inkSoft}>
          {plot.up.map(({ y, value }) => (
            <text key={value} x={-8} y={y + 4} textAnchor="end">
              {formatSigned(metric, value)}
            </text>
          ))}
          {plot.across.map(({ x, value }) => (
            <text key={value} x={x} y={height + 18} textAnchor="middle">
              {formatValue(metric, value)}
            </text>
          ))}
          <text x={width / 2} y={height + 34} textAnchor="middle">
            {`mean of both (${metric.unit === "deg" ? "°" : "mm"})`}
          </text>
          <text x={width + 8} y={plot.bias + 4} fill={tokens.ink}>{`bias ${inUnit(shown.agreement.bias)}`}</text>
          <text x={width + 8} y={plot.high + 4}>{`upper limit ${inUnit(shown.agreement.high)}`}</text>
          <text x={width + 8} y={plot.low + 4}>{`lower limit ${inUnit(shown.agreement.low)}`}</text>
        </g>
      </svg>
    </Box>
  );
}

function Scatter({ placing }: { placing: readonly Placing[] }) {
  const { tokens } = useTheme();
  const most = Math.max(...placing.map(({ sd, landmark }) => Math.max(1.2 * sd, landmarks[landmark].placing)), 1);
  const x = (mm: number) => 200 + (300 * Math.min(mm, most)) / most;
  return (
    <svg
      viewBox={`0 0 640 ${placing.length * 26 + 4}`}
      width="100%"
      style={{ maxWidth: 660, display: "block" }}
      role="img"
      aria-label="Own placing error of each landmark beside the usual one"
    >
      {placing.map(({ landmark, sd, dof, high }, i) => (
        <g key={landmark} transform={`translate(0 ${i * 26})`} fontSize={13.5}>
          <text y={17} fill={tokens.ink}>
            {landmarks[landmark].name}
          </text>
          <rect x={200} width={x(landmarks[landmark].placing) - 200} y={8} height={9} fill={tokens.band} />
          <line x1={x(sd)} x2={x(high)} y1={12.5} y2={12.5} stroke={tokens.slate} strokeWidth={3} opacity={0.5} />
          <circle cx={x(sd)} cy={12.5} r={4.5} fill={tokens.slate} />
          <text x={512} y={17} fill={tokens.inkSoft}>
            {`±${(z95 * sd).toFixed(1)} mm · ${Math.round(dof)} pairs`}
          </text>
        </g>
      ))}
    </svg>
  );
}
