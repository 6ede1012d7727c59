import Alert from "@mui/material/Alert";
import Button from "@mui/material/Button";
import Checkbox from "@mui/material/Checkbox";
import Dialog from "@mui/material/Dialog";
import DialogActions from "@mui/material/DialogActions";
import DialogContent from "@mui/material/DialogContent";
import DialogTitle from "@mui/material/DialogTitle";
import FormControlLabel from "@mui/material/FormControlLabel";
import LinearProgress from "@mui/material/LinearProgress";
import Tab from "@mui/material/Tab";
import Tabs from "@mui/material/Tabs";
import TextField from "@mui/material/TextField";
import * as Comlink from "comlink";
import { useEffect, useRef, useState } from "react";
import type { Client } from "~core/client";
import type { Moment } from "~core/findings/restriction";
import { viewName, type View } from "~core/measure/view";
import { usualCamera, type CameraSettings } from "~devices/camera/camera";
import { usualDots } from "~devices/camera/dots";
import { stanceOf } from "~devices/camera/person";
import { seedOf } from "~core/random";
import type { Posture } from "~devices/camera/posture";
import type { StandSetup } from "~data/practitioners";
import type { Visit } from "~data/visits";
import type { CameraWorker } from "~app/workers/camera.worker";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { CameraDials } from "./camera-dials";
import { CoverFace } from "./cover-face";
import { setupSchema } from "./setup-form";
import { fetchSignedIn } from "~app/ui/signed-in";
import { veil } from "./veil";

/** Until a set-up was noted once. */
const usualSetup: StandSetup = { stickLength: 1800, cameraDistance: 3000, cameraHeight: 950, stickBehind: 0 };

const noted = [
  ["stickLength", "Length of the stick (mm)"],
  ["cameraDistance", "Camera to ankles (mm)"],
  ["cameraHeight", "Lens above the floor (mm)"],
  ["stickBehind", "Stick behind the ankles (mm)"],
] as const;

/** Brings a picture in: from the camera stand-in, or a file. Both go the same way from there. */
export function TakePhoto({
  client,
  visit,
  view,
  moment,
  standing,
  worked,
  replaces,
  lastSetup,
  close,
}: {
  client: Client;
  visit: Visit;
  view: View;
  moment: Moment;
  standing: number;
  worked: number;
  replaces: boolean;
  /** What was noted for the picture before. */
  lastSetup: StandSetup | null;
  close: (done: boolean) => void;
}) {
  const [tab, setTab] = useState<"camera" | "file">("camera");
  const [posture, setPosture] = useState<Posture>(() =>
    stanceOf(client.id, client.statureMm ?? undefined, worked, moment, standing === 1 ? view : `${view} ${standing}`),
  );
  const [setup, setSetup] = useState<Record<string, string>>(() =>
    Object.fromEntries(noted.map(([key]) => [key, String((lastSetup ?? usualSetup)[key] ?? 0)])),
  );
  const [stands, setStands] = useState(!lastSetup?.stickHangs);
  const [dotted, setDotted] = useState(lastSetup?.dotted ?? false);
  // the stand-in camera stands where it is noted to stand, until it is moved
  const [camera, setCamera] = useState<Omit<CameraSettings, "view">>(() => ({
    ...usualCamera,
    distance: (lastSetup ?? usualSetup).cameraDistance,
    lensHeight: (lastSetup ?? usualSetup).cameraHeight,
    stickBehind: (lastSetup ?? usualSetup).stickBehind ?? 0,
  }));
  const [file, setFile] = useState<File | undefined>();
  const [progress, setProgress] = useState<number | undefined>();
  const [error, setError] = useState<string | undefined>();
  const [blur, setBlur] = useState(false);
  // a picture that waits for its face to be covered
  const [taken, setTaken] = useState<Blob | undefined>();
  const worker = useRef<Worker | undefined>(undefined);
  // One id per picture taken, made here: pressing twice stores one.
  const [id] = useState(() => crypto.randomUUID());
  useEffect(() => () => worker.current?.terminate(), []);

  const upload = async (body: Blob) => {
    const query = new URLSearchParams({
      id,
      visit: visit.id,
      moment,
      view,
      standing: String(standing),
      stickHangs: String(!stands),
      dotted: String(dotted),
      ...setup,
    });
    // the lay figure is as tall as it was made
    if (tab === "camera") query.set("stature", String(Math.round(posture.stature)));
    const send = () =>
      fetchSignedIn(`/clients/${client.id}/photos/upload?${query}`, {
        method: "POST",
        body,
        headers: { "Content-Type": "application/octet-stream" },
      });
    let response = await send();
    // others are being sent: this one waits its turn
    for (let again = 0; response.status === 503 && again < 4; again++) {
      await new Promise((resolve) => setTimeout(resolve, 1500 * 2 ** again));
      response = await send();
    }
    const answer = (await response.json().catch(() => ({}))) as { id?: string; error?: string };
    if (answer.id) return close(true);
    throw new Error(answer.error ?? "The server did not take the picture. Nothing was stored.");
  };
  const checkSetup = () =>
    setupSchema.validate(setup).catch((problem: Error) => {
      throw new Error(problem.message);
    });
  const run = async (work: () => Promise<void>) => {
    setError(undefined);
    setProgress(0);
    try {
      await work();
    } catch (problem) {
      setError(
        problem instanceof TypeError
          ? "No connection. Nothing was stored; try again when it is back."
          : (problem as Error).message,
      );
    }
    setProgress(undefined);
  };
  const picture = async (): Promise<Blob> => {
    if (tab === "file") {
      if (!file) throw new Error("Choose a picture first.");
      return file;
    }
    worker.current = new Worker(new URL("../../../workers/camera.worker.ts", import.meta.url), {
      type: "module",
    });
    const stand = Comlink.wrap<CameraWorker>(worker.current);
    const settings = { ...camera, view, seed: Math.floor(Math.random() * 1e9) };
    const shot = await stand.shoot(
      posture,
      settings,
      // the stand-in wears them where this hand would have stuck them at this visit
      dotted ? { ...usualDots, seed: seedOf(`dots ${client.id} ${visit.id}`) } : undefined,
      Comlink.proxy((share: number) => setProgress(share * 90)),
    );
    worker.current.terminate();
    return shot.file;
  };
  const take = () =>
    run(async () => {
      await checkSetup();
      const body = await picture();
      if (blur) setTaken(body);
      else await upload(body);
    });
  const cancel = () => {
    worker.current?.terminate();
    setProgress(undefined);
    close(false);
  };
  const busy = progress !== undefined;
  if (taken)
    return (
      <CoverFace
        picture={taken}
        busy={busy}
        error={error}
        back={() => setTaken(undefined)}
        store={(face) => void run(async () => upload(await veil(taken, face)))}
      />
    );

  return (
    <Dialog open onClose={cancel} maxWidth="md" fullWidth aria-labelledby="take-title">
      <DialogTitle id="take-title" sx={{ pb: 0 }}>
        {viewName[view]}, {moment} visit {visit.ordinal}
        {standing > 1 ? `, standing ${standing}` : ""}
      </DialogTitle>
      <DialogContent>
        <Tabs value={tab} onChange={(_, value: "camera" | "file") => setTab(value)} sx={{ mb: 2 }}>
          <Tab value="camera" label="Camera stand-in" />
          <Tab value="file" label="Picture file" />
        </Tabs>
        {replaces && (
          <Alert severity="info" sx={{ mb: 2 }}>
            The picture that is there now is put aside with its marks.
          </Alert>
        )}
        {error && (
          <Alert severity="error" sx={{ mb: 2 }} role="alert">
            {error}
          </Alert>
        )}
        {tab === "camera" ? (
          <CameraDials posture={posture} setPosture={setPosture} camera={camera} setCamera={setCamera} />
        ) : (
          <Box sx={{ maxWidth: 460 }}>
            <Button component="label" variant="outlined" sx={{ mb: 1 }}>
              {file ? file.name : "Choose a JPEG, PNG or WebP file"}
              <input
                type="file"
                accept="image/jpeg,image/png,image/webp"
                hidden
                onChange={(event) => setFile(event.target.files?.[0])}
                aria-label="Picture file"
              />
            </Button>
            <Typography sx={{ fontSize: 13.5, color: "text.secondary", mb: 2 }}>
              Up to 25 MB. It is turned upright, stripped of everything the camera wrote into it, and stored anew.
            </Typography>
          </Box>
        )}
        <Typography variant="h3" component="h2" sx={{ mt: 2 }}>
          What is noted of the set-up
        </Typography>
        <Typography sx={{ fontSize: 13.5, color: "text.secondary", mb: 1.5 }}>
          Measured once with a tape and kept for the next pictures. It enters every error.
        </Typography>
        <Box
          sx={{
            display: "grid",
            gridTemplateColumns: { xs: "1fr", sm: "repeat(2, 1fr)", md: "repeat(4, 1fr)" },
            gap: 1.5,
          }}
        >
          {noted.map(([key, label]) => (
            <TextField
              key={key}
              label={label}
              value={setup[key]}
              onChange={(event) => setSetup({ ...setup, [key]: event.target.value })}
              slotProps={{ htmlInput: { inputMode: "decimal" } }}
            />
          ))}
        </Box>
        <FormControlLabel
          control={<Checkbox checked={stands} onChange={(_, on) => setStands(on)} />}
          label="The stick stands on the floor"
        />
        <FormControlLabel
          control={<Checkbox checked={dotted} onChange={(_, on) => setDotted(on)} />}
          label="Dots are worn on the bony points"
        />
        <FormControlLabel
          control={<Checkbox checked={blur} onChange={(_, on) => setBlur(on)} />}
          label="Cover the face before it is sent"
        />
        {busy && (
          <LinearProgress variant="determinate" value={progress} aria-label="Taking the picture" sx={{ mt: 2 }} />
        )}
      </DialogContent>
      <DialogActions sx={{ p: 2 }}>
        <Button onClick={cancel} color="inherit">
          Cancel
        </Button>
        <Button variant="contained" disabled={busy || (tab === "file" && !file)} onClick={() => void take()}>
          {busy ? "Taking the picture" : tab === "camera" ? "Take the picture" : "Store the picture"}
        </Button>
      </DialogActions>
    </Dialog>
  );
}
