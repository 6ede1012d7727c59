import { sideWord } from "../words";
import { structureOf } from "../anatomy/structures";
import type { Side } from "../units";
import { signRows } from "./sign-table";

export type Source = { kind: string; key: string; less?: true };
export type SignKind = { key: string; name: string; sided: boolean; sources: readonly Source[] };

const sourceOf = (token: string): Source => {
  const [kind, rest] = token.split(":") as [string, string];
  const less = rest.endsWith("-");
  return { kind, key: (less ? rest.slice(0, -1) : rest).replace("_", " "), ...(less && { less: true as const }) };
};

const fromTable: readonly SignKind[] = signRows
  .split("\n")
  .filter((row) => row.includes(" | "))
  .map((row) => {
    const [name, key, sources] = row.split(" | ") as [string, string, string];
    return {
      key: key.replace("*", ""),
      name,
      sided: key.endsWith("*"),
      sources: sources.split(" ").map(sourceOf),
    };
  });

const known = new Map(fromTable.map((sign) => [sign.key, sign]));

/** A kind of sign by its key; "touch:…" and "point:…" of a structure are signs of their own. */
export function signKindOf(key: string): SignKind {
  const found = known.get(key);
  if (found) return found;
  const source = sourceOf(key);
  const structure = structureOf(source.key);
  if (!structure || (source.kind !== "touch" && source.kind !== "point"))
    throw new RangeError(`sign "${key}" is not known`);
  const name = source.kind === "touch" ? `${structure.name} bound` : `Tender point in ${structure.name.toLowerCase()}`;
  const made: SignKind = { key, name, sided: !structure.midline, sources: [source] };
  known.set(key, made);
  return made;
}

/** One sign: "hip-high.L", "head-forward". */
export type SignId = string;
export const signId = (key: string, side: Side | null): SignId => (side ? `${key}.${side}` : key);
export const splitSign = (id: SignId): { kind: SignKind; side: Side | null } => {
  const dot = id.lastIndexOf(".");
  const side = dot > 0 ? id.slice(dot + 1) : "";
  return side === "L" || side === "R"
    ? { kind: signKindOf(id.slice(0, dot)), side }
    : { kind: signKindOf(id), side: null };
};

export const signWords = (id: SignId): string => {
  const { kind, side } = splitSign(id);
  return side ? `${kind.name}, ${sideWord[side]}` : kind.name;
};
