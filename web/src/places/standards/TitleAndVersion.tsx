import { Field } from "../../parts/Field";
import { t } from "../../text";

/** By what a framework is known. */
export function TitleAndVersion({
  title,
  version,
  onTitle,
  onVersion,
}: {
  title: string;
  version: string;
  onTitle: (title: string) => void;
  onVersion: (version: string) => void;
}) {
  return (
    <div className="my-2 flex gap-2">
      <Field label={t("Title")} value={title} className="flex-1" onChange={(e) => onTitle(e.target.value)} />
      <Field
        label={t("Version")}
        value={version}
        className="w-20"
        onChange={(e) => onVersion(e.target.value)}
      />
    </div>
  );
}
