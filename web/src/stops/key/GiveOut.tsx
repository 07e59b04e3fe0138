import { useState } from "react";
import { Link } from "react-router";
import { Button } from "../../parts/Button";
import { MarginPart, Note } from "../../parts/Sheet";
import { Trouble } from "../../parts/States";
import { t } from "../../text";
import { useHeader } from "../Assessment";
import { PaperAfterChoice } from "../collect/PaperAfter";
import { firstDraft, timesOf } from "../collect/sitting/draft";
import { useGiveOut } from "../collect/sitting/useGiveOut";
import { TimesFields } from "../collect/TimesFields";
import { placeOnPaper } from "./place";
import type { useDraft } from "./useDraft";

/** Gives the paper to a section: freezes the edition and opens a sitting. */
export function GiveOut({ assessment, draft }: { assessment: string; draft?: ReturnType<typeof useDraft> }) {
  const faults = draft?.faults ?? [];
  if (draft && (draft.definition.items.length === 0 || faults.length > 0)) {
    return draft.definition.items.length === 0 ? null : (
      <MarginPart title={t("Give out")}>
        <Note by="waiting">
          {t("{{count}} things to correct before you can give this out", { count: faults.length })}
          <ul className="text-small">
            {faults.slice(0, 6).map((f) => (
              <li key={f.path + f.message}>
                <strong>{placeOnPaper(f.path, draft.definition.items)}</strong> {f.message}
              </li>
            ))}
          </ul>
        </Note>
      </MarginPart>
    );
  }
  return <GiveOutForm assessment={assessment} waiting={draft !== undefined && draft.state !== "saved"} />;
}

function GiveOutForm({ assessment, waiting }: { assessment: string; waiting: boolean }) {
  const header = useHeader(assessment, null);
  const free = header.data?.sections.filter((s) => !s.given) ?? [];
  const [section, setSection] = useState("");
  const [draft, setDraft] = useState(() => firstDraft());
  const chosen = section || free[0]?.id || "";
  const give = useGiveOut(assessment, false);
  if (free.length === 0) {
    return null;
  }
  return (
    <MarginPart title={t("Give out to a section")}>
      <div className="grid gap-2">
        <label className="text-small font-semibold text-soft">
          <span className="mb-1 block">{t("Section")}</span>
          <select
            value={chosen}
            onChange={(e) => setSection(e.target.value)}
            className="w-full rounded-corner border border-rule-strong bg-sheet px-2 py-1.5 text-body font-normal text-ink"
          >
            {free.map((s) => (
              <option key={s.id} value={s.id}>
                {s.name}
              </option>
            ))}
          </select>
        </label>
        <TimesFields times={draft} onChange={(times) => setDraft({ ...draft, ...times })} />
        <PaperAfterChoice
          value={draft.paperAfter}
          onChange={(paperAfter) => setDraft({ ...draft, paperAfter })}
        />
      </div>
      <Trouble error={give.error} />
      <Button
        look="strong"
        className="mt-3"
        disabled={waiting || timesOf(draft) === null || give.isPending}
        onClick={() => give.mutate({ section: chosen, draft })}
      >
        {t("Give out to {{section}}", { section: free.find((s) => s.id === chosen)?.name ?? "" })}
      </Button>
      <p className="mt-2">
        <Link to={`/a/${assessment}/give-out?to=${chosen}`} className="text-small underline">
          {t("Set how it is taken first")}
        </Link>{" "}
        ·{" "}
        <Link to={`/a/${assessment}/as-student`} className="text-small underline">
          {t("See it as a student")}
        </Link>
      </p>
    </MarginPart>
  );
}
