import { TextButton } from "../../../parts/Button";
import { useMaths } from "../../../parts/MathsField";
import { t } from "../../../text";

/** What a typed line comes to, to be taken into the key with a click. */
export function Proposed({
  line,
  variables,
  taken,
  onTake,
}: {
  line: string;
  variables: string[];
  taken: string[];
  onTake: (result: string) => void;
}) {
  const worked = useMaths(line, variables, true);
  const results = line.trim() === "" ? [] : (worked.data?.results ?? []).filter((r) => !taken.includes(r));
  if (results.length === 0) {
    return null;
  }
  return (
    <p className="text-small text-soft" aria-live="polite">
      {t("This equals")}{" "}
      {results.map((r) => (
        <TextButton key={r} className="mr-3 font-script text-words underline" onClick={() => onTake(r)}>
          {r}
        </TextButton>
      ))}
      {t("Click to accept it.")}
    </p>
  );
}
