import type { RouterContextProvider } from "react-router";
import { object, string } from "yup";
import { signIn } from "~data/practitioners";
import { readBody } from "./body.server";
import { database } from "./database.server";
import { answering } from "./faults.server";
import { notesOf } from "./request.server";
import { deviceCookie, deviceOf, sessionCookie, tokenOf } from "./session.server";

const schema = object({
  email: string()
    .trim()
    .required("E-mail: type the address you sign in with.")
    .max(320, "E-mail: at most 320 characters."),
  password: string().required("Password: type your password.").max(1000, "Password: at most 1000 characters."),
});

/**
 * Signs in with the e-mail and password that were sent: the headers that carry the new session, which ends the one this
 * browser had before; or why not, with its status. `email` is what was typed.
 */
export async function enterWith(
  request: Request,
  context: Readonly<RouterContextProvider>,
): Promise<
  | { email: string; error: string; status: number; headers?: undefined }
  | { email: string; error?: undefined; status: 200; headers: Headers }
> {
  const form = (await readBody(request)).fields;
  const email = typeof form.email === "string" ? form.email : "";
  const parsed = await schema.validate(form).catch((error: Error) => error);
  if (parsed instanceof TypeError) return { email, error: "Type an e-mail and a password.", status: 400 };
  if (parsed instanceof Error) return { email, error: parsed.message, status: 400 };
  const asked = { ...parsed, address: notesOf(context).address, device: deviceOf(request), replaces: tokenOf(request) };
  const result = await answering(() => signIn(database(), asked));
  if (result.kind === "refused")
    return {
      email,
      error: "That e-mail and password do not belong together. Check both and try again.",
      status: 401,
    };
  const headers = new Headers();
  headers.append("Set-Cookie", sessionCookie(request, result.token));
  headers.append("Set-Cookie", deviceCookie(request, result.device));
  return { email, status: 200, headers };
}
