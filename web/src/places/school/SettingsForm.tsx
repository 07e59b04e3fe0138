import { useMutation, useQueryClient } from "@tanstack/react-query";
import { type FormEvent, useState } from "react";
import { api, ok, type Schemas } from "../../api/client";
import { Button } from "../../parts/Button";
import { Check, Field } from "../../parts/Field";
import { Trouble } from "../../parts/States";
import { t } from "../../text";
import { LanguageField, ZoneField } from "./fields";

/** Several words in one field, with blanks between. */
function Words({
  label,
  words,
  onChange,
}: {
  label: string;
  words: string[];
  onChange: (words: string[]) => void;
}) {
  return (
    <Field label={label} value={words.join(" ")} onChange={(e) => onChange(e.target.value.split(" "))} />
  );
}

/** What the school is called, how it looks to its students, and what its teachers may do. */
export function SettingsForm({ now }: { now: Schemas["SchoolSettings"] }) {
  const client = useQueryClient();
  const [wanted, setWanted] = useState(now);
  const set = (part: Partial<Schemas["SchoolSettings"]>) => setWanted({ ...wanted, ...part });
  const save = useMutation({
    mutationFn: () => ok(api.PUT("/api/school", { body: wanted })),
    onSuccess: (saved) => {
      client.setQueryData(["school"], saved);
      setWanted(saved);
      void client.invalidateQueries({ queryKey: ["session"] });
    },
  });
  const submit = (e: FormEvent) => {
    e.preventDefault();
    save.mutate();
  };
  const changed = JSON.stringify(wanted) !== JSON.stringify(now);
  return (
    <form onSubmit={submit} className="grid max-w-2xl gap-4 border-t border-rule py-6">
      <h2 className="font-script text-words font-semibold">{t("The school")}</h2>
      <Field
        label={t("Name of the school")}
        value={wanted.name}
        onChange={(e) => set({ name: e.target.value })}
        required
      />
      <div className="grid gap-4 sm:grid-cols-2">
        <ZoneField value={wanted.zone} onChange={(zone) => set({ zone })} />
        <LanguageField value={wanted.language} onChange={(language) => set({ language })} />
      </div>
      <h2 className="mt-2 font-script text-words font-semibold">{t("On its students’ pages")}</h2>
      <div className="grid gap-4 sm:grid-cols-2">
        <Field
          label={t("A sign of one to three letters (may be left empty)")}
          value={wanted.sign}
          onChange={(e) => set({ sign: e.target.value })}
        />
        <div className="flex items-end gap-3">
          <Field
            className="flex-1"
            label={t("A colour, such as #1f4e5f (may be left empty)")}
            value={wanted.accent}
            onChange={(e) => set({ accent: e.target.value })}
          />
          <input
            type="color"
            aria-label={t("Choose the colour")}
            value={wanted.accent || "#000000"}
            onChange={(e) => set({ accent: e.target.value })}
            className="mb-1 h-8 w-12"
          />
        </div>
      </div>
      <h2 className="mt-2 font-script text-words font-semibold">{t("Its addresses")}</h2>
      <Words
        label={t("Its own e-mail addresses end with (one after the other, such as school.example)")}
        words={wanted.mailDomains ?? []}
        onChange={(mailDomains) => set({ mailDomains })}
      />
      <Words
        label={t("Pages that may show a sitting within them (such as https://www.school.example)")}
        words={wanted.framedBy ?? []}
        onChange={(framedBy) => set({ framedBy })}
      />
      <p className="text-small text-soft">
        {t(
          "A sitting’s short link can be shown within these pages. Browsers let students come in there only where the page has the same domain as Scholion.",
        )}
      </p>
      <h2 className="mt-2 font-script text-words font-semibold">{t("What teachers may do")}</h2>
      <div>
        <Check
          checked={wanted.teachersMakeCourses}
          onChange={(teachersMakeCourses) => set({ teachersMakeCourses })}
        >
          {t("Teachers make courses of their own")}
        </Check>
        <Check checked={wanted.teachersShare} onChange={(teachersShare) => set({ teachersShare })}>
          {t("Teachers share keys, items and rubrics with colleagues")}
        </Check>
      </div>
      <Trouble error={save.error} />
      <div className="flex items-center gap-4">
        <Button look="strong" type="submit" disabled={!changed || save.isPending}>
          {t("Save the school")}
        </Button>
        {!changed && save.isSuccess && <span role="status">{t("Saved.")}</span>}
      </div>
    </form>
  );
}
