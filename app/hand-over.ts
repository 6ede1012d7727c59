/**
 * The script that hands a page what its loaders said. The router would write the text as a string in quotes, each quote of
 * it escaped once more and each piece of it drawn as an element of its own; here it stands as it is. It is JSON: what would
 * end the script or the string has another way to be written there.
 */
export function handOver(said: string, nonce: string | undefined): string {
  const raw = said.replace(/[<`$]/g, (sign) => `\\u${sign.charCodeAt(0).toString(16).padStart(4, "0")}`);
  const to = "window.__reactRouterContext.streamController";
  return `<script nonce="${nonce ?? ""}">${to}.enqueue(String.raw\`${raw}\`);${to}.close();</script>`;
}
