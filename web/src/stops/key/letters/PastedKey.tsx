import { useEffect, useRef } from "react";
import { Button } from "../../../parts/Button";
import { Note } from "../../../parts/Sheet";
import { t } from "../../../text";
import type { Pasting } from "./paste";

/** What a pasted key says row by row, before anything of it is taken. */
export function PastedKey({
  pasting: { says, twice },
  onTake,
  onLeave,
}: {
  pasting: Pasting;
  onTake: () => void;
  onLeave: () => void;
}) {
  const take = useRef<HTMLDivElement>(null);
  useEffect(() => {
    take.current?.querySelector("button")?.focus();
  }, []);
  const good = says.filter((s) => s.fits).length;
  const unfit = says.length - good;
  const replaced = says.filter((s) => s.replaces).length;
  return (
    <section
      aria-label={t("The pasted key")}
      className="border-b border-rule px-4 py-3"
      onKeyDown={(e) => e.key === "Escape" && onLeave()}
    >
      <Note by={unfit > 0 || twice.length > 0 ? "waiting" : "rule"}>
        <p role="status">
          {good > 0 ? t("{{count}} answers fit.", { count: good }) : t("Nothing here fits the rows.")}{" "}
          {unfit > 0 && t("{{count}} fit no row and will be left out.", { count: unfit })}{" "}
          {replaced > 0 && t("{{count}} rows get another key than they have.", { count: replaced })}{" "}
          {twice.length > 0 && t("Named twice with different answers: {{rows}}.", { rows: twice.join(", ") })}
        </p>
      </Note>
      <ol className="my-2 flex flex-wrap gap-x-4 gap-y-1">
        {says.map((s, i) => (
          <li key={`${s.row} ${i}`} className="whitespace-nowrap">
            <span className="text-soft">{s.row}</span>{" "}
            <strong className={s.fits ? "text-by-rule" : "text-waiting"}>{s.answer}</strong>
            {!s.fits && <span className="text-small text-waiting"> {t("does not fit")}</span>}
            {s.replaces && <span className="text-small text-soft"> {t("changes")}</span>}
          </li>
        ))}
      </ol>
      <div ref={take} className="flex gap-2">
        <Button look="strong" disabled={good === 0} onClick={onTake}>
          {t("Take these answers")}
        </Button>
        <Button look="quiet" onClick={onLeave}>
          {t("Leave the key as it is")}
        </Button>
      </div>
    </section>
  );
}
