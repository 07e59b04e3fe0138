/** An answer of a pasted key, and which row it belongs to where the key says so. */
export type Answer = { row: number | null; letters: string[] };

const POINTED = /^(?:q(?:uestion)?|item|no|nr)?\.?(\d{1,3})[.):]+$/i;
const NAMED = /^(?:q|question|item|nr|no)\.?(\d{1,3})[.):]*$/i;
const GLUED = /^(?:q(?:uestion)?|item|no|nr)?\.?(\d{1,3})[.,):=–-]*\(?([a-z](?:[,/&+][a-z])*)\)?[.,;]?$/i;
const STRETCH = /^(\d{1,3})[-–](\d{1,3})[.):]*$/;
const BARE = /^\d{1,3}$/;

/**
 * A key as it is pasted: `1. A 2. B 4. D`, `3. A,C`, `Q1 A`, `1A`, `(A)`, one under the other, in columns with their
 * numbers or under them, or letters alone, `BDACA`. Numbers are obeyed, in whatever order they stand and with their gaps.
 */
export function readPasted(text: string): Answer[] {
  const lines = text.split(/\r?\n/).filter((l) => l.trim() !== "");
  const under = numbersAbove(lines);
  if (under) {
    return under;
  }
  const words = lines.flatMap((l) => wordsOf(l));
  return isNumbered(words) ? numbered(words) : words.flatMap((w) => alone(w)).map(unplaced);
}

const unplaced = (letter: string): Answer => ({ row: null, letters: [letter] });

/** Words, where a question's word and its number, or letters that a comma joins, are one. */
function wordsOf(line: string): string[] {
  return line
    .replace(/\b(q|question|item|nr|no)\.?\s+(?=\d)/gi, "$1")
    .replace(/(^|\s)(\d{1,3})\s*=\s*/g, "$1$2. ")
    .split(/[\s;|]+/)
    .filter(Boolean);
}

/** A line of numbers with a line of answers beneath it, as a spreadsheet has it across. */
function numbersAbove(lines: string[]): Answer[] | null {
  const answers: Answer[] = [];
  for (let i = 0; i < lines.length; i += 2) {
    const above = cells(lines[i] ?? "");
    const below = cells(lines[i + 1] ?? "");
    const numbers = above.map((c) => Number(NAMED.exec(c)?.[1] ?? (BARE.test(c) ? c : "x")));
    if (
      above.length < 2 ||
      below.length > above.length ||
      numbers.some(Number.isNaN) ||
      below.every(isBare)
    ) {
      return null;
    }
    numbers.forEach((row, n) => {
      below[n] && answers.push({ row, letters: together(below[n]) });
    });
  }
  return answers;
}

const isBare = (word: string): boolean => BARE.test(word);
const cells = (line: string): string[] =>
  (line.includes("\t") ? line.split("\t") : line.split(/[\s,;]+/)).map((c) => c.trim());

/** Numbers that say that they are numbers, or numbers among letters; then also one without an answer is obeyed. */
function isNumbered(words: string[]): boolean {
  return (
    words.some((w) => POINTED.test(w) || NAMED.test(w) || GLUED.test(w) || STRETCH.test(w)) ||
    (isBare(words[0] ?? "") && (inTurns(words) || areLettersBetween(words)))
  );
}

const inTurns = (words: string[]): boolean =>
  words.length % 2 === 0 && words.every((w, i) => (i % 2 === 0 ? isBare(w) : !isBare(w)));

function areLettersBetween(words: string[]): boolean {
  const numbers = words.filter(isBare);
  const answers = words.filter((w) => !isBare(w));
  return (
    answers.length > 0 &&
    answers.every((w) => /^\(?[a-z]+\)?[,.]?$/i.test(w)) &&
    new Set(numbers).size === numbers.length
  );
}

function numbered(words: string[]): Answer[] {
  const answers: Answer[] = [];
  let open: Answer | null = null;
  const begin = (row: number) => {
    open = { row, letters: [] };
    answers.push(open);
  };
  const pointed = words.some((w) => POINTED.test(w) || NAMED.test(w));
  let stretch: number[] = [];
  for (const word of words) {
    const here = open as Answer | null;
    const said = POINTED.exec(word) ?? NAMED.exec(word);
    const glued = GLUED.exec(word);
    const many = STRETCH.exec(word);
    if (many) {
      stretch = [Number(many[1]), Number(many[2])];
    } else if (stretch.length > 0) {
      alone(word).forEach((letter, i) => {
        answers.push({ row: (stretch[0] ?? 1) + i, letters: [letter] });
      });
      stretch = [];
    } else if (said) {
      begin(Number(said[1]));
    } else if (glued) {
      begin(Number(glued[1]));
      (open as Answer | null)?.letters.push(...together(glued[2] ?? ""));
    } else if (isBare(word) && !pointed) {
      begin(Number(word));
    } else if (here) {
      here.letters.push(...together(word));
    }
  }
  return answers.filter((a) => a.letters.length > 0);
}

/** The answer of one row: letters that belong together, a word for true or false, or a number. */
function together(word: string): string[] {
  const bare = word.replace(/^[([]+|[)\].,;:]+$/g, "");
  if (bare === "" || /^[-–—*?.]+$/.test(bare)) {
    return [];
  }
  const truth = /^(true|false)$/i.exec(bare);
  if (truth) {
    return [bare.toUpperCase()];
  }
  if (/^[a-z]([,/&+][a-z])*$/i.test(bare)) {
    return bare.toUpperCase().split(/[,/&+]/);
  }
  return /^[A-Z]{2,}$/.test(bare) || /^[a-h]{2,8}$/.test(bare)
    ? [...bare.toUpperCase()]
    : [bare.toUpperCase()];
}

/** Answers without numbers: each letter is a row of its own. */
function alone(word: string): string[] {
  return word.split(/(?<=[A-Za-z)\d]),(?=\D|$)|,(?=[A-Za-z(])/).flatMap((part) => {
    const bare = part.replace(/^[([]+|[)\].,;:]+$/g, "");
    if (/^[-–—*?]+$/.test(bare)) {
      return [""];
    }
    return together(bare);
  });
}
