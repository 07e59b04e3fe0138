import type { Schemas } from "../../../api/client";
import { t } from "../../../text";
import { BOX } from "../AnswerKinds";
import { Attach } from "./Attach";
import type { Written } from "./written";

/** A text in one's own words, and pictures or PDFs beside it where the question takes them. */
export function OpenAnswer({
  item,
  said,
  onSaid,
}: {
  item: Schemas["PaperItem"];
  said: Written;
  onSaid: (said: Written) => void;
}) {
  const words = said.text.match(/[\p{L}\p{M}\p{Nd}]+/gu)?.length ?? 0;
  const over = item.maxWords !== null && words > item.maxWords;
  return (
    <>
      <textarea
        aria-label={t("Your answer")}
        value={said.text}
        rows={9}
        className={BOX}
        onChange={(e) => onSaid({ ...said, text: e.target.value })}
      />
      <p className={`mt-1 text-small ${over ? "font-semibold text-waiting" : "text-soft"}`}>
        {item.maxWords === null
          ? t("{{count}} words", { count: words })
          : t("{{count}} words; at most {{max}}", { count: words, max: item.maxWords })}
      </p>
      {(item.attachments > 0 || said.attachments.length > 0) && (
        <Attach
          most={item.attachments}
          files={said.attachments}
          onFiles={(change) => onSaid({ ...said, attachments: change })}
        />
      )}
    </>
  );
}
