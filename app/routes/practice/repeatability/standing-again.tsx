import { formatValue, unitSign } from "~core/measure/format";
import { methodName } from "~core/measure/methods";
import type { Metric } from "~core/measure/metrics";
import { leastPairs } from "~core/statistics/pooled-ratio";
import { isUsed, type StandingRepeat } from "~core/repeatability/standing-study";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";

type Shown = Omit<StandingRepeat, "metric"> & { metric: Pick<Metric, "name" | "unit"> };

/** What standings that were taken twice or three times say: everything that differs from one standing to the next. */
export function StandingAgain({ metrics }: { metrics: readonly Shown[] }) {
  const used = metrics.filter((each) => isUsed(each as StandingRepeat)).length;
  return (
    <Box component="section" aria-label="Standing again" sx={{ mt: 4 }}>
      <Typography variant="h2">
        {metrics.length === 0
          ? "How differently people stand is assumed"
          : used === 0
            ? "Standing again: too few pairs to be used yet"
            : `Standing again: your own figures are used for ${used} of ${metrics.length} metrics`}
      </Typography>
      <Typography sx={{ color: "text.secondary", mb: 1.5, maxWidth: 640 }}>
        Whenever you photograph or measure two or three standings of somebody on Stand (they step off and stand again;
        you yourself will do), they count here, each method for itself. They cover finding the points, or measuring,
        turning and standing. They do not cover how the camera was set up, how deep a point lies, and what another
        marker would see. From {leastPairs} pairs on they are pooled with what is assumed, which counts for ten.
      </Typography>
      {metrics.length > 0 && (
        <Box sx={{ overflowX: "auto" }}>
          <Box component="table" sx={{ borderCollapse: "collapse", width: "100%", minWidth: 520, fontSize: 15 }}>
            <thead>
              <Box
                component="tr"
                sx={{ "& th": { textAlign: "right", fontWeight: 450, fontSize: 13, color: "text.secondary", pb: 0.5 } }}
              >
                <Box component="th" sx={{ "&&": { textAlign: "left" } }}>
                  Metric
                </Box>
                <th>Pairs</th>
                <th>Own, one standing</th>
                <th>Assumed</th>
                <th>Used</th>
              </Box>
            </thead>
            <tbody>
              {metrics.map((each) => (
                <Box
                  component="tr"
                  key={each.key}
                  sx={(t) => ({
                    borderTop: `1px solid ${t.tokens.line}`,
                    "& td": { textAlign: "right", py: 0.6, whiteSpace: "nowrap" },
                  })}
                >
                  <Box component="td" sx={{ "&&": { textAlign: "left" } }}>
                    {each.metric.name}, {each.key.split(".")[1]}
                    {each.method !== "photo" && `, ${methodName(each.method).toLowerCase()}`}
                  </Box>
                  <td>{each.dof}</td>
                  <td>{formatValue(each, each.own)}</td>
                  <Box component="td" sx={{ color: "text.secondary" }}>
                    {formatValue(each, each.expected)}
                  </Box>
                  <td>
                    <strong>
                      {formatValue(each, each.used)}
                      {unitSign(each)}
                    </strong>{" "}
                    {isUsed(each as StandingRepeat) ? "own" : "assumed"}
                  </td>
                </Box>
              ))}
            </tbody>
          </Box>
        </Box>
      )}
    </Box>
  );
}
