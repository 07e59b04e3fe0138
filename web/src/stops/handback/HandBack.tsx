import { keepPreviousData, useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { api, ok, type Schemas } from "../../api/client";
import { TextButton } from "../../parts/Button";
import { Kbd, useKeys } from "../../parts/Keys";
import { Overrule } from "../../parts/Overrule";
import { ResultPage } from "../../parts/ResultPage";
import { Sheet } from "../../parts/Sheet";
import { Empty, Loaded } from "../../parts/States";
import { t } from "../../text";
import { sectionQuery, useWhere } from "../Assessment";
import { AT_FIRST, type Chosen, count, type Line, NOBODY } from "./chosen";
import { HandBackMargin } from "./HandBackMargin";

export type Sees = Schemas["Sees"];
export type Message = Schemas["Message"];
type View = Schemas["HandBackView"];

/** The part of the list that is looked at. */
export type Looking = { from: number; words: string };

/** So many students come at once. */
export const WINDOW = 200;

/** The student's page as the student will see it; in the margin who, what, and a message by score. */
export function HandBack() {
  const { assessment, section } = useWhere();
  const [looking, setLooking] = useState<Looking>({ from: 0, words: "" });
  const query = useQuery({
    queryKey: ["assessment", assessment, "hand-back", section, looking],
    queryFn: () =>
      ok(
        api.GET("/api/assessments/{assessment}/hand-back", {
          params: { path: { assessment }, query: { ...sectionQuery(section), ...looking } },
        }),
      ),
    placeholderData: keepPreviousData,
  });
  return (
    <Loaded query={query}>
      {(view) =>
        view.all === 0 ? (
          <Sheet margin={null}>
            <Empty title={t("Nothing to hand back yet.")}>
              {t("Results appear here as soon as students hand in.")}
            </Empty>
          </Sheet>
        ) : (
          <Handing
            key={section}
            assessment={assessment}
            section={section}
            view={view}
            looking={looking}
            onLook={setLooking}
          />
        )
      }
    </Loaded>
  );
}

function Handing({
  assessment,
  section,
  view,
  looking,
  onLook,
}: {
  assessment: string;
  section: string | null;
  view: View;
  looking: Looking;
  onLook: (looking: Looking) => void;
}) {
  const client = useQueryClient();
  const [chosen, setChosen] = useState<Chosen>(AT_FIRST);
  const [place, setPlace] = useState(0);
  // As the sitting says; for this time it can be said otherwise.
  const [sees, setSees] = useState<Sees>(view.sees);
  const [messages, setMessages] = useState<Message[]>(() =>
    view.bands.filter((b) => b.message).map((b) => ({ from: b.from, text: b.message })),
  );
  const at = Math.max(0, Math.min(place - view.from, view.students.length - 1));
  const [last, setLast] = useState(view.students[0] as Line);
  // While nobody is found by the words that are typed, the page shows whom it showed.
  const student = view.students[at] ?? last;
  if (student !== last) {
    setLast(student);
  }
  const preview = useQuery({
    queryKey: ["assessment", assessment, "result-preview", student.attempt, sees, messages],
    queryFn: () =>
      ok(
        api.POST("/api/attempts/{attempt}/result/preview", {
          params: { path: { attempt: student.attempt } },
          body: { sees, messages },
        }),
      ),
    placeholderData: keepPreviousData,
  });
  const handBack = useMutation({
    mutationFn: () =>
      ok(
        api.POST("/api/assessments/{assessment}/hand-back", {
          params: { path: { assessment } },
          body: {
            attempts: chosen.beside.map((l) => l.attempt),
            groups: chosen.groups,
            except: chosen.but.map((l) => l.attempt),
            section,
            expected: count(view, chosen),
            sees,
            messages,
          },
        }),
      ),
    onSuccess: () => {
      setChosen(NOBODY);
      void client.invalidateQueries({ queryKey: ["assessment", assessment] });
      void client.invalidateQueries({ queryKey: ["desk"] });
    },
  });
  const work = handBack.data?.job ?? view.work?.id ?? null;
  const step = (by: number) => {
    const next = Math.max(0, Math.min(view.found - 1, view.from + at + by));
    setPlace(next);
    if (next < view.from || next >= view.from + view.students.length) {
      onLook({ ...looking, from: Math.floor(next / WINDOW) * WINDOW });
    }
  };
  useKeys([
    ["[", t("previous student"), () => step(-1)],
    ["]", t("next student"), () => step(1)],
    ["j", "", () => step(1)],
    ["k", "", () => step(-1)],
  ]);
  return (
    <Sheet
      bare
      margin={
        <HandBackMargin
          view={view}
          chosen={chosen}
          onChosen={setChosen}
          onShow={(attempt) => setPlace(view.from + view.students.findIndex((s) => s.attempt === attempt))}
          looking={looking}
          onLook={(next) => {
            setPlace(next.from);
            onLook(next);
          }}
          sees={sees}
          onSees={setSees}
          messages={messages}
          onMessages={setMessages}
          onHandBack={() => handBack.mutate()}
          pending={handBack.isPending}
          done={handBack.data}
          work={work}
          error={handBack.error}
        />
      }
    >
      <div className="px-4 py-4 lg:px-6">
        <p className="mb-3 flex items-center text-small">
          <strong className="text-soft">{t("What {{name}} will see", { name: student.name })}</strong>
          <span className="ml-auto text-soft">
            <TextButton onClick={() => step(-1)}>{t("Previous")}</TextButton> <Kbd>[</Kbd>{" "}
            <TextButton onClick={() => step(1)}>{t("Next")}</TextButton> <Kbd>]</Kbd>
          </span>
        </p>
        <div className="border border-rule bg-sheet px-5 py-5 lg:px-7">
          <Loaded query={preview}>
            {(result) => (
              <ResultPage
                result={result}
                drawnOf={{ attempt: student.attempt }}
                after={(item) =>
                  item.mark &&
                  !preview.isPlaceholderData && (
                    <Overrule attempt={student.attempt} item={item.item} number={item.number} />
                  )
                }
              />
            )}
          </Loaded>
        </div>
      </div>
    </Sheet>
  );
}
