import type { Schemas } from "../../api/client";
import { TextButton } from "../../parts/Button";
import { shape } from "../../parts/Mark";
import { t } from "../../text";
import { points } from "../../text/figures";
import type { Example, Item } from "./definition";
import { saidInShort } from "./said";

type Tried = Schemas["Tried"];

/** The item's examples: each answer, what it is to get, and whether it still gets it. */
export function Examples({
  item,
  results,
  onChange,
}: {
  item: Item;
  results: Tried[];
  onChange: (examples: Example[]) => void;
}) {
  const examples = item.examples ?? [];
  return (
    <ul>
      {examples.map((example, i) => {
        const now = results[i];
        const said = saidInShort(item, example.answer);
        return (
          <li key={i} className="border-b border-rule py-1">
            <div className="flex items-baseline gap-2">
              <span className="min-w-0 flex-1 font-script break-words">{said}</span>
              <ShortResult result={now} />
              <TextButton
                className="text-small text-soft"
                aria-label={t("Remove the example {{answer}}", { answer: said })}
                onClick={() => onChange(examples.filter((_, n) => n !== i))}
              >
                −
              </TextButton>
            </div>
            {now?.holds === false && (
              <p className="text-small font-semibold text-waiting">
                {example.state === "waits"
                  ? t("Expected: waits for you.")
                  : t("Expected: {{credit}} of the points.", { credit: points(example.credit ?? "0") })}{" "}
                <TextButton
                  className="underline"
                  onClick={() => onChange(examples.map((e, n) => (n === i ? exampleOf(e.answer, now) : e)))}
                >
                  {t("Accept the new result")}
                </TextButton>
              </p>
            )}
          </li>
        );
      })}
    </ul>
  );
}

/** An answer with what it gets now as what it is to get. */
export function exampleOf(answer: unknown, result: Tried): Example {
  return result.state === "settle" || result.state === "read"
    ? { answer, state: "waits" }
    : { answer, credit: result.credit };
}

export function ShortResult({ result, long = false }: { result: Tried | undefined; long?: boolean }) {
  if (!result) {
    return null;
  }
  if (result.state === "settle" || result.state === "read") {
    return (
      <strong className="whitespace-nowrap text-waiting">
        {result.state === "settle" ? t("to settle") : t("to read")}
      </strong>
    );
  }
  if (result.state === "fault") {
    return <strong className="text-waiting">{result.because}</strong>;
  }
  return (
    <strong className="whitespace-nowrap text-by-rule">
      <span aria-hidden="true">{shape(result)} </span>
      {long
        ? t("{{got}} of {{of}}", { got: points(result.points), of: points(result.of) })
        : points(result.points)}
    </strong>
  );
}
