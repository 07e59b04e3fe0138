import { Link } from "react-router";
import type { Schemas } from "../../../api/client";
import { TextButton } from "../../../parts/Button";
import { Choose } from "../../../parts/Choose";
import { Count, Field } from "../../../parts/Field";
import { t } from "../../../text";
import { type Definition, type Drawn, freeId, put, without } from "../definition";
import { quotasOf, quotasText } from "./quotas";

/** Draws: so many of the items that are put into one, by standard and difficulty, and how fair the alternatives are. */
export function Draws({
  assessment,
  definition,
  reports,
  faults,
  onChange,
}: {
  assessment: string;
  definition: Definition;
  reports: Schemas["DrawReport"][];
  faults: { path: string; message: string }[];
  onChange: (make: (d: Definition) => Definition) => void;
}) {
  const draws = definition.draws ?? [];
  const set = (next: Drawn) =>
    onChange((d) => ({ ...d, draws: (d.draws ?? []).map((o) => (o.id === next.id ? next : o)) }));
  const remove = (id: string) =>
    onChange((d) => ({
      ...put(
        d,
        "draws",
        (d.draws ?? []).filter((o) => o.id !== id),
      ),
      items: d.items.map((i) => (i.draw === id ? without(i, "draw") : i)),
    }));
  return (
    <section className="mt-6 border-t border-rule pt-4" aria-label={t("Draws")}>
      <h2 className="mb-2 font-semibold">{t("Draws")}</h2>
      {draws.map((draw, i) => (
        <fieldset key={draw.id} className="mb-4 border-l-3 border-rule pl-3">
          <legend className="sr-only">{t("draw {{id}}", { id: draw.id })}</legend>
          <div className="flex flex-wrap items-end gap-4">
            <Count
              label={t("Draw")}
              value={draw.take}
              className="w-20"
              onChange={(n) => set({ ...draw, take: n ?? 0 })}
            />
            <span className="pb-2">
              {t("of {{n}}", { n: definition.items.filter((x) => x.draw === draw.id).length })}
            </span>
            <Field
              label={t("By standard")}
              defaultValue={quotasText(draw.quotas)}
              placeholder="2 T1, 2 T2"
              className="w-48"
              onChange={(e) => set(put(draw, "quotas", quotasOf(e.target.value)))}
            />
            <Field
              label={t("Expected mean around")}
              value={draw.difficulty ?? ""}
              placeholder="0.6"
              className="w-36"
              onChange={(e) => set(put(draw, "difficulty", e.target.value))}
            />
            <Choose
              className="pb-1"
              label={t("When drawn")}
              value={draw.each ?? "sitting"}
              options={[
                ["sitting", t("once, when it is given out")],
                ["student", t("for each student")],
              ]}
              onChange={(each) => set({ ...draw, each: each as "sitting" | "student" })}
            />
            <TextButton className="ml-auto pb-2 text-small text-soft" onClick={() => remove(draw.id)}>
              {t("Remove")}
            </TextButton>
          </div>
          <Pool definition={definition} draw={draw} onChange={onChange} />
          <Link className="text-small underline" to={`/bank?into=${assessment}&draw=${draw.id}`}>
            {t("Add items from the bank")}
          </Link>
          <Report report={reports.find((r) => r.id === draw.id)} />
          {faults
            .filter((f) => f.path.startsWith(`draws[${i}]`))
            .map((f) => (
              <p key={f.path + f.message} role="alert" className="font-semibold text-waiting">
                {f.message}
              </p>
            ))}
        </fieldset>
      ))}
      <TextButton
        onClick={() =>
          onChange((d) => ({
            ...d,
            draws: [...(d.draws ?? []), { id: freeId("d", d.draws ?? []), take: 1 }],
          }))
        }
      >
        {t("Add a draw")}
      </TextButton>
    </section>
  );
}

/** Which items are in the draw; more come from the bank. */
function Pool({
  definition,
  draw,
  onChange,
}: {
  definition: Definition;
  draw: Drawn;
  onChange: (make: (d: Definition) => Definition) => void;
}) {
  const able = definition.items.filter((i) => i.kind !== "passage" && (!i.draw || i.draw === draw.id));
  return (
    <details className="my-2">
      <summary className="text-small underline">{t("Questions in this draw")}</summary>
      <ul className="max-h-60 overflow-y-auto">
        {able.map((item) => (
          <li key={item.id}>
            <label className="flex items-baseline gap-2 py-0.5">
              <input
                type="checkbox"
                checked={item.draw === draw.id}
                onChange={(e) => {
                  const into = e.target.checked;
                  onChange((d) => ({
                    ...d,
                    items: d.items.map((i) =>
                      i.id === item.id ? (into ? { ...i, draw: draw.id } : without(i, "draw")) : i,
                    ),
                  }));
                }}
              />
              <span className="font-script">{item.prompt || item.id}</span>
              <span className="text-small text-soft">
                {(item.standards ?? []).map((s) => s.code).join(" ")} {item.difficulty}
              </span>
            </label>
          </li>
        ))}
      </ul>
    </details>
  );
}

function Report({ report }: { report: Schemas["DrawReport"] | undefined }) {
  if (!report) {
    return null;
  }
  if (report.lacks.length > 0) {
    return <p className="text-waiting">{report.lacks.join("; ")}.</p>;
  }
  return (
    <p className="text-small text-soft">
      {report.mean === null
        ? t("These questions have no expected mean, so the draws cannot be compared.")
        : t(
            "{{n}} draws compared. Expected mean: {{mean}} on average, {{hardest}} in the hardest, {{easiest}} in the easiest.",
            { n: report.drawn, mean: report.mean, hardest: report.hardest, easiest: report.easiest },
          )}{" "}
      {report.unknown > 0 && t("{{count}} items have no expected mean.", { count: report.unknown })}
    </p>
  );
}
