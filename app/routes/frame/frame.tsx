import LinearProgress from "@mui/material/LinearProgress";
import { styled } from "@mui/material/styles";
import { Outlet, useNavigation } from "react-router";
import type { Route } from "./+types/frame";
import { ownInUse } from "~core/series/own-library";
import { asking, signedIn } from "~app/server/request/session.server";
import { bringLibrary, framed } from "~app/ui/library-in-use";
import { CommandKeys } from "./command-keys";
import { Rail } from "./rail";

const Shell = styled("div")({ display: "flex", minHeight: "100dvh" });
const SkipLink = styled("a")(({ theme: { tokens } }) => ({
  position: "absolute",
  left: -9999,
  "&:focus": { left: 8, top: 8, zIndex: 10, background: tokens.sheet, padding: 8 },
}));
const Content = styled("main")(({ theme }) => ({
  flex: 1,
  minWidth: 0,
  position: "relative",
  outline: "none",
  // above the rail at the foot of a phone
  [theme.breakpoints.down("sm")]: { paddingBottom: 72 },
}));

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
    <Shell>
      <SkipLink href="#content">Skip to content</SkipLink>
      <Rail practitioner={loaderData.practitioner} />
      <Content id="content" tabIndex={-1}>
        {waiting && (
          <LinearProgress
            aria-label="Loading"
            sx={{ position: "absolute", top: 0, left: 0, right: 0, height: 2, zIndex: 5 }}
          />
        )}
        <Outlet />
      </Content>
      <CommandKeys />
    </Shell>
  );
}
