import { useQuery } from "@tanstack/react-query";
import { api, ok } from "../../api/client";
import { TextButton } from "../../parts/Button";
import { t } from "../../text";
import { points } from "../../text/figures";

/** One's own items whose prompts are equal, or nearly so. */
export function Twins({ onChoose }: { onChoose: (prompt: string) => void }) {
  const twins = useQuery({ queryKey: ["bank", "twins"], queryFn: () => ok(api.GET("/api/bank/twins")) });
  const near = useQuery({ queryKey: ["bank", "near"], queryFn: () => ok(api.GET("/api/bank/near")) });
  const see = (prompt: string, words: string) => (
    <TextButton className="font-sans text-small underline" onClick={() => onChoose(prompt)}>
      {words}
    </TextButton>
  );
  return (
    <>
      {twins.data && twins.data.length > 0 && (
        <section className="mt-6" aria-label={t("Equal questions")}>
          <h2 className="mb-1 text-small font-semibold text-waiting">{t("Duplicates in your bank")}</h2>
          <ul>
            {twins.data.map((twin) => (
              <li key={twin.items.join()} className="border-b border-rule py-1 font-script">
                {twin.prompt} {see(twin.prompt, t("see the {{n}}", { n: twin.items.length }))}
              </li>
            ))}
          </ul>
        </section>
      )}
      {near.data && near.data.length > 0 && (
        <section className="mt-6" aria-label={t("Nearly equal questions")}>
          <h2 className="mb-1 text-small font-semibold text-waiting">
            {t("Similar questions in your bank")}
          </h2>
          <ul>
            {near.data.map((pair) => (
              <li key={pair.item} className="border-b border-rule py-1 font-script">
                {pair.prompt} {see(pair.prompt, t("see it"))}
                <span className="block">
                  {pair.otherPrompt} {see(pair.otherPrompt, t("see it"))}{" "}
                  <span className="font-sans text-small text-soft">
                    {t("similarity {{n}}", { n: points(pair.likeness) })}
                  </span>
                </span>
              </li>
            ))}
          </ul>
        </section>
      )}
    </>
  );
}
