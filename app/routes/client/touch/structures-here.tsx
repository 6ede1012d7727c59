import { sideBehind } from "~core/words";
import Button from "@mui/material/Button";
import type { ReactNode } from "react";
import { layers } from "~core/anatomy/layers";
import { placeOf } from "~core/anatomy/places";
import { structureGroups, structures } from "~core/anatomy/structures";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import type { Spot } from "~app/ui/body-figure";
import { depthColours } from "~app/ui/theme";

/** Everything that can be found in a place, from the surface down: each a press away from its grade. */
export function StructuresHere({
  spot,
  choose,
  close,
  children,
}: {
  spot: Spot;
  choose: (key: string) => void;
  close: () => void;
  /** What else is recorded of a place. */
  children?: ReactNode;
}) {
  const { name } = placeOf(spot.place);
  const here = [...structures, ...structureGroups].filter(({ places }) => places.includes(spot.place));
  return (
    <Box
      role="group"
      aria-label={`Structures at ${name.toLowerCase()}`}
      sx={(t) => ({
        border: `1px solid ${t.tokens.line}`,
        bgcolor: "background.paper",
        borderRadius: "10px",
        p: 2,
        mb: 2,
      })}
    >
      <Box sx={{ display: "flex", alignItems: "baseline", gap: 1, mb: 1 }}>
        <Typography variant="h3" component="h2" sx={{ flex: 1 }}>
          {name}
          {spot.side && sideBehind[spot.side]}
        </Typography>
        <Button size="small" color="inherit" onClick={close}>
          Close
        </Button>
      </Box>
      {layers.map((layer) => {
        const own = here.filter((each) => each.layer === layer.key);
        return own.length === 0 ? null : (
          <Box key={layer.key} sx={{ display: "flex", gap: 0.5, alignItems: "baseline", flexWrap: "wrap", py: 0.25 }}>
            <Box
              component="span"
              sx={(t) => ({
                width: 10,
                height: 10,
                borderRadius: "2px",
                bgcolor: depthColours[layer.depth - 1],
                border: `1px solid ${t.tokens.inkSoft}`,
              })}
            />
            <Typography component="span" sx={{ fontSize: 13, color: "text.secondary", width: 104 }}>
              {layer.name}
            </Typography>
            <Box sx={{ flex: 1, minWidth: 180 }}>
              {own.map((each) => (
                <Button key={each.key} size="small" onClick={() => choose(each.key)} sx={{ minHeight: 36 }}>
                  {each.name}
                </Button>
              ))}
            </Box>
          </Box>
        );
      })}
      {children}
    </Box>
  );
}
