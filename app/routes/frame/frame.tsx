import Box from "@mui/material/Box";
import LinearProgress from "@mui/material/LinearProgress";
import { Outlet, useNavigation } from "react-router";
import type { Route } from "./+types/frame";
import { ownInUse } from "~core/series/own-library";
import { asking, signedIn } from "~app/server/request/session.server";
import { bringLibrary, framed } from "~app/ui/library-in-use";
import { CommandKeys } from "./command-keys";
import { Rail } from "./rail";

export const middleware: Route.MiddlewareFunction[] = [signedIn];

export function loader({ context }: Route.LoaderArgs) {
  const practitioner = asking(context);
  return {
    practitioner: {
      name: practitioner.name,
      practiceName: practitioner.practiceName,
      settings: practitioner.settings,
    },
    /** What the practice changed of the starting library: everything below knows names by it. */
    library: ownInUse(),
  };
}

export { framed as shouldRevalidate };

export default function Frame({ loaderData }: Route.ComponentProps) {
  bringLibrary(loaderData.library);
  const waiting = useNavigation().state === "loading";
  return (
    <Box sx={{ display: "flex", minHeight: "100dvh" }}>
      <Box
        component="a"
        href="#content"
        sx={{
          position: "absolute",
          left: -9999,
          "&:focus": { left: 8, top: 8, zIndex: 10, bgcolor: "background.paper", p: 1 },
        }}
      >
        Skip to content
      </Box>
      <Rail practitioner={loaderData.practitioner} />
      <Box
        component="main"
        id="content"
        tabIndex={-1}
        sx={{ flex: 1, minWidth: 0, position: "relative", outline: "none", pb: { xs: 9, sm: 0 } }}
      >
        {waiting && (
          <LinearProgress
            aria-label="Loading"
            sx={{ position: "absolute", top: 0, left: 0, right: 0, height: 2, zIndex: 5 }}
          />
        )}
        <Outlet />
      </Box>
      <CommandKeys />
    </Box>
  );
}
