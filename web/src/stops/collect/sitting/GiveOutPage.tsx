import { useState } from "react";
import { Link, useParams, useSearchParams } from "react-router";
import type { Schemas } from "../../../api/client";
import { Button } from "../../../parts/Button";
import { MarginPart, Sheet } from "../../../parts/Sheet";
import { Empty, Loaded, Trouble } from "../../../parts/States";
import { useGroups } from "../../../places/courses/groups/useGroups";
import { useCourse } from "../../../places/courses/useCourse";
import { t } from "../../../text";
import { useHeader } from "../../Assessment";
import { Pick } from "./boxes";
import { firstDraft, isWhole } from "./draft";
import { KeptAs } from "./KeptAs";
import { SittingFields } from "./SittingFields";
import { ToScale } from "./ToScale";
import { useGiveOut } from "./useGiveOut";
import { useTypedDraft } from "./useTypedDraft";
import { WhoHasIt } from "./WhoHasIt";

/** Giving out with everything about the sitting, before anybody sees it. */
export function GiveOutPage() {
  const { assessment = "" } = useParams();
  const header = useHeader(assessment, null);
  return (
    <Loaded query={header}>
      {(h) => {
        const free = h.sections.filter((s) => !s.given);
        return free.length > 0 ? (
          <Giving assessment={assessment} course={h.course} free={free} />
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

function Giving({
  assessment,
  course,
  free,
}: {
  assessment: string;
  course: string;
  free: Schemas["SectionOfLine"][];
}) {
  const [params] = useSearchParams();
  const [section, setSection] = useState(
    free.find((s) => s.id === params.get("to"))?.id ?? free[0]?.id ?? "",
  );
  const [first] = useState(() => firstDraft());
  const { draft: typed, setDraft, forget } = useTypedDraft(`give-out:${assessment}`, first);
  const name = free.find((s) => s.id === section)?.name ?? "";
  const groups = useGroups(course);
  const give = useGiveOut(assessment, true);
  const students = (useCourse(course).data?.students ?? []).filter((s) => s.section === section);
  // Who was chosen of another section is not chosen of this one.
  const draft = {
    ...typed,
    students: typed.students && students.map((s) => s.id).filter((id) => typed.students?.includes(id)),
  };
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
            disabled={!isWhole(draft) || give.isPending}
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
          <>
            <Pick
              label={t("Given to")}
              value={section}
              options={free.map((s) => [s.id, s.name])}
              onChange={setSection}
            />
            <WhoHasIt section={students} groups={groups.data} draft={draft} onChange={setDraft} />
          </>
        }
        way={null}
      />
    </Sheet>
  );
}
