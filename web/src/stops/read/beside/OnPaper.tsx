import { Button } from "../../../parts/Button";
import { Area } from "../../../parts/Field";
import { MarginPart, Note } from "../../../parts/Sheet";
import { Trouble } from "../../../parts/States";
import { t } from "../../../text";
import { usePaperComment, type Which } from "./useBeside";

/** What the reader says of the whole paper, beside whichever of its answers is open. */
export function OnPaper(which: Which) {
  const comment = usePaperComment(which);
  return (
    <MarginPart title={t("The whole paper")}>
      {comment.others.map((o) => (
        <Note key={o.name} by="person">
          <strong>{o.name}</strong> <span className="font-script">{o.text}</span>
        </Note>
      ))}
      <Area
        id="paper-comment"
        label={t("Comment on the whole paper, for the student")}
        value={comment.text}
        rows={2}
        maxLength={5_000}
        disabled={!comment.isThere}
        onBlur={comment.saveNow}
        onKeyDown={(e) => e.key === "Escape" && (e.target as HTMLElement).blur()}
        onChange={(e) => comment.type(e.target.value)}
      />
      <p role="status" className="text-small text-soft">
        {comment.isSaved
          ? t("Shown above all questions when it is handed back. {given name} stands for the name.")
          : t("Kept on this device until it is saved.")}
      </p>
      <Trouble error={comment.error} />
      {comment.theirs && (
        <>
          <Note by="person">
            <span className="font-script">{comment.theirs.text || t("Nothing")}</span>
          </Note>
          <p className="flex flex-wrap gap-2">
            <Button onClick={comment.keepTheirs}>{t("Keep that one")}</Button>
            <Button onClick={comment.saveMine}>{t("Save this one instead")}</Button>
          </p>
        </>
      )}
    </MarginPart>
  );
}
