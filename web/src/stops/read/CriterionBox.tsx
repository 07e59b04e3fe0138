import type { Schemas } from "../../api/client";
import { Kbd } from "../../parts/Keys";
import { points } from "../../text/figures";

/** A criterion with a digit for each of its levels. */
export function CriterionBox({
  criterion,
  here,
  chosen,
  onFocus,
  onChoose,
}: {
  criterion: Schemas["CriterionView"];
  here: boolean;
  chosen: string | undefined;
  onFocus: () => void;
  onChoose: (level: string) => void;
}) {
  return (
    <fieldset
      onFocus={onFocus}
      className={`mb-2 rounded-corner border bg-sheet ${here ? "border-ink" : "border-rule"}`}
    >
      <legend className="sr-only">{criterion.title}</legend>
      <p className="flex justify-between px-3 py-1" aria-hidden="true">
        <strong>{criterion.title}</strong>
        <span className="text-small text-standard">{criterion.standards.join(" ")}</span>
      </p>
      {criterion.levels.map((level, i) => (
        <label
          key={level.id}
          className={`flex cursor-pointer items-baseline gap-2 border-l-3 px-2 py-0.5 has-focus-visible:outline-2 ${chosen === level.id ? "border-by-person bg-by-person-wash font-semibold" : "border-transparent"}`}
        >
          <input
            type="radio"
            className="sr-only"
            name={criterion.id}
            checked={chosen === level.id}
            onChange={() => onChoose(level.id)}
          />
          <Kbd>{i}</Kbd> <span className="text-small">{level.text || points(level.points)}</span>
        </label>
      ))}
    </fieldset>
  );
}
