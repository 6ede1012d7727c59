import { useFetcher, useSubmit } from "react-router";
import { useNotify } from "./notices";

/** Takes something off a page's list, and says so with a way back. `what`: before the intent, where a page has several lists. */
export function useTakeOff(what = ""): (id: string, name: string) => void {
  const fetcher = useFetcher();
  const submit = useSubmit();
  const notify = useNotify();
  return (id, name) => {
    void fetcher.submit({ intent: `${what}remove`, id }, { method: "post", encType: "application/json" });
    notify(`${name} is taken off the list.`, {
      // the row that offered it is gone by then
      undo: () =>
        void submit({ intent: `${what}restore`, id }, { method: "post", encType: "application/json", navigate: false }),
    });
  };
}
