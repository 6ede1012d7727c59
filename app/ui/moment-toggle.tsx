import type { Moment } from "~core/findings/restriction";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";

/** Before or after the work of a visit. */
export function MomentToggle({
  moment,
  visit,
  set,
}: {
  moment: Moment;
  /** Its number. */
  visit: number;
  set: (moment: Moment) => void;
}) {
  return (
    <ToggleButtonGroup
      exclusive
      size="small"
      value={moment}
      onChange={(_, value: Moment | null) => value && set(value)}
      aria-label="Moment"
    >
      <ToggleButton value="before">Before visit {visit}</ToggleButton>
      <ToggleButton value="after">After</ToggleButton>
    </ToggleButtonGroup>
  );
}
