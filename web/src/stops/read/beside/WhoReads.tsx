import { Link } from "react-router";
import type { Schemas } from "../../../api/client";
import { Choose } from "../../../parts/Choose";
import { Check } from "../../../parts/Field";
import { Trouble } from "../../../parts/States";
import { t } from "../../../text";
import { useHeader } from "../../Assessment";
import { type ReaderView, type Scope, useReaders } from "./useReaders";

/** Which answers each reader of the course is shown; each change counts at once. */
export function WhoReads({
  assessment,
  questions,
}: {
  assessment: string;
  questions: Schemas["OpenQuestion"][];
}) {
  const { readers, plan, error } = useReaders(assessment);
  const header = useHeader(assessment, null).data;
  return (
    <details className="mb-4">
      <summary className="min-h-6 cursor-pointer text-small font-semibold text-soft">
        {readers.length === 0
          ? t("Only teachers read")
          : t("{{count}} colleagues read as well", { count: readers.length })}
      </summary>
      <div className="mt-2 text-small">
        <Trouble error={error} />
        {readers.length === 0 && (
          <p className="text-soft">
            {t("Readers are added in the course.")}{" "}
            {header && (
              <Link to={`/courses/${header.course}`} className="underline">
                {t("Open the course")}
              </Link>
            )}
          </p>
        )}
        {readers.map((reader) => (
          <OneReader
            key={reader.person}
            reader={reader}
            questions={questions}
            sections={header?.sections ?? []}
            onScope={(scope) => plan.mutate({ person: reader.person, scope })}
          />
        ))}
      </div>
    </details>
  );
}

function OneReader({
  reader,
  questions,
  sections,
  onScope,
}: {
  reader: ReaderView;
  questions: Schemas["OpenQuestion"][];
  sections: { id: string; name: string }[];
  onScope: (scope: Scope) => void;
}) {
  const { scope } = reader;
  return (
    <fieldset className="mb-3 border-b border-rule pb-3">
      <legend className="font-semibold">{reader.name}</legend>
      {questions.length > 1 && (
        <Some
          label={t("Questions")}
          all={questions.map((q) => [q.item, t("Question {{n}}", { n: q.number })])}
          chosen={scope.items}
          onChoose={(items) => onScope({ ...scope, items })}
        />
      )}
      {sections.length > 1 && (
        <Some
          label={t("Sections")}
          all={sections.map((s) => [s.id, s.name])}
          chosen={scope.sections}
          onChoose={(chosen) => onScope({ ...scope, sections: chosen })}
        />
      )}
      <div className="mt-1 flex flex-wrap items-end gap-2">
        <Choose
          label={t("Shared among")}
          value={String(scope.parts)}
          options={upTo(MOST_PARTS)}
          onChange={(n) => onScope({ ...scope, parts: Number(n), part: Math.min(scope.part, Number(n)) })}
        />
        {scope.parts > 1 && (
          <Choose
            label={t("share, all about equal")}
            value={String(scope.part)}
            options={upTo(scope.parts)}
            onChange={(n) => onScope({ ...scope, part: Number(n) })}
          />
        )}
      </div>
      <p className="mt-1 text-soft">{inWords(scope, questions.length)}</p>
    </fieldset>
  );
}

const MOST_PARTS = 20;
const upTo = (n: number): [string, string][] =>
  Array.from({ length: n }, (_, i) => [String(i + 1), String(i + 1)]);

/** Some of a few; with all of them chosen it is as with none: whatever comes later is among them. */
function Some({
  label,
  all,
  chosen,
  onChoose,
}: {
  label: string;
  all: [string, string][];
  chosen: string[];
  onChoose: (chosen: string[]) => void;
}) {
  const isOn = (id: string) => chosen.length === 0 || chosen.includes(id);
  const choose = (id: string, on: boolean) => {
    const next = all.map(([one]) => one).filter((one) => (one === id ? on : isOn(one)));
    if (next.length > 0) {
      onChoose(next.length === all.length ? [] : next);
    }
  };
  return (
    <div role="group" aria-label={label} className="flex flex-wrap gap-x-4">
      {all.map(([id, name]) => (
        <Check key={id} checked={isOn(id)} onChange={(on) => choose(id, on)}>
          {name}
        </Check>
      ))}
    </div>
  );
}

function inWords(scope: Scope, questions: number): string {
  const items =
    scope.items.length === 0 || questions === 1
      ? t("all questions")
      : t("{{count}} questions", { count: scope.items.length });
  const share =
    scope.parts === 1
      ? t("all answers")
      : t("share {{part}} of {{parts}}", { part: scope.part, parts: scope.parts });
  return scope.sections.length === 0
    ? t("Reads {{items}}, {{share}}.", { items, share })
    : t("Reads {{items}}, {{share}}, in {{count}} sections.", {
        items,
        share,
        count: scope.sections.length,
      });
}
