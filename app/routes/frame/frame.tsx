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
      email: practitioner.email,
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
    <div className="frame">
      <a href="#content" className="frame-skip">
        Skip to content
      </a>
      <Rail practitioner={loaderData.practitioner} />
      <main id="content" tabIndex={-1} className="frame-content">
        {waiting && (
          <LinearProgress
            aria-label="Loading"
            sx={{ position: "absolute", top: 0, left: 0, right: 0, height: 2, zIndex: 5 }}
          />
        )}
        <Outlet />
      </main>
      <CommandKeys />
    </div>
  );
}
