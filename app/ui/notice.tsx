import Alert from "@mui/material/Alert";
import Button from "@mui/material/Button";
import Snackbar from "@mui/material/Snackbar";

export type Options = { severity?: "info" | "error"; undo?: () => void; again?: () => void };
export type Notice = Options & { key: number; text: string };

/** One notice at the foot of the page, with the way back or on that it offers. */
export function ShownNotice({ notice, close }: { notice: Notice; close: () => void }) {
  const { undo } = notice;
  const act = undo ?? notice.again;
  return (
    <Snackbar
      open
      autoHideDuration={10_000}
      onClose={(_, reason) => reason !== "clickaway" && close()}
      anchorOrigin={{ vertical: "bottom", horizontal: "right" }}
    >
      <Alert
        severity={notice.severity ?? "info"}
        variant="outlined"
        icon={false}
        onClose={close}
        sx={{ bgcolor: "background.paper", alignItems: "center", boxShadow: 4 }}
        action={
          act && (
            <Button
              color="inherit"
              size="small"
              onClick={() => {
                act();
                close();
              }}
            >
              {undo ? "Undo" : "Load again"}
            </Button>
          )
        }
      >
        {notice.text}
      </Alert>
    </Snackbar>
  );
}
