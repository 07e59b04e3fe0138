import { TextButton } from "../../parts/Button";
import { MarginPart, Note } from "../../parts/Sheet";
import { t } from "../../text";
import { type Item, keyInShort } from "./definition";
import type { useDraft } from "./useDraft";

/** What a colleague changed while this key was edited here, and where both changed the same item. */
export function MeanwhileNote({ draft }: { draft: ReturnType<typeof useDraft> }) {
  const { meanwhile, definition } = draft;
  if (!meanwhile) {
    return null;
  }
  const number = (id: string) => definition.items.findIndex((i) => i.id === id) + 1;
  const take = (id: string, theirs: Item | null) =>
    draft.change((d) => ({
      ...d,
      items: theirs ? d.items.map((i) => (i.id === id ? theirs : i)) : d.items.filter((i) => i.id !== id),
    }));
  return (
    <MarginPart title={t("Changed by a colleague")}>
      <Note by="person">
        <p role="status">
          {t("{{name}} changed this key at the same time. Both sets of changes are kept.", {
            name: meanwhile.by || t("A colleague"),
          })}
        </p>
        {meanwhile.changed.length > 0 && (
          <p>{t("They changed item {{numbers}}.", { numbers: meanwhile.changed.map(number).join(", ") })}</p>
        )}
        {meanwhile.clashes.map(({ id, theirs }) => (
          <div key={id} className="mt-2">
            <p>{t("You both changed item {{n}}. Yours is shown here. Theirs is:", { n: number(id) })}</p>
            <p className="font-script">
              {theirs ? `${theirs.prompt ?? ""} (${keyInShort(theirs)})` : t("removed")}
            </p>
            <TextButton onClick={() => take(id, theirs)}>{t("Use theirs")}</TextButton>
          </div>
        ))}
        <TextButton className="mt-2 underline" onClick={draft.forget}>
          {t("Close")}
        </TextButton>
      </Note>
    </MarginPart>
  );
}
