import type { Schemas } from "../../../api/client";
import { same } from "../../../parts/same";
import { fieldTime, fromField } from "../../../text/zone";

export type Settings = Schemas["SittingSettings"];
export type SeenWhen = Schemas["SeenWhen"];
export type When = SeenWhen["score"];
export type Guests = Schemas["GuestRules"];
export type PaperAfter = Schemas["SittingLine"]["paperAfter"];

/** A sitting as it is typed: times in the school's zone, as fields have them. */
export type SittingDraft = {
  opens: string;
  closes: string;
  minutes: string;
  lateUntil: string;
  paperAfter: PaperAfter;
  settings: Settings;
  seen: Record<Kind, When>;
  seenFrom: string;
  /** Chosen students of the section; null for the whole of it. */
  students: string[] | null;
  /** Who comes beside them by the short link. */
  guests: Guests;
};

/** What students may see of their work. */
export const KINDS = ["score", "standards", "marks", "answers", "notes", "keys", "classFigures"] as const;
export type Kind = (typeof KINDS)[number];

const USUAL_SEEN: Record<Kind, When> = {
  score: "HANDED_BACK",
  standards: "HANDED_BACK",
  marks: "HANDED_BACK",
  answers: "HANDED_BACK",
  notes: "HANDED_BACK",
  keys: "NEVER",
  classFigures: "NEVER",
};

/** What is seen and when, as the server takes it. */
export const seenOf = (draft: SittingDraft): SeenWhen => ({
  ...draft.seen,
  from: draft.seenFrom ? fromField(draft.seenFrom).toISOString() : null,
});

const USUAL: Settings = {
  asking: "ONE",
  goingBack: true,
  mustAnswer: false,
  leavingCounted: false,
  wordsBefore: "",
  wordsAfter: "",
  code: "",
  practice: "NONE",
  attempts: 1,
  changes: false,
  fullScreen: false,
  picture: null,
  pictureWords: null,
  calculator: null,
  receiptByMail: null,
};

/** The same without what another of the settings rules out. */
export const fitting = (settings: Settings): Settings => ({
  ...settings,
  changes: settings.changes && mayBeChanged(settings),
});

/** Whether answers may be changed after handing in at all: not where that would undo another setting. */
export const mayBeChanged = ({ attempts, goingBack, practice }: Settings): boolean =>
  attempts === 1 && goingBack && practice === "NONE";

/** Whether students see at hand-in how they did, so that their answers stay. */
export const seesAtHandIn = (seen: Record<Kind, When>): boolean =>
  KINDS.some((kind) => kind !== "answers" && seen[kind] === "AT_HAND_IN");

const NO_GUESTS: Guests = { who: "NOBODY", form: { groupAsked: "NO", email: "NO", own: [] } };

const HOUR = 3_600_000;

/** What a new sitting begins with: open now, for an hour, taken as usual. */
export const firstDraft = (now = new Date()): SittingDraft => ({
  opens: fieldTime(now),
  closes: fieldTime(new Date(now.getTime() + HOUR)),
  minutes: "",
  lateUntil: "",
  paperAfter: "WHEN_ALL_CLOSED",
  settings: USUAL,
  seen: USUAL_SEEN,
  seenFrom: "",
  students: null,
  guests: NO_GUESTS,
});

const typed = (instant: string | null): string => (instant ? fieldTime(new Date(instant)) : "");

/** A sitting as it stands, for those who have it. */
export const draftOf = (line: Schemas["SittingLine"], students: { id: string }[]): SittingDraft => ({
  opens: typed(line.opens),
  closes: typed(line.closes),
  minutes: line.minutes === null ? "" : String(line.minutes),
  lateUntil: typed(line.lateUntil),
  paperAfter: line.paperAfter,
  settings: line.settings,
  seen: {
    score: line.seen.score,
    standards: line.seen.standards ?? "NEVER",
    marks: line.seen.marks,
    answers: line.seen.answers,
    notes: line.seen.notes,
    keys: line.seen.keys,
    classFigures: line.seen.classFigures ?? "NEVER",
  },
  seenFrom: typed(line.seen.from),
  students: line.chosen ? students.map((s) => s.id) : null,
  guests: line.guests,
});

/** The times as the server takes them; nothing while one of them is not typed whole. */
export function timesOf(draft: SittingDraft): Schemas["Times"] | null {
  if (!draft.opens || !draft.closes) {
    return null;
  }
  return {
    opens: fromField(draft.opens).toISOString(),
    closes: fromField(draft.closes).toISOString(),
    minutes: draft.minutes ? Number(draft.minutes) : null,
    lateUntil: draft.lateUntil ? fromField(draft.lateUntil).toISOString() : null,
  };
}

/** Whether all of it is said: its times, and at least one student where some are chosen. */
export const isWhole = (draft: SittingDraft): boolean =>
  timesOf(draft) !== null && draft.students?.length !== 0;

const EARLY = 6;
const LATE = 21;

/** Whether a time lies where nobody is at school, which is asked about once. */
export const isOdd = (field: string): boolean => {
  const hour = Number(field.slice(11, 13));
  return field !== "" && (hour < EARLY || hour >= LATE);
};

const WORDS = ["TIDE", "BUOY", "MAST", "KEEL", "SAIL", "KNOT", "REEF", "HELM", "DECK", "QUAY"];

/** A code that is easily read from the board and typed. */
export function newCode(random = Math.random): string {
  const word = WORDS[Math.floor(random() * WORDS.length)] ?? "TIDE";
  return `${word}${1_000 + Math.floor(random() * 9_000)}`;
}

/** A code as it stands on the board: letters and digits apart. */
export const codeOnBoard = (code: string): string => code.replace(/^([A-Z]+)(\d+)$/, "$1 $2");

/** What of a sitting somebody has typed otherwise: nothing else of it is theirs. */
export type Changes = Partial<Omit<SittingDraft, "settings" | "seen">> & {
  settings?: Partial<Settings>;
  seen?: Partial<Record<Kind, When>>;
};

function otherwise<T extends object>(was: T, now: T): Partial<T> | undefined {
  const fields = (Object.keys(now) as (keyof T)[]).filter((field) => !same(was[field], now[field]));
  return fields.length === 0
    ? undefined
    : (Object.fromEntries(fields.map((field) => [field, now[field]])) as Partial<T>);
}

const flatOf = ({ settings: _settings, seen: _seen, ...flat }: SittingDraft) => flat;

/** What is typed otherwise than it stands; null where nothing is. */
export function changesOf(was: SittingDraft, now: SittingDraft): Changes | null {
  const settings = otherwise(was.settings, now.settings);
  const seen = otherwise(was.seen, now.seen);
  const flat = otherwise(flatOf(was), flatOf(now));
  return flat || settings || seen
    ? { ...flat, ...(settings ? { settings } : {}), ...(seen ? { seen } : {}) }
    : null;
}

/** How it stands now, with what is typed over it: what a colleague changed meanwhile stays. */
export const over = (now: SittingDraft, changes: Changes | null): SittingDraft => ({
  ...now,
  ...changes,
  settings: { ...now.settings, ...changes?.settings },
  seen: { ...now.seen, ...changes?.seen },
});
