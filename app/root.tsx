import "@fontsource-variable/atkinson-hyperlegible-next";
import textLetters from "@fontsource-variable/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-wght-normal.woff2?url";
import "@fontsource-variable/bricolage-grotesque";
import headingLetters from "@fontsource-variable/bricolage-grotesque/files/bricolage-grotesque-latin-wght-normal.woff2?url";
import CssBaseline from "@mui/material/CssBaseline";
import { ThemeProvider } from "@mui/material/styles";
import { lazy, Suspense, type ComponentType, type ReactNode } from "react";
import { Links, Meta, Outlet, Scripts, ScrollRestoration, useMatches, useRouteLoaderData } from "react-router";
import type { Route } from "./+types/root";
import { nonceContext } from "./nonce";
import { Notices } from "./ui/notices";
import { PageSheet } from "./ui/page";
import { useReloadForUnknown } from "./ui/reload-for-unknown";
import { SignInAgain } from "./ui/sign-in-again";
import { themes } from "./ui/theme";

/** Letters are asked for with the page, not after its styles were read. */
const font = (href: string) =>
  ({ rel: "preload", href, as: "font", type: "font/woff2", crossOrigin: "anonymous" }) as const;

export const links: Route.LinksFunction = () => [
  { rel: "icon", href: "/favicon.svg", type: "image/svg+xml" },
  font(textLetters),
  font(headingLetters),
];

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
    <ThemeProvider theme={themes[dim ? "dim" : "light"]}>
      <CssBaseline />
      <Notices>{children}</Notices>
      <SignInAgain />
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

/** Where a fault's page cannot be fetched: the network is what failed. */
const Unreachable = () => (
  <PageSheet as="main">
    <h1>No connection</h1>
    <p>Everything you had confirmed is stored. Load the page again when the network is back.</p>
  </PageSheet>
);
const FaultPage = lazy((): Promise<{ default: ComponentType<{ error: unknown }> }> =>
  import("./ui/fault-page").catch(() => ({ default: Unreachable })),
);

export function ErrorBoundary({ error }: Route.ErrorBoundaryProps) {
  useReloadForUnknown(error);
  return (
    <Themed dim={false}>
      <Suspense>
        <FaultPage error={error} />
      </Suspense>
    </Themed>
  );
}
