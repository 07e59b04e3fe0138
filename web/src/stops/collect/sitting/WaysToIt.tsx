import { QRCodeSVG } from "qrcode.react";
import { useState } from "react";
import { TextButton } from "../../../parts/Button";
import { OnWall } from "../../../parts/OnWall";
import { Trouble } from "../../../parts/States";
import { t } from "../../../text";
import { Group } from "./boxes";
import { Code } from "./Code";
import { codeOnBoard, type SittingDraft } from "./draft";
import { GuestsToIt } from "./GuestsToIt";
import { wayInGroups, wayLink } from "./wayLink";

/** How students come to a sitting: To do, a short link, slips with codes, and a code from the board. */
export function WaysToIt({
  draft,
  onChange,
  way,
  slips,
}: {
  draft: SittingDraft;
  onChange: (draft: SittingDraft) => void;
  /** The short word that leads to it; not known before it is given out. */
  way: string | null;
  slips?: { held: number; onMake: () => void; onEnd: () => void; isPending: boolean; error: unknown };
}) {
  const [wall, setWall] = useState(false);
  const code = draft.settings.code;
  return (
    <Group title={t("Ways to it")}>
      <p>{t("Students find it under To do.")}</p>
      {way ? (
        <p className="w-full min-w-0 wrap-anywhere">
          {t("The link to it:")}{" "}
          <a href={wayLink(way)} className="underline">
            {wayLink(way)}
          </a>{" "}
          <TextButton onClick={() => setWall(true)}>{t("large, for the wall")}</TextButton>
        </p>
      ) : (
        <p className="text-small text-soft">
          {t("Once it is given out there is a short link here, and slips that let in without a password.")}
        </p>
      )}
      {slips && (
        <>
          <p>
            {t("Slips let a student in without a password, to this only.")}{" "}
            <TextButton disabled={slips.isPending} onClick={slips.onMake}>
              {slips.held > 0 ? t("Make new slips") : t("Make slips to print")}
            </TextButton>
          </p>
          {slips.held > 0 && (
            <p className="text-small text-soft">
              {t("{{count}} codes hold until it is over.", { count: slips.held })} {t("New slips end them.")}{" "}
              <TextButton disabled={slips.isPending} onClick={slips.onEnd}>
                {t("End them, and sign out who came in by one")}
              </TextButton>
            </p>
          )}
          <Trouble error={slips.error} />
        </>
      )}
      <GuestsToIt guests={draft.guests} onChange={(guests) => onChange({ ...draft, guests })} />
      <Code
        code={code}
        onChange={(typed) => onChange({ ...draft, settings: { ...draft.settings, code: typed } })}
      />
      {wall && way && (
        <OnWall label={t("The way to it, for the wall")} onClose={() => setWall(false)}>
          <div className="flex flex-wrap items-center gap-12 py-8">
            <QRCodeSVG value={wayLink(way)} size={360} title={t("A square code with the link")} />
            <div className="font-script">
              <p className="text-title">{location.host}/s/</p>
              <p className="text-[4rem] font-semibold tracking-widest">{wayInGroups(way)}</p>
              {code && (
                <p className="mt-8 text-title">
                  {t("Code")}:{" "}
                  <strong className="text-[3rem] tracking-widest">{codeOnBoard(code.toUpperCase())}</strong>
                </p>
              )}
            </div>
          </div>
        </OnWall>
      )}
    </Group>
  );
}
