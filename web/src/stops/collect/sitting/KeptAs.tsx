import { useState } from "react";
import { Button, TextButton } from "../../../parts/Button";
import { Field } from "../../../parts/Field";
import { MarginPart } from "../../../parts/Sheet";
import { Trouble } from "../../../parts/States";
import { t } from "../../../text";
import type { SittingDraft } from "./draft";
import { asIn, useKeptSettings } from "./useKeptSettings";

/** Settings under a name: to begin with them, to keep these as well, to remove some. */
export function KeptAs({
  draft,
  onChange,
}: {
  draft: SittingDraft;
  onChange: (draft: SittingDraft) => void;
}) {
  const { all, keep, remove } = useKeptSettings();
  const [name, setName] = useState("");
  const there = all.some((k) => k.name.toLowerCase() === name.trim().toLowerCase());
  return (
    <MarginPart title={t("Kept settings")}>
      <ul>
        {all.map((kept) => (
          <li key={kept.id} className="flex flex-wrap items-baseline gap-x-3 border-b border-rule py-1">
            <strong className="min-w-0 flex-1 font-script wrap-anywhere">{kept.name}</strong>
            <TextButton onClick={() => onChange(asIn(draft, kept))}>
              {t("As in {{name}}", { name: kept.name })}
            </TextButton>
            <TextButton
              className="text-small text-soft"
              disabled={remove.isPending}
              aria-label={t("Remove {{name}}", { name: kept.name })}
              onClick={() => remove.mutate(kept.id)}
            >
              {t("Remove")}
            </TextButton>
          </li>
        ))}
      </ul>
      <form
        className="mt-2 grid gap-2"
        onSubmit={(e) => {
          e.preventDefault();
          keep.mutate({ name, draft }, { onSuccess: () => setName("") });
        }}
      >
        <Field
          label={t("Keep these settings as")}
          value={name}
          maxLength={80}
          onChange={(e) => setName(e.target.value)}
        />
        <Trouble error={keep.error ?? remove.error} />
        <Button
          type="submit"
          look="quiet"
          className="justify-self-start"
          disabled={name.trim() === "" || keep.isPending}
        >
          {there ? t("Replace what is kept") : t("Keep")}
        </Button>
        <p className="text-small text-soft">{t("Dates and the code are not kept.")}</p>
      </form>
    </MarginPart>
  );
}
