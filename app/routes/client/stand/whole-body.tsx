import { useTheme } from "@mui/material/styles";
import { formatBand, formatDifference, formatValue, unitSign } from "~core/measure/format";
import { leftRight, type SideDifference } from "~core/measure/left-right";
import type { Reading } from "~core/measure/reading";
import { methodName } from "~core/measure/methods";
import { stanceLine } from "~core/measure/stance-line";
import type { MarkedPhoto } from "~core/measure/read-photo";
import { isSideView, viewName } from "~core/measure/view";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { StanceOverlay } from "~app/ui/stance-overlay";

/** The whole body at one moment: stance lines, what stands off the plumb in each view, and left against right. */
export function WholeBody({
  readings,
  photos,
  earlier,
  earlierName,
}: {
  readings: readonly Reading[];
  photos: readonly MarkedPhoto[];
  earlier: readonly MarkedPhoto[];
  earlierName: string | undefined;
}) {
  const lines = photos
    .map((photo) => ({ view: photo.view, line: stanceLine(photo) }))
    .filter((each) => each.line !== undefined);
  const sums = readings.filter((reading) => reading.metric.key === "plumb-rms");
  const sides = leftRight(readings);
  return (
    <Box sx={{ display: "grid", gridTemplateColumns: { xs: "1fr", lg: "minmax(0, 520px) minmax(0, 1fr)" }, gap: 4 }}>
      <Box>
        <Typography variant="h2">Stance line</Typography>
        {lines.length === 0 ? (
          <Typography sx={{ color: "text.secondary" }}>
            Mark a view with its plumb, stick and ankles: the line through the joints appears here.
          </Typography>
        ) : (
          <>
            <StanceOverlay
              views={lines.map(({ view, line }) => {
                const before = earlier.find((photo) => photo.view === view);
                return { view, before: before && stanceLine(before), after: line };
              })}
            />
            <Typography sx={{ fontSize: 13.5, color: "text.secondary", mt: 1 }}>
              One scale, on the same ankles, true to the plumb line.
              {earlierName ? ` Dashed: ${earlierName}.` : ""}
            </Typography>
          </>
        )}
      </Box>
      <Box>
        <Typography variant="h2">Off the plumb, all together</Typography>
        {sums.length === 0 ? (
          <Typography sx={{ color: "text.secondary", mb: 3 }}>
            Not measured yet: it needs every level of a view.
          </Typography>
        ) : (
          <Box component="ul" sx={{ listStyle: "none", p: 0, mt: 0.5, mb: 3 }}>
            {sums.map((reading) => {
              const view = reading.id.split(".").at(-1) as MarkedPhoto["view"];
              return (
                <Box
                  component="li"
                  key={reading.id}
                  title={reading.metric.definition}
                  sx={(t) => ({ display: "flex", gap: 2, borderTop: `1px solid ${t.tokens.line}`, py: 0.75 })}
                >
                  <Box sx={{ flex: 1 }}>
                    {viewName[view]}, {isSideView(view) ? "forward and back" : "sideways"}
                  </Box>
                  <span>
                    <strong>{formatValue(reading, reading.value)}</strong>
                    {unitSign(reading)}{" "}
                    <Box component="span" sx={{ color: "text.secondary" }}>
                      {formatBand(reading, reading.se)}
                    </Box>
                  </span>
                </Box>
              );
            })}
          </Box>
        )}
        <Typography variant="h2">Left against right</Typography>
        {sides.length === 0 ? (
          <Typography sx={{ color: "text.secondary" }}>
            Nothing was taken of both sides yet. Front and back show knees, feet, blades and heels; the side views need
            both sides.
          </Typography>
        ) : (
          <Box component="ul" sx={{ listStyle: "none", p: 0, mt: 0.5 }}>
            {sides.map((each) => (
              <SideRow key={`${each.left.id} ${each.left.method}`} each={each} />
            ))}
          </Box>
        )}
      </Box>
    </Box>
  );
}

function SideRow({ each: { left, right, difference, band, verdict } }: { each: SideDifference }) {
  const { tokens } = useTheme();
  return (
    <Box
      component="li"
      sx={{
        display: "grid",
        gridTemplateColumns: { xs: "1fr auto", sm: "minmax(0,1fr) 110px 96px 112px" },
        columnGap: 2,
        borderTop: `1px solid ${tokens.line}`,
        py: 0.75,
      }}
    >
      <span>
        {left.metric.name}
        {left.method === "photo" ? "" : `, ${methodName(left.method).toLowerCase()}`}
      </span>
      <Box sx={{ color: "text.secondary", whiteSpace: "nowrap" }}>
        L {formatValue(left, left.value)} · R {formatValue(right, right.value)}
      </Box>
      <Box sx={{ textAlign: "right", fontWeight: verdict === "clear" ? 700 : 450, whiteSpace: "nowrap" }}>
        {formatDifference(left, { difference, band })}
      </Box>
      <Box sx={{ color: verdict === "cannot be told" ? tokens.slate : tokens.ink, fontSize: 14 }}>{verdict}</Box>
    </Box>
  );
}
