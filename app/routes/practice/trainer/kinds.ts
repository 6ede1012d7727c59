import type { TrainerRound } from "~data/trainer";

export const kinds = ["force", "rhythm", "order", "listening"] as const;
export type Kind = (typeof kinds)[number];
export const kindNames: Record<Kind, string> = {
  force: "Force",
  rhythm: "Rhythm",
  order: "Order of the arc",
  listening: "Two hands apart",
};
/** Of the one figure that is followed. */
export const units: Record<Kind, string> = { force: " g", rhythm: " a minute", order: " pairs", listening: " %" };

/** Keeps a round: its one figure, less is better, and all that was scored. */
export type Keep = (score: number, body: Record<string, number | string | boolean>) => void;

const figure = (value: unknown, digits = 1) => (typeof value === "number" ? value.toFixed(digits) : "–");

/** A round in a line. */
export const scoreWords = (kind: Kind, { score, body }: Pick<TrainerRound, "score" | "body">): string =>
  ({
    force: () =>
      `${figure(body.target, 0)} g ${body.blind ? "blind" : "seen"}: off by ${figure(score, 2)} g, ${figure(100 * Number(body.within), 0)} % within ±1 g, steady to ${figure(body.steadiness, 2)} g`,
    rhythm: () =>
      `off by ${figure(score, 2)} a minute, band ±${figure(body.band, 2)} ${body.inside ? "held" : "missed"} it; leader ${body.leader ? "told" : "not told"}`,
    order: () => `${figure(score, 0)} of ${figure(body.of, 0)} pairs the wrong way round`,
    listening: () => `from ${figure(score, 0)} % more on (${figure(body.low, 0)}–${figure(body.high, 0)} %)`,
  })[kind]();
