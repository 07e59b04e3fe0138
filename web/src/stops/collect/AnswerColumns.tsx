import { useQuery } from "@tanstack/react-query";
import { api, ok } from "../../api/client";
import { t } from "../../text";
import { useWhere } from "../Assessment";
import type { Bringing, Use, View } from "./useBringIn";

const STUDENT: [Use, string][] = [
  ["NUMBER", "student, by number"],
  ["EMAIL", "student, by e-mail"],
  ["NAME", "student, by name"],
  ["GIVEN", "first name"],
  ["FAMILY", "surname"],
];

/** The file as a table: over each column what it is used as and why, which can be changed there. */
export function AnswerColumns({ view, bringing }: { view: View; bringing: Bringing }) {
  const { assessment } = useWhere();
  const key = useQuery({
    queryKey: ["key", assessment],
    queryFn: () => ok(api.GET("/api/assessments/{assessment}/key", { params: { path: { assessment } } })),
  });
  const items = questionsOf(key.data?.definition);
  const matched = new Map(view.matched.map((m) => [m.line, m]));
  return (
    <>
      <section className="overflow-x-auto" aria-label={t("The file as it is")}>
        <table className="min-w-full text-small">
          <thead>
            <tr className="text-left align-top">
              <th scope="col" className="border-b border-rule px-2 py-2 font-normal text-soft">
                {t("line")}
              </th>
              <th scope="col" className="border-b border-l border-rule px-3 py-2 font-normal text-soft">
                {t("whose")}
              </th>
              {view.columns.map((c) => (
                <th key={c.index} scope="col" className="min-w-48 border-b border-l border-rule px-2 py-1.5">
                  <select
                    aria-label={t("Column {{name}}", { name: c.name })}
                    value={c.item ? `${c.use}:${c.item}` : c.use}
                    onChange={(e) => {
                      const [use, item] = e.target.value.split(":");
                      bringing.column(c.index, use as Use, item ?? null);
                    }}
                    className={`w-full rounded-corner border bg-sheet py-0.5 font-semibold ${c.sure ? "border-rule" : "border-waiting"} ${c.use === "LEFT_OUT" ? "text-soft" : "text-by-rule"}`}
                  >
                    <option value="LEFT_OUT">{t("not used")}</option>
                    {STUDENT.map(([use, words]) => (
                      <option key={use} value={use}>
                        {t(words)}
                      </option>
                    ))}
                    <optgroup label={t("Answers")}>
                      {items.map((i) => (
                        <option key={i.id} value={`ITEM:${i.id}`}>
                          {t("question {{n}}: {{prompt}}", { n: i.n, prompt: i.prompt })}
                        </option>
                      ))}
                    </optgroup>
                    <optgroup label={t("Points that were given elsewhere")}>
                      {items.map((i) => (
                        <option key={i.id} value={`POINTS:${i.id}`}>
                          {t("points for question {{n}}: {{prompt}}", { n: i.n, prompt: i.prompt })}
                        </option>
                      ))}
                    </optgroup>
                  </select>
                  <span className="mt-1 block">{c.name}</span>
                  <span className={`block font-normal ${c.sure ? "text-soft" : "text-waiting"}`}>
                    {c.because}
                  </span>
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {view.shown.map((r) => (
              <tr key={r.line} className="border-b border-rule">
                <td className="px-2 py-1.5 text-soft">{r.line}</td>
                <td className="border-l border-rule px-3 py-1.5 whitespace-nowrap">
                  {matched.has(r.line) ? (
                    <span title={t("found by {{by}}", { by: matched.get(r.line)?.by })}>
                      {`${matched.get(r.line)?.student}, ${matched.get(r.line)?.section}`}
                    </span>
                  ) : r.line === view.keyLine ? (
                    <strong className="text-by-rule">{t("key")}</strong>
                  ) : (
                    "–"
                  )}
                </td>
                {view.columns.map((c) => (
                  <td key={c.index} className="border-l border-rule px-3 py-1.5 align-top font-script">
                    {r.cells[c.index] ?? ""}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </section>
      {view.lines > view.shown.length && (
        <p className="px-5 py-2 text-soft">
          {t("{{count}} more rows", { count: view.lines - view.shown.length })}
        </p>
      )}
    </>
  );
}

type Question = { id: string; n: number; prompt: string };

/** The questions of the key, numbered as everywhere: reading passages have no number. */
function questionsOf(definition: unknown): Question[] {
  const items =
    (definition as { items?: { id: string; kind: string; prompt?: string }[] } | undefined)?.items ?? [];
  return items
    .filter((i) => i.kind !== "passage")
    .map((i, n) => ({ id: i.id, n: n + 1, prompt: (i.prompt ?? "").slice(0, 60) }));
}
