import { useMutation } from "@tanstack/react-query";
import { useState } from "react";
import { useSearchParams } from "react-router";
import { api, ok, type Schemas, sendFile } from "../../api/client";
import { Button } from "../../parts/Button";
import { Area } from "../../parts/Field";
import { FileField } from "../../parts/FileField";
import { MarginPart, Note, Sheet } from "../../parts/Sheet";
import { Trouble } from "../../parts/States";
import { t } from "../../text";
import { appended, type Item, keyInShort, kindName } from "./definition";
import type { KeyPage } from "./Key";
import { placeInWords } from "./place";

type Found = Schemas["QuestionsFound"];

const ROLES: [string, string][] = [
  ["PROMPT", "the question"],
  ["KIND", "its kind"],
  ["OPTION", "an option"],
  ["KEY", "the right answer"],
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

/** Questions from a spreadsheet with its columns in any order, or typed as plain text: seen before they are taken. */
export function QuestionsIn({ assessment, draft }: KeyPage) {
  const [params, setParams] = useSearchParams();
  const [file, setFile] = useState<File | null>(null);
  const [roles, setRoles] = useState<Record<number, string>>({});
  const [text, setText] = useState("");
  const path = { params: { path: { assessment } } };
  const read = useMutation({
    mutationFn: async (from: { file: File; roles: Record<number, string> } | { text: string }) =>
      "text" in from
        ? ok(api.POST("/api/assessments/{assessment}/questions-text", { ...path, body: { text: from.text } }))
        : sendFile<Found>(`/api/assessments/${assessment}/questions-in`, from.file, {
            roles: JSON.stringify(from.roles),
          }),
  });
  const found = read.data;
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
  const choose = (index: number, role: string) => {
    const next = { ...roles, [index]: role };
    setRoles(next);
    file && read.mutate({ file, roles: next });
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
              </Note>
              <Button look="strong" disabled={good.length === 0} onClick={take}>
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
        <FileField
          label={t("a spreadsheet of questions, .xlsx or .csv")}
          accept=".xlsx,.csv,.tsv,.txt,text/csv"
          onFile={(chosen) => {
            setFile(chosen);
            setRoles({});
            read.mutate({ file: chosen, roles: {} });
          }}
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
          disabled={text.trim() === "" || read.isPending}
          onClick={() => read.mutate({ text })}
        >
          {t("Check the text")}
        </Button>
        <Trouble error={read.error} />
        {found && found.columns.length > 0 && <Columns columns={found.columns} onChoose={choose} />}
        {found && <Questions items={found.items} />}
      </div>
    </Sheet>
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

function Columns({
  columns,
  onChoose,
}: {
  columns: Schemas["QuestionColumn"][];
  onChoose: (index: number, role: string) => void;
}) {
  return (
    <table className="mt-4 w-full">
      <caption className="pb-1 text-left text-small font-semibold text-soft">
        {t("Columns and what each one holds")}
      </caption>
      <thead>
        <tr className="border-b border-rule text-left text-small text-soft">
          <th scope="col" className="font-normal">
            {t("Column")}
          </th>
          <th scope="col" className="font-normal">
            {t("Used as")}
          </th>
          <th scope="col" className="font-normal">
            {t("Why")}
          </th>
        </tr>
      </thead>
      <tbody>
        {columns.map((c) => (
          <tr key={c.index} className="border-b border-rule">
            <td className="py-1 font-script">{c.name || t("(no name)")}</td>
            <td>
              <select
                aria-label={t("what {{name}} is", { name: c.name })}
                value={c.role}
                className="rounded-corner border border-rule bg-sheet"
                onChange={(e) => onChoose(c.index, e.target.value)}
              >
                {ROLES.map(([id, words]) => (
                  <option key={id} value={id}>
                    {t(words)}
                  </option>
                ))}
              </select>
            </td>
            <td className="text-small text-soft">{c.because}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** The questions that were found; those with something wrong on top. */
function Questions({ items }: { items: Schemas["FoundQuestion"][] }) {
  const sorted = [...items].sort((a, b) => Number(b.faults.length > 0) - Number(a.faults.length > 0));
  return (
    <ul className="mt-4">
      {sorted.slice(0, 400).map((q) => {
        const item = q.item as Item;
        return (
          <li key={q.line} className="border-b border-rule py-1.5">
            <span className="mr-2 text-small text-soft">{t("row {{n}}", { n: q.line })}</span>
            <span className="font-script">{item.prompt}</span>{" "}
            <span className="text-small text-soft">
              {t(kindName(item))}
              {keyInShort(item) && (
                <>
                  {" "}
                  · <strong className="text-by-rule">{keyInShort(item)}</strong>
                </>
              )}
              {(item.standards ?? []).length > 0 && ` · ${item.standards?.map((s) => s.code).join(" ")}`}
            </span>
            {q.faults.map((f) => (
              <p key={f.path + f.message} className="text-small font-semibold text-waiting">
                {placeInWords(f.path)}: {f.message}
              </p>
            ))}
          </li>
        );
      })}
    </ul>
  );
}
