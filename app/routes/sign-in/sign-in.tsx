import FormControl from "@mui/material/FormControl";
import InputLabel from "@mui/material/InputLabel";
import OutlinedInput, { type OutlinedInputProps } from "@mui/material/OutlinedInput";
import { styled, useTheme } from "@mui/material/styles";
import { data, Form, redirect, useNavigation } from "react-router";
import type { Route } from "./+types/sign-in";
import { database } from "~app/server/request/database.server";
import { answering } from "~app/server/request/faults.server";
import { tokenOf } from "~app/server/request/session.server";
import { enterWith } from "~app/server/request/sign-in.server";
import Alert from "@mui/material/Alert";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { Mark } from "~app/ui/mark";
import { isSignedIn } from "~data/practitioners";

export const meta: Route.MetaFunction = () => [{ title: "Sign in · Ember Path" }];

/** Only ways inside: an address that begins with one slash and nothing that a browser reads as another host. */
const inside = (path: string | null) => (path && /^\/(?![/\\])[\w\-./?=&%]*$/.test(path) ? path : "/");

export async function loader({ request }: Route.LoaderArgs) {
  const token = tokenOf(request);
  if (token && (await answering(() => isSignedIn(database(), token)))) throw redirect("/");
  return { demo: process.env.EMBER_DEMO === "1" };
}

export async function action({ request, context }: Route.ActionArgs) {
  const { email, error, status, headers } = await enterWith(request, context);
  if (error !== undefined) return data({ email, error }, { status });
  return redirect(inside(new URL(request.url).searchParams.get("next")), { headers });
}

export default function SignIn({ loaderData, actionData }: Route.ComponentProps) {
  const busy = useNavigation().state !== "idle";
  return (
    <Box
      component="main"
      sx={{ minHeight: "100dvh", display: "grid", gridTemplateColumns: { xs: "1fr", md: "1fr 480px" } }}
    >
      <Box
        sx={{
          display: { xs: "none", md: "flex" },
          alignItems: "center",
          overflow: "hidden",
          position: "relative",
        }}
      >
        <PathDrawing />
      </Box>
      <Box
        sx={{
          bgcolor: "background.paper",
          display: "flex",
          flexDirection: "column",
          justifyContent: "center",
          px: { xs: 3, sm: 7 },
          py: 4,
          borderLeft: (t) => `1px solid ${t.tokens.line}`,
        }}
      >
        <Mark size={56} />
        <Typography variant="h1" sx={{ mt: 3, fontSize: 32 }}>
          Ember Path
        </Typography>
        <Typography sx={{ mt: 1, mb: 4, color: "text.secondary", fontSize: 16 }}>
          See how a body stands, plan from the surface to the depth and back, and know what changed and how sure that
          is.
        </Typography>
        <Form method="post" noValidate>
          {actionData?.error && (
            <Alert severity="error" role="alert" sx={{ mb: 2 }}>
              {actionData.error}
            </Alert>
          )}
          <Field
            name="email"
            type="email"
            label="E-mail"
            autoComplete="username"
            defaultValue={actionData?.email ?? ""}
            autoFocus
          />
          <Field name="password" type="password" label="Password" autoComplete="current-password" />
          <Enter type="submit" disabled={busy}>
            {busy ? "Signing in" : "Sign in"}
          </Enter>
        </Form>
        {loaderData.demo && (
          <Typography sx={{ mt: 3, color: "text.secondary", fontSize: 14 }}>
            Demo practice: odile@kiln.example or tamsin@kiln.example, password <strong>slow warm hands</strong>
          </Typography>
        )}
      </Box>
    </Box>
  );
}

/** As a large button elsewhere, without what buttons bring along. */
const Enter = styled("button")(({ theme }) => ({
  ...theme.typography.button,
  width: "100%",
  marginTop: theme.spacing(1),
  padding: theme.spacing(1, 2),
  border: 0,
  borderRadius: theme.shape.borderRadius,
  color: theme.palette.primary.contrastText,
  backgroundColor: theme.palette.primary.main,
  cursor: "pointer",
  transition: theme.transitions.create("background-color", { duration: theme.transitions.duration.short }),
  "&:hover": { backgroundColor: theme.palette.primary.dark },
  "&:disabled": {
    color: theme.palette.action.disabled,
    backgroundColor: theme.palette.action.disabledBackground,
    cursor: "default",
  },
}));

/** As a text field elsewhere, without the menus that those bring along: this is the first page anybody loads. */
function Field({ name, label, ...input }: { name: string; label: string } & OutlinedInputProps) {
  return (
    <FormControl fullWidth size="small" sx={{ mb: 2 }}>
      <InputLabel htmlFor={name}>{label}</InputLabel>
      <OutlinedInput id={name} name={name} label={label} {...input} />
    </FormControl>
  );
}

/** The house's idea in one drawing: from the surface to the depth and back. */
function PathDrawing() {
  const { tokens } = useTheme();
  const bands = ["surface fascia", "deep fascia", "outer muscle", "inner muscle", "joint"];
  return (
    <svg
      viewBox="0 0 720 640"
      width="100%"
      role="img"
      aria-label="A path that goes down through five layers and comes back up"
    >
      {bands.map((name, i) => (
        <g key={name}>
          <line
            x1="120"
            x2="720"
            y1={170 + i * 76}
            y2={170 + i * 76}
            stroke={tokens.line}
            strokeDasharray={i ? "3 7" : undefined}
          />
          <text x="106" y={175 + i * 76} textAnchor="end" fontSize="15" fill={tokens.inkSoft}>
            {name}
          </text>
        </g>
      ))}
      <path
        d="M130 170 C210 170 200 246 260 256 S330 330 390 398 S460 470 500 470"
        fill="none"
        stroke={tokens.ink}
        strokeWidth="3.2"
        strokeLinecap="round"
      />
      <path
        d="M500 470 C560 470 570 330 630 262 S690 190 712 172"
        fill="none"
        stroke={tokens.inkSoft}
        strokeWidth="2.4"
        strokeDasharray="2 8"
        strokeLinecap="round"
      />
      {[
        [260, 256],
        [390, 398],
      ].map(([x, y]) => (
        <circle key={x} cx={x} cy={y} r="9" fill={tokens.ink} />
      ))}
      <circle cx="500" cy="470" r="26" fill={tokens.emberWash} />
      <circle cx="500" cy="470" r="13" fill={tokens.ember} />
      {[
        [600, 300],
        [672, 210],
      ].map(([x, y]) => (
        <circle key={x} cx={x} cy={y} r="8" fill={tokens.paper} stroke={tokens.inkSoft} strokeWidth="2" />
      ))}
    </svg>
  );
}
