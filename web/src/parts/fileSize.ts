import { t } from "../text";

const MEGABYTE = 1_000_000;
const LARGEST = { picture: 10, other: 40 };

/** What is wrong with a file before it is sent; empty when nothing is. */
export function tooLarge(file: { name: string; size: number; type: string }): string {
  const most = file.type.startsWith("image/") ? LARGEST.picture : LARGEST.other;
  return file.size > most * MEGABYTE
    ? t("“{{name}}” is {{size}} MB. The limit is {{most}} MB. Make it smaller and add it again.", {
        name: file.name,
        size: Math.round(file.size / MEGABYTE),
        most,
      })
    : "";
}
