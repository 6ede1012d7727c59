import Slider from "@mui/material/Slider";
import type { CameraSettings } from "~devices/camera/camera";
import type { Posture } from "~devices/camera/posture";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";

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
  key: "distance" | "lensHeight" | "roll" | "yaw" | "stickBehind";
  name: string;
  from: number;
  to: number;
  step: number;
  unit: string;
}[] = [
  { key: "distance", name: "Distance", from: 2000, to: 5000, step: 50, unit: " mm" },
  { key: "lensHeight", name: "Lens height", from: 600, to: 1500, step: 10, unit: " mm" },
  { key: "roll", name: "Roll", from: -5, to: 5, step: 0.1, unit: "°" },
  { key: "yaw", name: "Client turned", from: -15, to: 15, step: 0.5, unit: "°" },
  { key: "stickBehind", name: "Stick behind", from: -200, to: 200, step: 10, unit: " mm" },
];

type Camera = Omit<CameraSettings, "view">;

/** How the lay figure and the camera stand-in stand. */
export function CameraDials({
  posture,
  setPosture,
  camera,
  setCamera,
}: {
  posture: Posture;
  setPosture: (posture: Posture) => void;
  camera: Camera;
  setCamera: (camera: Camera) => void;
}) {
  return (
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
          Where it truly stands, whatever is noted below. Roll is left for the plumb line to find.
        </Typography>
        {cameraDials.map(({ key, name, from, to, step, unit }) => (
          <Dial
            key={key}
            name={name}
            value={camera[key] ?? 0}
            from={from}
            to={to}
            step={step}
            unit={unit}
            set={(value) => setCamera({ ...camera, [key]: value })}
          />
        ))}
      </Box>
    </Box>
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
