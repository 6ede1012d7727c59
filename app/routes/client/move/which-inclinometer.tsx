import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import { useEffect, useState } from "react";
import { seeded } from "~core/random";
import type { Inclinometer } from "~devices/inclinometer/inclinometer";
import { orientationInclinometer } from "~devices/inclinometer/orientation";
import { rangeStandIn } from "~devices/inclinometer/range";
import { serialInclinometer } from "~devices/inclinometer/serial";
import type { Ports } from "~devices/serial";

const kinds = ["stand-in", "cable", "tilt"] as const;
export type InclinometerKind = (typeof kinds)[number];
const names: Record<InclinometerKind, string> = {
  "stand-in": "Stand-in",
  cable: "Inclinometer at the cable",
  tilt: "This device’s own tilt",
};

const portsOf = () => (navigator as Navigator & { serial?: Ports }).serial;
const canTilt = () => "DeviceOrientationEvent" in window && navigator.maxTouchPoints > 0;

/** Whether the browser lets a page know how the device lies: some ask their user first. */
async function mayTilt(): Promise<boolean> {
  const event = DeviceOrientationEvent as unknown as { requestPermission?: () => Promise<string> };
  return !event.requestPermission || (await event.requestPermission()) === "granted";
}

/** Why an inclinometer cannot be heard, in words to be shown. */
export class NotHeard extends Error {}

/** Opens the chosen one; `truth`: what the stand-in's limb really does. Throws `NotHeard`. */
export async function openInclinometer(kind: InclinometerKind, truth: number): Promise<Inclinometer> {
  if (kind === "stand-in") return rangeStandIn(truth, seeded(Math.floor(Math.random() * 1e9)));
  if (kind === "tilt") {
    if (!(await mayTilt())) throw new NotHeard("This device was not allowed to tell how it lies.");
    return orientationInclinometer(window as unknown as Parameters<typeof orientationInclinometer>[0]);
  }
  try {
    return await serialInclinometer(portsOf()!);
  } catch (error) {
    const none = error instanceof DOMException && error.name === "NotFoundError";
    throw new NotHeard(none ? "No port was chosen." : "The port does not open: is it used by something else?");
  }
}

const key = "ember-inclinometer";

/** What hears angles in this browser: the stand-in until something else is chosen; only what the browser can do is offered. */
export function useInclinometerKind() {
  const [kind, setKind] = useState<InclinometerKind>("stand-in");
  const [offered, setOffered] = useState<readonly InclinometerKind[]>(["stand-in"]);
  useEffect(() => {
    const there = kinds.filter((each) => (each === "cable" ? portsOf() : each === "tilt" ? canTilt() : true));
    setOffered(there);
    const kept = there.find((each) => each === localStorage.getItem(key));
    if (kept) setKind(kept);
  }, []);
  return {
    kind,
    offered,
    choose: (next: InclinometerKind) => {
      setKind(next);
      localStorage.setItem(key, next);
    },
  };
}

/** Chosen by whoever measures. */
export function WhichInclinometer({ kind, offered, choose }: ReturnType<typeof useInclinometerKind>) {
  return (
    <TextField
      select
      size="small"
      label="Angles come from"
      value={kind}
      onChange={(event) => choose(event.target.value as InclinometerKind)}
      sx={{ width: 240 }}
    >
      {offered.map((each) => (
        <MenuItem key={each} value={each}>
          {names[each]}
        </MenuItem>
      ))}
    </TextField>
  );
}
