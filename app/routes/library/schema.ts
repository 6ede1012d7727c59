import schema from "~core/techniques/techniques.schema.json";

/** What a file of techniques has to look like: open to everyone. */
export const loader = () =>
  new Response(`${JSON.stringify(schema, null, 2)}\n`, {
    headers: { "Content-Type": "application/schema+json", "Cache-Control": "public, max-age=3600" },
  });
