import { useState } from "react";
import { Button } from "../../../parts/Button";
import { Field } from "../../../parts/Field";
import { t } from "../../../text";
import type { Aligned, FrameworkFile, Item } from "../definition";
import { StandardPicker } from "../StandardPicker";
import { numbered, setTogether, shareOf, type Together } from "./several";

/** Points, standards and tags for several questions at once, named by their numbers. */
export function SeveralAtOnce({
  items,
  frameworks,
  onChange,
}: {
  items: Item[];
  frameworks: FrameworkFile[];
  onChange: (items: Item[]) => void;
}) {
  const [which, setWhich] = useState("");
  const [points, setPoints] = useState("");
  const [standards, setStandards] = useState<Aligned[]>([]);
  const [tags, setTags] = useState("");
  const [done, setDone] = useState("");
  const chosen = numbered(which, items);
  const count = chosen?.length ?? 0;
  const share = shareOf(points, count);
  const set = (what: Together) => {
    if (chosen) {
      onChange(setTogether(items, chosen, what));
      setDone(t("{{count}} questions changed. U takes it back.", { count }));
    }
  };
  return (
    <details className="mt-4" onToggle={() => setDone("")}>
      <summary className="cursor-pointer text-small font-semibold text-soft">
        {t("Change several questions at once")}
      </summary>
      <div className="mt-2 grid gap-3">
        <Field
          label={t("Questions, such as 1-5, 8")}
          value={which}
          placeholder={t("all")}
          fault={chosen === null ? t("There are no such questions. Name them by their numbers.") : undefined}
          onChange={(e) => setWhich(e.target.value)}
        />
        <div>
          <Field
            label={t("Points")}
            value={points}
            inputMode="decimal"
            className="w-32"
            onChange={(e) => setPoints(e.target.value)}
          />
          <p className="mt-1 flex flex-wrap gap-2">
            <Button
              look="quiet"
              disabled={!shareOf(points, 1) || count === 0}
              onClick={() => set({ points: shareOf(points, 1) ?? "" })}
            >
              {t("Each gets these points")}
            </Button>
            <Button look="quiet" disabled={!share} onClick={() => set({ points: share ?? "" })}>
              {share ? t("Share them out: {{points}} each", { points: share }) : t("Share them out evenly")}
            </Button>
          </p>
        </div>
        {frameworks.length > 0 && (
          <div>
            <StandardPicker frameworks={frameworks} chosen={standards} onChange={setStandards} />
            <Button
              look="quiet"
              className="mt-1"
              disabled={standards.length === 0 || count === 0}
              onClick={() => set({ standards })}
            >
              {t("Add these standards")}
            </Button>
          </div>
        )}
        <div>
          <Field
            label={t("Tags, separated by commas")}
            value={tags}
            onChange={(e) => setTags(e.target.value)}
          />
          <Button
            look="quiet"
            className="mt-1"
            disabled={tags.trim() === "" || count === 0}
            onClick={() =>
              set({
                tags: tags
                  .split(",")
                  .map((tag) => tag.trim())
                  .filter(Boolean),
              })
            }
          >
            {t("Add these tags")}
          </Button>
        </div>
        <p role="status" className="text-small text-soft">
          {done}
        </p>
      </div>
    </details>
  );
}
