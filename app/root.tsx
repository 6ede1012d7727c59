import "@fontsource-variable/atkinson-hyperlegible-next";
import "@fontsource-variable/bricolage-grotesque";
import CssBaseline from "@mui/material/CssBaseline";
import { ThemeProvider } from "@mui/material/styles";
import type { ReactNode } from "react";
import { Links, Meta, Outlet, Scripts, ScrollRestoration, useMatches, useRouteLoaderData } from "react-router";
import type { Route } from "./+types/root";
import { nonceContext } from "./nonce";
import { Notices } from "./ui/notices";
import { useReloadForUnknown } from "./ui/library-in-use";
import { FaultPage } from "./ui/fault-page";
import { provided } from "./ui/theme";

export const links: Route.LinksFunction = () => [{ rel: "icon", href: "/favicon.svg", type: "image/svg+xml" }];

export const loader = ({ context }: Route.LoaderArgs) => ({ nonce: context.get(nonceContext) });

/** A route may ask for the dim theme (`handle.dim`); otherwise the practitioner's own choice counts. */
function useDim(): boolean {
  const matches = useMatches();
  return matches.some(
    (match) =>
      (match.handle as { dim?: boolean } | undefined)?.dim ||
      (match.loaderData as { practitioner?: { settings?: { dim?: boolean } } } | undefined)?.practitioner?.settings
        ?.dim,
  );
}

export function Layout({ children }: { children: ReactNode }) {
  const nonce = useRouteLoaderData<typeof loader>("root")?.nonce;
  return (
    <html lang="en">
      <head>
        <meta charSet="utf-8" />
        <meta name="viewport" content="width=device-width, initial-scale=1" />
        {/* the browser hides a nonce from scripts; the style cache reads it here */}
        <meta property="csp-nonce" content={nonce ?? ""} suppressHydrationWarning />
        <Meta />
        <Links />
      </head>
      <body>
        {children}
        <ScrollRestoration nonce={nonce} />
        <Scripts nonce={nonce} />
      </body>
    </html>
  );
}

function Themed({ children, dim }: { children: ReactNode; dim: boolean }) {
  return (
    <ThemeProvider theme={provided[dim ? "dim" : "light"]}>
      <CssBaseline />
      <Notices>{children}</Notices>
    </ThemeProvider>
  );
}

export default function Root() {
  return (
    <Themed dim={useDim()}>
      <Outlet />
    </Themed>
  );
}

export function ErrorBoundary({ error }: Route.ErrorBoundaryProps) {
  useReloadForUnknown(error);
  return (
    <Themed dim={false}>
      <FaultPage error={error} />
    </Themed>
  );
}
