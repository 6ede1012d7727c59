import { useTheme } from "@mui/material/styles";
import { depthOf } from "~core/anatomy/layers";
import type { RunStep } from "~core/session/events";
import type { StepState } from "~core/session/fold";
import { techniqueOf } from "~core/techniques/library";
import Box from "@mui/material/Box";
import { depthColours } from "~app/ui/theme";
import { counted } from "~core/words";

/** The whole session as one bar: as wide as the time planned, coloured by depth, done steps faded. */
export function RunBar({
  steps,
  states,
  current,
}: {
  steps: readonly RunStep[];
  states: readonly StepState[];
  current: number;
}) {
  const { tokens } = useTheme();
  // counted as the plan counts them: both sides are one step
  const keys = [...new Set(steps.map(({ technique }) => technique))];
  return (
    <Box
      sx={{ display: "flex", gap: "3px", mt: 3 }}
      role="img"
      aria-label={
        current >= 0 && current < steps.length
          ? `Step ${keys.indexOf(steps[current]!.technique) + 1} of ${keys.length}`
          : counted(keys.length, "step")
      }
    >
      {steps.map((step, i) => {
        const technique = techniqueOf(step.technique);
        const colour = technique.layer === "LT" ? tokens.plum : depthColours[depthOf(technique.layer) - 1];
        const here = i === current;
        const outcome = states[i]?.outcome;
        return (
          <Box key={i} sx={{ flex: `${Math.max(30, step.planned)} 1 0`, minWidth: 0 }}>
            <Box
              sx={{
                height: here ? 26 : 14,
                mt: here ? 0 : "6px",
                borderRadius: "4px",
                bgcolor: i < current ? tokens.line : colour,
                outline: here ? `2.5px solid ${tokens.ember}` : "none",
                backgroundImage:
                  outcome === "skipped"
                    ? `repeating-linear-gradient(45deg, transparent 0 4px, ${tokens.inkSoft} 4px 5px)`
                    : "none",
              }}
            />
          </Box>
        );
      })}
    </Box>
  );
}
