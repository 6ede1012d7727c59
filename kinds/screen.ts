import type { ActionFunctionArgs, LoaderFunctionArgs } from "react-router";

/** What the router hands to a screen of a kind's own: it lies below a client. */
export type ScreenArgs = {
  loader: LoaderFunctionArgs & { params: { clientId: string } };
  action: ActionFunctionArgs & { params: { clientId: string } };
};
