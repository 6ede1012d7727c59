import Button from "@mui/material/Button";
import { useState } from "react";
import { Link, useFetcher } from "react-router";
import type { LookRepeat } from "~core/repeatability/table-rounds";
import { leastPairs } from "~core/statistics/pooled-ratio";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { useNotify } from "~app/ui/notices";

export type DrawingStudy = { id: string; begun: string; done: number; of: number };

const figure = (value: number) => value.toFixed(value < 1 ? 2 : 1);
const kappaWords = (kappa: LookRepeat["kappa"]) =>
  kappa ? `${kappa.kappa.toFixed(2)} (${kappa.low.toFixed(2)}–${kappa.high.toFixed(2)})`.replaceAll("-", "−") : "–";

/** How one's looks at the table repeat, from second rounds on clients; and the ten lay figures, for the eye alone. */
export function LookingAgain({
  looks,
  studies,
  told,
}: {
  looks: readonly LookRepeat[];
  studies: readonly DrawingStudy[];
  /** mm from which on the side named on drawings was the right one. */
  told: number | null;
}) {
  const used = looks.filter(({ pairs, error }) => error && pairs >= leastPairs).length;
  return (
    <Box component="section" aria-label="Looking again" sx={{ mt: 4 }}>
      <Typography variant="h2">
        {looks.length === 0
          ? "At the table, errors are those of common practice"
          : used === 0
            ? "At the table: too few second looks to be used yet"
            : `At the table: your own figures are used for ${used} of ${looks.length} kinds of checks`}
      </Typography>
      <Typography sx={{ color: "text.secondary", mb: 1.5, maxWidth: 640 }}>
        On Table, before any work, a second round asks the same checks again without showing the first. From{" "}
        {leastPairs} second looks on your own error is pooled with the usual one, which counts for ten. It tells two
        looks within the same minutes apart; how a body differs from day to day is not in it.
      </Typography>
      {looks.length > 0 && (
        <Box sx={{ overflowX: "auto" }}>
          <Box component="table" sx={{ borderCollapse: "collapse", width: "100%", minWidth: 560, fontSize: 15 }}>
            <thead>
              <Box
                component="tr"
                sx={{ "& th": { textAlign: "right", fontWeight: 450, fontSize: 13, color: "text.secondary", pb: 0.5 } }}
              >
                <Box component="th" sx={{ "&&": { textAlign: "left" } }}>
                  Checks
                </Box>
                <th>Pairs</th>
                <th>The same</th>
                <th>Weighted kappa (95%)</th>
                <th>Own SEM</th>
                <th>Usual</th>
                <th>Used</th>
                <th>MDC95</th>
              </Box>
            </thead>
            <tbody>
              {looks.map(({ key, family, way, unit, pairs, equal, kappa, error }) => (
                <Box
                  component="tr"
                  key={key}
                  sx={(t) => ({
                    borderTop: `1px solid ${t.tokens.line}`,
                    "& td": { textAlign: "right", py: 0.6, pl: 1.5, whiteSpace: "nowrap" },
                  })}
                >
                  <Box component="td" sx={{ "&&": { textAlign: "left", pl: 0 } }}>
                    {family}
                    {way === "measured" ? `, measured,${unit}` : ""}
                  </Box>
                  <td>{pairs}</td>
                  <td>{equal}</td>
                  <td>{kappaWords(kappa)}</td>
                  <td>{error ? figure(error.own) : "–"}</td>
                  <Box component="td" sx={{ color: "text.secondary" }}>
                    {error ? figure(error.usual) : "–"}
                  </Box>
                  <td>
                    {error ? (
                      <>
                        <strong>{figure(error.used)}</strong>
                        {pairs < leastPairs ? " usual" : " pooled"}
                      </>
                    ) : (
                      "–"
                    )}
                  </td>
                  <td>{error ? `±${figure(error.mdc)}` : "–"}</td>
                </Box>
              ))}
            </tbody>
          </Box>
          <Typography sx={{ fontSize: 13.5, color: "text.secondary", mt: 1 }}>
            Graded checks in steps of the grade. Weighted kappa counts grades by the square of their distance (words
            without an order: as the same or not); it is low, too, where nearly everything was graded alike.
          </Typography>
        </Box>
      )}
      <Typography variant="h3" sx={{ mt: 3 }}>
        Ten lay figures
      </Typography>
      <Typography sx={{ color: "text.secondary", mb: 1, maxWidth: 640 }}>
        Drawings, each twice in a shuffled order: about {studyMinutes} minutes. They test the eye alone, so they count
        only where they show more error than is usual, and only until there are {leastPairs} second looks at clients.
        {told !== null &&
          ` Of the sizes that are drawn, from ${told.toFixed(1)} mm on you named the right side at least nine times in ten; on a body it takes more.`}
      </Typography>
      <Drawings studies={studies} />
    </Box>
  );
}

const studyMinutes = 4;

function Drawings({ studies }: { studies: readonly DrawingStudy[] }) {
  const fetcher = useFetcher();
  const notify = useNotify();
  const [fresh] = useState(() => crypto.randomUUID());
  const open = studies.find(({ done, of }) => done < of);
  return (
    <>
      <Button component={Link} to={`/practice/repeatability/drawings/${open?.id ?? fresh}`} variant="outlined">
        {open ? `Go on: ${open.done} of ${open.of}` : "Look at the drawings"}
      </Button>
      <Box component="ul" sx={{ listStyle: "none", p: 0, mt: 1.5 }}>
        {studies.map(({ id, begun, done, of }) => (
          <Box
            component="li"
            key={id}
            sx={(t) => ({ borderTop: `1px solid ${t.tokens.line}`, py: 0.5, display: "flex", alignItems: "center" })}
          >
            <Typography sx={{ flex: 1 }}>
              {begun}: {done} of {of} drawings graded
            </Typography>
            <Button
              size="small"
              color="inherit"
              sx={{ color: "text.secondary" }}
              onClick={() => {
                if (!window.confirm("Take these drawings back? They then count no more, and cannot be brought back."))
                  return;
                void fetcher.submit({ intent: "delete-drawings", id }, { method: "post", encType: "application/json" });
                notify("The drawings are taken back.");
              }}
            >
              Take it back
            </Button>
          </Box>
        ))}
      </Box>
    </>
  );
}
