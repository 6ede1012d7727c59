import { belly, type Condition, type Rule } from "./condition";

const area = (reason: string): Rule => ({ key: "area", kind: "exclude", scope: { at: "near" }, reason });
const noCranial = (reason: string): Rule => ({
  key: "cranial",
  kind: "exclude",
  scope: { tags: ["cranial", "neck lever"] },
  reason,
});

/** What was put into a body or leads out of it: each where it usually sits, and what it closes. Common practice. */
export const deviceConditions: readonly Condition[] = [
  {
    key: "port",
    name: "Port or line under the skin",
    kind: "implant",
    synonyms: ["portacath", "picc line", "central line"],
    place: "chest",
    rules: [area("Over a port or line nothing is worked.")],
  },
  {
    key: "stoma",
    name: "Stoma or feeding tube",
    kind: "implant",
    synonyms: ["colostomy", "ileostomy", "urostomy", "bag on the belly"],
    place: "belly",
    rules: [
      ...belly("A stoma: the belly is left alone."),
      { key: "lying", kind: "limit", without: ["prone"], reason: "Nobody lies on a stoma." },
    ],
  },
  {
    key: "coil",
    name: "Coil",
    kind: "implant",
    synonyms: ["iud", "hormone coil", "copper coil"],
    place: "belly",
    rules: [
      {
        key: "deep",
        kind: "exclude",
        scope: { tags: ["deep belly"] },
        reason: "With a coil the deep belly is not worked.",
      },
    ],
  },
  {
    key: "shunt",
    name: "Shunt from the brain",
    kind: "implant",
    synonyms: ["vp shunt", "brain shunt"],
    place: "head",
    rules: [
      area("Over a shunt and its line nothing is worked."),
      noCranial("With a shunt cranial work and neck levers wait for the doctor's clearance."),
    ],
  },
  {
    key: "cochlear",
    name: "Cochlear implant",
    kind: "implant",
    synonyms: ["hearing implant"],
    place: "head",
    rules: [
      area("Over a hearing implant nothing is worked."),
      noCranial("With a hearing implant the head is not held nor levered by the neck."),
    ],
  },
  {
    key: "stimulator",
    name: "Stimulator",
    kind: "implant",
    synonyms: ["deep brain stimulator", "spinal cord stimulator", "bladder stimulator"],
    place: "ask",
    rules: [
      area("Over a stimulator and its leads nothing is worked."),
      noCranial("With a stimulator cranial work and neck levers wait for the doctor's clearance."),
    ],
  },
  {
    key: "plate",
    name: "Plate, screws or rods",
    kind: "implant",
    synonyms: ["metal plate", "pins", "screws", "nail"],
    place: "ask",
    rules: [area("Over metal under the skin, and beside it, nothing is worked.")],
  },
];
