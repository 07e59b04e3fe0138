import { TextButton } from "../../parts/Button";
import { Area, Field } from "../../parts/Field";
import { Note } from "../../parts/Sheet";
import { t } from "../../text";
import { ChoiceKey } from "./ChoiceKey";
import { type FrameworkFile, hasEditor, type Item, kindName } from "./definition";
import { NumberKey } from "./NumberKey";
import { OpenKey } from "./OpenKey";
import { StandardPicker } from "./StandardPicker";
import { TextKey } from "./TextKey";

export type KeyProps = { item: Item; onChange: (item: Item) => void };

/** The chosen item: prompt, key, points, standards. */
export function ItemEditor({
  item,
  number,
  framework,
  onChange,
  onRemove,
}: KeyProps & { number: number; framework: FrameworkFile | undefined; onRemove: () => void }) {
  return (
    <div className="px-6 py-4">
      <div className="mb-3 flex flex-wrap items-baseline gap-4">
        <h2 className="text-small font-semibold text-soft">
          {item.kind === "passage" ? t("Reading passage") : t("Question {{n}}", { n: number })} ·{" "}
          {t(kindName(item))}
        </h2>
        <span className="ml-auto text-small">
          <TextButton onClick={onRemove}>{t("take this item out")}</TextButton>
        </span>
      </div>
      <Area
        label={t("What is asked")}
        value={item.prompt ?? ""}
        rows={3}
        autoFocus={!item.prompt}
        onChange={(e) => onChange({ ...item, prompt: e.target.value })}
        className="mb-4"
      />
      {item.kind === "choice" && <ChoiceKey item={item} onChange={onChange} />}
      {item.kind === "text" && <TextKey item={item} onChange={onChange} />}
      {item.kind === "number" && <NumberKey item={item} onChange={onChange} />}
      {item.kind === "open" && <OpenKey item={item} onChange={onChange} framework={framework} />}
      {!hasEditor(item) && (
        <Note>
          {t(
            "The key of this kind comes from an assessment file and has no editor here yet. What is asked, its points and its standards can be changed; save the key as a file to change the rest.",
          )}
        </Note>
      )}
      {item.kind !== "passage" && (
        <div className="mt-5 flex flex-wrap items-start gap-6">
          <Field
            label={t("Points")}
            value={item.points ?? ""}
            inputMode="decimal"
            className="w-20"
            onChange={(e) => onChange({ ...item, points: e.target.value })}
          />
          <StandardPicker
            framework={framework}
            chosen={item.standards ?? []}
            onChange={(standards) => onChange({ ...item, standards })}
          />
        </div>
      )}
    </div>
  );
}
