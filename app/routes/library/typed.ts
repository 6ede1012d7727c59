import { definitionOf, type Definition } from "~core/techniques/definition";
import type { ForceKind, Way } from "~core/techniques/forces";
import type { Technique } from "~core/techniques/technique";

/** A definition as it is being typed: numbers may not be numbers yet. */
export type Typed = Omit<
  Definition,
  "minutes" | "hold" | "reach" | "tags" | "positions" | "tools" | "joints" | "consent" | "force"
> & {
  ideal: string;
  least: string;
  holdLeast: string;
  holdMost: string;
  holdUnit: "s" | "breaths";
  reach: { structure: string; places: string[]; share: string }[];
  positions: NonNullable<Definition["positions"]>;
  tags: NonNullable<Definition["tags"]>;
  tools: NonNullable<Definition["tools"]>;
  joints: string[];
  consent: boolean;
  force: { kind: ForceKind | ""; ways: Way[] };
};

export const typedOf = (technique: Technique): Typed => {
  const { minutes, hold, reach, ...rest } = definitionOf(technique);
  return {
    ...rest,
    tags: rest.tags ?? [],
    tools: rest.tools ?? [],
    joints: rest.joints ?? [],
    consent: rest.consent ?? false,
    force: rest.force ?? { kind: "", ways: [] },
    ideal: String(minutes.ideal),
    least: String(minutes.least),
    holdLeast: hold ? String(hold.least) : "",
    holdMost: hold ? String(hold.most) : "",
    holdUnit: hold?.unit ?? "s",
    reach: reach.map(({ structure, places, share }) => ({
      structure,
      places: places ?? [],
      share: String(Math.round(100 * (share ?? 1))),
    })),
  };
};

export const blank: Typed = {
  key: "new-technique",
  name: "",
  what: "",
  layer: "DF",
  positions: ["prone"],
  medium: "dry",
  phase: "work",
  sided: true,
  pressure: 4,
  load: {},
  stopWhen: "the client guards, holds the breath or says so",
  intent: "free",
  effort: "nothing",
  tools: ["palm"],
  tags: [],
  joints: [],
  consent: false,
  force: { kind: "", ways: [] },
  ideal: "3",
  least: "2",
  holdLeast: "",
  holdMost: "",
  holdUnit: "s",
  reach: [],
};

const asNumber = (typed: string): number => {
  const value = Number(typed.replace(",", "."));
  // what is no number is sent as it stands, and the server says so
  return typed.trim() === "" || Number.isNaN(value) ? (typed as never) : value;
};

/** What is typed, as it is kept: the server says what of it cannot be. */
export function definitionTyped({
  ideal,
  least,
  holdLeast,
  holdMost,
  holdUnit,
  reach,
  joints,
  force,
  ...rest
}: Typed): Definition {
  const share = (typed: string) => {
    const value = asNumber(typed);
    return typeof value === "number" ? value / 100 : value;
  };
  return {
    ...rest,
    name: rest.name.trim(),
    what: rest.what.trim(),
    minutes: { ideal: asNumber(ideal), least: asNumber(least) },
    ...(holdLeast.trim() || holdMost.trim()
      ? { hold: { least: asNumber(holdLeast), most: asNumber(holdMost || holdLeast), unit: holdUnit } }
      : {}),
    reach: reach.map((each) => ({
      structure: each.structure,
      ...(each.places.length > 0 ? { places: each.places } : {}),
      share: share(each.share),
    })),
    ...(joints.length > 0 ? { joints } : {}),
    ...(force.kind === "" ? {} : { force: { kind: force.kind, ways: force.ways } }),
  };
}
