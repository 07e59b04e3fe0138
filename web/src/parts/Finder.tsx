import { useQuery } from "@tanstack/react-query";
import { Command } from "cmdk";
import { Dialog } from "radix-ui";
import { useEffect, useState } from "react";
import { useNavigate } from "react-router";
import { api, ok } from "../api/client";
import { t } from "../text";
import { Kbd } from "./Keys";

const PLACES: [string, string][] = [
  ["Desk", "/desk"],
  ["Courses", "/courses"],
  ["Standards", "/standards"],
  ["Gradebook", "/gradebook"],
  ["Queries from students", "/queries"],
];

const WAYS: Record<string, (id: string) => string> = {
  student: (id) => `/gradebook/${id}`,
  assessment: (id) => `/a/${id}/key`,
  "shared key": (id) => `/a/${id}/key`,
  "key to copy": () => "/courses?shared",
  question: (id) => `/a/${id}/key`,
  standard: (id) => `/standards/${id}`,
};

/** Finds students, assessments, questions and standards, and goes there. */
export function Finder() {
  const [open, setOpen] = useState(false);
  const [words, setWords] = useState("");
  const navigate = useNavigate();
  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      if ((e.ctrlKey || e.metaKey) && e.key.toLowerCase() === "k") {
        e.preventDefault();
        setOpen(true);
      }
    };
    document.addEventListener("keydown", onKey);
    return () => document.removeEventListener("keydown", onKey);
  }, []);
  const found = useQuery({
    queryKey: ["find", words],
    queryFn: () => ok(api.GET("/api/find", { params: { query: { words } } })),
    enabled: open && words.trim().length > 0,
  });
  const go = (to: string) => {
    setOpen(false);
    setWords("");
    void navigate(to);
  };
  return (
    <Dialog.Root open={open} onOpenChange={setOpen}>
      <Dialog.Trigger className="flex w-full max-w-[300px] items-center justify-between rounded-corner border border-rule bg-sheet px-3 py-1.5 text-left text-soft">
        <span className="truncate">{t("Find a student, question or standard…")}</span> <Kbd>Ctrl K</Kbd>
      </Dialog.Trigger>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-20 bg-ink/30" />
        <Dialog.Content className="fixed inset-x-4 top-16 z-30 mx-auto max-w-xl border border-ink bg-sheet">
          <Dialog.Title className="sr-only">{t("Find")}</Dialog.Title>
          <Dialog.Description className="sr-only">
            {t("Type part of a name. Choose with the arrow keys, then press Enter.")}
          </Dialog.Description>
          <Command shouldFilter={false} label={t("Find")}>
            <Command.Input
              value={words}
              onValueChange={setWords}
              placeholder={t("a student, an assessment, a question, a standard")}
              className="w-full border-b border-rule bg-sheet px-4 py-3 font-script text-words"
            />
            <Command.List className="max-h-80 overflow-y-auto py-2">
              {words.trim() === "" &&
                PLACES.map(([name, to]) => (
                  <FoundLine key={to} name={t(name)} detail="" onSelect={() => go(to)} />
                ))}
              {words.trim() !== "" && (
                <Command.Empty className="px-4 py-2 text-soft">{t("Nothing found.")}</Command.Empty>
              )}
              {(found.data ?? []).map((f, i) => (
                <FoundLine
                  key={f.kind + f.id + i}
                  name={f.name}
                  detail={`${t(f.kind)} · ${f.detail}`}
                  onSelect={() => go(WAYS[f.kind]?.(f.id) ?? "/desk")}
                />
              ))}
            </Command.List>
          </Command>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}

function FoundLine({ name, detail, onSelect }: { name: string; detail: string; onSelect: () => void }) {
  return (
    <Command.Item
      value={name + detail}
      onSelect={onSelect}
      className="cursor-pointer px-4 py-1.5 data-[selected=true]:bg-by-rule-wash"
    >
      <span className="font-script">{name}</span> <span className="text-small text-soft">{detail}</span>
    </Command.Item>
  );
}
