import { useState } from "react";
import { Button } from "../../parts/Button";
import { AnswerField } from "../../places/student/AnswerField";
import { isSaid } from "../../places/student/said";
import { t } from "../../text";
import type { Item } from "./definition";
import { paperOf } from "./paperOf";

/** An answer in the same field in which a student gives it; Enter or the button keeps it as an example. */
export function TryAnswer({
  item,
  onTry,
  onKeep,
}: {
  item: Item;
  onTry: (answer: unknown) => void;
  onKeep: (answer: unknown) => void;
}) {
  const [answer, setAnswer] = useState<unknown>(null);
  const say = (next: unknown) => {
    setAnswer(next);
    onTry(isSaid(next) ? next : null);
  };
  const keep = () => {
    if (isSaid(answer)) {
      onKeep(answer);
      setAnswer(null);
    }
  };
  return (
    <fieldset
      className="text-body"
      onKeyDown={(e) => {
        const field = e.target as HTMLElement;
        if (e.key === "Enter" && field.tagName === "INPUT" && !e.defaultPrevented) {
          keep();
        }
      }}
    >
      <AnswerField item={paperOf(item)} answer={answer} onAnswer={say} />
      <Button look="quiet" className="mt-2" disabled={!isSaid(answer)} onClick={keep}>
        {t("Keep as an example")}
      </Button>
    </fieldset>
  );
}
