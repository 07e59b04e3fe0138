import { TextButton } from "../../parts/Button";
import { FaultLine, Field } from "../../parts/Field";
import { Kbd } from "../../parts/Keys";
import { RichField } from "../../parts/rich/RichField";
import { t } from "../../text";
import { Beside } from "./Beside";
import { ChoiceKey } from "./ChoiceKey";
import { type FrameworkFile, type Item, type Kind, put } from "./definition";
import { BlanksKey } from "./kinds/BlanksKey";
import { withBlanks } from "./kinds/blanks";
import { CorrectionKey } from "./kinds/CorrectionKey";
import { FormulaKey } from "./kinds/FormulaKey";
import { OrderKey } from "./kinds/OrderKey";
import { PairsKey } from "./kinds/PairsKey";
import { SpotKey } from "./kinds/SpotKey";
import { WorkingKey } from "./kinds/WorkingKey";
import { NumberKey } from "./NumberKey";
import { isTyped, placeInWords } from "./place";
import { KindOf } from "./quick/KindOf";
import { OpenKey } from "./rubric/OpenKey";
import { StandardPicker } from "./StandardPicker";
import { TextKey } from "./TextKey";

export type KeyProps = { item: Item; onChange: (item: Item) => void };
export type ItemFault = { path: string; message: string };

const EDITORS: Partial<Record<Kind, (props: KeyProps) => React.ReactNode>> = {
  choice: ChoiceKey,
  text: TextKey,
  number: NumberKey,
  blanks: BlanksKey,
  pairs: PairsKey,
  order: OrderKey,
  spot: SpotKey,
  correction: CorrectionKey,
  formula: FormulaKey,
  working: WorkingKey,
};

/** The chosen item: prompt, key, points, standards, and what stands beside them. */
export function ItemEditor({
  item,
  items,
  number,
  frameworks,
  faults,
  onChange,
  onRemove,
  onBank,
  onAgain,
}: KeyProps & {
  items: Item[];
  /** Its number on the paper; none where it stands on no paper. */
  number?: number;
  frameworks: FrameworkFile[];
  faults: ItemFault[];
  onRemove?: () => void;
  onBank?: (() => void) | undefined;
  onAgain?: () => void;
}) {
  const KeyOfKind = EDITORS[item.kind];
  const fault = (field: string) => faults.find((f) => f.path === field)?.message;
  return (
    <div className="px-6 py-4">
      <div className="mb-3 flex flex-wrap items-baseline gap-4">
        <h2 className="text-small font-semibold text-soft">
          {number === undefined || item.kind === "passage" ? "" : `${t("Question {{n}}", { n: number })} · `}
          <KindOf item={item} onChange={onChange} />
        </h2>
        <span className="ml-auto flex gap-4 text-small">
          {onAgain && (
            <TextButton onClick={onAgain}>
              {t("One more like this")} <Kbd>L</Kbd>
            </TextButton>
          )}
          {onBank && <TextButton onClick={onBank}>{t("Copy to the bank")}</TextButton>}
          {onRemove && <TextButton onClick={onRemove}>{t("Remove this item")}</TextButton>}
        </span>
      </div>
      <div className="mb-4">
        <RichField
          label={item.kind === "passage" ? t("The passage") : t("Question text")}
          value={{ text: item.prompt ?? "", html: item.body }}
          autoFocus={!item.prompt}
          onChange={({ text, html }) => {
            const asked = item.kind === "blanks" ? withBlanks(item, text) : { ...item, prompt: text };
            onChange(put(asked, "body", html));
          }}
        />
        {faults
          .filter((f) => f.path === "body" || f.path === "prompt")
          .map((f) => (
            <FaultLine key={f.message}>{f.message}</FaultLine>
          ))}
      </div>
      {KeyOfKind && <KeyOfKind item={item} onChange={onChange} />}
      {faults
        .filter((f) => isTyped(f.path))
        .map((f) => (
          <FaultLine key={f.path + f.message}>
            {placeInWords(f.path)}: {f.message}
          </FaultLine>
        ))}
      {item.kind === "open" && (
        <OpenKey item={item} items={items} faults={faults} onChange={onChange} frameworks={frameworks} />
      )}
      {item.kind !== "passage" && (
        <div className="mt-5 flex flex-wrap items-start gap-6">
          <Field
            label={t("Points")}
            value={item.points ?? ""}
            inputMode="decimal"
            className="w-32"
            fault={fault("points")}
            onChange={(e) => onChange({ ...item, points: e.target.value })}
          />
          <div className="min-w-60 flex-1">
            <StandardPicker
              frameworks={frameworks}
              chosen={item.standards ?? []}
              onChange={(standards) => onChange({ ...item, standards })}
            />
            {faults
              .filter((f) => f.path.startsWith("standards"))
              .map((f) => (
                <FaultLine key={f.path + f.message}>{f.message}</FaultLine>
              ))}
          </div>
        </div>
      )}
      <Beside item={item} items={items} onChange={onChange} />
    </div>
  );
}
