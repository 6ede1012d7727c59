import createCache from "@emotion/cache";

/** One style cache per request or page, carrying the nonce that the content policy asks for. */
export const makeCache = (nonce?: string) => createCache({ key: "ember", ...(nonce ? { nonce } : {}) });
