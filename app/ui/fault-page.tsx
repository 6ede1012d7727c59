import Button from "@mui/material/Button";
import { isRouteErrorResponse } from "react-router";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { Mark } from "./mark";

/** What happened, what was kept, what to do: for every fault a page can meet. */
function describe(error: unknown): { title: string; text: string; action: "home" | "reload" } {
  if (isRouteErrorResponse(error)) {
    if (error.status === 404)
      return {
        title: "Nothing here by that address",
        text: "It may have been moved, or it belongs to another practice. Nothing was changed.",
        action: "home",
      };
    if (error.status === 409)
      return {
        title: "Someone changed this meanwhile",
        text: "Your last change was not saved, so that theirs is not lost. Load the page again to see what is there now, then repeat your change.",
        action: "reload",
      };
    if (error.status === 503)
      return {
        title: "The database does not answer",
        text: "Everything you had confirmed is stored. What you just sent was not. Try again in a moment; if it stays away, restart the application.",
        action: "reload",
      };
    if (error.status < 500)
      return { title: "That did not work", text: String(error.data || error.statusText), action: "reload" };
  }
  return {
    title: "Something broke on our side",
    text: "Everything you had confirmed is stored. The fault was logged without any client's data. Try again; if it comes back, tell whoever looks after this installation the time it happened.",
    action: "reload",
  };
}

export default function FaultPage({ error }: { error: unknown }) {
  const fault = describe(error);
  return (
    <Box component="main" sx={{ minHeight: "60vh", display: "grid", placeItems: "center", p: 4 }}>
      <Box sx={{ maxWidth: 480 }}>
        <Mark size={56} />
        <Typography variant="h1" sx={{ mt: 3 }}>
          {fault.title}
        </Typography>
        <Typography sx={{ mt: 1.5, color: "text.secondary", fontSize: 16 }}>{fault.text}</Typography>
        <Box sx={{ mt: 3, display: "flex", gap: 1.5 }}>
          {fault.action === "reload" && (
            <Button variant="contained" onClick={() => window.location.reload()}>
              Load again
            </Button>
          )}
          <Button component="a" variant={fault.action === "home" ? "contained" : "outlined"} href="/">
            Go to Today
          </Button>
        </Box>
      </Box>
    </Box>
  );
}
