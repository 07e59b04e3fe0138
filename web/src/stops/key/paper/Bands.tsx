import { t } from "../../../text";
import { type Grading, put } from "../definition";
import { BoundList } from "./BoundList";

/** Bands: from which percent a result is called what, and what is said to whoever reaches it. */
export function Bands({
  grading,
  faults,
  onChange,
}: {
  grading: Grading;
  faults: { path: string; message: string }[];
  onChange: (grading: Grading) => void;
}) {
  const bands = grading.bands ?? [];
  const set = (next: NonNullable<Grading["bands"]>) => onChange(put(grading, "bands", next));
  return (
    <BoundList
      title={t("Bands")}
      rows={bands.map((b) => ({ from: b.from, name: b.label, words: b.message ?? "" }))}
      names={{
        name: (from) => t("name of the band from {{from}}", { from }),
        words: (from) => t("message of the band from {{from}}", { from }),
        namePlaceholder: t("Name of the band"),
        wordsPlaceholder: t("Message to students in this band"),
        another: t("another band"),
      }}
      fault={(i) => faults.filter((f) => f.path.startsWith(`grading.bands[${i}]`)).map((f) => f.message)}
      onRow={(i, row) =>
        set(
          bands.map((b, n) =>
            n === i ? put({ ...b, from: row.from, label: row.name }, "message", row.words) : b,
          ),
        )
      }
      onAdd={() => set([...bands, { from: "", label: "" }])}
      onRemove={(i) => set(bands.filter((_, n) => n !== i))}
    />
  );
}
