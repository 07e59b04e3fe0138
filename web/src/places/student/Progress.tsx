import { t } from "../../text";
import type { Said } from "./onDevice";
import { askedOn, type Page } from "./pages";
import { isSaid } from "./said";

/** A cell a page: answered, open, to come back to. Where there is no way back, what was left is closed. */
export function Progress({
  pages,
  said,
  isHere,
  isOpen,
  onGo,
}: {
  pages: Page[];
  said: Record<string, Said>;
  isHere: (page: Page) => boolean;
  isOpen: (page: Page) => boolean;
  onGo: (page: Page) => void;
}) {
  return (
    <nav aria-label={t("Questions")} className="mt-2 flex flex-wrap gap-1">
      {pages.map((page) => {
        const { item } = page;
        const one = said[item.id];
        const asked = askedOn(page);
        const given = asked.filter((q) => isSaid(said[q.id]?.answer)).length;
        const done = asked.length > 0 && given === asked.length;
        const look = one?.flagged
          ? "border-waiting bg-waiting-wash"
          : done
            ? "border-ink bg-ink"
            : "border-rule-strong bg-sheet";
        return (
          <button
            key={item.id}
            type="button"
            disabled={!isOpen(page)}
            aria-current={isHere(page) ? "step" : undefined}
            aria-label={`${name(page)}, ${done ? t("answered") : page.rows.length > 0 ? `${given} / ${asked.length}` : t("no answer yet")}${one?.flagged ? `, ${t("to come back to")}` : ""}`}
            onClick={() => onGo(page)}
            className={`h-6 min-w-6 border text-small disabled:opacity-60 ${page.rows.length > 0 ? "flex-4" : "flex-1"} ${look} ${isHere(page) ? "outline-2 outline-offset-1 outline-waiting" : ""}`}
          >
            {page.rows.length > 0 && !done && `${given} / ${asked.length}`}
          </button>
        );
      })}
    </nav>
  );
}

/** What a page is called: its question, or the first and last of its rows. */
function name(page: Page): string {
  const last = page.rows.at(-1);
  return last
    ? t("Questions {{n}} to {{last}}", { n: page.item.number, last: last.number })
    : t("Question {{n}}", { n: page.item.number });
}
