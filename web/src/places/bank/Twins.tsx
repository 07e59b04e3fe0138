import { useQuery } from "@tanstack/react-query";
import { api, ok } from "../../api/client";
import { TextButton } from "../../parts/Button";
import { t } from "../../text";

/** One's own items whose prompts are equal. */
export function Twins({ onChoose }: { onChoose: (prompt: string) => void }) {
  const twins = useQuery({ queryKey: ["bank", "twins"], queryFn: () => ok(api.GET("/api/bank/twins")) });
  if (!twins.data || twins.data.length === 0) {
    return null;
  }
  return (
    <section className="mt-6" aria-label={t("Equal questions")}>
      <h2 className="mb-1 text-small font-semibold text-waiting">{t("Equal questions in your bank")}</h2>
      <ul>
        {twins.data.map((twin) => (
          <li key={twin.items.join()} className="border-b border-rule py-1 font-script">
            {twin.prompt}{" "}
            <TextButton className="font-sans text-small underline" onClick={() => onChoose(twin.prompt)}>
              {t("see the {{n}}", { n: twin.items.length })}
            </TextButton>
          </li>
        ))}
      </ul>
    </section>
  );
}
