import { useCallback } from "react";
import { useSubmit } from "react-router";
import { useNotify } from "./notices";

/** Takes something off a page's list, and says so with a way back. `what`: before the intent, where a page has several lists. */
export function useTakeOff(what = ""): (id: string, name: string) => void {
  const submit = useSubmit();
  const notify = useNotify();
  return useCallback(
    (id, name) => {
      // the row that offered it is gone by then: it is not the row that sends
      const send = (intent: string) =>
        void submit(
          { intent: `${what}${intent}`, id },
          { method: "post", encType: "application/json", navigate: false },
        );
      send("remove");
      notify(`${name} is taken off the list.`, { undo: () => send("restore") });
    },
    [submit, notify, what],
  );
}
