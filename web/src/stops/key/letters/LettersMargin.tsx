import { type ReactNode, useState } from "react";
import { Field } from "../../../parts/Field";
import { MarginPart, Note } from "../../../parts/Sheet";
import { t } from "../../../text";
import { pointsInWords } from "../../../text/figures";
import { Coverage } from "../Coverage";
import type { FrameworkFile, Item } from "../definition";
import { StandardPicker } from "../StandardPicker";
import type { useDraft } from "../useDraft";
import { usePaperSums } from "../usePaperSums";
import { losing, rowKind } from "./grid";
import { Questions } from "./Questions";
import { readSeveral } from "./several";

/** What the grid is worth, what it covers, several rows at once, and the questions on paper. */
export function LettersMargin({
  assessment,
  rows,
  row,
  draft,
  frameworks,
  onRow,
  children,
}: {
  assessment: string;
  rows: Item[];
  row: Item | undefined;
  draft: ReturnType<typeof useDraft>;
  frameworks: FrameworkFile[];
  onRow: (row: Item) => void;
  children: ReactNode;
}) {
  const sums = usePaperSums(assessment, draft.definition).data;
  const open = rows.flatMap((r, i) => (rowKind(r) === "open" ? [`${i + 1} (0–${r.points})`] : []));
  return (
    <>
      <MarginPart title={t("How this scores")}>
        <Note by="rule">
          {t("{{count}} questions", { count: rows.length })}, {sums && pointsInWords(sums.points)}.{" "}
          {open.length > 0 && t("To read: {{rows}}.", { rows: open.join(", ") })}{" "}
          {t("A row with two letters chosen comes to you in Settle.")}
        </Note>
      </MarginPart>
      {row && (
        <MarginPart title={t("Row {{n}}", { n: rows.indexOf(row) + 1 })}>
          <div className="flex gap-3">
            <Field
              label={t("Points")}
              value={row.points ?? ""}
              className="w-20"
              onChange={(e) => onRow({ ...row, points: e.target.value })}
            />
            {row.kind === "open" && (
              <Field
                label={t("Mastered from")}
                value={row.mastery ?? ""}
                className="w-28"
                onChange={(e) => onRow({ ...row, mastery: e.target.value })}
              />
            )}
          </div>
          <div className="mt-2">
            <StandardPicker
              frameworks={frameworks}
              chosen={row.standards ?? []}
              onChange={(standards) => onRow({ ...row, standards })}
            />
          </div>
        </MarginPart>
      )}
      <Coverage covered={sums?.covered ?? []} />
      <SeveralAtOnce rows={rows} draft={draft} frameworks={frameworks} />
      <Questions draft={draft} />
      {children}
    </>
  );
}

function SeveralAtOnce({
  rows,
  draft,
  frameworks,
}: {
  rows: Item[];
  draft: ReturnType<typeof useDraft>;
  frameworks: FrameworkFile[];
}) {
  const [line, setLine] = useState("");
  const [fault, setFault] = useState("");
  const [asked, setAsked] = useState("");
  const apply = () => {
    const read = readSeveral(
      line,
      rows.length,
      frameworks.flatMap((f) => f.standards.map((s) => s.code)),
    );
    if ("fault" in read) {
      setFault(read.fault);
      return;
    }
    const chosen = rows.slice(read.from - 1, read.to);
    const lost = losing(chosen, read.apply);
    // What was keyed is not dropped unasked: the same again says that it is meant.
    if (lost.length > 0 && asked !== line) {
      setAsked(line);
      setFault(
        t("Rows {{rows}} would lose their key. Press Enter again to change them all the same.", {
          rows: lost.map((r) => rows.indexOf(r) + 1).join(", "),
        }),
      );
      return;
    }
    setAsked("");
    const ids = chosen.map((r) => r.id);
    draft.change((d) => ({ ...d, items: d.items.map((i) => (ids.includes(i.id) ? read.apply(i) : i)) }));
    setLine("");
    setFault("");
  };
  return (
    <MarginPart title={t("Change several rows")}>
      <Field
        hidden
        label={t("Change several rows")}
        value={line}
        placeholder="11-13 true/false"
        fault={fault || undefined}
        onChange={(e) => {
          setLine(e.target.value);
          setFault("");
        }}
        onKeyDown={(e) => e.key === "Enter" && apply()}
      />
      <p className="mt-1 text-small text-soft">
        “6-10 F–J” · “14-16 C1.4” · “all 2 points” · “20 number” · “24 open 0-4 from 3”
      </p>
    </MarginPart>
  );
}
