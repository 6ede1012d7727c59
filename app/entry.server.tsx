import type { EmotionCache } from "@emotion/cache";
import { CacheProvider } from "@emotion/react";
import { renderToString } from "react-dom/server";
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
import { handOver } from "./hand-over";
import { makeCache } from "./ui/emotion";
import { allHere } from "./ui/when-needed";

/**
 * Renders a page whole and as text, then puts the styles it used into its head (with the nonce the policy asks for) and what
 * its loaders said at its end. A stream would send the page piece by piece, and turning some ten thousand pieces into bytes
 * one by one took an eighth of the time; there is nothing here that a page would have to wait for.
 */
export default async function handleRequest(
  request: Request,
  status: number,
  headers: Headers,
  { serverHandoffStream, ...entry }: EntryContext,
  context: RouterContextProvider,
): Promise<Response> {
  const nonce = context.get(nonceContext);
  const cache = makeCache(nonce || undefined);
  // styles are collected, not written beside each element
  cache.compat = true;
  const [said] = await Promise.all([new Response(serverHandoffStream).text(), allHere()]);
  // drawn as text, a page is not said to be one
  const page = `<!DOCTYPE html>${renderToString(
    <CacheProvider value={cache}>
      <ServerRouter context={{ ...entry, manifest: onTheWay(entry) }} url={request.url} nonce={nonce} />
    </CacheProvider>,
  )}`;
  const head = page.indexOf("</head>");
  const end = page.lastIndexOf("</body>");
  headers.set("Content-Type", "text/html; charset=utf-8");
  const whole =
    page.slice(0, head) + styleTags(cache) + page.slice(head, end) + handOver(said, nonce) + page.slice(end);
  return new Response(Buffer.from(whole), { headers, status });
}

/** The router makes a tree of all routes for every page it draws; of these, only those that led here are in it. */
function onTheWay({ manifest, staticHandlerContext: { matches } }: EntryContext): EntryContext["manifest"] {
  const ids = matches.map(({ route }) => route.id);
  return { ...manifest, routes: Object.fromEntries(ids.map((id) => [id, manifest.routes[id]])) };
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
