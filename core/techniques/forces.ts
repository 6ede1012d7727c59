/** What hands do to the tissue, and the angle of it to the skin in degrees: into it above 0, away from it below. Common practice:
 * what sinks goes in at about 45°, never straight down; what glides takes up slack and goes along.
 */
export const forces = {
  sinks: { angle: 45, words: "sinks in at about 45°" },
  glides: { angle: 20, words: "takes up slack and glides along" },
  lifts: { angle: -60, words: "lifts away from the body" },
  rests: { angle: 90, words: "rests with the weight of the hand" },
  moves: { angle: 0, words: "moves what it holds, and presses nothing in" },
} as const;
export type ForceKind = keyof typeof forces;
export const forceKinds = Object.keys(forces) as ForceKind[];

/** Which way the hands go, as the body has it. */
export const wayWords = {
  head: "headward",
  feet: "footward",
  out: "outward",
  in: "to the mid-line",
  across: "across",
} as const;
export type Way = keyof typeof wayWords;
export const ways = Object.keys(wayWords) as Way[];

export type Force = { kind: ForceKind; ways: readonly Way[] };

/** A row: key kind ways. Common practice. */
const rows = `
settle-touch rests
side-breath rests
leg-rock moves
broad-compress sinks
broad-compress-front sinks
long-glide glides head
node-sweep glides
head-cradle rests
straighten-reset glides head
sacral-hand rests
resting-hold rests
seated-cradle rests
curl-lift-back lifts
skin-roll-back lifts
grip-lean-trap sinks
push-pull-trap glides head feet
hip-lift-press sinks feet
arm-off-lat sinks
lumbar-spread glides head
cross-spread sinks out
diagonal-spread glides out across
sacrum-slide glides head feet
spine-rock moves
sink-wait sinks
sweep-out glides out
crest-follow glides
sacral-ease glides feet
groove-strip glides feet
spine-pincer glides head feet
forearm-glide glides feet
lat-squeeze glides feet
high-side-in sinks in
open-close-twist moves
crest-inch sinks
lateral-iron glides out
cord-hold sinks
fist-trap sinks
shrug-release sinks
hip-sway moves
sacral-ligament-hold sinks head
tilt-glide sinks
bend-glide glides across
roll-glide glides
roll-push-relax glides
low-rib-sink sinks out
deep-groove-reach glides head feet out
side-back-spread glides out
side-back-skin lifts
side-back-glide glides feet
loin-sink sinks in
side-hip-melt sinks
side-hip-skin lifts
side-thigh-part glides out
side-leg-wring glides feet
seated-shoulder-melt rests
seated-neck-fold lifts
side-rib-part glides across
seated-chest-part glides out
seated-collar-fold lifts
seated-back-glide glides feet
seated-low-back-spread glides out
trap-border sinks
trap-point sinks in
angle-glide glides
pin-turn sinks
hand-behind-back sinks across
reach-across glides out
scap-hook lifts
scap-rounds moves
serratus-roll lifts
serratus-wring glides
serratus-point sinks
rib-rake glides out
subscap-reach sinks
cuff-hang sinks
rib-breath moves
rib-space-glide glides out
chest-back-slide glides head out
chest-skin-roll lifts
pec-major-sink sinks
pec-minor-open sinks out
coraco-lower sinks
chest-pin-rise sinks
chest-fold lifts
front-line-hold glides out
edge-lever moves
breastbone-spread glides out
delt-across moves
arm-skin-roll lifts
arm-spread glides feet out
wrist-pin sinks
upper-arm-melt sinks head
forearm-iron glides head
arm-line-stretch moves
hand-skin lifts
wrist-band-spread glides across
palm-open glides out
thumb-ball glides
thumb-web sinks
hand-rounds moves
chest-to-skull glides head
soft-knead sinks
neck-sway moves
knuckle-walk glides head
collar-turn glides out in
trap-delt-part glides head feet
rope-draw glides head
scalene-creep sinks
scalene-pin sinks
levator-strip glides head
side-forearm-neck sinks head
hand-cushion-skull sinks
neck-fold lifts
nod-release sinks
scalp-shift sinks
scalp-lift lifts
temporalis-wait rests
brow-smooth glides head
cheek-spread glides out
masseter-melt sinks feet
gluteal-skin lifts
glute-melt sinks
tfl-lift sinks
quad-stretch moves
rotator-sink sinks
trochanter-circle moves
sit-bone-hook sinks
thigh-skin lifts
band-ham-split sinks
palm-part-ham glides out
ham-osc sinks
ham-iron glides
ham-chisel sinks
ham-pin-straighten sinks head
slr-push-relax moves
knee-push-relax moves
hollow-ease rests
calf-skin lifts
calf-lift lifts
heel-cord-part lifts across
calf-pin sinks feet
deep-calf-sink sinks
shin-line glides feet
peroneal-strip glides feet
thigh-wring glides across
thigh-spread glides feet
quad-iron glides
patella-spread glides out
quad-pin sinks
rectus-bend sinks head
band-side-iron glides across
quad-band-split sinks
band-bend sinks
adductor-lean sinks
waist-skin lifts
belly-skin lifts
side-waist-draw glides head in
oblique-slide glides out
rib-arch-ease sinks
white-line-draw glides head feet
psoas-wait sinks
side-psoas-wait sinks
leg-as-lever moves
hip-hike moves
knee-press moves
twist-press moves
foot-skin lifts
foot-open sinks
sole-fist glides
ankle-band-spread glides out across
instep-glide glides head
foot-bones sinks head
ankle-rounds moves
neck-rounds moves
shoulder-rounds moves
lt-still-point rests
lt-sheets rests
lt-skull-base rests
lt-sacrum rests
lt-tube rests
lt-vault rests
lt-listen rests
lt-frontal rests
lt-parietals rests
lt-sphenoid rests
lt-temporals rests
lt-occiput-still rests
lt-listen-again rests
lt-unwind-neck rests
lt-unwind-arm rests
lt-unwind-leg rests
lt-chest-float rests
`;

const byKey = new Map(
  rows
    .trim()
    .split("\n")
    .map((row): [string, Force] => {
      const [key, kind, ...own] = row.split(" ") as [string, ForceKind, ...Way[]];
      return [key, { kind, ways: own }];
    }),
);

/** The force of a technique of the starting catalogue. */
export const forceByKey = (key: string): Force | undefined => byKey.get(key);

/** "sinks in at about 45°, headward or outward" */
export const forceWords = ({ kind, ways: own }: Force): string =>
  [forces[kind].words, own.map((way) => wayWords[way]).join(" or ")].filter(Boolean).join(", ");
