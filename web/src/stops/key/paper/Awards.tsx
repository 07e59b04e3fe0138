import { t } from "../../../text";
import { type Award, freeId, put } from "../definition";
import { BoundList } from "./BoundList";

/** Awards: from which percent something is given beside the result; several may be reached at once. */
export function Awards({
  awards,
  faults,
  onChange,
}: {
  awards: Award[];
  faults: { path: string; message: string }[];
  onChange: (awards: Award[]) => void;
}) {
  return (
    <BoundList
      title={t("Awards")}
      rows={awards.map((a) => ({ from: a.from, name: a.title, words: a.words ?? "" }))}
      names={{
        name: (from) => t("title of the award from {{from}}", { from }),
        words: (from) => t("words with the award from {{from}}", { from }),
        namePlaceholder: t("Title of the award"),
        wordsPlaceholder: t("Message with the award"),
        another: t("another award"),
      }}
      fault={(i) => faults.filter((f) => f.path.startsWith(`awards[${i}]`)).map((f) => f.message)}
      onRow={(i, row) =>
        onChange(
          awards.map((a, n) =>
            n === i ? put({ ...a, from: row.from, title: row.name }, "words", row.words) : a,
          ),
        )
      }
      onAdd={() => onChange([...awards, { id: freeId("a", awards), title: "", from: "" }])}
      onRemove={(i) => onChange(awards.filter((_, n) => n !== i))}
    />
  );
}
