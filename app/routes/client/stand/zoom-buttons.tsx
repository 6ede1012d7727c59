import IconButton from "@mui/material/IconButton";
import Box from "@mui/material/Box";
import Add from "@mui/icons-material/Add";
import FitScreen from "@mui/icons-material/FitScreen";
import Remove from "@mui/icons-material/Remove";

/** Magnify, reduce, whole picture: below a picture. A factor of 0 asks for the whole. */
export function ZoomButtons({ zoom, whole }: { zoom: (factor: number) => void; whole: boolean }) {
  const buttons = [
    { name: "Magnify", Icon: Add, factor: 1.6, off: false },
    { name: "Reduce", Icon: Remove, factor: 1 / 1.6, off: whole },
    { name: "Whole picture", Icon: FitScreen, factor: 0, off: whole },
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
      {buttons.map(({ name, Icon, factor, off }) => (
        <IconButton
          key={name}
          aria-label={name}
          title={name}
          disabled={off}
          onClick={() => zoom(factor)}
          size="small"
          sx={{ width: 40, height: 40 }}
        >
          <Icon />
        </IconButton>
      ))}
    </Box>
  );
}
