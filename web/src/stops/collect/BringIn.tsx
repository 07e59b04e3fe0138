import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Link, useNavigate } from "react-router";
import { type Schemas, sendFile } from "../../api/client";
import { Button, TextButton } from "../../parts/Button";
import { FileField } from "../../parts/FileField";
import { MarginPart, Note, Sheet } from "../../parts/Sheet";
import { Empty, Trouble } from "../../parts/States";
import { t } from "../../text";
import { useWhere } from "../Assessment";

type View = Schemas["BringInView"];

/** Answers from a file: the file as it is, what each column is taken for, and what does not fit on top. */
export function BringIn() {
  const { assessment } = useWhere();
  const client = useQueryClient();
  const navigate = useNavigate();
  const [file, setFile] = useState<File | null>(null);
  const [leaveOut, setLeaveOut] = useState<number[]>([]);
  const path = (what: string, lines: number[]) =>
    `/api/assessments/${assessment}/${what}${lines.length > 0 ? `?leaveOut=${lines.join(",")}` : ""}`;
  const preview = useMutation({
    mutationFn: ({ f, lines }: { f: File; lines: number[] }) =>
      sendFile<View>(path("bring-in/preview", lines), f),
  });
  const take = useMutation({
    mutationFn: (f: File) => sendFile<View>(path("bring-in", leaveOut), f),
    onSuccess: () => {
      void client.invalidateQueries({ queryKey: ["assessment", assessment] });
      void client.invalidateQueries({ queryKey: ["key", assessment] });
      void navigate(`/a/${assessment}/collect`);
    },
  });
  const look = (f: File, lines: number[]) => {
    setFile(f);
    setLeaveOut(lines);
    preview.mutate({ f, lines });
  };
  const view = preview.data;
  return (
    <Sheet
      margin={
        <>
          <MarginPart title={t("The file")}>
            <FileField
              accept=".csv,.tsv,.txt"
              label={t("A file with one row per student and one column per question")}
              onFile={(f) => look(f, [])}
            />
          </MarginPart>
          <Trouble error={preview.error ?? take.error} />
          {view && file && (
            <WhatComesIn
              view={view}
              leaveOut={leaveOut}
              onBack={(line) =>
                look(
                  file,
                  leaveOut.filter((l) => l !== line),
                )
              }
            >
              <Button
                look="strong"
                disabled={view.faults.length > 0 || view.students === 0 || take.isPending}
                onClick={() => take.mutate(file)}
              >
                {t("Bring in answers from {{count}} students", { count: view.students })}
              </Button>
              <Link to={`/a/${assessment}/collect`} className="ml-3 underline">
                {t("Not now")}
              </Link>
            </WhatComesIn>
          )}
        </>
      }
    >
      {view && file ? (
        <Table view={view} name={file.name} onLeaveOut={(line) => look(file, [...leaveOut, line])} />
      ) : (
        <Empty title={t("Bring answers in from a file.")}>
          {t(
            "A CSV file with one row per student. One column identifies the student by number, e-mail or name. The others are questions, named by number, id or full text, in any order. You see everything before anything is brought in.",
          )}
        </Empty>
      )}
    </Sheet>
  );
}

function WhatComesIn({
  view,
  leaveOut,
  onBack,
  children,
}: {
  view: View;
  leaveOut: number[];
  onBack: (line: number) => void;
  children: React.ReactNode;
}) {
  const questions = view.columns.filter((c) => c.use === "ITEM").length;
  const out = view.columns.filter((c) => c.use === "LEFT_OUT");
  return (
    <MarginPart title={t("What will be brought in")}>
      <div aria-live="polite">
        <Note by="rule">
          {t("{{count}} students", { count: view.students })},{" "}
          {t("{{count}} questions", { count: questions })}
        </Note>
        {view.faults.length > 0 && (
          <Note by="waiting">
            <strong className="text-waiting">{t("{{count}} problems", { count: view.faults.length })}</strong>
            <br />
            {t(
              "Correct them in the file, or skip those rows. Nothing is brought in until every row is right or skipped.",
            )}
          </Note>
        )}
      </div>
      {out.length > 0 && (
        <Note>
          {t("Columns not used (they match no question):")} {out.map((c) => c.name).join(" · ")}
        </Note>
      )}
      {view.missing.length > 0 && (
        <Note>
          <details>
            <summary className="cursor-pointer">
              {t("{{count}} students on the roster are not in the file", { count: view.missing.length })}
            </summary>
            <p className="text-small">{view.missing.join(" · ")}</p>
          </details>
        </Note>
      )}
      {leaveOut.length > 0 && (
        <Note>
          {t("Skipped rows:")}{" "}
          {leaveOut.map((l) => (
            <TextButton
              key={l}
              className="mr-2 underline"
              onClick={() => onBack(l)}
              title={t("Stop skipping row {{line}}")}
            >
              {l}
            </TextButton>
          ))}
        </Note>
      )}
      {children}
    </MarginPart>
  );
}

function Table({ view, name, onLeaveOut }: { view: View; name: string; onLeaveOut: (line: number) => void }) {
  const general = view.faults.filter((f) => !view.rows.some((r) => r.line === f.line));
  return (
    <>
      <p className="border-b border-rule px-5 py-3">
        <strong>{name}</strong>{" "}
        <span className="ml-2 text-soft">
          {t("{{rows}} rows, {{columns}} columns", { rows: view.lines, columns: view.columns.length })} ·{" "}
          {view.separator}
        </span>
      </p>
      {general.map((f) => (
        <p key={f.message} className="bg-waiting-wash px-5 py-2 font-semibold text-waiting">
          {t("Line {{line}}", { line: f.line })}: {f.message}
        </p>
      ))}
      <section className="overflow-x-auto" aria-label={t("The file as it is")}>
        <table className="min-w-full text-small">
          <thead>
            <tr className="text-left align-top">
              <th scope="col" className="border-b border-rule px-2 py-2 font-normal text-soft">
                {t("line")}
              </th>
              {view.columns.map((c) => (
                <th
                  key={c.index}
                  scope="col"
                  title={c.because}
                  className="min-w-44 border-b border-l border-rule px-3 py-2"
                >
                  <span className={c.use === "LEFT_OUT" ? "font-normal text-soft" : "text-by-rule"}>
                    {c.use === "STUDENT"
                      ? t("student")
                      : c.use === "ITEM"
                        ? `${t("question")} ${c.item}`
                        : t("not used")}
                  </span>
                  <span className="block font-normal text-soft">{c.name}</span>
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {view.rows.map((r) => (
              <FileRow
                key={r.line}
                row={r}
                columns={view.columns.length}
                faults={view.faults.filter((f) => f.line === r.line)}
                onLeaveOut={onLeaveOut}
              />
            ))}
          </tbody>
        </table>
      </section>
      {view.lines > view.rows.length && (
        <p className="px-5 py-2 text-soft">
          {t("{{count}} more rows", { count: view.lines - view.rows.length })}
        </p>
      )}
    </>
  );
}

function FileRow({
  row,
  columns,
  faults,
  onLeaveOut,
}: {
  row: Schemas["Row"];
  columns: number;
  faults: Schemas["CellFault"][];
  onLeaveOut: (line: number) => void;
}) {
  const wash = faults.length > 0 ? "bg-waiting-wash" : "";
  return (
    <>
      <tr className={`border-b border-rule ${wash}`}>
        <td className="px-2 py-1.5 text-soft">{row.line}</td>
        {Array.from({ length: columns }, (_, i) => (
          <td key={i} className="border-l border-rule px-3 py-1.5 align-top font-script">
            {row.cells[i] ?? ""}
          </td>
        ))}
      </tr>
      {faults.length > 0 && (
        <tr className={`border-b border-rule ${wash}`}>
          <td />
          <td colSpan={columns} className="px-3 py-1.5">
            {faults.map((f) => (
              <span key={f.column + f.message} className="mr-4">
                <strong className="text-waiting">{f.column}</strong> {f.message}
              </span>
            ))}
            <TextButton className="underline" onClick={() => onLeaveOut(row.line)}>
              {t("Skip row {{line}}", { line: row.line })}
            </TextButton>
          </td>
        </tr>
      )}
    </>
  );
}
