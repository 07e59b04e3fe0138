import { useState } from "react";
import { Button } from "../../../parts/Button";
import { t } from "../../../text";
import { type Item, KIND_NAMES, type Kind, kindName } from "../definition";
import { asKind, KINDRED, type Lost } from "./otherKind";

const LOST: Record<Lost, string> = {
  rubric: "the rubric",
  "wrong options": "the options that are not right",
  "accepted answers": "accepted answers that this kind cannot say",
  "number of words": "the number of words",
  examples: "the examples",
  unit: "the unit",
};

/** The kind of a question, which can become a kindred one; what would be lost is said before it is. */
export function KindOf({ item, onChange }: { item: Item; onChange: (item: Item) => void }) {
  const [wanted, setWanted] = useState<Kind | null>(null);
  if (!KINDRED.includes(item.kind)) {
    return t(kindName(item));
  }
  const become = (kind: Kind) => {
    setWanted(null);
    onChange(asKind(item, kind).item);
  };
  const lost = wanted ? asKind(item, wanted).lost : [];
  return (
    <>
      <select
        aria-label={t("Kind of this question")}
        value={wanted ?? item.kind}
        onChange={(e) => {
          const kind = e.target.value as Kind;
          kind === item.kind
            ? setWanted(null)
            : asKind(item, kind).lost.length > 0
              ? setWanted(kind)
              : become(kind);
        }}
        className="rounded-corner border border-rule bg-sheet px-1 py-0.5 font-normal text-ink"
      >
        {KINDRED.map((kind) => (
          <option key={kind} value={kind}>
            {t(kind === item.kind ? kindName(item) : KIND_NAMES[kind])}
          </option>
        ))}
      </select>
      {wanted && (
        <span role="alert" className="mt-2 flex flex-wrap items-center gap-2 font-normal text-waiting">
          {t("As {{kind}} it loses {{what}}.", {
            kind: t(KIND_NAMES[wanted]),
            what: lost.map((l) => t(LOST[l])).join(", "),
          })}
          <Button onClick={() => become(wanted)}>{t("Change the kind")}</Button>
          <Button look="quiet" onClick={() => setWanted(null)}>
            {t("Keep it")}
          </Button>
        </span>
      )}
    </>
  );
}
