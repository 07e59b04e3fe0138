import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { useSearchParams } from "react-router";
import { api, ok, type Schemas } from "../../api/client";
import { TextButton } from "../../parts/Button";
import { Sheet } from "../../parts/Sheet";
import { Empty, Loaded } from "../../parts/States";
import { t } from "../../text";
import { sectionQuery, useWhere } from "../Assessment";
import { Practice } from "./examples/Practice";
import { HowItWasRead } from "./how/HowItWasRead";
import { ALL, isNarrowed, pileOf, placeIn, wayOf, withPile } from "./pile";
import { QuickEntry } from "./quick/QuickEntry";
import { Reader } from "./Reader";

/** Open answers by question, by student or in a quick table, and how they were read. */
export function Read() {
  const { assessment, section } = useWhere();
  const [params, setParams] = useSearchParams();
  const item = params.get("question");
  const names = params.get("names") === "shown";
  const pile = pileOf(params);
  const way = wayOf(params);
  const byStudent = way === "student" || way === "quick";
  /** The place of an answer that is to be shown; null for the first unread. */
  const [from, setFrom] = useState<number | null>(() => placeIn(params));
  // An address that names another answer, or none, goes there.
  const [seen, setSeen] = useState(params);
  if (seen !== params) {
    setSeen(params);
    setFrom(placeIn(params));
  }
  const key = ["readings", assessment, section, item, names, byStudent, pile, from];
  const query = useQuery({
    queryKey: key,
    queryFn: () =>
      ok(
        api.GET("/api/assessments/{assessment}/readings", {
          params: {
            path: { assessment },
            query: {
              ...sectionQuery(section),
              ...(item ? { item } : {}),
              ...(from === null ? {} : { from }),
              names,
              byStudent,
              ...pile,
            },
          },
        }),
      ),
    staleTime: 30_000,
  });
  return (
    <Loaded query={query}>
      {(view) =>
        way === "how" && view.item ? (
          <HowItWasRead assessment={assessment} section={section} view={view} names={names} />
        ) : way === "practice" && questionOf(view) ? (
          <Practice key={view.item} assessment={assessment} question={questionOf(view) as Question} />
        ) : view.answers.length === 0 ? (
          <Sheet margin={null}>
            {isNarrowed(pile) ? (
              <Empty title={t("No answer is like that.")}>
                <TextButton
                  onClick={() => {
                    setFrom(null);
                    setParams(withPile(params, ALL), { replace: true });
                  }}
                >
                  {t("Show all answers")}
                </TextButton>
              </Empty>
            ) : (
              <Empty title={t("Nothing to read.")}>
                {view.questions.length === 0
                  ? t("This assessment has no open questions.")
                  : t("Open answers come here as soon as a student hands in.")}
              </Empty>
            )}
          </Sheet>
        ) : way === "quick" ? (
          <QuickEntry assessment={assessment} view={view} queryKey={key} names={names} onFrom={setFrom} />
        ) : (
          <Reader
            key={`${view.item}${names}${section}${view.from}${from}${JSON.stringify(pile)}`}
            assessment={assessment}
            view={view}
            queryKey={key}
            names={names}
            wanted={from}
            onFrom={setFrom}
          />
        )
      }
    </Loaded>
  );
}

type Question = Schemas["OpenQuestion"];

const questionOf = (view: Schemas["ReadView"]): Question | undefined =>
  view.questions.find((q) => q.item === view.item);
