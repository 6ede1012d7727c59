/** Asked of the page when sign-in has ended: whoever shows it takes it (`preventDefault`) and answers. */
export const signInAsked = "ember:sign-in";
/** Told to the page when somebody signed in again in place: what waits may go. */
export const signedInAgain = "ember:signed-in";

export type Asked = CustomEvent<{ answer: (signedIn: boolean) => void }>;

let asking: Promise<boolean> | undefined;

/**
 * Lets whoever works here sign in again without leaving the page: all that was typed stays. Whether they did; false, too,
 * where nothing on the page can ask (a tablet in a client's hands).
 */
export function askToSignIn(): Promise<boolean> {
  asking ??= new Promise<boolean>((answer) => {
    const asked = new CustomEvent(signInAsked, { detail: { answer }, cancelable: true });
    if (window.dispatchEvent(asked)) answer(false);
  }).then((signedIn) => {
    asking = undefined;
    if (signedIn) window.dispatchEvent(new Event(signedInAgain));
    return signedIn;
  });
  return asking;
}

/** As `fetch`; where sign-in has ended, somebody signs in again in place and it is asked once more. */
export async function fetchSignedIn(url: string, init?: RequestInit): Promise<Response> {
  const response = await fetch(url, init);
  return response.status === 401 && (await askToSignIn()) ? fetch(url, init) : response;
}
