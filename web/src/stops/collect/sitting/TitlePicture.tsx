import { useState } from "react";
import { TextButton } from "../../../parts/Button";
import { Field } from "../../../parts/Field";
import { FileField } from "../../../parts/FileField";
import { Trouble } from "../../../parts/States";
import { fileUrl, upload } from "../../../parts/upload";
import { t } from "../../../text";
import type { Settings } from "./draft";

/** A picture on the page before the questions, with what is on it for whoever does not see it. */
export function TitlePicture({
  settings,
  onSettings,
}: {
  settings: Settings;
  onSettings: (more: Partial<Settings>) => void;
}) {
  const [fault, setFault] = useState<unknown>(null);
  const take = (file: File) => {
    setFault(null);
    upload(file).then((kept) => onSettings({ picture: kept.id, pictureWords: "" }), setFault);
  };
  return settings.picture ? (
    <div className="grid w-full gap-2">
      <img
        src={fileUrl(settings.picture)}
        alt={settings.pictureWords || t("The picture on the page before the questions")}
        className="max-h-40 max-w-full justify-self-start"
      />
      <Field
        label={t("What is on the picture, for whoever does not see it")}
        value={settings.pictureWords ?? ""}
        maxLength={500}
        onChange={(e) => onSettings({ pictureWords: e.target.value })}
      />
      <p>
        <TextButton onClick={() => onSettings({ picture: null, pictureWords: null })}>
          {t("Remove the picture")}
        </TextButton>
      </p>
    </div>
  ) : (
    <>
      <FileField
        label={t("Add a picture for the page before the questions")}
        accept="image/png,image/jpeg,image/webp,image/gif"
        onFile={take}
      />
      <Trouble error={fault} />
    </>
  );
}
