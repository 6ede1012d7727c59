import type { Route } from "./+types/export";
import { isFixed } from "~core/series/arc-session";
import { definitionOf } from "~core/techniques/definition";
import { offered, libraryInUse } from "~core/techniques/library";
import { ownDefinitions } from "~core/techniques/merge";
import { fileOf } from "~core/techniques/read-file";
import { addressOf } from "~app/server/request/address.server";
import { inSession } from "~app/server/request/session.server";

/** The practice's own techniques as an open file; with `?all=1` every one that it works with, parts of the arc left out. */
export function loader({ request, context }: Route.LoaderArgs) {
  return inSession(context, () => {
    const all = addressOf(request).is("all", "1");
    const definitions = all
      ? offered()
          .filter(({ stem }) => !isFixed(stem))
          .map(definitionOf)
      : ownDefinitions(libraryInUse());
    return Promise.resolve(
      new Response(fileOf(definitions), {
        headers: {
          "Content-Type": "application/json; charset=utf-8",
          "Content-Disposition": `attachment; filename="techniques${all ? "-all" : ""}.json"`,
          "Cache-Control": "private, no-store",
        },
      }),
    );
  });
}
