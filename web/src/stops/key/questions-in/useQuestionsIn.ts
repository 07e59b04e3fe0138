import { useMutation } from "@tanstack/react-query";
import { api, ok, type Schemas, sendFile } from "../../../api/client";
import { AS_FOUND, type How } from "../../../parts/FileReading";
import { useFileLook } from "../../../parts/useFileLook";

export type Found = Schemas["QuestionsFound"];
export type Mark = Found["mark"];
export type Role = Schemas["QuestionColumn"]["role"];
type Said = { roles: Record<number, Role>; mark: Mark };
type Asked = { how: How; said: Said };

const NOTHING: Asked = { how: AS_FOUND, said: { roles: {}, mark: "UNSURE" } };

/** A file or a text of questions: what is said about it, and what it holds. */
export function useQuestionsIn(assessment: string) {
  const look = useFileLook(NOTHING, (file, asked) =>
    sendFile<Found>(`/api/assessments/${assessment}/questions-in`, file, { asked: JSON.stringify(asked) }),
  );
  const typed = useMutation({
    mutationFn: (text: string) =>
      ok(
        api.POST("/api/assessments/{assessment}/questions-text", {
          params: { path: { assessment } },
          body: { text },
        }),
      ),
  });
  const { asked, ask } = look;
  return {
    file: look.file,
    asked,
    found: look.found ?? typed.data ?? null,
    error: look.error ?? typed.error,
    isReading: look.isLooking || typed.isPending,
    readFile: (chosen: File) => {
      typed.reset();
      look.choose(chosen);
    },
    readText: (text: string) => {
      look.clear();
      typed.mutate(text);
    },
    /** What a column is, whatever it was taken for. */
    setRole: (column: number, role: Role) =>
      ask({ ...asked, said: { ...asked.said, roles: { ...asked.said.roles, [column]: role } } }),
    setMark: (mark: Mark) => ask({ ...asked, said: { ...asked.said, mark } }),
    /** Another sheet or separator has other columns. */
    setHow: (how: How) => ask({ how, said: { ...NOTHING.said, mark: asked.said.mark } }),
  };
}
