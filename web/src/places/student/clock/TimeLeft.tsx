import { t } from "../../../text";
import { stretch, time } from "../../../text/figures";
import { warningAt } from "./warnings";

const LONG = 6 * 3600;

/** The time that is left; the last minutes are told to whoever does not look, and more time as well. */
export function TimeLeft({ left, moreUntil }: { left: number; moreUntil: string | null }) {
  const warning = warningAt(left);
  return (
    <>
      {left <= LONG && (
        <span className={`font-semibold ${left < 300 ? "text-waiting" : ""}`}>
          <span className="sr-only">{t("time left")} </span>
          {left > 0 ? stretch(left) : t("time is up")}
        </span>
      )}
      <span className="sr-only" aria-live="assertive">
        {warning !== null && t("{{count}} minutes left", { count: warning })}
      </span>
      <span className="sr-only" aria-live="polite">
        {moreUntil && t("You have more time: until {{time}}", { time: time(moreUntil) })}
      </span>
    </>
  );
}
