import { Writable } from "node:stream";
import { CacheProvider } from "@emotion/react";
import createEmotionServer from "@emotion/server/create-instance";
import { renderToPipeableStream } from "react-dom/server";
import {
  isRouteErrorResponse,
  ServerRouter,
  type EntryContext,
  type HandleErrorFunction,
  type RouterContextProvider,
} from "react-router";
import { log, withoutWords } from "~app/server/request/log.server";
import { nonceContext } from "./nonce";
import { notesOf } from "~app/server/request/request.server";
import { makeCache } from "./ui/emotion";

/** After how long a page that is not drawn is given up (ms). */
const patience = 10_000;

/**
 * Draws a page whole, then puts the styles it used into its head with the nonce that the content policy asks for: styles are
 * known only when all of it was drawn.
 */
export default async function handleRequest(
  request: Request,
  status: number,
  headers: Headers,
  entry: EntryContext,
  context: RouterContextProvider,
): Promise<Response> {
  const nonce = context.get(nonceContext);
  const cache = makeCache(nonce || undefined);
  const styles = createEmotionServer(cache);
  const page = await drawn(
    <CacheProvider value={cache}>
      <ServerRouter context={entry} url={request.url} nonce={nonce} />
    </CacheProvider>,
    nonce,
  );
  const tags = styles
    .extractCriticalToChunks(page)
    .styles.filter(({ css }) => css)
    .map(({ key, ids, css }) => `<style nonce="${nonce}" data-emotion="${[key, ...ids].join(" ")}">${css}</style>`);
  headers.set("Content-Type", "text/html; charset=utf-8");
  return new Response(
    page.replace("</head>", () => `${tags.join("")}</head>`),
    { headers, status },
  );
}

/** The page as text, once everything in it is there. */
function drawn(page: React.ReactNode, nonce: string): Promise<string> {
  return new Promise((resolve, reject) => {
    // a page that is done, or failed, is let go: a timer would hold all of it
    const late = setTimeout(() => abort(), patience).unref();
    const failed = (error: unknown) => {
      clearTimeout(late);
      reject(error as Error);
    };
    const { pipe, abort } = renderToPipeableStream(page, {
      nonce,
      onAllReady: () => {
        clearTimeout(late);
        const parts: Buffer[] = [];
        const write = (part: Buffer, _encoding: string, next: () => void) => {
          parts.push(part);
          next();
        };
        pipe(new Writable({ write, highWaterMark: 1 << 20 })).on("finish", () =>
          resolve(Buffer.concat(parts).toString()),
        );
      },
      onShellError: failed,
      onError: failed,
    });
  });
}

export const handleError: HandleErrorFunction = (error, { request, context }) => {
  // who went away, and what was answered with a status of its own, is no fault of ours
  if (request.signal.aborted || (isRouteErrorResponse(error) && error.status < 500)) return;
  const { id, user } = notesOf(context as RouterContextProvider);
  log.error({ id, user, ...withoutWords(error) }, "request failed");
};
