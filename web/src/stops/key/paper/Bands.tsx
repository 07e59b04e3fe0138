import { TextButton } from "../../../parts/Button";
import { FaultLine } from "../../../parts/Field";
import { t } from "../../../text";
import { type Grading, put } from "../definition";

/** Bands: from which percent a result is called what, and what is said to whoever reaches it. */
export function Bands({
  grading,
  faults,
  onChange,
}: {
  grading: Grading;
  faults: { path: string; message: string }[];
  onChange: (grading: Grading) => void;
}) {
  const bands = grading.bands ?? [];
  const set = (next: NonNullable<Grading["bands"]>) => onChange(put(grading, "bands", next));
  const change = (i: number, band: (typeof bands)[number]) => set(bands.map((b, n) => (n === i ? band : b)));
  return (
    <section className="mt-6 border-t border-rule pt-4" aria-label={t("Bands")}>
      <h2 className="mb-2 font-semibold">{t("Bands")}</h2>
      {bands.map((band, i) => (
        <div key={i} className="border-b border-rule py-1">
          <div className="flex flex-wrap items-center gap-3">
            <label className="flex items-center gap-2 text-small text-soft">
              {t("from")}
              <input
                value={band.from}
                inputMode="decimal"
                className="w-16 rounded-corner border border-rule-strong bg-sheet px-1 py-0.5 text-right text-body text-ink"
                onChange={(e) => change(i, { ...band, from: e.target.value })}
              />
              %
            </label>
            <input
              aria-label={t("name of the band from {{from}}", { from: band.from })}
              value={band.label}
              placeholder={t("what it is called")}
              className="w-40 bg-sheet font-script text-words"
              onChange={(e) => change(i, { ...band, label: e.target.value })}
            />
            <input
              aria-label={t("message of the band from {{from}}", { from: band.from })}
              value={band.message ?? ""}
              placeholder={t("what is said to whoever reaches it")}
              className="min-w-48 flex-1 bg-sheet font-script"
              onChange={(e) => change(i, put(band, "message", e.target.value))}
            />
            <TextButton className="text-small text-soft" onClick={() => set(bands.filter((_, n) => n !== i))}>
              {t("out")}
            </TextButton>
          </div>
          {faults
            .filter((f) => f.path.startsWith(`grading.bands[${i}]`))
            .map((f) => (
              <FaultLine key={f.path}>{f.message}</FaultLine>
            ))}
        </div>
      ))}
      <TextButton className="mt-2" onClick={() => set([...bands, { from: "", label: "" }])}>
        {t("another band")}
      </TextButton>
    </section>
  );
}
