import { useState } from "react";
import { useSearchParams } from "react-router";
import { Button } from "../../../parts/Button";
import { Choose } from "../../../parts/Choose";
import { Area } from "../../../parts/Field";
import { FileReading } from "../../../parts/FileReading";
import { PasteOrFile } from "../../../parts/PasteOrFile";
import { MarginPart, Note, Sheet } from "../../../parts/Sheet";
import { Trouble } from "../../../parts/States";
import { UsedColumns } from "../../../parts/UsedColumns";
import { t } from "../../../text";
import { appended, type Item } from "../definition";
import type { KeyPage } from "../Key";
import { FoundQuestions } from "./FoundQuestions";
import { type Mark, type Role, useQuestionsIn } from "./useQuestionsIn";

const USES: [Role, string][] = [
  ["PROMPT", "the question"],
  ["KIND", "its kind"],
  ["OPTION", "an option"],
  ["OPTIONS", "all options in one cell"],
  ["KEY", "the right answer"],
  ["OTHER_OPTION", "an option that is not right"],
  ["MORE", "also accepted"],
  ["POINTS", "points"],
  ["STANDARD", "standards"],
  ["TAGS", "tags"],
  ["HINT", "a hint"],
  ["RIGHT", "said when right"],
  ["WRONG", "said when wrong"],
  ["TOLERANCE", "tolerance"],
  ["UNIT", "unit"],
  ["DIFFICULTY", "expected mean"],
  ["MINUTES", "minutes"],
  ["LEFT_OUT", "not used"],
];

/** Questions from a table with its columns in any order, or typed as plain text: seen before they are taken. */
export function QuestionsIn({ assessment, draft }: KeyPage) {
  const [params, setParams] = useSearchParams();
  const [text, setText] = useState("");
  const source = useQuestionsIn(assessment);
  const { found } = source;
  const good = found?.items.filter((i) => i.faults.length === 0) ?? [];
  const take = () => {
    const { definition, ids } = appended(
      draft.definition,
      good.map((g) => g.item as Item),
    );
    draft.change(() => definition);
    const next = new URLSearchParams(params);
    next.set("view", "items");
    ids[0] && next.set("item", ids[0]);
    setParams(next);
  };
  return (
    <Sheet
      margin={
        <>
          {found && (
            <MarginPart title={t("What will be brought in")}>
              <Note by={good.length < found.items.length ? "waiting" : "rule"}>
                <p role="status">
                  {t("{{good}} of {{all}} questions are complete.", {
                    good: good.length,
                    all: found.items.length,
                  })}
                </p>
                {good.length < found.items.length && (
                  <p className="text-small">
                    {t(
                      "The others will not be added. Correct them in the file or in the box, then check again.",
                    )}
                  </p>
                )}
                {found.notes.map((note) => (
                  <p key={note} className="text-small">
                    {note}
                  </p>
                ))}
              </Note>
              <Button look="strong" disabled={good.length === 0 || source.isReading} onClick={take}>
                {t("Add {{count}} questions to the key", { count: good.length })}
              </Button>
            </MarginPart>
          )}
          <MarginPart title={t("As plain text")}>
            <p className="text-small">
              {t(
                "? a question, ! the right answer, . another option, > a step in order, x a known wrong answer, : points, minutes, standards and #tags.",
              )}
            </p>
            <pre className="mt-2 overflow-x-auto border-l-3 border-rule pl-3 font-script text-small">
              {SAMPLE}
            </pre>
          </MarginPart>
        </>
      }
    >
      <div className="px-6 py-4">
        <PasteOrFile
          label={t("a table of questions, .xlsx, .ods or .csv")}
          accept=".xlsx,.ods,.csv,.tsv,.txt,text/csv"
          onFile={source.readFile}
        />
        <Area
          label={t("Or type or paste questions")}
          value={text}
          rows={6}
          className="mt-4"
          onChange={(e) => setText(e.target.value)}
        />
        <Button
          look="quiet"
          className="mt-2"
          disabled={text.trim() === "" || source.isReading}
          onClick={() => source.readText(text)}
        >
          {t("Check the text")}
        </Button>
        <Trouble error={source.error} />
        {found && source.file && (
          <div className="mt-4 grid gap-2">
            {found.asksMark && <WhichMark mark={source.asked.said.mark} onChoose={source.setMark} />}
            <FileReading
              how={source.asked.how}
              encoding={found.encoding}
              sheets={found.sheets}
              onChange={source.setHow}
            >
              <DecimalMarks mark={source.asked.said.mark} onChoose={source.setMark} />
            </FileReading>
          </div>
        )}
        {found && found.columns.length > 0 && (
          <UsedColumns columns={found.columns} uses={USES} onChoose={source.setRole} />
        )}
        {found && <FoundQuestions items={found.items} />}
      </div>
    </Sheet>
  );
}

/** Asked where a number can be read in two ways and nothing else in the file tells in which. */
function WhichMark({ mark, onChoose }: { mark: Mark; onChoose: (mark: Mark) => void }) {
  return (
    <Note by={mark === "UNSURE" ? "waiting" : "rule"}>
      <p>{t("Some numbers of this file can be read in two ways, such as 1,852. Which is it?")}</p>
      <div className="mt-1 flex flex-wrap gap-2">
        <Button look="quiet" aria-pressed={mark === "POINT"} onClick={() => onChoose("POINT")}>
          {t("1,852 is 1852")}
        </Button>
        <Button look="quiet" aria-pressed={mark === "COMMA"} onClick={() => onChoose("COMMA")}>
          {t("1,852 is 1.852")}
        </Button>
      </div>
    </Note>
  );
}

function DecimalMarks({ mark, onChoose }: { mark: Mark; onChoose: (mark: Mark) => void }) {
  return (
    <Choose
      label={t("Decimal mark")}
      value={mark}
      options={[
        ["UNSURE", t("as found")],
        ["POINT", t("point")],
        ["COMMA", t("comma")],
      ]}
      onChange={(next) => onChoose(next as Mark)}
    />
  );
}

const SAMPLE = `? What makes a spring tide?
. The sun alone
! Sun and moon in one line
: 1 point, T1, #tides

? Which knot makes a fixed loop?
! bowline; bowline knot
x reef knot; It joins two lines.

? How long is a nautical mile?
! = 1852 ± 1% m`;
