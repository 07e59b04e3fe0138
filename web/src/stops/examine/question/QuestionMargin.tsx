import { Link } from "react-router";
import { MarginPart, Note } from "../../../parts/Sheet";
import { t } from "../../../text";
import { figure } from "../../../text/figures";
import type { ItemLine, View } from "../figures/useExamine";
import type { useDone } from "../remedy/useDone";
import { WhatCanBeDone } from "../remedy/WhatCanBeDone";

const WHAT_IT_MEANS: Record<string, string> = {
  negative:
    "Students who do well on the rest do worse here. The key may be wrong, or the question may mislead.",
  weak: "It says little about who knows more. Check that it asks about the same things as the other questions.",
  easy: "Nearly everyone has it right. Fine as a warm-up, but it does not tell students apart.",
  hard: "Few have it right. Was it taught, and is the question clear?",
  key: "Look at the key first: is another answer right, or right as well?",
  unused: "An option that hardly anyone chooses adds nothing. A more likely wrong answer would ask more.",
  unreached: "Many stop before it. The time may be short, or the paper long.",
  differs:
    "At equal overall scores, one section does better here. Was it taught differently, or does the wording help one section?",
  blank: "Many leave it blank. Is it clear what is asked, and is there time?",
};

/** The chosen question: its flags with their reasons, what can be done, and its figures in words. */
export function QuestionMargin({
  assessment,
  view,
  item,
  done,
}: {
  assessment: string;
  view: View;
  item: ItemLine;
  done: ReturnType<typeof useDone>;
}) {
  return (
    <>
      <MarginPart title={t("Question {{n}}", { n: item.number })}>
        {item.flags.length === 0 && <Note>{t("Nothing stands out.")}</Note>}
        {item.flags.map((f) => (
          <Note key={f.flag} by="waiting">
            <strong className="text-waiting">{f.words}</strong>
            <br />
            <span className="text-small">{f.because}</span>
            <br />
            {t(WHAT_IT_MEANS[f.flag] ?? "")}
          </Note>
        ))}
        <Link to={`/a/${assessment}/key?item=${item.item}`} className="mt-2 inline-block underline">
          {t("Go to its key")}
        </Link>
      </MarginPart>
      <WhatCanBeDone key={item.item} assessment={assessment} edition={view.edition} item={item} done={done} />
      <MarginPart title={t("Figures of question {{n}}", { n: item.number })}>
        <p className="text-small text-soft">
          {t("mean score")} {figure(item.measures.difficulty.value)} ·{" "}
          {t("correlation with the other questions")} {figure(item.measures.itemRest.value)}
          {item.measures.itemRest.missing && ` (${item.measures.itemRest.missing})`} ·{" "}
          {t("upper 27% minus lower 27%")} {figure(item.measures.upperLower.value)} · {t("not reached")}{" "}
          {figure(item.measures.notReached.value)} · {t("reliability without this question")}{" "}
          {figure(item.measures.alphaWithout.value)}
          {view.test.n < 10 && ` · ${t("few students, so these figures are uncertain")}`}
        </p>
      </MarginPart>
    </>
  );
}
