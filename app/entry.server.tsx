import { PassThrough } from "node:stream";
import { CacheProvider } from "@emotion/react";
import createEmotionServer from "@emotion/server/create-instance";
import { createReadableStreamFromReadable } from "@react-router/node";
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

/** Renders a page whole, then puts the styles it used into its head (with the nonce the policy asks for). */
export default function handleRequest(
  request: Request,
  status: number,
  headers: Headers,
  entry: EntryContext,
  context: RouterContextProvider,
): Promise<Response> {
  const nonce = context.get(nonceContext);
  const cache = makeCache(nonce || undefined);
  const { extractCriticalToChunks, constructStyleTagsFromChunks } = createEmotionServer(cache);
  return new Promise((resolve, reject) => {
    let failed = status;
    const { pipe, abort } = renderToPipeableStream(
      <CacheProvider value={cache}>
        <ServerRouter context={entry} url={request.url} nonce={nonce} />
      </CacheProvider>,
      {
        nonce,
        onAllReady() {
          const chunks: Buffer[] = [];
          const body = new PassThrough();
          body.on("data", (chunk: Buffer) => chunks.push(chunk));
          body.on("error", reject);
          body.on("end", () => {
            // what waits for a rendering that is over would keep all of it in memory
            clearTimeout(late);
            const html = Buffer.concat(chunks).toString("utf8");
            const styles = constructStyleTagsFromChunks(extractCriticalToChunks(html));
            headers.set("Content-Type", "text/html; charset=utf-8");
            const out = new PassThrough();
            out.end(html.replace("</head>", () => `${styles}</head>`));
            resolve(new Response(createReadableStreamFromReadable(out), { headers, status: failed }));
          });
          pipe(body);
        },
        onShellError(error) {
          clearTimeout(late);
          reject(error instanceof Error ? error : new Error("rendering failed"));
        },
        onError(error) {
          failed = 500;
          log.error({ id: notesOf(context).id, ...withoutWords(error) }, "rendering failed");
        },
      },
    );
    const late = setTimeout(abort, 10_000).unref();
  });
}

export const handleError: HandleErrorFunction = (error, { request, context }) => {
  // who went away, and what was answered with a status of its own, is no fault of ours
  if (request.signal.aborted || (isRouteErrorResponse(error) && error.status < 500)) return;
  const { id, user } = notesOf(context as RouterContextProvider);
  log.error({ id, user, ...withoutWords(error) }, "request failed");
};
