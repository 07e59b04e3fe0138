import type { Schemas } from "../../../api/client";
import { Button } from "../../../parts/Button";
import { Mark } from "../../../parts/Mark";
import { Rich } from "../../../parts/Rich";
import { Trouble } from "../../../parts/States";
import { t } from "../../../text";
import { isSaid } from "../said";
import type { Practice } from "./usePractice";

/** Under an answer while one practises: a look at it, and what came of it. */
export function LookAtIt({
  item,
  answer,
  practice,
  numbered = false,
}: {
  item: Schemas["PaperItem"];
  answer: unknown;
  practice: Practice;
  /** Whether it stands apart from its question and says which one is meant. */
  numbered?: boolean;
}) {
  if (!practice.isOn) {
    return null;
  }
  const looked = practice.of(item.id);
  return (
    <div className="mt-4">
      {looked ? (
        <div role="status" className="border-l-3 border-by-rule pl-3">
          <p>
            {numbered && <strong>{t("Question {{n}}", { n: item.number })} </strong>}
            <Mark mark={looked} student />
          </p>
          <p className="text-small">{looked.because}</p>
          {looked.feedback && <Rich html={looked.feedback} className="font-script" />}
          {looked.key && (
            <p className="text-small">
              {t("Right answer:")} <span className="font-script">{looked.key}</span>
            </p>
          )}
          {!looked.passed && !practice.isFixed(item.id) && (
            <p className="text-small text-soft">{t("Change your answer to try again.")}</p>
          )}
        </div>
      ) : (
        isSaid(answer) &&
        !practice.isFixed(item.id) && (
          <Button
            className="min-h-11"
            disabled={practice.isLooking(item.id)}
            onClick={() => practice.look(item.id)}
          >
            {numbered ? t("Look at my answer to question {{n}}", { n: item.number }) : t("Look at my answer")}
          </Button>
        )
      )}
      <Trouble error={practice.error(item.id)} />
    </div>
  );
}
