import Button from "@mui/material/Button";
import { useTheme } from "@mui/material/styles";
import { structureOf } from "~core/anatomy/structures";
import type { Pattern, State } from "~core/reading/patterns";
import type { Piece, Suggestion } from "~core/reading/reading";
import { capitalised } from "~core/words";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { Fine } from "~app/ui/fine";

type Shown = Omit<Suggestion, "pattern"> & { pattern: Pick<Pattern, "id" | "name" | "means" | "order" | "holds"> };

const percent = (share: number) => Math.round(100 * share);
const width = 150;

/** One pattern: how well it is supported, and opened, what speaks for it, against it, and what was not looked at. */
export function SuggestionRow({
  suggestion,
  open,
  toggle,
  working,
  taken,
  decide,
  busy,
}: {
  suggestion: Shown;
  open: boolean;
  toggle: () => void;
  /** It asks for work. */
  working: boolean;
  /** Because the practitioner took it up. */
  taken: boolean;
  decide: (as: "out" | "taken" | null) => void;
  busy: boolean;
}) {
  const { tokens } = useTheme();
  const { pattern, support, low, high, notLooked, competes } = suggestion;
  const id = `pattern-${pattern.id}`;
  return (
    <Box component="li" sx={(t) => ({ borderTop: `1px solid ${t.tokens.line}` })}>
      <Box
        component="button"
        type="button"
        aria-expanded={open}
        aria-controls={id}
        onClick={toggle}
        sx={(t) => ({
          font: "inherit",
          color: "inherit",
          background: "none",
          border: 0,
          width: "100%",
          textAlign: "left",
          cursor: "pointer",
          display: "grid",
          gridTemplateColumns: { xs: "minmax(0, 1fr) auto", sm: `minmax(0, 1fr) ${width}px 130px` },
          columnGap: 2,
          alignItems: "center",
          minHeight: 48,
          px: 0.5,
          "&:hover": { bgcolor: t.tokens.band },
          "&:focus-visible": { outline: `2px solid ${t.tokens.ember}`, outlineOffset: -2 },
        })}
      >
        <Box component="span" sx={{ fontWeight: open ? 700 : 550, fontSize: 16 }}>
          {pattern.name}{" "}
          {working && (
            <Fine component="span" sx={{ ml: 0.5, color: "primary.main" }}>
              {taken ? "taken up by you" : "asks for work"}
            </Fine>
          )}
        </Box>
        <Box component="svg" width={width} height={16} aria-hidden sx={{ display: { xs: "none", sm: "block" } }}>
          <rect width={width} height={6} y={5} rx={3} fill={tokens.line} />
          <rect width={width * support} height={6} y={5} rx={3} fill={tokens.slate} />
          <line x1={width * low} x2={width * high} y1={8} y2={8} stroke={tokens.ink} strokeWidth={1.5} />
        </Box>
        <Box component="span" sx={{ textAlign: "right", whiteSpace: "nowrap" }}>
          <strong>{percent(support)} %</strong>{" "}
          <Fine component="span">
            {percent(low)}–{percent(high)}
          </Fine>
        </Box>
      </Box>
      {open && (
        <Box id={id} sx={{ pl: 0.5, pb: 2, maxWidth: 760 }}>
          <Typography>{pattern.means}</Typography>
          <Pieces title="Suggests it" pieces={suggestion.for} sign="+" />
          <Pieces title="Speaks against it" pieces={suggestion.against} sign="−" />
          {notLooked.length > 0 && (
            <Typography sx={{ mt: 1 }}>
              <strong>Not looked at:</strong> {notLooked.map(({ name }) => name.toLowerCase()).join("; ")}.
            </Typography>
          )}
          {competes.length > 0 && (
            <Typography sx={{ mt: 1 }}>
              <strong>Explains the same as:</strong> {competes.join("; ")}.
            </Typography>
          )}
          <Typography sx={{ mt: 1 }}>
            <strong>Held:</strong> {heldWords(pattern)} <strong>Order:</strong> {pattern.order}
          </Typography>
          <Box sx={{ display: "flex", gap: 1, mt: 1.5, flexWrap: "wrap" }}>
            {!working && (
              <Button size="small" variant="outlined" disabled={busy} onClick={() => decide("taken")}>
                Take it up for work
              </Button>
            )}
            {taken && (
              <Button size="small" variant="outlined" disabled={busy} onClick={() => decide(null)}>
                Leave it to the findings
              </Button>
            )}
            <Button size="small" variant="outlined" color="inherit" disabled={busy} onClick={() => decide("out")}>
              Rule it out
            </Button>
          </Box>
        </Box>
      )}
    </Box>
  );
}

const shownPieces = 8;
/** Log odds that are drawn in full length, where no finding has a larger part. */
const leastFull = 1;

/** Findings with their part in it: as long as the log odds would fall without them. */
function Pieces({ title, pieces, sign }: { title: string; pieces: readonly Piece[]; sign: "+" | "−" }) {
  const { tokens } = useTheme();
  if (pieces.length === 0) return null;
  const full = Math.max(leastFull, ...pieces.map(({ share }) => Math.abs(share)));
  const colour = sign === "+" ? tokens.moss : tokens.clay;
  return (
    <Box component="section" aria-label={title} sx={{ mt: 1 }}>
      <Typography sx={{ fontWeight: 700 }}>{title}</Typography>
      <Box component="ul" sx={{ listStyle: "none", p: 0, m: 0 }}>
        {pieces.slice(0, shownPieces).map(({ evidence, share }) => (
          <Box
            component="li"
            key={evidence.sign}
            sx={{ display: "grid", gridTemplateColumns: "64px minmax(0, 1fr)", columnGap: 1.5, alignItems: "center" }}
          >
            <svg width={60} height={8} aria-hidden>
              <rect width={(60 * Math.abs(share)) / full} height={8} rx={2} fill={colour} />
            </svg>
            <span>
              {evidence.ratio > 1 ? evidence.name : `Not: ${evidence.name.toLowerCase()}`}{" "}
              <Fine component="span">({evidence.words})</Fine>
            </span>
          </Box>
        ))}
      </Box>
    </Box>
  );
}

const stateWords: Record<State, string> = { short: "short", stuck: "stuck", long: "long", weak: "weak" };
const sideWords = { L: "left", R: "right", both: "" } as const;

/** "Short: quadratus lumborum left, adductors left. Long: lumbar erectors right." */
function heldWords({ holds }: Pick<Pattern, "holds">): string {
  const lines = (Object.keys(stateWords) as State[]).flatMap((state) => {
    const own = holds.filter((held) => held.state === state);
    if (own.length === 0) return [];
    const names = own.map(({ structure, side }) =>
      [structureOf(structure)!.name.toLowerCase(), structureOf(structure)!.midline ? "" : sideWords[side]]
        .filter(Boolean)
        .join(" "),
    );
    return [`${capitalised(stateWords[state])}: ${names.join(", ")}.`];
  });
  return lines.length > 0 ? lines.join(" ") : "nothing that hands change.";
}
