import { useEffect, useState } from "react";
import { Choose } from "../../../parts/Choose";
import { t } from "../../../text";
import { type Alphabet, lettersOf } from "./grid";

/** Which letters the rows have, and how far the key is. */
export function LettersHead({
  alphabet,
  onAlphabet,
  done,
  of,
  began,
}: {
  alphabet: Alphabet;
  onAlphabet: (alphabet: Alphabet) => void;
  done: number;
  of: number;
  began: number | null;
}) {
  return (
    <div className="flex flex-wrap items-center gap-6 border-b border-rule px-4 py-2">
      <Choose
        label={t("Letters")}
        value={String(alphabet.letters)}
        options={[2, 3, 4, 5, 6, 7, 8].map((n) => [
          String(n),
          lettersOf({ letters: n, alternate: false }, 1).join(" "),
        ])}
        onChange={(n) => onAlphabet({ ...alphabet, letters: Number(n) })}
      />
      <Choose
        label={t("Letters in even rows")}
        value={alphabet.alternate ? "other" : "same"}
        options={[
          ["same", t("same letters")],
          ["other", lettersOf({ ...alphabet, alternate: true }, 2).join(" ")],
        ]}
        onChange={(v) => onAlphabet({ ...alphabet, alternate: v === "other" })}
      />
      <span className="ml-auto text-soft">
        {t("{{done}} of {{of}} rows filled", { done, of })}
        <Seconds began={began} running={done < of || of === 0} />
      </span>
    </div>
  );
}

/** How long the typing has taken; it stands still while every row has its key. */
function Seconds({ began, running }: { began: number | null; running: boolean }) {
  const [now, setNow] = useState(Date.now());
  useEffect(() => {
    if (began === null) {
      return;
    }
    setNow(Date.now());
    const timer = running ? setInterval(() => setNow(Date.now()), 1000) : undefined;
    return () => clearInterval(timer);
  }, [began, running]);
  return began === null ? null : (
    <> · {t("{{count}} seconds", { count: Math.max(0, Math.round((now - began) / 1000)) })}</>
  );
}
