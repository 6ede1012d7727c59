import { useState } from "react";
import type { Direction, Grade, Quality, Restriction } from "~core/findings/restriction";
import type { Side } from "~core/units";
import { sameSpot, type Finding } from "./finding";

/** What is being felt at one structure, until a grade keeps it. The last quality is offered first. */
export function useFelt(
  structure: string,
  first: Side | "both",
  restrictions: readonly Restriction[],
  lastQuality: Quality,
) {
  const [side, setSide] = useState(first);
  const known = sameSpot(restrictions, { structure, side });
  const [quality, setQuality] = useState<Quality>(known?.quality ?? lastQuality);
  const [tenderness, setTenderness] = useState(0);
  const [bind, setBind] = useState<Direction>("");
  const [ease, setEase] = useState<Direction>("");
  return {
    known,
    side,
    setSide,
    quality,
    setQuality,
    tenderness,
    setTenderness,
    bind,
    setBind,
    ease,
    setEase,
    graded: (grade: Grade): Finding => ({ structure, side, grade, quality, tenderness, bind, ease }),
  };
}
