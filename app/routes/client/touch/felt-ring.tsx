import { useTheme } from "@mui/material/styles";
import { useEffect, useRef, type KeyboardEvent } from "react";
import { gradeWords, historyOf, type Quality, type Restriction } from "~core/findings/restriction";
import type { Side } from "~core/units";
import Box from "@mui/material/Box";
import { type Finding } from "./finding";
import { findingName } from "~core/findings/finding-name";
import { middleOfSector, partAt, ring, ringRadius, sectorPath, type RingPart } from "./ring-layout";
import { useFelt } from "./use-felt";

const room = ringRadius + 8;
/** Kept clear of the window's edge, and of the line below the ring. */
const clamped = (value: number, size: number, after = 0) =>
  Math.max(room, Math.min(value, Math.max(room, size - room - after)));

/**
 * What is felt, around the finger that feels it: the hand that opened it may slide on to a part and let go there; a press on
 * a grade in the middle keeps it all.
 */
export function FeltRing({
  at,
  structure,
  side: first,
  restrictions,
  lastQuality,
  keep,
  close,
}: {
  /** Where the finger came down, in the window. */
  at: { x: number; y: number };
  structure: string;
  side: Side | "both";
  restrictions: readonly Restriction[];
  lastQuality: Quality;
  keep: (finding: Finding) => void;
  close: () => void;
}) {
  const { tokens } = useTheme();
  const felt = useFelt(structure, first, restrictions, lastQuality);
  const { side, known, quality, tenderness, bind, ease } = felt;
  const frame = useRef<HTMLDivElement>(null);
  const middle = { x: clamped(at.x, window.innerWidth), y: clamped(at.y, window.innerHeight, 76) };
  const press = (part: RingPart) => {
    if (part.kind === "grade") keep(felt.graded(part.value));
    else if (part.kind === "quality") felt.setQuality(part.value);
    else if (part.kind === "tenderness") felt.setTenderness(part.value);
    // once binds, twice eases, a third time neither
    else if (bind === part.value) {
      felt.setBind("");
      felt.setEase(part.value);
    } else if (ease === part.value) felt.setEase("");
    else felt.setBind(part.value);
  };
  const latest = useRef({ press, close });
  useEffect(() => {
    latest.current = { press, close };
  });
  useEffect(() => {
    frame.current?.focus();
    // the finger that opened it is still down: where it is let go, it chooses, unless it did not move
    const up = (event: PointerEvent) => {
      if (Math.hypot(event.clientX - at.x, event.clientY - at.y) < 24) return;
      const part = partAt(event.clientX - middle.x, event.clientY - middle.y);
      if (part && part.kind !== "grade") latest.current.press(part);
    };
    window.addEventListener("pointerup", up, { once: true });
    return () => window.removeEventListener("pointerup", up);
    // opened once, at one spot
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, []);
  const chosen = (part: RingPart): string | undefined => {
    if (part.kind === "quality") return part.value === quality ? tokens.emberWash : undefined;
    if (part.kind === "tenderness") return part.value === tenderness ? tokens.emberWash : undefined;
    if (part.kind === "way")
      return part.value === bind ? `${tokens.clay}44` : part.value === ease ? `${tokens.moss}44` : undefined;
    return undefined;
  };
  const wayWord = (way: string) => (way === bind ? "binds" : way === ease ? "eases" : "");
  const nameOf = (part: RingPart) =>
    part.kind === "grade"
      ? `Grade ${gradeWords[part.value]}: keeps it`
      : part.kind === "quality"
        ? `Feels like ${part.value}`
        : part.kind === "tenderness"
          ? `Tender ${part.value} of 10`
          : `Towards ${part.value}: ${wayWord(part.value) || "not told"}`;
  const name = findingName({ structure, side });
  return (
    <Box
      sx={{ position: "fixed", inset: 0, zIndex: "modal", touchAction: "none", bgcolor: "rgba(43, 38, 34, 0.18)" }}
      onPointerDown={(event) => event.target === event.currentTarget && close()}
    >
      <Box
        ref={frame}
        role="dialog"
        aria-modal
        aria-label={`Felt at ${name}`}
        tabIndex={-1}
        onKeyDown={(event: KeyboardEvent) => {
          if (event.key !== "Escape") return;
          event.stopPropagation();
          close();
        }}
        sx={{
          position: "absolute",
          left: middle.x - room,
          top: middle.y - room,
          width: 2 * room,
          outline: "none",
          "& g:focus": { outline: "none" },
          "& g:focus-visible path": { stroke: tokens.ember, strokeWidth: 2.6 },
        }}
      >
        <svg
          viewBox={`${-room} ${-room} ${2 * room} ${2 * room}`}
          width={2 * room}
          height={2 * room}
          style={{ display: "block", pointerEvents: "none" }}
        >
          <circle r={ringRadius + 4} fill={tokens.sheet} stroke={tokens.inkSoft} />
          {ring.map((sector) => {
            const { part } = sector;
            const [x, y] = middleOfSector(sector);
            const word = part.kind === "way" ? wayWord(part.value) : "";
            return (
              <g
                key={`${part.kind} ${part.value}`}
                role="button"
                tabIndex={0}
                aria-label={nameOf(part)}
                {...(part.kind === "grade" ? {} : { "aria-pressed": chosen(part) !== undefined })}
                style={{ cursor: "pointer", pointerEvents: "auto" }}
                onClick={() => press(part)}
                onKeyDown={(event) => {
                  if (event.key !== "Enter" && event.key !== " ") return;
                  event.preventDefault();
                  press(part);
                }}
              >
                <path
                  d={sectorPath(sector)}
                  fill={
                    part.kind === "grade"
                      ? part.value === 0
                        ? tokens.paper
                        : tokens.ember
                      : (chosen(part) ?? tokens.sheet)
                  }
                  stroke={chosen(part) ? tokens.ink : tokens.line}
                  strokeWidth={chosen(part) ? 1.6 : 1}
                />
                <text
                  x={x}
                  y={y + (part.kind === "grade" ? 8 : word ? -2 : 4.5)}
                  textAnchor="middle"
                  fontSize={part.kind === "grade" ? 24 : 13}
                  fontWeight={part.kind === "grade" || chosen(part) ? 700 : 400}
                  fill={part.kind === "grade" && part.value > 0 ? tokens.onEmber : tokens.ink}
                >
                  {part.value}
                </text>
                {word && (
                  <text x={x} y={y + 13} textAnchor="middle" fontSize={12} fill={tokens.ink}>
                    {word}
                  </text>
                )}
              </g>
            );
          })}
        </svg>
        <Box
          role="status"
          sx={(t) => ({
            bgcolor: "background.paper",
            border: `1px solid ${t.tokens.inkSoft}`,
            borderRadius: "8px",
            px: 1.5,
            py: 0.75,
            textAlign: "center",
            fontSize: 14,
          })}
        >
          <strong>{name}</strong>
          {known && ` (${historyOf(known)})`}: {quality}, tender {tenderness}
          {bind && `, binds ${bind}`}
          {ease && `, eases ${ease}`}
          <Box component="span" sx={{ display: "block", fontSize: 13, color: "text.secondary" }}>
            Above: tender. Below: once binds, twice eases. A grade keeps it.
          </Box>
        </Box>
      </Box>
    </Box>
  );
}
