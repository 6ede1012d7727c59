import { Writable } from "node:stream";
import type { EmotionCache } from "@emotion/cache";
import { CacheProvider } from "@emotion/react";
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
  // styles are collected, not written beside each element
  cache.compat = true;
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
          const body = new Writable({
            write(chunk: Buffer, _encoding, done) {
              chunks.push(chunk);
              done();
            },
          });
          body.on("error", reject);
          body.on("finish", () => {
            // what waits for a rendering that is over would keep all of it in memory
            clearTimeout(late);
            headers.set("Content-Type", "text/html; charset=utf-8");
            // as bytes all the way: decoding a page and encoding it again costs a good part of drawing it
            const page = Buffer.concat(chunks);
            const head = page.indexOf("</head>");
            const whole = Buffer.concat([page.subarray(0, head), Buffer.from(styleTags(cache)), page.subarray(head)]);
            resolve(new Response(whole, { headers, status: failed }));
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

/** The styles of one rendering, as the style cache of the page finds them again: each global one by itself, then the others. */
function styleTags({ key, nonce, inserted, registered }: EmotionCache): string {
  const tag = (name: string, ids: string[], css: string) =>
    `<style nonce="${nonce ?? ""}" data-emotion="${name} ${ids.join(" ")}">${css}</style>`;
  const all = Object.entries(inserted).filter((each): each is [string, string] => typeof each[1] === "string");
  const [global, regular] = [false, true].map((named) =>
    all.filter(([id]) => (registered[`${key}-${id}`] !== undefined) === named),
  ) as [typeof all, typeof all];
  return [
    ...global.map(([id, css]) => tag(`${key}-global`, [id], css)),
    tag(
      key,
      regular.map(([id]) => id),
      regular.map(([, css]) => css).join(""),
    ),
  ].join("");
}

export const handleError: HandleErrorFunction = (error, { request, context }) => {
  // who went away, and what was answered with a status of its own, is no fault of ours
  if (request.signal.aborted || (isRouteErrorResponse(error) && error.status < 500)) return;
  const { id, user } = notesOf(context as RouterContextProvider);
  log.error({ id, user, ...withoutWords(error) }, "request failed");
};
