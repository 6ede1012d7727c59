import type { HandRounds } from "~core/repeatability/hand-rounds";
import { leastPairs } from "~core/statistics/pooled-ratio";
import type { Kappa } from "~core/statistics/weighted-kappa";
import { counted } from "~core/words";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";

const words = (kappa: Kappa | undefined) =>
  kappa ? `${kappa.kappa.toFixed(2)} (${kappa.low.toFixed(2)}–${kappa.high.toFixed(2)})`.replaceAll("-", "−") : "–";

/** How one's listening hands repeat, from second rounds, blind, before any work. */
export function FeelingAgain({ hands }: { hands: HandRounds | undefined }) {
  const repeats = hands?.repeats ?? [];
  const used = repeats.filter(({ pairs }) => pairs >= leastPairs).length;
  return (
    <Box component="section" aria-label="Feeling again" sx={{ mt: 4 }}>
      <Typography variant="h2">
        {used === 0
          ? "In light touch, errors are those of common practice"
          : `In light touch: your own figures are used for ${used === 1 ? repeats.find(({ pairs }) => pairs >= leastPairs)!.name.toLowerCase() : "stations and bones"}`}
      </Typography>
      <Typography sx={{ color: "text.secondary", mb: 1.5, maxWidth: 640 }}>
        On Listen and on Bones, before any work, a second round asks the same again without showing the first. Published
        agreement between examiners is poor; this is how you agree with yourself within minutes. How a client differs
        from day to day is not in it.
      </Typography>
      {repeats.length > 0 && (
        <Box sx={{ overflowX: "auto" }}>
          <Box
            component="table"
            sx={(t) => ({
              borderCollapse: "collapse",
              width: "100%",
              minWidth: 520,
              fontSize: 15,
              "& th": { textAlign: "right", fontWeight: 450, fontSize: 13, color: "text.secondary", pb: 0.5 },
              "& td": { textAlign: "right", py: 0.6, pl: 1.5, whiteSpace: "nowrap" },
              "& th:first-of-type, & td:first-of-type": { textAlign: "left", pl: 0 },
              "& tbody tr": { borderTop: `1px solid ${t.tokens.line}` },
            })}
          >
            <thead>
              <tr>
                <th>Grades 0–3</th>
                <th>Pairs</th>
                <th>The same</th>
                <th>Weighted kappa (95%)</th>
                <th>Own SEM</th>
                <th>Usual</th>
                <th>Used</th>
                <th>MDC95</th>
              </tr>
            </thead>
            <tbody>
              {repeats.map(({ family, name, pairs, equal, kappa, error }) => (
                <tr key={family}>
                  <td>{name}</td>
                  <td>{pairs}</td>
                  <td>{equal}</td>
                  <td>{words(kappa)}</td>
                  <td>{error.own.toFixed(2)}</td>
                  <td>{error.usual.toFixed(2)}</td>
                  <td>
                    <strong>{error.used.toFixed(2)}</strong>
                    {pairs < leastPairs ? " usual" : " pooled"}
                  </td>
                  <td>±{error.mdc.toFixed(1)}</td>
                </tr>
              ))}
            </tbody>
          </Box>
        </Box>
      )}
      {hands?.rate && (
        <Typography sx={{ mt: 1 }}>
          Rates of one station, tapped twice ({counted(hands.rate.pairs, "pair")}): ±{(1.96 * hands.rate.sd).toFixed(1)}{" "}
          a minute; two rates differ from ±{hands.rate.mdc.toFixed(1)} on.
          {hands.rate.pairs < leastPairs && ` Used from ${leastPairs} pairs on.`}
        </Typography>
      )}
      {hands?.leads && (
        <Typography sx={{ mt: 1 }}>
          Leading side: the same at {hands.leads.equal} of {hands.leads.pairs} stations, kappa{" "}
          {words(hands.leads.kappa)}.
        </Typography>
      )}
    </Box>
  );
}
