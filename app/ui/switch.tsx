import type { ReactNode } from "react";

/** Something that is on or off at once, with what it is beside it. */
export const Switch = ({ on, set, children }: { on: boolean; set: (on: boolean) => void; children: ReactNode }) => (
  <label className="switch">
    <input type="checkbox" role="switch" checked={on} onChange={(event) => set(event.target.checked)} />
    {children}
  </label>
);
