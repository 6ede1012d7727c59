import { sideWord } from "../words";
import { structureOf } from "../anatomy/structures";
import type { Side } from "../units";

/** "Quadratus lumborum, left": a mid-line structure has no sides. */
export const findingName = ({ structure, side }: { structure: string; side: Side | "both" }): string => {
  const own = structureOf(structure);
  return own ? `${own.name}${own.midline ? "" : `, ${sideWord[side]}`}` : structure;
};
