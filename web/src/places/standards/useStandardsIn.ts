import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { useNavigate } from "react-router";
import { type Schemas, sendFile } from "../../api/client";
import { AS_FOUND, type How } from "../../parts/FileReading";

export type Preview = Schemas["FrameworkPreview"];
export type Role = Schemas["StandardsColumn"]["role"];
type Asked = { how: How; roles: Record<number, Role> };

const NOTHING: Asked = { how: AS_FOUND, roles: {} };
const FILE = "/api/frameworks/file";

/** A file of standards: what is said about it, what it would make, and taking it under a title and a version. */
export function useStandardsIn() {
  const client = useQueryClient();
  const navigate = useNavigate();
  const [file, setFile] = useState<File | null>(null);
  const [asked, setAsked] = useState(NOTHING);
  // What was found stays in view while another choice about the same file is looked at.
  const [found, setFound] = useState<Preview | null>(null);
  const preview = useMutation({
    mutationFn: ({ f, a }: { f: File; a: Asked }) =>
      sendFile<Preview>(`${FILE}/preview`, f, { asked: JSON.stringify(a) }),
    onSuccess: setFound,
  });
  const take = useMutation({
    mutationFn: ({ title, version }: { title: string; version: string }) =>
      sendFile<{ id: string }>(FILE, file as File, { asked: JSON.stringify(asked), title, version }),
    onSuccess: async ({ id }) => {
      await client.invalidateQueries({ queryKey: ["frameworks"] });
      void navigate(`/standards/${id}`);
    },
  });
  const ask = (next: Asked) => {
    setAsked(next);
    file && preview.mutate({ f: file, a: next });
  };
  return {
    asked,
    preview: found,
    error: preview.error ?? take.error,
    isTaking: take.isPending,
    readFile: (chosen: File) => {
      setFile(chosen);
      setFound(null);
      setAsked(NOTHING);
      preview.mutate({ f: chosen, a: NOTHING });
    },
    setRole: (column: number, role: Role) => ask({ ...asked, roles: { ...asked.roles, [column]: role } }),
    /** Another sheet or separator has other columns. */
    setHow: (how: How) => ask({ how, roles: {} }),
    take: take.mutate,
  };
}
