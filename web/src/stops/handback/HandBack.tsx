import { keepPreviousData, useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { api, ok, type Schemas } from "../../api/client";
import { TextButton } from "../../parts/Button";
import { Kbd, useKeys } from "../../parts/Keys";
import { ResultPage } from "../../parts/ResultPage";
import { Sheet } from "../../parts/Sheet";
import { Empty, Loaded } from "../../parts/States";
import { t } from "../../text";
import { sectionQuery, useWhere } from "../Assessment";
import { HandBackMargin } from "./HandBackMargin";

export type Sees = Schemas["Sees"];
export type Message = Schemas["Message"];
type View = Schemas["HandBackView"];

/** The student's page as the student will see it; in the margin who, what, and a message by score. */
export function HandBack() {
  const { assessment, section } = useWhere();
  const query = useQuery({
    queryKey: ["assessment", assessment, "hand-back", section],
    queryFn: () =>
      ok(
        api.GET("/api/assessments/{assessment}/hand-back", {
          params: { path: { assessment }, query: sectionQuery(section) },
        }),
      ),
  });
  return (
    <Loaded query={query}>
      {(view) =>
        view.students.length === 0 ? (
          <Sheet margin={null}>
            <Empty title={t("Nothing to hand back yet.")}>
              {t("Results appear here as soon as students hand in.")}
            </Empty>
          </Sheet>
        ) : (
          <Handing key={section} assessment={assessment} view={view} />
        )
      }
    </Loaded>
  );
}

/** Who is chosen at first: everything decided, and not handed back as it is now. */
function due(view: View): string[] {
  return view.students.filter((s) => s.ready && (!s.handedAt || s.changed)).map((s) => s.attempt);
}

function Handing({ assessment, view }: { assessment: string; view: View }) {
  const client = useQueryClient();
  const [chosen, setChosen] = useState(() => due(view));
  const [at, setAt] = useState(0);
  const [sees, setSees] = useState<Sees>({
    score: true,
    marks: true,
    answers: true,
    notes: true,
    keys: false,
  });
  const [messages, setMessages] = useState<Message[]>(() =>
    view.bands.filter((b) => b.message).map((b) => ({ from: b.from, text: b.message })),
  );
  const student = view.students[Math.min(at, view.students.length - 1)] as Schemas["HandBackLine"];
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
          body: { attempts: chosen, sees, messages },
        }),
      ),
    onSuccess: () => {
      setChosen([]);
      void client.invalidateQueries({ queryKey: ["assessment", assessment] });
      void client.invalidateQueries({ queryKey: ["desk"] });
    },
  });
  const work = handBack.data?.job ?? view.work?.id ?? null;
  const step = (by: number) => setAt(Math.max(0, Math.min(view.students.length - 1, at + by)));
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
          onShow={(attempt) => setAt(view.students.findIndex((s) => s.attempt === attempt))}
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
          <Loaded query={preview}>{(result) => <ResultPage result={result} />}</Loaded>
        </div>
      </div>
    </Sheet>
  );
}
