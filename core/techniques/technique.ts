import type { LayerKey } from "../anatomy/layers";
import type { PlaceKey } from "../anatomy/places";
import type { RegionKey } from "../anatomy/regions";
import type { Minutes } from "../units";
import type { Force } from "./forces";
import type { SafetyTag } from "./safety-tags";

export type Position = "prone" | "supine" | "side" | "seated";
export const positionName: Record<Position, string> = {
  prone: "Prone",
  supine: "Supine",
  side: "Side-lying",
  seated: "Seated",
};
export type Medium = "dry" | "wax" | "oil" | "any";
export type Phase = "open" | "warm" | "work" | "balance" | "close";

/** The practitioner's parts that a technique tires, 0–3 per minute of work. */
export type Load = Partial<Record<"thumb" | "fingers" | "wrist" | "shoulder" | "back", 1 | 2 | 3>>;

/** What a technique is for. */
export const intents = ["lengthen", "free", "settle", "activate", "mobilise", "assess"] as const;
export type Intent = (typeof intents)[number];
/** What the practitioner works with. */
export const tools = ["palm", "soft fist", "forearm", "elbow", "fingers", "thumb", "instrument"] as const;
export type Tool = (typeof tools)[number];
/** What the client does meanwhile. */
export const efforts = ["nothing", "breathes", "moves", "presses"] as const;
export type Effort = (typeof efforts)[number];
/** How long one hold usually takes. */
export type Hold = { least: number; most: number; unit: "s" | "breaths" };

/** How much of a technique's time reaches a structure (0–1), and in which of the places it lies in. */
export type Reach = { structure: string; places: readonly PlaceKey[]; share: number };

/** How much of a technique's time reaches a layer of a region (0–1): the most that any structure there gets. */
export type Dose = { region: RegionKey; layer: LayerKey; share: number };

export type Technique = {
  /** Names this version for ever: plans and logs refer to it. */
  key: string;
  /** What all versions of it have in common: the key of the first of them. */
  stem: string;
  name: string;
  /** What is done, as read out at the table. */
  what: string;
  intent: Intent;
  /** Deepest layer it works on; "LT" for light touch, which needs no opening of layers. */
  layer: LayerKey | "LT";
  /** Positions it can be done in; empty when any will do. */
  positions: readonly Position[];
  medium: Medium;
  phase: Phase;
  /** Per side when `sided`, else for the whole. */
  minutes: { ideal: Minutes; least: Minutes };
  hold?: Hold;
  load: Load;
  tools: readonly Tool[];
  effort: Effort;
  /** What the hands do to the tissue, and which way; undefined where nobody said. */
  force?: Force;
  /** Client-reported pressure it is usually done at, 0–10. */
  pressure: number;
  /** Done on the left and on the right. */
  sided: boolean;
  /** What the hands work on. */
  reach: readonly Reach[];
  /** The same by region and layer, as the plan counts: follows from `reach`. */
  doses: readonly Dose[];
  stopWhen: string;
  /** Needs consent for a sensitive area, every session. */
  consent?: true;
  /** What it does that a caution may speak against. */
  tags: readonly SafetyTag[];
  /** Joints that it moves, where they are other than all it reaches. */
  joints?: readonly string[];
};

export const passesOf = (technique: Technique): number =>
  technique.phase === "work" || technique.phase === "balance" ? (technique.layer === "LT" ? 1 : 3) : 1;

/** Client-effort and strong work that a region should not get twice running. */
export const isStrong = (technique: Technique): boolean => technique.pressure >= 6;
