import { useEffect, useRef } from "react";
import { t } from "../../../text";
import { points } from "../../../text/figures";
import { type Item, keyInShort, kindName } from "../definition";
import { codes } from "../ItemRows";
import { rowKind } from "./grid";

/** One row: its letters with the keyed one filled, or its number, or what an open answer is read from and to. */
export function LetterRow({
  item,
  number,
  here,
  onHere,
  onLetter,
}: {
  item: Item;
  number: number;
  here: boolean;
  onHere: () => void;
  onLetter: (id: string) => void;
}) {
  const at = useRef<HTMLDivElement>(null);
  useEffect(() => {
    here && at.current?.scrollIntoView({ block: "nearest" });
  }, [here]);
  return (
    <div
      ref={at}
      id={`row-${number - 1}`}
      role="option"
      tabIndex={-1}
      aria-selected={here}
      className={`flex min-h-11 items-center gap-3 border-r border-b border-rule pr-3 ${here ? "border-l-3 border-l-by-rule bg-by-rule-wash pl-[13px]" : "pl-4"}`}
      // A click on a letter writes it; anywhere else in the row it only goes there.
      onClick={(e) => {
        const letter = (e.target as HTMLElement).dataset.letter;
        onHere();
        letter && onLetter(letter);
      }}
      onKeyDown={() => {}}
    >
      <span className="w-6 font-semibold">{number}</span>
      <span className="min-w-24 flex-1">
        {rowKind(item) === "letters" && (
          <span className="sr-only">{keyInShort(item) || t("no key yet")}</span>
        )}
        <Answer item={item} />
      </span>
      <span className="w-20 truncate text-small text-standard">{codes(item)}</span>
      <span className="w-8 text-right">{points(item.points ?? "1")}</span>
    </div>
  );
}

function Answer({ item }: { item: Item }) {
  switch (rowKind(item)) {
    case "letters":
      return (
        <span className="flex" aria-hidden="true">
          {item.options?.map((o) => {
            const on = item.key?.includes(o.id);
            return (
              <span
                key={o.id}
                data-letter={o.id}
                className={`size-6 cursor-pointer text-center font-semibold ${on ? "bg-by-rule text-sheet" : "text-soft"}`}
              >
                {o.text}
              </span>
            );
          })}
        </span>
      );
    case "truth":
      return <strong className="text-by-rule">{truth(item)}</strong>;
    case "number":
      return (
        <strong className="text-by-rule">
          {item.accept?.[0]?.value ?? <span className="font-normal text-waiting">{t("a number")}</span>}
        </strong>
      );
    case "open":
      return (
        <strong className="text-by-person">
          {t("open 0–{{points}}", { points: points(item.points ?? "1") })}
          {item.mastery && (
            <span className="font-normal"> · {t("mastered from {{m}}", { m: item.mastery })}</span>
          )}
        </strong>
      );
    default:
      return (
        <span className="truncate text-soft">
          {keyInShort(item)} · {t(kindName(item))}
        </span>
      );
  }
}

function truth(item: Item) {
  const key = item.key?.[0];
  return key ? (
    t(key === "t" ? "true" : "false")
  ) : (
    <span className="font-normal text-waiting">{t("true or false")}</span>
  );
}
