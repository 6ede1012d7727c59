import { isIP } from "node:net";

const names = ["loopback", "linklocal", "uniquelocal"];

const help = [
  "It says which proxies may tell who asks and whether TLS was used. One of:",
  "  unset                        no proxy: what such headers say is ignored",
  "  loopback                     a proxy on this machine (also: linklocal, uniquelocal)",
  "  10.0.0.5, 10.1.0.0/16        these addresses or networks, separated by commas",
  "  1                            exactly so many proxies in a row (1 to 9)",
].join("\n");

/** A start that cannot go on, with a sentence for whoever started it. */
export class Misconfigured extends Error {
  override name = "Misconfigured";
}

/**
 * What TRUST_PROXY means for the server: false, a number of hops, or names, addresses and networks. Throws Misconfigured
 * for anything else: a wrong value would let strangers say who they are.
 */
export function trustedProxies(value: string | undefined): false | number | string[] {
  const told = value?.trim() ?? "";
  if (told === "") return false;
  if (/^[1-9]$/.test(told)) return Number(told);
  const parts = told.split(",").map((part) => part.trim());
  for (const part of parts) {
    const [address = "", bits, ...more] = part.split("/");
    const version = isIP(address);
    const most = version === 4 ? 32 : 128;
    const network = bits === undefined || (/^\d{1,3}$/.test(bits) && Number(bits) >= 1 && Number(bits) <= most);
    if (names.includes(part) || (version > 0 && network && more.length === 0)) continue;
    throw new Misconfigured(`TRUST_PROXY: “${part}” is not understood.\n${help}`);
  }
  return parts;
}
