import { Link, useSearchParams } from "react-router";
import type { Schemas } from "../../api/client";
import { t } from "../../text";
import { type Way, wayOf, withWay } from "./pile";

/** The ways in which open answers are gone through, each with an address of its own. */
export function Ways() {
  const [params] = useSearchParams();
  const here = wayOf(params);
  const ways: [Way, string][] = [
    ["question", t("By question")],
    ["student", t("By student")],
    ["quick", t("Quick entry")],
    ["how", t("How it was read")],
  ];
  return (
    <nav aria-label={t("Ways of reading")} className="border-b border-rule px-6 py-2 text-small">
      {ways.map(([way, label]) => (
        <Link
          key={way}
          to={{ search: withWay(params, way).toString() }}
          aria-current={way === here ? "page" : undefined}
          className={`mr-5 inline-block min-h-6 ${way === here ? "font-semibold" : "text-soft underline"}`}
        >
          {label}
        </Link>
      ))}
    </nav>
  );
}

/** The open questions, each with what is left of it. */
export function Questions({
  questions,
  item,
  onQuestion,
}: {
  questions: Schemas["OpenQuestion"][];
  item: string;
  onQuestion: (item: string) => void;
}) {
  return (
    <p className="border-b border-rule px-6 py-2 text-small">
      {questions.map((q) => (
        <button
          key={q.item}
          type="button"
          aria-pressed={q.item === item}
          onClick={() => onQuestion(q.item)}
          className={`mr-5 min-h-6 ${q.item === item ? "font-semibold" : "text-soft underline"}`}
        >
          {t("Question {{n}}", { n: q.number })}:{" "}
          {t("{{n}} of {{all}} unread", { n: q.unread, all: q.answers })}
        </button>
      ))}
    </p>
  );
}
