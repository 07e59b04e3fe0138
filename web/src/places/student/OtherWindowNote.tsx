import type { Schemas } from "../../api/client";
import { Button } from "../../parts/Button";
import { Note } from "../../parts/Sheet";
import { t } from "../../text";
import { time } from "../../text/figures";
import { AnswerField } from "./AnswerField";
import type { OtherWindow } from "./useAutosave";

/** Two windows of one student have said different things: both stand here until one is chosen. */
export function OtherWindowNote({
  item,
  other,
  onChoose,
}: {
  item: Schemas["PaperItem"];
  other: OtherWindow | undefined;
  onChoose: (mine: boolean) => void;
}) {
  if (!other) {
    return null;
  }
  return (
    <section
      role="alert"
      aria-label={t("Question {{n}} in another window", { n: item.number })}
      className="mb-5"
    >
      <Note by="waiting">
        <p>
          <strong>
            {t("In another window you answered question {{n}} at {{when}}:", {
              n: item.number,
              when: time(other.savedAt),
            })}
          </strong>
        </p>
        <fieldset disabled className="my-2">
          <legend className="sr-only">{t("What the other window says")}</legend>
          <AnswerField item={item} answer={other.answer ?? null} onAnswer={() => undefined} />
        </fieldset>
        <p className="mb-3">{t("Both are kept. Which one counts?")}</p>
        <div className="flex flex-wrap gap-3">
          <Button className="min-h-11" onClick={() => onChoose(true)}>
            {t("What stands here")}
          </Button>
          <Button className="min-h-11" onClick={() => onChoose(false)}>
            {t("What the other window says")}
          </Button>
        </div>
      </Note>
    </section>
  );
}
