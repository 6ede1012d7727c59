import { CacheProvider } from "@emotion/react";
import { startTransition, StrictMode } from "react";
import { hydrateRoot } from "react-dom/client";
import { HydratedRouter } from "react-router/dom";
import { makeCache } from "./ui/emotion";

const nonce = document.querySelector<HTMLMetaElement>('meta[property="csp-nonce"]')?.content;

startTransition(() => {
  hydrateRoot(
    document,
    <StrictMode>
      <CacheProvider value={makeCache(nonce || undefined)}>
        <HydratedRouter />
      </CacheProvider>
    </StrictMode>,
  );
});
