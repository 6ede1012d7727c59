import type { LayerKey } from "../anatomy/layers";
import type { RegionKey } from "../anatomy/regions";
import { shelfOf, UnknownVersion, type Shelf, type Version } from "../shelf";
import type { Form } from "../light-touch/arc-steps";

/** One session of a series template: how deep it may go and where its attention lies. */
export type TemplateSession = {
  name: string;
  /** Deepest layer worked in this session. */
  ceiling: LayerKey;
  /** Territories with emphasis 0–1; others may be touched but earn nothing from the template. */
  territory: Partial<Record<RegionKey, number>>;
  intent: string;
  /** Shown as a light-touch visit on the path. */
  light?: true;
  /** All of the session is this part of the light-touch arc, in the arc's own order. */
  arc?: Form;
};

export type Template = {
  /** Names this version for ever: a series keeps the one it was made by. */
  key: string;
  /** What all versions of it have in common. */
  stem: string;
  name: string;
  /** Days that usually lie between its sessions; `usualInterval` where it says nothing. */
  everyDays?: number;
  sessions: readonly TemplateSession[];
};

/** A template as it is written down. */
export type TemplateDefinition = Pick<Template, "name" | "everyDays" | "sessions">;
type Starting = TemplateDefinition & { key: string };

/** The classic ten-step arc: common teaching across structural integration schools. */
const tenStep: Starting = {
  key: "ten-step",
  name: "Ten-step arc",
  sessions: [
    {
      name: "Breath",
      ceiling: "DF",
      territory: { chest: 1, shoulder: 0.8, pelvis: 0.6, thigh: 0.4 },
      intent: "Free breathing; loosen the outer sleeve.",
    },
    {
      name: "Ground",
      ceiling: "DF",
      territory: { leg: 1, thigh: 0.5, "upper-back": 0.4, "low-back": 0.5 },
      intent: "Support from below.",
    },
    {
      name: "Sides",
      ceiling: "SM",
      territory: { shoulder: 0.8, chest: 0.6, "low-back": 0.6, pelvis: 0.8, thigh: 0.7 },
      intent: "Length of the sides; front and back in balance.",
    },
    {
      name: "Inner line",
      ceiling: "SM",
      territory: { leg: 0.6, thigh: 1, pelvis: 0.6 },
      intent: "Lift from below, along the inner leg.",
    },
    {
      name: "Front depth",
      ceiling: "DM",
      territory: { belly: 1, chest: 0.5, thigh: 0.5 },
      intent: "Length in front of the spine.",
    },
    {
      name: "Back depth",
      ceiling: "AR",
      territory: { pelvis: 1, "low-back": 0.8, thigh: 0.7, leg: 0.4 },
      intent: "Free the sacrum and the back line.",
    },
    {
      name: "Head",
      ceiling: "DM",
      territory: { head: 1, neck: 1, shoulder: 0.3 },
      intent: "Head over spine.",
      light: true,
    },
    {
      name: "Join, lower",
      ceiling: "SM",
      territory: { pelvis: 0.8, thigh: 0.8, leg: 0.8, belly: 0.4 },
      intent: "The lower half moves as one.",
    },
    {
      name: "Join, upper",
      ceiling: "SM",
      territory: { shoulder: 1, chest: 0.7, arm: 0.7, neck: 0.6, "upper-back": 0.6 },
      intent: "The upper half moves as one.",
    },
    {
      name: "Whole",
      ceiling: "DF",
      territory: { pelvis: 0.5, "upper-back": 0.5, shoulder: 0.5, leg: 0.4, neck: 0.5 },
      intent: "Balance and closure, light everywhere.",
    },
  ],
};

const structural: readonly Starting[] = [
  tenStep,
  {
    key: "three-step",
    name: "Three-step: sleeve, core, join",
    sessions: [
      {
        name: "Sleeve",
        ceiling: "SM",
        territory: {
          shoulder: 0.7,
          chest: 0.7,
          "upper-back": 0.6,
          "low-back": 0.7,
          pelvis: 0.6,
          thigh: 0.5,
          leg: 0.5,
        },
        intent: "Loosen the outer sleeve.",
      },
      {
        name: "Core",
        ceiling: "AR",
        territory: { pelvis: 1, "low-back": 0.9, belly: 0.7, neck: 0.7, "upper-back": 0.6 },
        intent: "Reach what the sleeve was holding.",
      },
      {
        name: "Join",
        ceiling: "DF",
        territory: { neck: 0.7, shoulder: 0.6, pelvis: 0.7, leg: 0.6 },
        intent: "Bring it together.",
      },
    ],
  },
];

/** Focused series and what comes after one: common practice, as the brief of the trade has them. */
const focused: readonly Starting[] = [
  {
    key: "five-step",
    name: "Five-step: one chain, light touch in the fourth",
    sessions: [
      {
        name: "Breath and sleeve",
        ceiling: "DF",
        territory: { chest: 0.8, shoulder: 0.6, "low-back": 0.7, pelvis: 0.6, thigh: 0.5 },
        intent: "Free breathing; the outer layers of the chain and around it.",
      },
      {
        name: "Below",
        ceiling: "SM",
        territory: { leg: 0.8, thigh: 1, pelvis: 0.8 },
        intent: "What the complaint stands on.",
      },
      {
        name: "Depth",
        ceiling: "AR",
        territory: { pelvis: 0.9, "low-back": 0.9, belly: 0.7, "upper-back": 0.5, neck: 0.4 },
        intent: "The chain's own depth, where it was opened before.",
      },
      {
        name: "Settle",
        ceiling: "DF",
        territory: { pelvis: 0.8, neck: 0.8, head: 1 },
        intent: "A short arc of light touch: what was worked is heard, and rests.",
        light: true,
        arc: "short",
      },
      {
        name: "Join",
        ceiling: "DF",
        territory: { neck: 0.6, shoulder: 0.6, "low-back": 0.6, pelvis: 0.6, leg: 0.6 },
        intent: "The chain moves as one; light everywhere.",
      },
    ],
  },
  {
    key: "six-step",
    name: "Six-step: shoulder and blade",
    sessions: [
      {
        name: "Breath",
        ceiling: "DF",
        territory: { chest: 1, shoulder: 0.8, "upper-back": 0.5, neck: 0.4 },
        intent: "Ribs and the outer sleeve of the girdle.",
      },
      {
        name: "Front",
        ceiling: "SM",
        territory: { chest: 1, shoulder: 0.9, arm: 0.5 },
        intent: "Open the front before loosening the back.",
      },
      {
        name: "Side",
        ceiling: "DM",
        territory: { shoulder: 1, chest: 0.8, "low-back": 0.3 },
        intent: "The blade slides on the ribs; the armpit, with consent.",
      },
      {
        name: "Back of the blade",
        ceiling: "DM",
        territory: { "upper-back": 1, shoulder: 1, neck: 0.5 },
        intent: "What hooks to the blade, after its front is open.",
      },
      {
        name: "Neck and arm",
        ceiling: "AR",
        territory: { neck: 1, arm: 0.9, shoulder: 0.6, head: 0.3 },
        intent: "Up to the neck and out along the arm.",
      },
      {
        name: "Join, upper",
        ceiling: "DF",
        territory: { shoulder: 0.8, chest: 0.6, "upper-back": 0.6, arm: 0.5, pelvis: 0.4 },
        intent: "The girdle on its trunk, light everywhere.",
      },
    ],
  },
  {
    key: "maintenance",
    name: "Maintenance: three visits, weeks apart",
    // three to six weeks are common practice
    everyDays: 28,
    sessions: ["Keep, one", "Keep, two", "Keep, three"].map((name) => ({
      name,
      ceiling: "SM" as const,
      territory: { shoulder: 0.6, "upper-back": 0.5, "low-back": 0.7, pelvis: 0.7, thigh: 0.6, leg: 0.5, neck: 0.6 },
      intent: "What is found on the day; the whole kept moving.",
    })),
  },
];

/** How an arc's sessions look, whatever form they make. */
const arcSession = (
  arc: Form,
  name: string,
  intent: string,
  territory: TemplateSession["territory"],
): TemplateSession => ({ name, intent, territory, ceiling: "DF", light: true, arc });

/** The light-touch arc over one to three visits: in each the same listening before and after, and the arc's own order. */
const arcs: readonly Starting[] = [
  {
    key: "arc-1",
    name: "Light-touch arc in one visit",
    sessions: [
      arcSession("long", "Whole arc", "From the pelvis to the skull, and the whole heard again.", {
        pelvis: 0.8,
        chest: 0.6,
        neck: 0.8,
        head: 1,
      }),
    ],
  },
  {
    key: "arc-2",
    name: "Light-touch arc over two visits",
    sessions: [
      arcSession("1 of 2", "Sheets and ends", "The sheets let go, the tube is freed at both its ends.", {
        pelvis: 1,
        chest: 0.7,
        neck: 0.7,
      }),
      arcSession("2 of 2", "Tube and vault", "What lies between the ends, and the bones of the head.", {
        head: 1,
        neck: 0.4,
        pelvis: 0.3,
      }),
    ],
  },
  {
    key: "arc-3",
    name: "Light-touch arc over three visits",
    sessions: [
      arcSession("1 of 3", "Sheets", "The sheets let go from the pelvis up, then the skull base.", {
        pelvis: 0.6,
        chest: 0.8,
        neck: 0.8,
      }),
      arcSession("2 of 3", "Tube", "The sacrum, the tube, and the first bones of the vault.", {
        pelvis: 0.8,
        "low-back": 0.4,
        head: 0.8,
      }),
      arcSession("3 of 3", "Head", "The sphenoid, the temporals and the jaw; the whole heard again.", { head: 1 }),
    ],
  },
];

/** The templates everyone starts with. */
export const templates: readonly Template[] = [...structural, ...focused, ...arcs].map((each) => ({
  ...each,
  stem: each.key,
}));

const starting = new Map(templates.map((template) => [template.key, template]));

export type TemplateVersion = Version<TemplateDefinition>;
export type TemplateShelf = Shelf<Template, TemplateDefinition>;

/** The starting templates as a practice changed them, and its own after them. */
export const templateShelfOf = (versions: readonly TemplateVersion[]): TemplateShelf =>
  shelfOf(starting, (definition, key, stem) => ({ ...definition, key, stem }), versions);

export const startingTemplates: TemplateShelf = templateShelfOf([]);

let inUse: () => TemplateShelf = () => startingTemplates;

/** Says where the templates now in use are found: as with techniques, a key names one version for ever. */
export const shelveTemplates = (source: () => TemplateShelf): void => {
  inUse = source;
};

export const templatesInUse = (): TemplateShelf => inUse();

/** What a series is made by where nobody chose: the ten-step arc as it is now, or what there is. */
export const usualTemplate = (): Template => inUse().current("ten-step") ?? inUse().offered[0] ?? templates[0]!;

const find = (key: string): Template | undefined => starting.get(key) ?? inUse().find(key);

/** Whether a key names a version that a series may be made by. */
export const isTemplate = (key: unknown): key is string => typeof key === "string" && find(key) !== undefined;

/** The starting version of a template; undefined for what a practice made. */
export const startingTemplate = (stem: string): Template | undefined => starting.get(stem);

export function templateOf(key: string): Template {
  const template = find(key);
  if (!template) throw new UnknownVersion(key, `series template "${key}" is not known`);
  return template;
}
