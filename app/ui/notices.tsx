import Alert from "@mui/material/Alert";
import Button from "@mui/material/Button";
import Snackbar from "@mui/material/Snackbar";
import { createContext, useCallback, useContext, useEffect, useState, type ReactNode } from "react";

import { unsent } from "./keep-typed";

type Notice = { key: number; text: string; severity: "info" | "error"; undo?: () => void };
type Notify = (text: string, options?: { undo?: () => void; severity?: "info" | "error" }) => void;

const NotifyContext = createContext<Notify>(() => undefined);

/** Says what was just done, with a way back where there is one. */
export const useNotify = (): Notify => useContext(NotifyContext);

/** One notice at a time, the newest: it outlives the part of the page that gave it. */
export function Notices({ children }: { children: ReactNode }) {
  const [notice, setNotice] = useState<Notice | undefined>();
  const notify = useCallback<Notify>(
    (text, { undo, severity = "info" } = {}) =>
      setNotice((last) => ({ key: (last?.key ?? 0) + 1, text, severity, ...(undo ? { undo } : {}) })),
    [],
  );
  useEffect(() => {
    const lost = () =>
      notify("No connection: nothing was saved, and nothing you typed is lost. Try again when it is back.", {
        severity: "error",
      });
    window.addEventListener(unsent, lost);
    return () => window.removeEventListener(unsent, lost);
  }, [notify]);
  const close = () => setNotice(undefined);
  const undo = notice?.undo;
  return (
    <NotifyContext.Provider value={notify}>
      {children}
      {notice && (
        <Snackbar
          key={notice.key}
          open
          autoHideDuration={10_000}
          onClose={(_, reason) => reason !== "clickaway" && close()}
          anchorOrigin={{ vertical: "bottom", horizontal: "right" }}
        >
          <Alert
            severity={notice.severity}
            variant="outlined"
            icon={false}
            onClose={close}
            sx={{ bgcolor: "background.paper", alignItems: "center", boxShadow: 4 }}
            action={
              undo && (
                <Button
                  color="inherit"
                  size="small"
                  onClick={() => {
                    undo();
                    close();
                  }}
                >
                  Undo
                </Button>
              )
            }
          >
            {notice.text}
          </Alert>
        </Snackbar>
      )}
    </NotifyContext.Provider>
  );
}
