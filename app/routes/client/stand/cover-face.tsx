import Alert from "@mui/material/Alert";
import Button from "@mui/material/Button";
import Dialog from "@mui/material/Dialog";
import DialogActions from "@mui/material/DialogActions";
import DialogContent from "@mui/material/DialogContent";
import DialogTitle from "@mui/material/DialogTitle";
import Slider from "@mui/material/Slider";
import { useEffect, useState, type KeyboardEvent, type PointerEvent } from "react";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import type { Face } from "./veil";

const within = (value: number) => Math.min(1, Math.max(0, value));

/** Where the face is, before a picture is sent: what lies under the round patch never leaves this device. */
export function CoverFace({
  picture,
  busy,
  error,
  back,
  store,
}: {
  picture: Blob;
  busy: boolean;
  error: string | undefined;
  back: () => void;
  store: (face: Face) => void;
}) {
  const [face, setFace] = useState<Face>({ x: 0.5, y: 0.13, r: 0.06 });
  const [image, setImage] = useState<{ src: string; ratio: number } | undefined>();
  useEffect(() => {
    const src = URL.createObjectURL(picture);
    const element = new Image();
    element.onload = () => setImage({ src, ratio: element.naturalWidth / element.naturalHeight });
    element.src = src;
    return () => URL.revokeObjectURL(src);
  }, [picture]);
  const put = (event: PointerEvent<HTMLElement>) => {
    if (event.buttons === 0) return;
    const box = event.currentTarget.getBoundingClientRect();
    setFace({
      ...face,
      x: within((event.clientX - box.left) / box.width),
      y: within((event.clientY - box.top) / box.height),
    });
  };
  const nudge = (event: KeyboardEvent) => {
    const by = event.shiftKey ? 0.02 : 0.005;
    const [dx, dy] =
      { ArrowLeft: [-by, 0], ArrowRight: [by, 0], ArrowUp: [0, -by], ArrowDown: [0, by] }[event.key] ?? [];
    if (dx === undefined || dy === undefined) return;
    event.preventDefault();
    setFace({ ...face, x: within(face.x + dx), y: within(face.y + dy) });
  };
  const height = 520;
  return (
    <Dialog open onClose={back} maxWidth="sm" fullWidth aria-labelledby="cover-title">
      <DialogTitle id="cover-title">Cover the face</DialogTitle>
      <DialogContent>
        <Typography sx={{ mb: 1.5 }}>
          Drag the patch over the face. What lies under it never leaves this device, so ear and eye under it cannot be
          marked afterwards: leave the ears free if you can.
        </Typography>
        {error && (
          <Alert severity="error" role="alert" sx={{ mb: 1.5 }}>
            {error}
          </Alert>
        )}
        {image && (
          <Box
            role="application"
            tabIndex={0}
            aria-label="Picture with a patch over the face. Arrows move the patch."
            onPointerDown={put}
            onPointerMove={put}
            onKeyDown={nudge}
            sx={{
              position: "relative",
              height,
              aspectRatio: String(image.ratio),
              maxWidth: "100%",
              mx: "auto",
              overflow: "hidden",
              touchAction: "none",
              cursor: "move",
            }}
          >
            <Box component="img" src={image.src} alt="" draggable={false} sx={{ width: "100%", height: "100%" }} />
            <Box
              sx={(t) => ({
                position: "absolute",
                left: `${100 * face.x}%`,
                top: `${100 * face.y}%`,
                width: `${(200 * face.r) / image.ratio}%`,
                height: `${200 * face.r}%`,
                transform: "translate(-50%, -50%)",
                borderRadius: "50%",
                bgcolor: t.tokens.band,
                border: `2px solid ${t.tokens.ember}`,
              })}
            />
          </Box>
        )}
        <Typography component="label" htmlFor="patch-size" sx={{ fontSize: 14, display: "block", mt: 1.5 }}>
          Size of the patch
        </Typography>
        <Slider
          id="patch-size"
          aria-label="Size of the patch"
          min={0.02}
          max={0.2}
          step={0.005}
          value={face.r}
          onChange={(_, r) => setFace({ ...face, r: r as number })}
        />
      </DialogContent>
      <DialogActions sx={{ p: 2 }}>
        <Button color="inherit" onClick={back} disabled={busy}>
          Back
        </Button>
        <Button variant="contained" onClick={() => store(face)} disabled={busy || !image}>
          Cover and store
        </Button>
      </DialogActions>
    </Dialog>
  );
}
