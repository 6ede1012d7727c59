import { useEffect, useState } from "react";
import type { MarkKey, Marks } from "~core/measure/calibration";
import type { MarkingCommand } from "~core/measure/marking";
import { snapped } from "./snap-marks";

/**
 * Draws plumb and stick on to the line seen in the picture once both ends are placed, as a step of its own that can be
 * undone. Returns what is to be told of every mark a hand has set down.
 */
export function useSnapping(
  image: HTMLImageElement | "lost" | undefined,
  marks: Marks,
  act: (command: MarkingCommand) => void,
  on = true,
): (placed: MarkKey) => void {
  const [justPlaced, setJustPlaced] = useState<MarkKey | undefined>();
  useEffect(() => {
    if (!justPlaced) return;
    setJustPlaced(undefined);
    const line = on && image && image !== "lost" && snapped(image, marks, justPlaced);
    if (line) act({ kind: "refine", marks: line });
  }, [justPlaced, on, image, marks, act]);
  return setJustPlaced;
}
