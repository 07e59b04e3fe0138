import { useState } from "react";
import { Link, useParams, useSearchParams } from "react-router";
import type { Schemas } from "../../../api/client";
import { Button } from "../../../parts/Button";
import { MarginPart, Sheet } from "../../../parts/Sheet";
import { Empty, Loaded, Trouble } from "../../../parts/States";
import { t } from "../../../text";
import { useHeader } from "../../Assessment";
import { Pick } from "./boxes";
import { firstDraft, timesOf } from "./draft";
import { KeptAs } from "./KeptAs";
import { SittingFields } from "./SittingFields";
import { ToScale } from "./ToScale";
import { useGiveOut } from "./useGiveOut";
import { useTypedDraft } from "./useTypedDraft";

/** Giving out with everything about the sitting, before anybody sees it. */
export function GiveOutPage() {
  const { assessment = "" } = useParams();
  const header = useHeader(assessment, null);
  return (
    <Loaded query={header}>
      {(h) => {
        const free = h.sections.filter((s) => !s.given);
        return free.length > 0 ? (
          <Giving assessment={assessment} free={free} />
        ) : (
          <Empty title={t("Every section has it.")}>
            <Link to={`/a/${assessment}/collect`} className="underline">
              {t("Back to who is at work")}
            </Link>
          </Empty>
        );
      }}
    </Loaded>
  );
}

function Giving({ assessment, free }: { assessment: string; free: Schemas["SectionOfLine"][] }) {
  const [params] = useSearchParams();
  const [section, setSection] = useState(
    free.find((s) => s.id === params.get("to"))?.id ?? free[0]?.id ?? "",
  );
  const [first] = useState(() => firstDraft());
  const { draft, setDraft, forget } = useTypedDraft(`give-out:${assessment}`, first);
  const name = free.find((s) => s.id === section)?.name ?? "";
  const give = useGiveOut(assessment, true);
  return (
    <Sheet
      margin={
        <>
          <ToScale draft={draft} different={[]} />
          <MarginPart title={t("Different for some")}>
            <p className="text-small text-soft">
              {t("Once it is given out you can make times different for single students here.")}
            </p>
          </MarginPart>
          <KeptAs draft={draft} onChange={setDraft} />
          <Trouble error={give.error} />
          <Button
            look="strong"
            disabled={timesOf(draft) === null || give.isPending}
            onClick={() => give.mutate({ section, draft }, { onSuccess: forget })}
          >
            {t("Give out to {{section}}", { section: name })}
          </Button>
          <p className="mt-2 text-small text-soft">{t("It can be withdrawn until somebody begins.")}</p>
        </>
      }
    >
      <SittingFields
        draft={draft}
        onChange={setDraft}
        who={
          <Pick
            label={t("Given to")}
            value={section}
            options={free.map((s) => [s.id, s.name])}
            onChange={setSection}
          />
        }
        link={null}
      />
    </Sheet>
  );
}
