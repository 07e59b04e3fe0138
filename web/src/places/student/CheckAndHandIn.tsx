import type { Schemas } from "../../api/client";
import { Button } from "../../parts/Button";
import { Trouble } from "../../parts/States";
import { t } from "../../text";
import type { Said } from "./onDevice";
import { isSaid } from "./said";

/** A last look: what has no answer, what one wanted to come back to; then handing in. */
export function CheckAndHandIn({
  paper,
  mustAnswer,
  said,
  onGo,
  onHandIn,
  pending,
  error,
}: {
  paper: Schemas["Paper"];
  mustAnswer: boolean;
  said: Record<string, Said>;
  /** Back to a question; not there where there is no way back. */
  onGo: ((id: string) => void) | undefined;
  onHandIn: () => void;
  pending: boolean;
  error: unknown;
}) {
  const questions = paper.items.filter((item) => item.number > 0);
  const blank = questions.filter((item) => !isSaid(said[item.id]?.answer));
  const flagged = questions.filter((item) => said[item.id]?.flagged);
  const missing = mustAnswer && blank.length > 0;
  return (
    <section aria-label={t("Check")}>
      <h2 className="font-script text-title font-semibold">{t("Before you hand in")}</h2>
      <Places
        title={
          blank.length === 0
            ? t("Every question has an answer.")
            : t("{{count}} questions have no answer", { count: blank.length })
        }
        questions={blank}
        onGo={onGo}
      />
      {flagged.length > 0 && (
        <Places title={t("You wanted to come back to these:")} questions={flagged} onGo={onGo} />
      )}
      {missing && (
        <p className="mt-6 font-semibold text-waiting">
          {t("Every question needs an answer before you hand in.")}
        </p>
      )}
      <p className="mt-6 text-soft">{t("After you hand in, you cannot change your answers.")}</p>
      <Trouble error={error} />
      <Button
        look="strong"
        className="mt-3 min-h-11 w-full justify-center"
        disabled={pending || missing}
        onClick={onHandIn}
      >
        {pending ? t("Handing in…") : t("Hand in")}
      </Button>
    </section>
  );
}

function Places({
  title,
  questions,
  onGo,
}: {
  title: string;
  questions: Schemas["PaperItem"][];
  onGo: ((id: string) => void) | undefined;
}) {
  return (
    <div className="mt-4">
      <p className="font-semibold">{title}</p>
      <ul>
        {questions.map((item) => (
          <li key={item.id} className="border-b border-rule">
            {onGo ? (
              <button type="button" className="min-h-11 w-full py-2 text-left" onClick={() => onGo(item.id)}>
                <strong>{item.number}</strong> <span className="font-script">{item.prompt}</span>
              </button>
            ) : (
              <p className="py-2">
                <strong>{item.number}</strong> <span className="font-script">{item.prompt}</span>
              </p>
            )}
          </li>
        ))}
      </ul>
    </div>
  );
}
