import { useMutation, useQuery } from "@tanstack/react-query";
import { type FormEvent, type ReactNode, useState } from "react";
import { useNavigate } from "react-router";
import { api, ok } from "../../api/client";
import { Button } from "../../parts/Button";
import { Field } from "../../parts/Field";
import { Trouble } from "../../parts/States";
import { t } from "../../text";

/** Asks for a title, makes the assessment and goes to its key. */
export function useNewAssessment(course?: string): { ask: () => void; form: ReactNode } {
  const [asking, setAsking] = useState(false);
  return {
    ask: () => setAsking(true),
    form: asking && <NewAssessment course={course} onStop={() => setAsking(false)} />,
  };
}

function NewAssessment({ course, onStop }: { course: string | undefined; onStop: () => void }) {
  const navigate = useNavigate();
  const [title, setTitle] = useState("");
  const courses = useQuery({ queryKey: ["courses"], queryFn: () => ok(api.GET("/api/courses")) });
  const [chosen, setChosen] = useState(course);
  const into = chosen ?? courses.data?.[0]?.id;
  const create = useMutation({
    mutationFn: () => ok(api.POST("/api/assessments", { body: { course: into ?? "", title } })),
    onSuccess: ({ id }) => navigate(`/a/${id}/key`),
  });
  const submit = (e: FormEvent) => {
    e.preventDefault();
    create.mutate();
  };
  return (
    <form onSubmit={submit} className="basis-full border-l-3 border-by-rule pl-4">
      <div className="flex flex-wrap items-end gap-3">
        <Field
          label={t("Title of the assessment")}
          value={title}
          onChange={(e) => setTitle(e.target.value)}
          onKeyDown={(e) => e.key === "Escape" && onStop()}
          className="w-80"
          autoFocus
        />
        {!course && (courses.data?.length ?? 0) > 1 && (
          <label className="block text-small font-semibold text-soft">
            <span className="mb-1 block">{t("Course")}</span>
            <select
              className="rounded-corner border border-rule-strong bg-sheet px-2 py-1.5 text-body text-ink"
              value={into}
              onChange={(e) => setChosen(e.target.value)}
            >
              {courses.data?.map((c) => (
                <option key={c.id} value={c.id}>
                  {c.title}
                </option>
              ))}
            </select>
          </label>
        )}
        <Button look="strong" type="submit" disabled={create.isPending || !into}>
          {t("Write its key")}
        </Button>
        <Button look="quiet" onClick={onStop}>
          {t("Not now")}
        </Button>
      </div>
      <Trouble error={create.error} />
    </form>
  );
}
