import { createContext } from "react-router";

/** The CSP nonce of the request being answered; "" in development, where no policy is sent. */
export const nonceContext = createContext<string>("");
