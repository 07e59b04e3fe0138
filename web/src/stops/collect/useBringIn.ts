import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { type Schemas, sendFile } from "../../api/client";
import { AS_FOUND, type How } from "../../parts/FileReading";

export type View = Schemas["BringInView"];
export type Use = Schemas["Column"]["use"];
export type Kind = Schemas["MadeQuestion"]["kind"];
export type RowChoice = { student: string; skip: boolean; asIs: boolean; key: boolean | null };
export type Missing = "NOT_ASKED" | "NO_ANSWER";

type Choices = {
  heading: number | null;
  columns: Record<number, { use: Use; item: string | null }>;
  rows: Record<number, RowChoice>;
  cells: Record<string, string>;
  without: Record<string, Missing>;
  twice: "FIRST" | "LAST" | null;
  decimalComma: boolean | null;
  pointsAs: "POINTS" | "SHARES" | null;
};
type Asked = {
  how: How;
  choices: Choices;
  kinds: Record<number, Kind>;
  points: Record<number, string>;
  typed: boolean;
  replace: string[];
};

const NONE: Choices = {
  heading: null,
  columns: {},
  rows: {},
  cells: {},
  without: {},
  twice: null,
  decimalComma: null,
  pointsAs: null,
};
const NOTHING: Asked = { how: AS_FOUND, choices: NONE, kinds: {}, points: {}, typed: false, replace: [] };

/** Whether a row does not ask any more: left out, taken as it is, or given to somebody. */
export const isDecided = (row: Schemas["RowQuestion"]): boolean =>
  row.skipped || row.asIs || (row.student !== null && !row.byLength);

/** How files with these columns were arranged before, on this device. */
const arrangement = (view: View) =>
  `scholion.columns.${view.columns
    .map((c) => c.name)
    .join("\u0000")
    .slice(0, 2_000)}`;

/** A file of answers: what is said about it, what it would bring in, and taking it. */
export function useBringIn(assessment: string) {
  const client = useQueryClient();
  const [file, setFile] = useState<File | null>(null);
  const [asked, setAsked] = useState(NOTHING);
  const path = `/api/assessments/${assessment}/bring-in`;
  const send = <T>(what: string, f: File, a: Asked) =>
    sendFile<T>(`${path}${what}`, f, { asked: JSON.stringify(a) });
  const preview = useMutation({
    mutationFn: ({ f, a }: { f: File; a: Asked }) => send<View>("/preview", f, a),
  });
  const refresh = () => {
    void client.invalidateQueries({ queryKey: ["assessment", assessment] });
    void client.invalidateQueries({ queryKey: ["key", assessment] });
  };
  const take = useMutation({
    mutationFn: (f: File) => send<View>("", f, asked),
    onSuccess: refresh,
  });
  const make = useMutation({
    mutationFn: (f: File) => send<Schemas["MadeQuestions"]>("/questions", f, asked),
    onSuccess: (_made, f) => {
      refresh();
      look(f, { ...asked, kinds: {}, points: {} });
    },
  });
  function look(f: File, a: Asked) {
    setFile(f);
    setAsked(a);
    take.reset();
    preview.mutate({ f, a });
  }
  /** A new file: arranged as the last one with the same columns was. */
  const choose = async (f: File) => {
    setFile(f);
    setAsked(NOTHING);
    take.reset();
    const view = await preview.mutateAsync({ f, a: NOTHING }).catch(() => null);
    const before = view && localStorage.getItem(arrangement(view));
    if (before) {
      look(f, { ...NOTHING, choices: { ...NONE, columns: JSON.parse(before) } });
    }
  };
  const say = (part: Partial<Choices>) =>
    file && look(file, { ...asked, choices: { ...asked.choices, ...part } });
  const view = preview.data;
  return {
    file,
    view,
    asked,
    looking: preview.isPending,
    error: preview.error ?? take.error ?? make.error,
    taken: take.data,
    working: take.isPending || make.isPending,
    choose: (f: File) => void choose(f),
    /** What was typed from paper: its columns are known. */
    begin: (f: File, columns: Choices["columns"]) =>
      look(f, { ...NOTHING, typed: true, choices: { ...NONE, columns, cells: { "\t-": "" } } }),
    read: (how: How) => file && look(file, { ...asked, how }),
    say,
    column: (place: number, use: Use, item: string | null) => {
      const columns = { ...asked.choices.columns, [place]: { use, item } };
      view && localStorage.setItem(arrangement(view), JSON.stringify(columns));
      say({ columns });
    },
    kind: (place: number, kind: Kind) =>
      file && look(file, { ...asked, kinds: { ...asked.kinds, [place]: kind } }),
    worth: (place: number, points: string) =>
      file && look(file, { ...asked, points: { ...asked.points, [place]: points } }),
    row: (line: number, choice: Partial<RowChoice>) =>
      say({
        rows: {
          ...asked.choices.rows,
          [line]: {
            student: "",
            skip: false,
            asIs: false,
            key: null,
            ...asked.choices.rows[line],
            ...choice,
          },
        },
      }),
    cell: (item: string, cell: string, as: string) =>
      say({ cells: { ...asked.choices.cells, [`${item}\t${cell}`]: as } }),
    missing: (items: string[], as: Missing) =>
      say({
        without: { ...asked.choices.without, ...Object.fromEntries(items.map((i) => [i, as])) },
      }),
    /** Students whose answers are to be those of this file instead. */
    replace: (students: string[]) => file && look(file, { ...asked, replace: students }),
    take: () => file && take.mutate(file),
    make: () => file && make.mutate(file),
  };
}

export type Bringing = ReturnType<typeof useBringIn>;
