import { type FormEvent, useState } from "react";
import { Button } from "../../parts/Button";
import { Check, Field } from "../../parts/Field";
import { MarginPart } from "../../parts/Sheet";
import { Trouble } from "../../parts/States";
import { t } from "../../text";
import { type CourseView, useCourseWork } from "./useCourse";

/** What a course is called, its term, and whether it is over. */
export function CourseSettings({ view }: { view: CourseView }) {
  const work = useCourseWork(view.id);
  const [title, setTitle] = useState(view.title);
  const [term, setTerm] = useState(view.term);
  const [archived, setArchived] = useState(view.archived);
  const submit = (e: FormEvent) => {
    e.preventDefault();
    work.change.mutate({ title, term, archived, revision: view.revision });
  };
  const changed = title !== view.title || term !== view.term || archived !== view.archived;
  return (
    <MarginPart title={t("This course")}>
      <details>
        <summary className="cursor-pointer">{t("Title, term, archive")}</summary>
        <form onSubmit={submit} className="mt-2 grid gap-3">
          <Field
            label={t("Title of the course")}
            value={title}
            onChange={(e) => setTitle(e.target.value)}
            required
          />
          <Field
            label={t("Term (may be left empty)")}
            value={term}
            onChange={(e) => setTerm(e.target.value)}
          />
          <Check checked={archived} onChange={setArchived}>
            {t("Archived: over, and listed last")}
          </Check>
          <Trouble error={work.change.error} />
          <div>
            <Button type="submit" disabled={!changed || work.change.isPending}>
              {t("Save the course")}
            </Button>
          </div>
        </form>
      </details>
    </MarginPart>
  );
}
