import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { type Schemas, sendFile } from "../../api/client";
import { Button } from "../../parts/Button";
import { FileField } from "../../parts/FileField";
import { MarginPart, Note } from "../../parts/Sheet";
import { Trouble } from "../../parts/States";
import { t } from "../../text";

type RosterEffect = Schemas["RosterEffect"];

/** A roster from a file: what it would bring is shown first. */
export function RosterIn({ course }: { course: string }) {
  const client = useQueryClient();
  const [file, setFile] = useState<File | null>(null);
  const preview = useMutation({
    mutationFn: (f: File) => sendFile<RosterEffect>(`/api/courses/${course}/roster/preview`, f),
  });
  const take = useMutation({
    mutationFn: (f: File) => sendFile<RosterEffect>(`/api/courses/${course}/roster`, f),
    onSuccess: () => {
      setFile(null);
      preview.reset();
      void client.invalidateQueries({ queryKey: ["course", course] });
    },
  });
  const choose = (f: File) => {
    setFile(f);
    take.reset();
    preview.mutate(f);
  };
  const effect = preview.data;
  return (
    <MarginPart title={t("A roster from a file")}>
      <FileField accept=".csv,.txt,.tsv" label={t("A roster as CSV")} onFile={choose} />
      <p className="mt-1 text-small text-soft">
        {t("Columns: number, first name, surname, section, and e-mail if you have it. In any order.")}
      </p>
      <Trouble error={preview.error ?? take.error} />
      {effect && file && (
        <div className="mt-2">
          <Note by={effect.faults.length > 0 ? "waiting" : "rule"}>
            {t("{{count}} students", { count: effect.students })}, {t("{{n}} new", { n: effect.isNew })} ·{" "}
            {effect.sections.join(", ")}
          </Note>
          {effect.faults.map((f) => (
            <p key={`${f.line}${f.message}`} className="text-small text-waiting">
              {t("Line {{line}}", { line: f.line })}, {f.column}: {f.message}
            </p>
          ))}
          {effect.faults.length === 0 && (
            <Button look="strong" onClick={() => take.mutate(file)} disabled={take.isPending}>
              {t("Bring in {{count}} students", { count: effect.students })}
            </Button>
          )}
        </div>
      )}
      {take.data && (
        <Note by="rule">
          {t("{{count}} students are now on the rosters.", { count: take.data.students })}
        </Note>
      )}
    </MarginPart>
  );
}
