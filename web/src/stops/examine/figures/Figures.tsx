import { useSearchParams } from "react-router";
import { useKeys } from "../../../parts/Keys";
import { Sheet } from "../../../parts/Sheet";
import { Empty, Loaded } from "../../../parts/States";
import { t } from "../../../text";
import { useWhere } from "../../Assessment";
import { ExamineViews } from "../ExamineViews";
import { QuestionMargin } from "../question/QuestionMargin";
import { AddForAll } from "../remedy/AddForAll";
import { Done } from "../remedy/Done";
import { useDone } from "../remedy/useDone";
import { BelowPass } from "./BelowPass";
import { Distribution } from "./Distribution";
import { ItemTable } from "./ItemTable";
import { type By, sorted } from "./order";
import { TestFigures } from "./TestFigures";
import { useExamine, type View } from "./useExamine";

/** The figures of the paper and of each question; the chosen question stands in the margin, and opens in its row. */
export function Examine() {
  const { assessment, section } = useWhere();
  const query = useExamine(assessment, section);
  return (
    <Loaded query={query}>
      {(view) =>
        view.test.n === 0 ? (
          <Sheet margin={null}>
            <Empty title={t("Nothing to examine yet.")}>
              {t("Figures appear here as soon as students hand in.")}
            </Empty>
          </Sheet>
        ) : (
          <Figures assessment={assessment} view={view} />
        )
      }
    </Loaded>
  );
}

function Figures({ assessment, view }: { assessment: string; view: View }) {
  const done = useDone(assessment);
  const [params, setParams] = useSearchParams();
  const by = (params.get("by") ?? "number") as By;
  const items = sorted(view.items, by);
  const chosen =
    items.find((i) => i.item === params.get("item")) ?? items.find((i) => i.flags.length > 0) ?? items[0];
  const open = params.get("answers") === "1";
  const set = (name: string, value: string | undefined) => {
    const next = new URLSearchParams(params);
    value ? next.set(name, value) : next.delete(name);
    setParams(next, { replace: true });
  };
  const step = (by: number) => {
    const next = chosen && items[items.indexOf(chosen) + by];
    next && set("item", next.item);
  };
  const toggle = () => set("answers", open ? undefined : "1");
  useKeys([
    ["j", t("next question"), () => step(1)],
    ["k", t("previous question"), () => step(-1)],
    ["ArrowDown", "", () => step(1)],
    ["ArrowUp", "", () => step(-1)],
    ["Enter", t("show or hide its answers"), toggle],
  ]);
  return (
    <Sheet
      margin={
        <>
          <Done done={done} />
          {chosen && <QuestionMargin assessment={assessment} view={view} item={chosen} done={done} />}
          <Distribution view={view} />
          <AddForAll assessment={assessment} edition={view.edition} done={done} />
        </>
      }
    >
      <ExamineViews />
      <TestFigures view={view} />
      <ItemTable
        view={view}
        items={items}
        by={by}
        onBy={(b) => set("by", b === "number" ? undefined : b)}
        chosen={chosen}
        open={open}
        onChoose={(item) => set("item", item)}
        onToggle={toggle}
      />
      <BelowPass view={view} />
    </Sheet>
  );
}
