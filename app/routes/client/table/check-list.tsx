import { useEffect, useRef } from "react";
import { isAnswered, type Answer, type TableMoment } from "~core/table/answers";
import { lyingWords, type Check } from "~core/table/checks";
import { SideList } from "~app/ui/side-list";
import { byLying, isOff, wordsOf } from "~core/table/results";

/** Every check of the run, by how the client lies, with what it said: chosen in any order. */
export function CheckList({
  list,
  answers,
  moment,
  chosen,
  choose,
}: {
  list: readonly Check[];
  answers: readonly Answer[];
  moment: TableMoment;
  chosen: string | undefined;
  choose: (key: string) => void;
}) {
  const current = useRef<HTMLButtonElement>(null);
  useEffect(() => {
    // the list goes along with the run, and leaves the page where it is
    const [button, frame] = [current.current, current.current?.closest<HTMLElement>("[data-scrolls]")];
    if (button && frame) frame.scrollTop = button.offsetTop - frame.clientHeight / 2;
  }, [chosen]);
  return (
    <SideList aria-label="Checks">
      {byLying(list).map(({ lying, list: own }) => (
        <section key={lying}>
          <h3>{lyingWords[lying].replace(/^./, (first) => first.toUpperCase())}</h3>
          {own.map((check) => {
            const said = wordsOf(check, answers, moment);
            return (
              <button
                key={check.key}
                ref={check.key === chosen ? current : undefined}
                type="button"
                aria-current={check.key === chosen ? "step" : undefined}
                onClick={() => choose(check.key)}
              >
                {check.name}
                {said && (
                  <small className={isOff(check, answers, moment) ? "off" : undefined}>
                    {said}
                    {!isAnswered(check, answers, moment) && " (one side still)"}
                  </small>
                )}
              </button>
            );
          })}
        </section>
      ))}
    </SideList>
  );
}
