import Alert from "@mui/material/Alert";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Dialog from "@mui/material/Dialog";
import DialogActions from "@mui/material/DialogActions";
import DialogContent from "@mui/material/DialogContent";
import DialogTitle from "@mui/material/DialogTitle";
import LinearProgress from "@mui/material/LinearProgress";
import Slider from "@mui/material/Slider";
import Tab from "@mui/material/Tab";
import Tabs from "@mui/material/Tabs";
import TextField from "@mui/material/TextField";
import Typography from "@mui/material/Typography";
import * as Comlink from "comlink";
import { useEffect, useRef, useState } from "react";
import type { Client } from "~core/client";
import type { Moment } from "~core/findings/restriction";
import { viewName, type View } from "~core/measure/view";
import { stickLength, usualCamera, type CameraSettings } from "~devices/camera/camera";
import { stanceOf } from "~devices/camera/person";
import type { Posture } from "~devices/camera/posture";
import type { Visit } from "~data/visits";
import type { CameraWorker } from "~app/workers/camera.worker";
import { setupSchema } from "./setup-form";

type Setup = { stickLength: number; cameraDistance: number; cameraHeight: number };
const usualSetup: Setup = { stickLength: 1000, cameraDistance: 3000, cameraHeight: 950 };

const dials: { key: keyof Posture; name: string; from: number; to: number; unit: string }[] = [
  { key: "headTilt", name: "Head tilt, left up", from: -8, to: 8, unit: "°" },
  { key: "shoulderTilt", name: "Shoulders, left up", from: -8, to: 8, unit: "°" },
  { key: "pelvisTiltFrontal", name: "Pelvis, left up", from: -6, to: 6, unit: "°" },
  { key: "trunkShift", name: "Trunk to the left", from: -40, to: 40, unit: " mm" },
  { key: "headForward", name: "Head forward", from: -40, to: 70, unit: " mm" },
  { key: "shouldersForward", name: "Shoulders forward", from: -20, to: 40, unit: " mm" },
  { key: "pelvisTiltSagittal", name: "Pelvis, front down", from: -12, to: 16, unit: "°" },
  { key: "lean", name: "Lean forward", from: -3, to: 4, unit: "°" },
];

const cameraDials: {
  key: "distance" | "lensHeight" | "roll" | "noise";
  name: string;
  from: number;
  to: number;
  step: number;
  unit: string;
}[] = [
  { key: "distance", name: "Distance", from: 2000, to: 5000, step: 50, unit: " mm" },
  { key: "lensHeight", name: "Lens height", from: 600, to: 1500, step: 10, unit: " mm" },
  { key: "roll", name: "Roll", from: -5, to: 5, step: 0.1, unit: "°" },
  { key: "noise", name: "Noise", from: 0, to: 12, step: 1, unit: "" },
];

/** Brings a picture in: from the camera stand-in, or a file. Both go the same way from there. */
export function TakePhoto({
  client,
  visit,
  view,
  moment,
  worked,
  replaces,
  close,
}: {
  client: Client;
  visit: Visit;
  view: View;
  moment: Moment;
  worked: number;
  replaces: boolean;
  close: (done: boolean) => void;
}) {
  const [tab, setTab] = useState<"camera" | "file">("camera");
  const [posture, setPosture] = useState<Posture>(() =>
    stanceOf(client.id, client.statureMm ?? undefined, worked, moment),
  );
  const [camera, setCamera] = useState<Omit<CameraSettings, "view">>(usualCamera);
  const [setup, setSetup] = useState<Setup>(usualSetup);
  const [file, setFile] = useState<File | undefined>();
  const [progress, setProgress] = useState<number | undefined>();
  const [error, setError] = useState<string | undefined>();
  const worker = useRef<Worker | undefined>(undefined);
  // One id per picture taken, made here: pressing twice stores one.
  const [id] = useState(() => crypto.randomUUID());
  useEffect(() => () => worker.current?.terminate(), []);

  const upload = async (body: Blob, taken: Setup & { stature?: number }) => {
    const query = new URLSearchParams({ id, visit: visit.id, moment, view });
    for (const [key, value] of Object.entries(taken)) query.set(key, String(value));
    const response = await fetch(`/clients/${client.id}/photos/upload?${query}`, {
      method: "POST",
      body,
      headers: { "Content-Type": "application/octet-stream" },
    });
    const answer = (await response.json().catch(() => ({}))) as { id?: string; error?: string };
    if (answer.id) return close(true);
    throw new Error(answer.error ?? "The server did not take the picture. Nothing was stored.");
  };
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
  const shoot = () =>
    run(async () => {
      worker.current = new Worker(new URL("../../../workers/camera.worker.ts", import.meta.url), {
        type: "module",
      });
      const stand = Comlink.wrap<CameraWorker>(worker.current);
      const settings = { ...camera, view, seed: Math.floor(Math.random() * 1e9) };
      const taken = await stand.shoot(
        posture,
        settings,
        Comlink.proxy((share: number) => setProgress(share * 90)),
      );
      worker.current.terminate();
      await upload(taken.file, {
        stickLength,
        cameraDistance: taken.setup.cameraDistance,
        cameraHeight: taken.setup.cameraHeight,
        stature: Math.round(posture.stature),
      });
    });
  const send = () =>
    run(async () => {
      if (!file) throw new Error("Choose a picture first.");
      await setupSchema.validate(setup).catch((problem: Error) => {
        throw new Error(problem.message);
      });
      await upload(file, setup);
    });
  const cancel = () => {
    worker.current?.terminate();
    setProgress(undefined);
    close(false);
  };
  const busy = progress !== undefined;

  return (
    <Dialog open onClose={cancel} maxWidth="md" fullWidth aria-labelledby="take-title">
      <DialogTitle id="take-title" sx={{ pb: 0 }}>
        {viewName[view]}, {moment} visit {visit.ordinal}
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
          <Box sx={{ display: "grid", gridTemplateColumns: { xs: "1fr", sm: "1fr 1fr" }, columnGap: 5 }}>
            <Box>
              <Typography variant="h3" component="h2">
                How the lay figure stands
              </Typography>
              <Typography sx={{ fontSize: 13.5, color: "text.secondary", mb: 1 }}>
                A simulated person, the same for this client every time, a little easier after each session.
              </Typography>
              {dials.map(({ key, name, from, to, unit }) => (
                <Dial
                  key={key}
                  name={name}
                  value={posture[key]}
                  from={from}
                  to={to}
                  step={0.5}
                  unit={unit}
                  set={(value) => setPosture({ ...posture, [key]: value })}
                />
              ))}
            </Box>
            <Box>
              <Typography variant="h3" component="h2">
                How the camera stands
              </Typography>
              <Typography sx={{ fontSize: 13.5, color: "text.secondary", mb: 1 }}>
                Distance and lens height are noted with the picture; roll is left for the plumb line to find.
              </Typography>
              {cameraDials.map(({ key, name, from, to, step, unit }) => (
                <Dial
                  key={key}
                  name={name}
                  value={camera[key]}
                  from={from}
                  to={to}
                  step={step}
                  unit={unit}
                  set={(value) => setCamera({ ...camera, [key]: value })}
                />
              ))}
            </Box>
          </Box>
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
            {(
              [
                ["stickLength", "Length of the stick (mm)"],
                ["cameraDistance", "Camera distance (mm)"],
                ["cameraHeight", "Lens height (mm)"],
              ] as const
            ).map(([key, label]) => (
              <TextField
                key={key}
                type="number"
                label={label}
                value={setup[key]}
                onChange={(event) => setSetup({ ...setup, [key]: Number(event.target.value) })}
                sx={{ mb: 2 }}
              />
            ))}
          </Box>
        )}
        {busy && (
          <LinearProgress variant="determinate" value={progress} aria-label="Taking the picture" sx={{ mt: 2 }} />
        )}
      </DialogContent>
      <DialogActions sx={{ p: 2 }}>
        <Button onClick={cancel} color="inherit">
          Cancel
        </Button>
        <Button
          variant="contained"
          disabled={busy || (tab === "file" && !file)}
          onClick={() => void (tab === "camera" ? shoot() : send())}
        >
          {busy ? "Taking the picture" : tab === "camera" ? "Take the picture" : "Store the picture"}
        </Button>
      </DialogActions>
    </Dialog>
  );
}

function Dial({
  name,
  value,
  from,
  to,
  step,
  unit,
  set,
}: {
  name: string;
  value: number;
  from: number;
  to: number;
  step: number;
  unit: string;
  set: (value: number) => void;
}) {
  return (
    <Box sx={{ display: "grid", gridTemplateColumns: "140px 1fr 66px", alignItems: "center", columnGap: 1.5 }}>
      <Typography sx={{ fontSize: 14 }}>{name}</Typography>
      <Slider
        size="small"
        value={value}
        min={from}
        max={to}
        step={step}
        onChange={(_, next) => set(next as number)}
        aria-label={name}
      />
      <Typography sx={{ fontSize: 14, textAlign: "right" }}>
        {Math.round(value * 10) / 10}
        {unit}
      </Typography>
    </Box>
  );
}
