import { useMutation, useQueryClient } from "@tanstack/react-query";
import { type Schemas, sendFile } from "../../api/client";
import { AS_FOUND, type How } from "../../parts/FileReading";
import { useFileLook } from "../../parts/useFileLook";

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
  const path = `/api/courses/${course}/roster`;
  const look = useFileLook(NOTHING, (f, a) =>
    sendFile<Effect>(`${path}/preview`, f, { asked: JSON.stringify(a) }),
  );
  const { file, asked } = look;
  const take = useMutation({
    mutationFn: (f: File) => sendFile<Effect>(path, f, { asked: JSON.stringify(asked) }),
    onSuccess: () => {
      void client.invalidateQueries({ queryKey: ["course", course] });
      void client.invalidateQueries({ queryKey: ["courses"] });
    },
  });
  return {
    file,
    asked,
    effect: look.found ?? undefined,
    looking: look.isLooking,
    error: look.error ?? take.error,
    choose: (f: File) => {
      take.reset();
      look.choose(f);
    },
    say: (part: Partial<Asked>) => {
      take.reset();
      look.ask({ ...asked, ...part });
    },
    take: () => file && take.mutate(file),
    taking: take.isPending,
    taken: take.data,
  };
}
