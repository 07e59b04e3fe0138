import { type ReactNode, useState } from "react";
import type { Schemas } from "../../../api/client";
import { TextButton } from "../../../parts/Button";
import { Mark } from "../../../parts/Mark";
import { pieces } from "../../../parts/remarks/pieces";
import { t } from "../../../text";
import { percent } from "../../../text/figures";
import { digitsOf } from "../digits";
import { slipsInWords } from "./slips";
import type { HintsView } from "./useHints";

type Question = Schemas["OpenQuestion"];

/** What is pointed out below an answer: it moves no mark. */
export function Hints({ hints, question }: { hints: HintsView; question: Question }) {
  const none = !hints.words && !hints.slips && !hints.like && !hints.same;
  if (none) {
    return null;
  }
  return (
    <section aria-label={t("Hints")} className="mt-3 border-t border-rule pt-2 text-small">
      {hints.words && <Words words={hints.words} />}
      {hints.slips && (
        <Row title={t("language")}>{slipsInWords(hints.slips).join(", ") || t("nothing found")}</Row>
      )}
      {hints.like && hints.like.length > 0 && (
        <Row title={t("like this")}>
          {hints.like.map((one) => (
            <Like key={one.answer} one={one} question={question} />
          ))}
        </Row>
      )}
      {hints.same && hints.same.length > 0 && (
        <Row title={t("the same words")}>
          {hints.same.map((one) => (
            <Same key={`${one.from} ${one.answer}`} one={one} />
          ))}
        </Row>
      )}
      <p className="text-soft">{t("Hints decide nothing; they move no mark.")}</p>
    </section>
  );
}

function Row({ title, children }: { title: string; children: ReactNode }) {
  return (
    <div className="grid grid-cols-[9rem_1fr] py-0.5">
      <strong className="text-soft">{title}</strong>
      <div>{children}</div>
    </div>
  );
}

function Words({ words }: { words: Schemas["SoughtWord"][] }) {
  const found = words.filter((w) => w.places.length > 0);
  const missing = words.filter((w) => w.places.length === 0);
  const other = (w: Schemas["SoughtWord"]) =>
    w.places.some((p) => p.exact) ? "" : ` (${t("in another form")})`;
  return (
    <Row title={t("words looked for")}>
      <strong className="text-by-rule">{found.map((w) => w.word + other(w)).join(" · ")}</strong>
      {found.length > 0 && missing.length > 0 && " · "}
      {missing.length > 0 && (
        <span className="text-soft">
          {t("not found: {{words}}", { words: missing.map((w) => w.word).join(", ") })}
        </span>
      )}
    </Row>
  );
}

/** The other answer, shown where it is wanted. */
function Look({ children }: { children: ReactNode }) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <TextButton className="min-h-6" aria-expanded={open} onClick={() => setOpen(!open)}>
        {open ? t("close") : t("look")}
      </TextButton>
      {open && (
        <p className="my-1 border-l-2 border-rule pl-2 font-script text-body whitespace-pre-wrap">
          {children}
        </p>
      )}
    </>
  );
}

/** An answer that one has read already, with what one gave it. */
function Like({ one, question }: { one: Schemas["LikeAnswer"]; question: Question }) {
  const levels = digitsOf(one.levels, question);
  return (
    <div>
      {one.name
        ? t("{{name}}: {{percent}} of the words are the same. You read it as", {
            name: one.name,
            percent: percent(String(one.likeness)),
          })
        : t("{{percent}} of the words are the same. You read it as", {
            percent: percent(String(one.likeness)),
          })}{" "}
      {levels.length > 0 && <strong>{levels.join(" · ")} </strong>}
      <Mark mark={one.mark} /> <Look>{one.text}</Look>
    </div>
  );
}

/** A sentence of another answer, which stands here as well. */
function Same({ one }: { one: Schemas["SameSentence"] }) {
  return (
    <div>
      <q className="font-script">{one.text.slice(one.there, one.thereTo)}</q>{" "}
      {one.name
        ? t("stands so in the answer of {{name}}", { name: one.name })
        : t("stands so in another answer")}{" "}
      <Look>
        {pieces({ from: 0, to: one.text.length }, [{ from: one.there, to: one.thereTo }]).map((p) =>
          p.on.length > 0 ? (
            <mark key={p.from} className="bg-waiting-wash text-ink">
              {one.text.slice(p.from, p.to)}
            </mark>
          ) : (
            one.text.slice(p.from, p.to)
          ),
        )}
      </Look>
    </div>
  );
}
