import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useNavigate } from "react-router";
import { type Schemas, sendFile } from "../../api/client";
import { AS_FOUND, type How } from "../../parts/FileReading";
import { useFileLook } from "../../parts/useFileLook";

export type Preview = Schemas["FrameworkPreview"];
export type Role = Schemas["StandardsColumn"]["role"];
type Asked = { how: How; roles: Record<number, Role> };

const NOTHING: Asked = { how: AS_FOUND, roles: {} };
const FILE = "/api/frameworks/file";

/** A file of standards: what is said about it, what it would make, and taking it under a title and a version. */
export function useStandardsIn() {
  const client = useQueryClient();
  const navigate = useNavigate();
  const look = useFileLook(NOTHING, (file, asked) =>
    sendFile<Preview>(`${FILE}/preview`, file, { asked: JSON.stringify(asked) }),
  );
  const { asked, ask } = look;
  const take = useMutation({
    mutationFn: ({ title, version }: { title: string; version: string }) =>
      sendFile<{ id: string }>(FILE, look.file as File, { asked: JSON.stringify(asked), title, version }),
    onSuccess: async ({ id }) => {
      await client.invalidateQueries({ queryKey: ["frameworks"] });
      void navigate(`/standards/${id}`);
    },
  });
  return {
    asked,
    preview: look.found,
    error: look.error ?? take.error,
    isLooking: look.isLooking,
    isTaking: take.isPending,
    readFile: look.choose,
    setRole: (column: number, role: Role) => ask({ ...asked, roles: { ...asked.roles, [column]: role } }),
    /** Another sheet or separator has other columns. */
    setHow: (how: How) => ask({ how, roles: {} }),
    take: take.mutate,
  };
}
