import { type ClipboardEvent, type KeyboardEvent, useRef, useState } from "react";
import { useKeys } from "../../../parts/Keys";
import { Sheet } from "../../../parts/Sheet";
import { t } from "../../../text";
import type { FrameworkFile, Item } from "../definition";
import type { KeyPage } from "../Key";
import { Saving } from "../KeyMargin";
import {
  type Alphabet,
  erased,
  isKeyed,
  keyed,
  lettersOf,
  madeTo,
  newRow,
  openRow,
  rowKind,
  rowsOf,
  typed,
} from "./grid";
import { LetterRow } from "./LetterRow";
import { LettersHead } from "./LettersHead";
import { LettersMargin } from "./LettersMargin";
import { PastedKey } from "./PastedKey";
import { type Pasting, pasting } from "./paste";

const COLUMN = 9;

/** The key as one grid typed from the keyboard: letters go down the column, and the grid grows under the hands. */
export function Letters({ assessment, view, draft }: KeyPage) {
  const items = draft.definition.items;
  const rows = rowsOf(items);
  const [at, setAt] = useState(() =>
    Math.max(
      0,
      rows.findIndex((r) => !isKeyed(r)),
    ),
  );
  const [alphabet, setAlphabet] = useState<Alphabet>({ letters: 4, alternate: false });
  const [began, setBegan] = useState<number | null>(null);
  const [told, setTold] = useState("");
  const [paste, setPaste] = useState<Pasting | null>(null);
  const grid = useRef<HTMLDivElement>(null);
  const row = rows[at];

  const putRow = (changed: Item, to: number) => {
    const fresh = !items.some((i) => i.id === changed.id);
    draft.change((d) => ({
      ...d,
      items: fresh ? [...d.items, changed] : d.items.map((i) => (i.id === changed.id ? changed : i)),
    }));
    setAt(to);
    setTold("");
    began === null && setBegan(Date.now());
  };
  /** The row where the next key goes; beyond the last one it is made. */
  const current = () => row ?? newRow(items, alphabet);
  const letter = (pressed: string) => {
    const here = current();
    const fits = keyed(here, pressed);
    if (fits) {
      putRow(fits, at + 1);
    } else if ("TF".includes(pressed) && rowKind(here) !== "other") {
      const truth = keyed(madeTo(here, "truth", []), pressed);
      truth && putRow(truth, at + 1);
    } else if (pressed === "O") {
      putRow(openRow(madeTo(here, "open", []), "1", ""), at);
    } else {
      setTold(t("Row {{n}} has no letter {{letter}}.", { n: at + 1, letter: pressed }));
    }
  };
  const digit = (pressed: string) => {
    const here = current();
    if (rowKind(here) === "number") {
      putRow(typed(here, pressed), at);
    } else if (/[1-9]/.test(pressed)) {
      putRow({ ...here, points: pressed }, at);
    }
  };
  const onKey = (e: KeyboardEvent) => {
    if (e.target !== grid.current || e.ctrlKey || e.metaKey || e.altKey) {
      return;
    }
    const acts = new Map<string, () => void>([
      ["ArrowDown", () => setAt(Math.min(rows.length, at + 1))],
      ["ArrowUp", () => setAt(Math.max(0, at - 1))],
      ["ArrowRight", () => setAt(Math.min(rows.length, at + COLUMN))],
      ["ArrowLeft", () => setAt(Math.max(0, at - COLUMN))],
      ["Enter", () => setAt(Math.min(rows.length, at + 1))],
      [" ", () => (row ? setAt(at + 1) : putRow(newRow(items, alphabet), at + 1))],
      ["#", () => putRow(madeTo(current(), "number", []), at)],
      ["Backspace", back],
      ["Delete", () => takeOut()],
      ["u", draft.undo],
    ]);
    const act = acts.get(e.key);
    if (act) {
      act();
    } else if (/^[a-zA-Z]$/.test(e.key)) {
      letter(e.key.toUpperCase());
    } else if (/^[0-9.,/-]$/.test(e.key)) {
      digit(e.key);
    } else {
      return;
    }
    e.preventDefault();
    e.stopPropagation();
  };
  const takeOut = () => row && draft.change((d) => ({ ...d, items: d.items.filter((i) => i.id !== row.id) }));
  const back = () => {
    if (row && isKeyed(row) && row.kind !== "open") {
      putRow(erased(row), at);
    } else if (at > 0) {
      setAt(at - 1);
    }
  };
  const onPaste = (e: ClipboardEvent) => {
    e.preventDefault();
    setTold("");
    setPaste(pasting(items, rows, at, e.clipboardData.getData("text"), alphabet));
  };
  const takePaste = ({ rows: after, says }: Pasting) => {
    draft.change((d) => ({
      ...d,
      items: [...d.items.map((i) => after.find((r) => r.id === i.id) ?? i), ...after.slice(rows.length)],
    }));
    setAt(Math.min(after.length, Math.max(0, ...says.map((s) => s.row))));
    setTold(t("{{count}} answers pasted", { count: says.filter((s) => s.fits).length }));
    leavePaste();
  };
  const leavePaste = () => {
    setPaste(null);
    grid.current?.focus();
  };
  useKeys([
    ["A–Z", t("fill the row, go to the next"), () => grid.current?.focus()],
    ["#", t("make it a number"), () => {}],
    ["O", t("make it open, then type its points"), () => {}],
    ["Space", t("skip the row"), () => {}],
  ]);
  const setAll = (next: Alphabet) => {
    setAlphabet(next);
    draft.change((d) => ({
      ...d,
      items: d.items.map((i) => {
        const n = rows.findIndex((r) => r.id === i.id);
        return n >= 0 && rowKind(i) === "letters" ? lettered(i, lettersOf(next, n + 1)) : i;
      }),
    }));
  };
  return (
    <Sheet
      margin={
        <LettersMargin
          assessment={assessment}
          rows={rows}
          row={row}
          draft={draft}
          frameworks={view.frameworks as FrameworkFile[]}
          onRow={(changed) => putRow(changed, at)}
        >
          <Saving assessment={assessment} draft={draft} />
        </LettersMargin>
      }
    >
      <LettersHead
        alphabet={alphabet}
        onAlphabet={setAll}
        done={rows.filter(isKeyed).length}
        of={rows.length}
        began={began}
      />
      {paste && <PastedKey pasting={paste} onTake={() => takePaste(paste)} onLeave={leavePaste} />}
      <div
        ref={grid}
        role="listbox"
        aria-label={t("letter key")}
        aria-activedescendant={`row-${at}`}
        tabIndex={0}
        autoFocus
        className="grid grid-flow-col border-b border-rule outline-offset-[-2px] max-lg:grid-flow-row"
        style={{ gridTemplateRows: `repeat(${Math.max(COLUMN, Math.ceil((rows.length + 1) / 3))}, auto)` }}
        onKeyDown={onKey}
        onPaste={onPaste}
      >
        {rows.map((r, i) => (
          <LetterRow
            key={r.id}
            item={r}
            number={i + 1}
            here={i === at}
            onHere={() => {
              setAt(i);
              grid.current?.focus();
            }}
            onLetter={(id) => putRow({ ...r, key: [id] }, i)}
          />
        ))}
        <div
          role="option"
          aria-selected={at === rows.length}
          tabIndex={-1}
          id={`row-${rows.length}`}
          className={`flex min-h-11 items-center gap-4 border-r border-b border-rule px-4 ${at === rows.length ? "border-l-3 border-l-by-rule bg-by-rule-wash" : ""}`}
          onClick={() => setAt(rows.length)}
          onKeyDown={() => {}}
        >
          <span className="text-soft">+ {t("another")}</span>
        </div>
      </div>
      <p className="px-4 pt-2 text-waiting" role="status">
        {told}
      </p>
      <p className="px-4 py-3 text-small text-soft">
        {t(
          "Type a letter to fill the row and go to the next. T, F: true, false. #: number. O: open, then its points. Digits set the points. Space skips, Backspace erases, Delete removes the row. You can also paste a key, with or without numbers.",
        )}
      </p>
    </Sheet>
  );
}

/** A row with other letters; the place of its key stays. */
function lettered(item: Item, letters: string[]): Item {
  const place = item.options?.findIndex((o) => o.id === item.key?.[0]) ?? -1;
  const made = madeTo(item, "letters", letters);
  const key = made.options?.[place]?.id;
  return key ? { ...made, key: [key] } : made;
}
