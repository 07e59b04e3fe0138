import { useMutation } from "@tanstack/react-query";
import { useNavigate } from "react-router";
import { type Schemas, sendFile } from "../../api/client";
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
      <input
        type="file"
        accept=".json"
        aria-label={t("An assessment file")}
        className="w-full text-small file:mr-3 file:rounded-corner file:border file:border-solid file:border-ink file:bg-sheet file:px-3 file:py-1 file:font-semibold"
        onChange={(e) => {
          const file = e.target.files?.[0];
          file && take.mutate(file);
        }}
      />
      <p className="mt-1 text-small text-soft">
        {t("The file that a key can be saved as. It becomes a new assessment of this course.")}
      </p>
      <Trouble error={take.error} />
    </MarginPart>
  );
}
