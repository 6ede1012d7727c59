import { createContext, type RouterContextProvider } from "react-router";

/** What is known of a request outside the pages: its id, and who asks once that is known. Both go to the log. */
export type RequestNotes = { readonly id: string; readonly address: string; user?: string };

export const requestContext = createContext<RequestNotes>({ id: "", address: "local" });

export const notesOf = (context: Readonly<RouterContextProvider>): RequestNotes => context.get(requestContext);
