import { IconButton } from "~app/ui/button";
import { Box } from "~app/ui/box";
import { Icon, icons } from "~app/ui/icon";

/** Magnify, reduce, whole picture: below a picture. A factor of 0 asks for the whole. */
export function ZoomButtons({ zoom, whole }: { zoom: (factor: number) => void; whole: boolean }) {
  const buttons = [
    { name: "Magnify", icon: icons.add, factor: 1.6, off: false },
    { name: "Reduce", icon: icons.remove, factor: 1 / 1.6, off: whole },
    { name: "Whole picture", icon: icons.fitScreen, factor: 0, off: whole },
  ];
  return (
    <Box
      sx={(t) => ({
        display: "flex",
        bgcolor: "background.paper",
        borderRadius: "6px",
        border: `1px solid ${t.tokens.line}`,
      })}
    >
      {buttons.map(({ name, icon, factor, off }) => (
        <IconButton
          key={name}
          aria-label={name}
          title={name}
          disabled={off}
          onClick={() => zoom(factor)}
          size="small"
          sx={{ width: 40, height: 40 }}
        >
          <Icon drawn={icon} />
        </IconButton>
      ))}
    </Box>
  );
}
