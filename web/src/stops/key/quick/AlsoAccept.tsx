import { useQuery } from "@tanstack/react-query";
import { api, ok } from "../../../api/client";
import { TextButton } from "../../../parts/Button";
import { useSettled } from "../../../parts/useSettled";
import { t } from "../../../text";
import type { KeyProps } from "../ItemEditor";
import { candidates } from "./variants";

/** Other ways to write what is accepted that the rules would not take: proposed, never taken by themselves. */
export function AlsoAccept({ item, onChange }: KeyProps) {
  const settled = useSettled(item);
  const texts = (settled.accept ?? []).filter((a) => (a.credit ?? "1") === "1").flatMap((a) => a.text ?? []);
  const some = candidates(texts);
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
        </TextButton>
      ))}
    </p>
  );
}
