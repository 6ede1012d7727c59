import Button from "@mui/material/Button";
import TextField from "@mui/material/TextField";
import { memo, useMemo, useState, type ReactNode } from "react";
import { readLine, spoken } from "~core/findings/read-line";
import { gradeWords, type Quality, type Restriction } from "~core/findings/restriction";
import { historyOf } from "~core/findings/restriction";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { WhenReady } from "~app/ui/when-ready";
import { sameSpot, sideFor, type Finding } from "./finding";

/** A finding typed in one line, shown as it will be kept while it is typed; Enter keeps it. */
export const LineEntry = memo(function LineEntry({
  restrictions,
  recent,
  lastQuality,
  keep,
}: {
  restrictions: readonly Restriction[];
  /** Structures found lately, the last one first. */
  recent: readonly string[];
  lastQuality: Quality;
  keep: (finding: Finding) => void;
}) {
  const [text, setText] = useState("");
  const [choice, setChoice] = useState(0);
  const read = useMemo(() => readLine(text, recent), [text, recent]);
  const offers = read.structures.slice(0, 5);
  const own = offers[Math.min(choice, offers.length - 1)];
  const side = own && sideFor(own, read.side);
  const known = own && side ? sameSpot(restrictions, { structure: own.key, side }) : undefined;
  const missing = !own ? "a structure" : read.grade === undefined ? "a grade, 0 to 3" : undefined;
  const typed = text.trim() !== "";
  const send = () => {
    if (!own || !side || read.grade === undefined || read.unread.length > 0) return;
    keep({
      structure: own.key,
      side,
      grade: read.grade,
      quality: read.quality ?? known?.quality ?? lastQuality,
      tenderness: read.tenderness ?? 0,
      bind: read.bind ?? "",
      ease: read.ease ?? "",
    });
    setText("");
    setChoice(0);
  };
  return (
    <Box
      component="form"
      aria-label="Finding in one line"
      sx={{ mb: 1.5 }}
      onSubmit={(event) => {
        event.preventDefault();
        send();
      }}
    >
      <WhenReady>
        <TextField
          fullWidth
          label="What you feel, in one line"
          placeholder="l qu lu 2 band t4 bind head"
          value={text}
          onChange={(event) => {
            setText(event.target.value);
            setChoice(0);
          }}
          onKeyDown={(event) => {
            const step = event.key === "ArrowDown" ? 1 : event.key === "ArrowUp" ? -1 : 0;
            if (step === 0 || offers.length < 2) return;
            event.preventDefault();
            setChoice((before) => (before + step + offers.length) % offers.length);
          }}
          slotProps={{ htmlInput: { autoComplete: "off", autoCapitalize: "none", spellCheck: false } }}
        />
      </WhenReady>
      <Box role="status" aria-label="As it will be kept" sx={{ minHeight: 30, pt: 0.75 }}>
        {typed && (
          <Box sx={{ display: "flex", flexWrap: "wrap", gap: 0.75, alignItems: "center" }}>
            {own && side && <Chip>{spoken(own, side)}</Chip>}
            {read.grade !== undefined && <Chip>{gradeWords[read.grade]}</Chip>}
            {own && read.grade !== undefined && <Chip>{read.quality ?? known?.quality ?? lastQuality}</Chip>}
            {read.tenderness !== undefined && <Chip>tender {read.tenderness}</Chip>}
            {read.bind && <Chip>binds {read.bind}</Chip>}
            {read.ease && <Chip>eases {read.ease}</Chip>}
            {known && <Chip>goes on from {historyOf(known)}</Chip>}
            {read.unread.map((word, i) => (
              <Chip key={i} wrong>
                “{word}” is not understood
              </Chip>
            ))}
            {missing && (
              <Typography sx={{ fontSize: 13.5, color: "text.secondary" }}>Still to type: {missing}.</Typography>
            )}
            {!missing && read.unread.length === 0 && (
              <Typography sx={{ fontSize: 13.5, color: "text.secondary" }}>Enter keeps it.</Typography>
            )}
          </Box>
        )}
        {typed && offers.length > 1 && (
          <Box sx={{ display: "flex", flexWrap: "wrap", gap: 0.5, mt: 0.5 }}>
            {offers.map((each, i) =>
              each === own ? null : (
                <Button key={each.key} size="small" sx={{ minHeight: 32 }} onClick={() => setChoice(i)}>
                  {each.name}
                </Button>
              ),
            )}
          </Box>
        )}
      </Box>
    </Box>
  );
});

function Chip({ children, wrong = false }: { children: ReactNode; wrong?: boolean }) {
  return (
    <Box
      component="span"
      sx={(t) => ({
        border: `1px solid ${wrong ? t.tokens.clay : t.tokens.line}`,
        color: wrong ? t.tokens.clay : "text.primary",
        bgcolor: "background.paper",
        borderRadius: "6px",
        px: 1,
        py: 0.25,
        fontSize: 14,
      })}
    >
      {children}
    </Box>
  );
}
