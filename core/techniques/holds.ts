import type { Hold } from "./technique";

const rows = `
settle-touch 3-6 breaths
sink-wait 60-120 s
cross-spread 10-60 s
cord-hold 20-40 s
shrug-release 10-20 s
trap-point 2-3 breaths
serratus-point 30-90 s
hand-cushion-skull 30-90 s
rib-breath 3-4 breaths
glute-melt 60-120 s
rotator-sink 30-90 s
psoas-wait 3-6 breaths
side-psoas-wait 3-6 breaths
sacral-ease 10-30 s
sacral-ligament-hold 30-60 s
pec-minor-open 20-60 s
pec-major-sink 20-60 s
scap-hook 20-40 s
subscap-reach 2-4 breaths
deep-calf-sink 20-60 s
masseter-melt 30-60 s
temporalis-wait 30-90 s
thumb-web 20-40 s
roll-push-relax 10-10 s
slr-push-relax 5-10 s
knee-push-relax 5-10 s
hip-hike 3-5 s
knee-press 3-5 s
twist-press 3-5 s
rib-arch-ease 3-6 breaths
lt-still-point 60-180 s
lt-skull-base 60-180 s
`;

/** How long one hold usually takes, where a technique is held at all. Common practice. */
export const holds: Readonly<Record<string, Hold | undefined>> = Object.fromEntries(
  rows
    .trim()
    .split("\n")
    .map((row): [string, Hold] => {
      const [key, range, unit] = row.split(" ") as [string, string, Hold["unit"]];
      const [least, most] = range.split("-").map(Number) as [number, number];
      return [key, { least, most, unit }];
    }),
);
