import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { useNavigate } from "react-router";
import { api, ok, type Schemas } from "../../../api/client";
import { Button } from "../../../parts/Button";
import { ResultPage } from "../../../parts/ResultPage";
import { Loaded } from "../../../parts/States";
import { t } from "../../../text";
import { Pick } from "../sitting/boxes";
import { KINDS, type When } from "../sitting/draft";
import type { Answers } from "./useDry";

type Moment = Exclude<When, "NEVER">;

/** What a student would see of these answers, moment by moment; and the answers kept as a set, where wanted. */
export function TriedResult({
  assessment,
  sitting,
  attempt,
  answers,
  seen,
}: {
  assessment: string;
  sitting: string | null;
  attempt: string;
  answers: Answers;
  seen: Schemas["SeenWhen"];
}) {
  const navigate = useNavigate();
  const [moment, setMoment] = useState<Moment>("HANDED_BACK");
  const query = useQuery({
    queryKey: ["tried", assessment, sitting, attempt, moment],
    retry: false,
    queryFn: () =>
      ok(
        api.POST("/api/assessments/{assessment}/as-student/result", {
          params: { path: { assessment } },
          body: { attempt, sitting, moment, answers: answers as Record<string, Record<string, never>> },
        }),
      ),
  });
  const words: [Moment, string][] = [
    ["AT_HAND_IN", t("at hand-in")],
    ["ALL_CLOSED", t("when every time is over")],
    ["FROM_DATE", t("from the date on")],
    ["HANDED_BACK", t("when you hand back")],
  ];
  const moments = words.filter(([m]) => m !== "FROM_DATE" || KINDS.some((kind) => seen[kind] === m));
  return (
    <section aria-label={t("The result")} className="mt-6 border-t border-rule pt-4">
      <Pick label={t("What they see")} value={moment} options={moments} onChange={setMoment} />
      <div className="mt-4">
        <Loaded query={query}>
          {({ result, kept }) => (
            <>
              {result ? (
                <ResultPage result={result} />
              ) : (
                <p className="text-soft">{t("Nothing is seen at this moment.")}</p>
              )}
              <p className="mt-5">
                <Button
                  disabled={Object.keys(kept).length === 0}
                  onClick={() => navigate(`/a/${assessment}/key?view=sets`, { state: { set: kept } })}
                >
                  {t("Keep these answers as an answer set")}
                </Button>
                <span className="mt-1 block text-small text-soft">
                  {t("An answer set is scored after every change of the key, and can become the key.")}
                </span>
              </p>
            </>
          )}
        </Loaded>
      </div>
    </section>
  );
}
