import { useMutation } from "@tanstack/react-query";
import { useContext, useRef } from "react";
import { TextButton } from "../../../parts/Button";
import { FileField } from "../../../parts/FileField";
import { Attachment } from "../../../parts/pages/Attachment";
import { Trouble } from "../../../parts/States";
import { upload } from "../../../parts/upload";
import { t } from "../../../text";
import { AttachTo } from "./attachTo";

/** As phones hand over a photograph that others can show. */
const TAKEN = "image/png,image/jpeg,image/webp,image/gif,application/pdf";

/** Pictures and PDFs that belong to an answer. */
export function Attach({
  most,
  files,
  onFiles,
}: {
  most: number;
  files: string[];
  onFiles: (files: string[]) => void;
}) {
  const to = useContext(AttachTo);
  // While one is on its way, another may be taken away.
  const now = useRef(files);
  now.current = files;
  const send = useMutation({
    mutationFn: (file: File) => upload(file, to),
    onSuccess: ({ id }) => {
      if (!now.current.includes(id)) {
        onFiles([...now.current, id]);
      }
    },
  });
  return (
    <section aria-label={t("Pictures and PDFs")} className="mt-3">
      {files.map((file, i) => (
        <div key={file} className="max-w-md">
          <Attachment file={file} number={i + 1} marks={[]}>
            <TextButton
              className="min-h-8"
              aria-label={t("Remove attachment {{n}}", { n: i + 1 })}
              onClick={() => onFiles(files.filter((f) => f !== file))}
            >
              {t("Remove")}
            </TextButton>
          </Attachment>
        </div>
      ))}
      {files.length < most ? (
        <FileField label={t("Add a picture or a PDF")} accept={TAKEN} onFile={(file) => send.mutate(file)} />
      ) : (
        <p className="text-small text-soft">
          {t("{{count}} pictures or PDFs are added; no more are taken.", { count: files.length })}
        </p>
      )}
      {files.length < most && (
        <p className="mt-1 text-small text-soft">
          {t("Up to {{count}} pictures or PDFs, such as a photo of your page.", { count: most })}
        </p>
      )}
      {send.isPending && (
        <p role="status" className="text-small text-soft">
          {send.isPaused
            ? t("The connection is lost. It is sent when the line is there again; leave this page open.")
            : t("Sending…")}
        </p>
      )}
      <Trouble error={send.error} />
      {send.isError && (
        <TextButton className="min-h-8" onClick={() => send.variables && send.mutate(send.variables)}>
          {t("Try again")}
        </TextButton>
      )}
    </section>
  );
}
