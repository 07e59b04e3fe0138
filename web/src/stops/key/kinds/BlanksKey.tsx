import { TextButton } from "../../../parts/Button";
import { Choose } from "../../../parts/Choose";
import { Check } from "../../../parts/Field";
import { t } from "../../../text";
import { ChoiceKey } from "../ChoiceKey";
import { freeId, type Item, newItem, put } from "../definition";
import type { KeyProps } from "../ItemEditor";
import { NumberKey } from "../NumberKey";
import { TextKey } from "../TextKey";
import { exchangeable } from "./blanks";
import { Share } from "./Share";

/** The blanks of the sentence above, each with the key of its kind; any can stand without a place in the sentence. */
export function BlanksKey({ item, onChange }: KeyProps) {
  const parts = item.parts ?? [];
  const set = (next: Item[]) => onChange({ ...item, parts: next });
  const change = (part: Item) => set(parts.map((p) => (p.id === part.id ? part : p)));
  const remove = (part: Item) =>
    onChange({
      ...item,
      prompt: (item.prompt ?? "").replace(`{${part.id}}`, ""),
      parts: parts.filter((p) => p.id !== part.id),
    });
  const group = exchangeable(item);
  return (
    <>
      <p className="mb-3 text-small text-soft">
        {t(
          "Type each blank in square brackets: a word [ebb], two accepted answers [ebb|ebbs], a number [=12.5 ± 2%], a choice [*ebb/flood].",
        )}
      </p>
      {parts.map((part) => (
        <fieldset key={part.id} className="mb-3 border-l-3 border-rule pl-3">
          <legend className="sr-only">{t("blank {{id}}", { id: part.id })}</legend>
          <div className="mb-1 flex flex-wrap items-center gap-4">
            <strong className="font-script text-by-rule">{`{${part.id}}`}</strong>
            <Choose
              label={t("kind")}
              value={part.kind}
              options={[
                ["text", t("short text")],
                ["number", t("number")],
                ["choice", t("choice")],
              ]}
              onChange={(kind) => change(ofKind(part, kind as Item["kind"]))}
            />
            <Share
              label={t("weight")}
              usual="1"
              value={part.weight}
              onChange={(w) => change(put(part, "weight", w))}
            />
            <TextButton className="ml-auto text-small text-soft" onClick={() => remove(part)}>
              {t("Remove")}
            </TextButton>
          </div>
          {part.kind === "text" && <TextKey item={part} onChange={change} />}
          {part.kind === "number" && <NumberKey item={part} onChange={change} />}
          {part.kind === "choice" && <ChoiceKey item={part} onChange={change} single />}
        </fieldset>
      ))}
      <div className="flex flex-wrap items-center gap-4">
        <TextButton
          onClick={() => {
            const id = freeId("b", parts);
            onChange({
              ...item,
              prompt: `${item.prompt ?? ""}{${id}}`,
              parts: [...parts, ofKind({ id, kind: "text" }, "text")],
            });
          }}
        >
          {t("Add a blank")}
        </TextButton>
        <Check
          checked={item.rule === "exact"}
          onChange={(on) => onChange(put(item, "rule", on ? "exact" : undefined))}
        >
          {t("All or nothing")}
        </Check>
        {group.length > 1 && (
          <Check
            checked={(item.anyOrder ?? []).length > 0}
            onChange={(on) => onChange(put(item, "anyOrder", on ? [group] : undefined))}
          >
            {t("Accept these answers in any order")}
          </Check>
        )}
      </div>
    </>
  );
}

/** The same blank with the beginnings of another kind; its weight and its first words stay. */
function ofKind(part: Item, kind: Item["kind"]): Item {
  const { prompt: _p, points: _q, ...fresh } = newItem(kind, []);
  const kept = part.weight ? { ...fresh, id: part.id, weight: part.weight } : { ...fresh, id: part.id };
  const word = part.accept?.[0]?.text ?? part.accept?.[0]?.value;
  if (!word) {
    return kept;
  }
  return kind === "number"
    ? { ...kept, accept: [{ value: word }] }
    : kind === "text"
      ? { ...kept, accept: [{ text: word }] }
      : kept;
}
