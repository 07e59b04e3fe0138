import type { Schemas } from "../../api/client";
import { Button } from "../../parts/Button";
import { GivenAnswer, Letters } from "../../parts/GivenAnswer";
import { useInView } from "../../parts/useInView";
import { t } from "../../text";

type Group = Schemas["DoubtGroup"];

const SHARES: [string, string, string][] = [
  ["1", "full credit", "1"],
  ["1/2", "half credit", "2"],
  ["0", "no credit", "0"],
];

/** Equal answers that wait: how often, as they were given, what they are near, and the decision where one stands. */
export function GroupRow({
  question,
  group,
  here,
  together,
  credit,
  onChoose,
  onTogether,
  onDecide,
}: {
  question: Schemas["QuestionDoubts"];
  group: Group;
  here: boolean;
  /** Whether it is chosen to be decided with others. */
  together: boolean;
  credit: string;
  onChoose: () => void;
  onTogether: () => void;
  onDecide: (share: string) => void;
}) {
  const row = useInView<HTMLLIElement>(here);
  const near = group.letters.length > 0;
  const look = here ? "border-l-4 border-l-waiting bg-waiting-wash" : together ? "bg-waiting-wash" : "";
  return (
    <li
      ref={row}
      className={`flex flex-wrap items-center gap-4 border-b border-rule py-4 pr-6 ${near ? (here ? "pl-11" : "pl-12") : here ? "pl-5" : "pl-6"} ${look}`}
    >
      <input
        type="checkbox"
        checked={together}
        aria-label={t("Decide together with others: {{text}}", { text: group.shown })}
        onChange={onTogether}
        className="size-4 accent-ink"
      />
      <span className="w-10 font-script text-title font-semibold text-waiting">{group.count}×</span>
      <button type="button" onClick={onChoose} aria-pressed={here} className="min-w-0 flex-1 text-left">
        <span className={`block font-script break-words ${here ? "text-title" : "text-[1.25rem]"}`}>
          <GivenAnswer given={group.given} picture={question.picture} alt={question.alt}>
            {near ? <Letters letters={group.letters} /> : group.shown}
          </GivenAnswer>
        </span>
        <span className="text-small text-soft">
          {group.near} ·{" "}
          {group.rightIn.length > 0 && (
            <>
              <strong className="text-waiting">
                {t("would be right in question {{numbers}}", { numbers: group.rightIn.join(", ") })}
              </strong>{" "}
              ·{" "}
            </>
          )}
          {names(group)}
        </span>
      </button>
      {here && (
        <span className="flex flex-wrap gap-2">
          {SHARES.map(([share, words, key]) => (
            <Button
              key={share}
              look={credit === share ? "strong" : "plain"}
              hotkey={key}
              aria-pressed={credit === share}
              onClick={() => onDecide(share)}
            >
              {t(words)}
            </Button>
          ))}
        </span>
      )}
    </li>
  );
}

function names(group: Group): string {
  const shown = group.students.slice(0, 3).join(", ");
  return group.count > 3 ? `${shown} +${group.count - 3}` : shown;
}
