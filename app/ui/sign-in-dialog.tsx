import Dialog from "@mui/material/Dialog";
import TextField from "@mui/material/TextField";
import { useState, type FormEvent } from "react";
import Button from "@mui/material/Button";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";

/** Signs the same person in again, in place: the page under it, and all that was typed in it, stays. */
export default function SignInDialog({
  me: { name, email },
  answer,
}: {
  me: { name: string; email: string };
  answer: (signedIn: boolean) => void;
}) {
  const [password, setPassword] = useState("");
  const [busy, setBusy] = useState(false);
  const [error, setError] = useState<string | undefined>();
  const signIn = async (event: FormEvent) => {
    event.preventDefault();
    // a form in a dialog stands within the page's own forms, for React
    event.stopPropagation();
    setBusy(true);
    const answered = await fetch("/sign-in/again", {
      method: "POST",
      headers: { "Content-Type": "application/json" },
      body: JSON.stringify({ email, password }),
    }).catch(() => undefined);
    setBusy(false);
    if (answered?.ok) return answer(true);
    const said = (await answered?.json().catch(() => undefined)) as { error?: string } | undefined;
    setError(said?.error ?? "No connection. Try again when it is back.");
  };
  return (
    <Dialog
      open
      onClose={() => answer(false)}
      maxWidth="xs"
      fullWidth
      slotProps={{ paper: { "aria-label": "Sign in again" } }}
    >
      <Box component="form" noValidate onSubmit={(event: FormEvent) => void signIn(event)} sx={{ p: 3 }}>
        <Typography variant="h2">Sign in again, {name.split(" ")[0]}</Typography>
        <Typography sx={{ color: "text.secondary", my: 1.5 }}>
          Your sign-in ({email}) has ended. What you typed stays on this page.
        </Typography>
        {/* for password managers, which fill in a pair */}
        <input type="email" name="email" autoComplete="username" value={email} readOnly hidden />
        <TextField
          autoFocus
          fullWidth
          type="password"
          name="password"
          autoComplete="current-password"
          label="Password"
          value={password}
          onChange={(event) => setPassword(event.target.value)}
          error={Boolean(error)}
          helperText={error}
        />
        <Box sx={{ display: "flex", gap: 1.5, mt: 2, flexWrap: "wrap" }}>
          <Button type="submit" variant="contained" disabled={busy || password === ""}>
            {busy ? "Signing in" : "Sign in"}
          </Button>
          <Button color="inherit" onClick={() => answer(false)}>
            Not now
          </Button>
        </Box>
      </Box>
    </Dialog>
  );
}
