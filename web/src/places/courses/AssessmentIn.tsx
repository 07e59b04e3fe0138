import { useMutation } from "@tanstack/react-query";
import { useNavigate } from "react-router";
import { type Schemas, sendFile } from "../../api/client";
import { FileField } from "../../parts/FileField";
import { MarginPart } from "../../parts/Sheet";
import { Trouble } from "../../parts/States";
import { t } from "../../text";

/** An assessment from the open file; a faulty one is refused with every place, and nothing is made. */
export function AssessmentIn({ course }: { course: string }) {
  const navigate = useNavigate();
  const take = useMutation({
    mutationFn: (f: File) => sendFile<Schemas["Created"]>(`/api/courses/${course}/assessment-file`, f),
    onSuccess: ({ id }) => navigate(`/a/${id}/key`),
  });
  return (
    <MarginPart title={t("An assessment from a file")}>
      <FileField accept=".json" label={t("An assessment file")} onFile={(f) => take.mutate(f)} />
      <p className="mt-1 text-small text-soft">
        {t("A file from “Save the key as a file”. It becomes a new assessment in this course.")}
      </p>
      <Trouble error={take.error} />
    </MarginPart>
  );
}
