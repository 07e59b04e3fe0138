import type { Schemas } from "../../api/client";
import { t } from "../../text";

type Item = Schemas["PaperItem"];
export const BOX = "w-full rounded-corner border border-ink bg-sheet px-3 py-2.5 font-script text-[1.125rem]";
const STEP = "min-h-11 min-w-11 rounded-corner border border-rule-strong px-2";

/** Several lines of mathematics, one below the other; the line to start from stands above. */
export function WorkingAnswer({
  item,
  lines,
  onLines,
}: {
  item: Item;
  lines: string[];
  onLines: (lines: string[]) => void;
}) {
  return (
    <>
      <p className="mb-2 font-script text-words">{item.given}</p>
      <textarea
        aria-label={t("Your working, one line for each step")}
        value={lines.join("\n")}
        rows={Math.max(5, lines.length + 1)}
        autoCapitalize="off"
        spellCheck={false}
        className={BOX}
        onChange={(e) => onLines(e.target.value === "" ? [] : e.target.value.split("\n"))}
      />
      <p className="mt-1 text-small text-soft">
        {t("One line for each step, typed like this: 2x(x+3), x², √2, 3/4.")}
      </p>
    </>
  );
}

/** The faulty sentence stands above; it can be copied down and put right. */
export function CorrectionAnswer({
  item,
  text,
  onText,
}: {
  item: Item;
  text: string;
  onText: (text: string) => void;
}) {
  return (
    <>
      <p className="mb-2 font-script text-words">{item.given}</p>
      <textarea
        aria-label={t("The corrected sentence")}
        value={text}
        rows={3}
        className={BOX}
        onChange={(e) => onText(e.target.value)}
      />
      {text === "" && (
        <button type="button" className="min-h-11 text-small underline" onClick={() => onText(item.given)}>
          {t("Copy the sentence here")}
        </button>
      )}
    </>
  );
}

/** For each thing on the left, what it belongs to. */
export function PairsAnswer({
  item,
  pairs,
  onPairs,
}: {
  item: Item;
  pairs: string[][];
  onPairs: (pairs: string[][]) => void;
}) {
  const of = (left: string) => pairs.filter((p) => p[0] === left).map((p) => p[1] ?? "");
  const put = (left: string, rights: string[]) =>
    onPairs([...pairs.filter((p) => p[0] !== left), ...rights.map((r) => [left, r])]);
  return (
    <div>
      {item.left.map((l) => (
        <div key={l.id} className="flex flex-wrap items-center gap-3 border-b border-rule py-2">
          <span className="min-w-32 flex-1 font-script text-words">{l.text || l.id}</span>
          {item.perLeft === 1 ? (
            <select
              aria-label={t("{{left}} goes with", { left: l.text || l.id })}
              className="min-h-11 flex-1 rounded-corner border border-ink bg-sheet px-2 text-body"
              value={of(l.id)[0] ?? ""}
              onChange={(e) => put(l.id, e.target.value === "" ? [] : [e.target.value])}
            >
              <option value="">{t("Choose…")}</option>
              {item.right.map((r) => (
                <option key={r.id} value={r.id}>
                  {r.text || r.id}
                </option>
              ))}
            </select>
          ) : (
            <fieldset className="flex flex-1 flex-wrap gap-3">
              <legend className="sr-only">{t("{{left}} goes with", { left: l.text || l.id })}</legend>
              {item.right.map((r) => {
                const chosen = of(l.id);
                const on = chosen.includes(r.id);
                return (
                  <label key={r.id} className="flex min-h-11 items-center gap-2">
                    <input
                      type="checkbox"
                      className="size-5 accent-ink"
                      checked={on}
                      disabled={!on && chosen.length >= item.perLeft}
                      onChange={() => put(l.id, on ? chosen.filter((c) => c !== r.id) : [...chosen, r.id])}
                    />
                    {r.text || r.id}
                  </label>
                );
              })}
            </fieldset>
          )}
        </div>
      ))}
    </div>
  );
}

/** Steps are taken one after the other; what is taken can be moved and taken back. */
export function OrderAnswer({
  item,
  ids,
  onIds,
}: {
  item: Item;
  ids: string[];
  onIds: (ids: string[]) => void;
}) {
  const name = (id: string) => item.options.find((o) => o.id === id)?.text || id;
  const move = (at: number, by: number) => {
    const moved = [...ids];
    moved.splice(at + by, 0, ...moved.splice(at, 1));
    onIds(moved);
  };
  const rest = item.options.filter((o) => !ids.includes(o.id));
  return (
    <>
      <ol>
        {ids.map((id, i) => (
          <li key={id} className="flex items-center gap-2 border-b border-rule py-2">
            <span className="w-6 text-soft">{i + 1}</span>
            <span className="flex-1 font-script text-words">{name(id)}</span>
            <button
              type="button"
              className={STEP}
              disabled={i === 0}
              aria-label={t("Move {{step}} up", { step: name(id) })}
              onClick={() => move(i, -1)}
            >
              ↑
            </button>
            <button
              type="button"
              className={STEP}
              disabled={i === ids.length - 1}
              aria-label={t("Move {{step}} down", { step: name(id) })}
              onClick={() => move(i, 1)}
            >
              ↓
            </button>
            <button
              type="button"
              className={STEP}
              aria-label={t("Remove {{step}}", { step: name(id) })}
              onClick={() => onIds(ids.filter((other) => other !== id))}
            >
              ×
            </button>
          </li>
        ))}
      </ol>
      {rest.length > 0 && (
        <div className="mt-3">
          <p className="mb-1 text-small text-soft">
            {ids.length === 0 ? t("Which comes first?") : t("Which comes next?")}
          </p>
          {rest.map((o) => (
            <button
              key={o.id}
              type="button"
              className="mr-2 mb-2 min-h-11 rounded-corner border border-ink px-3 font-script text-words"
              onClick={() => onIds([...ids, o.id])}
            >
              {o.text || o.id}
            </button>
          ))}
        </div>
      )}
    </>
  );
}
