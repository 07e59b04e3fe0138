import { useQuery } from "@tanstack/react-query";
import { api, ok } from "../../../api/client";
import { TextButton } from "../../../parts/Button";
import { useSettled } from "../../../parts/useSettled";
import { t } from "../../../text";
import { useHeader, useWhere } from "../../Assessment";
import type { KeyProps } from "../ItemEditor";
import { candidates } from "./variants";

/**
 * Other ways to write what is accepted, and what students wrote before that was decided to be right: what the rules
 * would not take of them is proposed, never taken by itself.
 */
export function AlsoAccept({ item, onChange }: KeyProps) {
  const settled = useSettled(item);
  const texts = (settled.accept ?? []).filter((a) => (a.credit ?? "1") === "1").flatMap((a) => a.text ?? []);
  const earlier = useEarlier(item.id);
  const some = [...new Set([...earlier.keys(), ...candidates(texts)])];
  const check = useQuery({
    queryKey: ["check", "variants", settled, some],
    enabled: some.length > 0,
    staleTime: Number.POSITIVE_INFINITY,
    queryFn: () => ok(api.POST("/api/items/check", { body: { item: settled, answers: some } })),
  });
  const refused = some.filter((_, i) => {
    const tried = check.data?.tried[i];
    return tried && tried.credit !== "1";
  });
  if (some.length === 0 || refused.length === 0) {
    return null;
  }
  return (
    <p className="mt-2 text-small text-soft" aria-live="polite">
      {t("Also accept?")}{" "}
      {refused.map((text) => (
        <TextButton
          key={text}
          className="mr-3 font-script text-words"
          onClick={() => onChange({ ...item, accept: [...(item.accept ?? []), { text }] })}
        >
          {text}
          {earlier.has(text) && (
            <span className="font-sans text-small text-by-person">
              {" "}
              {t("(written {{count}} times, decided right)", { count: earlier.get(text) ?? 1 })}
            </span>
          )}
        </TextButton>
      ))}
    </p>
  );
}

/** What students wrote to this item before and a person decided to be right, with how many did. */
function useEarlier(item: string): Map<string, number> {
  const { assessment } = useWhere();
  const mine = useHeader(assessment, null).data?.share === "ALL";
  const query = useQuery({
    queryKey: ["assessment", assessment, "earlier", item],
    enabled: mine,
    queryFn: () =>
      ok(
        api.GET("/api/assessments/{assessment}/items/{item}/earlier-answers", {
          params: { path: { assessment, item } },
        }),
      ),
    staleTime: 60_000,
  });
  return new Map((query.data ?? []).filter((a) => a.credit === "1").map((a) => [a.text, a.count]));
}
