import { useEffect, useState } from "react";
import { Problem } from "../../api/client";
import { t } from "../../text";
import { type Page, pagesOf } from "./pagesOf";

const AT_ONCE = 20;

/** The pages of an attachment; of a long PDF more when they are wanted. */
export function usePages(file: string) {
  const [most, setMost] = useState(AT_ONCE);
  const [pages, setPages] = useState<Page[]>([]);
  const [all, setAll] = useState<number | null>(null);
  const [error, setError] = useState<Problem | null>(null);
  const [tries, setTries] = useState(0);
  // biome-ignore lint/correctness/useExhaustiveDependencies: trying again is doing it again
  useEffect(() => {
    let gone = false;
    const urls: string[] = [];
    setPages([]);
    setAll(null);
    setError(null);
    pagesOf(file, most, (page, count) => {
      urls.push(page.url);
      if (gone) {
        URL.revokeObjectURL(page.url);
        return;
      }
      setPages((before) => [...before, page]);
      setAll(count);
    }).catch((reason: unknown) => {
      if (!gone) {
        setError(
          reason instanceof Problem
            ? reason
            : new Problem(0, "attachment", t("This attachment could not be shown."), []),
        );
      }
    });
    return () => {
      gone = true;
      urls.forEach((url) => {
        URL.revokeObjectURL(url);
      });
    };
  }, [file, most, tries]);
  return {
    pages,
    /** How many there are; null while that is not known. */
    all,
    error,
    again: () => setTries(tries + 1),
    more: () => setMost(most + AT_ONCE),
  };
}
