import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { api, ok } from "../../api/client";
import { TextButton } from "../../parts/Button";
import { MarginPart } from "../../parts/Sheet";
import { t } from "../../text";
import { moment } from "../../text/figures";
import { type Item, keyInShort } from "./definition";

/** What the item was, from change to change, and the way back to each. */
export function ItemHistory({
  assessment,
  item,
  onChange,
}: {
  assessment: string;
  item: Item;
  onChange: (item: Item) => void;
}) {
  const [open, setOpen] = useState(false);
  const history = useQuery({
    queryKey: ["item-history", assessment, item.id],
    queryFn: () =>
      ok(
        api.GET("/api/assessments/{assessment}/items/{item}/history", {
          params: { path: { assessment, item: item.id } },
        }),
      ),
    enabled: open,
    staleTime: 0,
  });
  if (!open) {
    return (
      <TextButton className="mb-5 text-small underline" onClick={() => setOpen(true)}>
        {t("Earlier forms of this item")}
      </TextButton>
    );
  }
  return (
    <MarginPart title={t("Earlier forms of this item")}>
      <ul className="text-small">
        {history.data?.map((v) => {
          const was = v.definition as Item | null;
          return (
            <li key={v.at} className="border-b border-rule py-1">
              {v.by}, {moment(v.at)}
              <span className="block font-script">
                {was ? `${was.prompt ?? ""} (${keyInShort(was)})` : t("removed")}
              </span>
              {was && <TextButton onClick={() => onChange(was)}>{t("Restore")}</TextButton>}
            </li>
          );
        })}
      </ul>
      {history.data?.length === 0 && (
        <p className="text-soft">{t("It has not changed since it was added.")}</p>
      )}
    </MarginPart>
  );
}
