import type { FormEvent } from "react";
import { Button } from "../../../parts/Button";
import { Area, Field, Toggle } from "../../../parts/Field";
import { MarginPart } from "../../../parts/Sheet";
import { Loaded, Trouble } from "../../../parts/States";
import { useTyped } from "../../../parts/typed";
import { t } from "../../../text";
import { labelsOf, switched } from "./labels";
import { type About, useAbout } from "./useAbout";

type Form = { code: string; labels: string; description: string };

const MOST_PROPOSED = 12;

/** What an assessment is about, its short code and its labels: by these it is found, by colleagues as well. */
export function AboutAssessment({ assessment }: { assessment: string }) {
  const { about, save } = useAbout(assessment);
  return (
    <MarginPart title={t("How it is found")}>
      <Loaded query={about}>
        {(view) => (
          <details>
            <summary className="cursor-pointer">
              {[view.code, ...view.labels].filter(Boolean).join(" · ") || t("No code and no labels yet")}
            </summary>
            <AboutForm assessment={assessment} view={view} save={save} />
          </details>
        )}
      </Loaded>
    </MarginPart>
  );
}

/** What is typed stays on the device until it is saved, also where a colleague was quicker. */
function AboutForm({
  assessment,
  view,
  save,
}: {
  assessment: string;
  view: About;
  save: ReturnType<typeof useAbout>["save"];
}) {
  const [typed, setTyped] = useTyped<Partial<Form> | null>(`about:${assessment}`, null);
  const form = { code: view.code, labels: view.labels.join(", "), description: view.description, ...typed };
  const { code, labels, description } = form;
  const set = (part: Partial<Form>) => setTyped({ ...typed, ...part });
  const chosen = labelsOf(labels);
  const has = (label: string) => chosen.some((l) => l.toLowerCase() === label.toLowerCase());
  const changed =
    code !== view.code || description !== view.description || chosen.join("\n") !== view.labels.join("\n");
  const submit = (e: FormEvent) => {
    e.preventDefault();
    save.mutate(
      { code, description, labels: chosen, revision: view.revision },
      { onSuccess: () => setTyped(null) },
    );
  };
  return (
    <form onSubmit={submit} className="mt-2 grid gap-2">
      <Field
        label={t("Short code, unique in the school")}
        value={code}
        maxLength={24}
        autoComplete="off"
        onChange={(e) => set({ code: e.target.value })}
      />
      <Field
        label={t("Labels: subject, year, purpose…")}
        value={labels}
        autoComplete="off"
        onChange={(e) => set({ labels: e.target.value })}
      />
      {view.known.length > 0 && (
        <p className="flex flex-wrap gap-1" aria-label={t("Labels of the school")} role="group">
          {view.known.slice(0, MOST_PROPOSED).map((label) => (
            <Toggle key={label} on={has(label)} onChange={() => set({ labels: switched(labels, label) })}>
              {label}
            </Toggle>
          ))}
        </p>
      )}
      <Area
        label={t("What it is about")}
        value={description}
        maxLength={2000}
        onChange={(e) => set({ description: e.target.value })}
      />
      <Trouble error={save.error} />
      <div>
        <Button type="submit" disabled={!changed || save.isPending}>
          {t("Save how it is found")}
        </Button>
      </div>
    </form>
  );
}
