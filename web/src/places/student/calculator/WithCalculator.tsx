import { lazy, Suspense, useState } from "react";
import { TextButton } from "../../../parts/Button";
import { t } from "../../../text";

const Calculator = lazy(() => import("./Calculator").then((m) => ({ default: m.Calculator })));

/** The way to the calculator, which comes when it is wanted and keeps what is typed in it while it is closed. */
export function WithCalculator({ scientific }: { scientific: boolean }) {
  const [open, setOpen] = useState(false);
  const [line, setLine] = useState("");
  return (
    <div className="mt-1">
      <TextButton className="text-small" aria-expanded={open} onClick={() => setOpen(!open)}>
        {open ? t("Close the calculator") : t("Calculator")}
      </TextButton>
      {open && (
        <Suspense fallback={<p role="status">{t("Loading…")}</p>}>
          <Calculator scientific={scientific} line={line} onLine={setLine} />
        </Suspense>
      )}
    </div>
  );
}
