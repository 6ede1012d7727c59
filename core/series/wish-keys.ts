/** What a practitioner may wish of a plan beside its targets: no rule, but worth something. */
export const wishes = [
  { key: "turns", name: "Few turns", means: "A position that a session goes through costs four times as much." },
  { key: "quiet", name: "Quiet endings", means: "Eight minutes of closing or light touch in each session." },
  { key: "even", name: "Left and right alike", means: "Every minute that one side gets more than the other costs." },
  { key: "local", name: "More at the complaint", means: "A third of each session at the complaint’s own place." },
] as const;
export type WishKey = (typeof wishes)[number]["key"];
export const wishKeys = wishes.map(({ key }) => key);
