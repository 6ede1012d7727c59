import { lazy, Suspense, useEffect, useState } from "react";
import { useMatches } from "react-router";
import { signInAsked, type Asked } from "./signed-in";

const SignInDialog = lazy(() => import("./sign-in-dialog"));

/** Whoever this page was made for; undefined before sign-in, and on a tablet in a client's hands. */
function useMe(): { name: string; email: string } | undefined {
  for (const { loaderData } of useMatches()) {
    const found = (loaderData as { practitioner?: { name?: string; email?: string } } | undefined)?.practitioner;
    if (found?.email && found.name) return { name: found.name, email: found.email };
  }
  return undefined;
}

/** Asks whoever works here to sign in again, over the page as it is. */
export function SignInAgain() {
  const me = useMe();
  const [asked, setAsked] = useState<{ answer: (signedIn: boolean) => void } | undefined>();
  const known = me !== undefined;
  useEffect(() => {
    if (!known) return;
    const take = (event: Event) => {
      event.preventDefault();
      setAsked((event as Asked).detail);
    };
    window.addEventListener(signInAsked, take);
    return () => window.removeEventListener(signInAsked, take);
  }, [known]);
  if (!me || !asked) return null;
  const answer = (signedIn: boolean) => {
    setAsked(undefined);
    asked.answer(signedIn);
  };
  return (
    <Suspense>
      <SignInDialog me={me} answer={answer} />
    </Suspense>
  );
}
