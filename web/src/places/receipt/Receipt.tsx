import { useQuery } from "@tanstack/react-query";
import { type FormEvent, useState } from "react";
import { useSearchParams } from "react-router";
import { api, ok, type Schemas } from "../../api/client";
import { Button } from "../../parts/Button";
import { Field } from "../../parts/Field";
import { Note, Sheet } from "../../parts/Sheet";
import { Loaded } from "../../parts/States";
import { t } from "../../text";
import { moment } from "../../text/figures";

/** What a receipt's code stands for: for the student whose it is, and for whoever teaches the assessment. */
export function Receipt({ student }: { student: boolean }) {
  const [params, setParams] = useSearchParams();
  const code = params.get("code") ?? "";
  const [typed, setTyped] = useState(code);
  const submit = (e: FormEvent) => {
    e.preventDefault();
    setParams({ code: typed.trim() });
  };
  return (
    <Sheet margin={null}>
      <div className="max-w-xl px-6 py-6">
        <h1 className="mb-4 font-script text-title font-semibold">{t("Check a receipt")}</h1>
        <form onSubmit={submit} className="mb-6 flex items-end gap-3">
          <Field
            className="flex-1"
            label={t("The code, twelve letters and digits")}
            value={typed}
            autoComplete="off"
            spellCheck={false}
            onChange={(e) => setTyped(e.target.value)}
            required
          />
          <Button look="strong" type="submit">
            {t("Check")}
          </Button>
        </form>
        {code && <Found key={code} code={code} student={student} />}
      </div>
    </Sheet>
  );
}

function Found({ code, student }: { code: string; student: boolean }) {
  const path = { params: { path: { code } } };
  const query = useQuery({
    queryKey: ["receipt", code],
    queryFn: () =>
      student ? ok(api.GET("/api/student/receipts/{code}", path)) : ok(api.GET("/api/receipts/{code}", path)),
    retry: false,
    gcTime: 0,
  });
  return <Loaded query={query}>{(found) => <Stands found={found} />}</Loaded>;
}

function Stands({ found }: { found: Schemas["Checked"] }) {
  return (
    <div role="status">
      <Note by={found.unchanged ? "rule" : "waiting"}>
        <p className="font-script text-words font-semibold">{found.title}</p>
        <p>
          {t("Handed in by {{student}}, {{when}}, with {{count}} answers.", {
            student: found.student,
            when: moment(found.handedInAt),
            count: found.answers,
          })}
        </p>
        <p>
          {found.unchanged
            ? t("What is kept is what was handed in then.")
            : t("What is kept is not what was handed in then. Ask whoever runs Scholion.")}
        </p>
        {found.aside && (
          <p>{t("It was opened again or set aside since then. It is kept, and something else counts.")}</p>
        )}
      </Note>
    </div>
  );
}
