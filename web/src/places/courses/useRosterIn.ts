import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { type Schemas, sendFile } from "../../api/client";
import { AS_FOUND, type How } from "../../parts/FileReading";

export type Effect = Schemas["RosterEffect"];
export type Row = Schemas["RosterRow"];
export type Decision = NonNullable<Row["decided"]>;
export type Use = Schemas["RosterColumn"]["use"];

type Asked = {
  how: How;
  columns: Record<number, Use>;
  section: string;
  only: string[];
  decisions: Record<number, Decision>;
  leave: boolean;
};
const NOTHING: Asked = { how: AS_FOUND, columns: {}, section: "", only: [], decisions: {}, leave: false };

/** A roster file: what is said about it, what it would change, and taking it. */
export function useRosterIn(course: string) {
  const client = useQueryClient();
  const [file, setFile] = useState<File | null>(null);
  const [asked, setAsked] = useState(NOTHING);
  const path = `/api/courses/${course}/roster`;
  const preview = useMutation({
    mutationFn: ({ f, a }: { f: File; a: Asked }) =>
      sendFile<Effect>(`${path}/preview`, f, { asked: JSON.stringify(a) }),
  });
  const take = useMutation({
    mutationFn: (f: File) => sendFile<Effect>(path, f, { asked: JSON.stringify(asked) }),
    onSuccess: () => {
      void client.invalidateQueries({ queryKey: ["course", course] });
      void client.invalidateQueries({ queryKey: ["courses"] });
    },
  });
  const look = (f: File, a: Asked) => {
    setFile(f);
    setAsked(a);
    take.reset();
    preview.mutate({ f, a });
  };
  return {
    file,
    asked,
    effect: preview.data,
    looking: preview.isPending,
    error: preview.error ?? take.error,
    choose: (f: File) => look(f, NOTHING),
    say: (part: Partial<Asked>) => file && look(file, { ...asked, ...part }),
    take: () => file && take.mutate(file),
    taking: take.isPending,
    taken: take.data,
  };
}
