import { useMutation } from "@tanstack/react-query";
import { useState } from "react";
import { api, ok, type Schemas, sendFile } from "../../../api/client";
import { AS_FOUND, type How } from "../../../parts/FileReading";

export type Found = Schemas["QuestionsFound"];
export type Mark = Found["mark"];
export type Role = Schemas["QuestionColumn"]["role"];
type Said = { roles: Record<number, Role>; mark: Mark };
type Asked = { how: How; said: Said };

const NOTHING: Asked = { how: AS_FOUND, said: { roles: {}, mark: "UNSURE" } };

/** A file or a text of questions: what is said about it, and what it holds. */
export function useQuestionsIn(assessment: string) {
  const [file, setFile] = useState<File | null>(null);
  const [asked, setAsked] = useState(NOTHING);
  // What was found stays in view while another choice about the same file is looked at.
  const [found, setFound] = useState<Found | null>(null);
  const read = useMutation({
    mutationFn: async (from: { file: File; asked: Asked } | { text: string }) =>
      "text" in from
        ? ok(
            api.POST("/api/assessments/{assessment}/questions-text", {
              params: { path: { assessment } },
              body: { text: from.text },
            }),
          )
        : sendFile<Found>(`/api/assessments/${assessment}/questions-in`, from.file, {
            asked: JSON.stringify(from.asked),
          }),
    onSuccess: setFound,
  });
  const ask = (next: Asked) => {
    setAsked(next);
    file && read.mutate({ file, asked: next });
  };
  return {
    file,
    asked,
    found,
    error: read.error,
    isReading: read.isPending,
    readFile: (chosen: File) => {
      setFile(chosen);
      setFound(null);
      setAsked(NOTHING);
      read.mutate({ file: chosen, asked: NOTHING });
    },
    readText: (text: string) => {
      setFile(null);
      setFound(null);
      read.mutate({ text });
    },
    /** What a column is, whatever it was taken for. */
    setRole: (column: number, role: Role) =>
      ask({ ...asked, said: { ...asked.said, roles: { ...asked.said.roles, [column]: role } } }),
    setMark: (mark: Mark) => ask({ ...asked, said: { ...asked.said, mark } }),
    /** Another sheet or separator has other columns. */
    setHow: (how: How) => ask({ how, said: { ...NOTHING.said, mark: asked.said.mark } }),
  };
}
