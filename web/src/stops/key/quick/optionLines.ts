import { freeLetter, type Item, type Named, put } from "../definition";

const MARK = /^\s*(?:[*✓✔]\s*)?(?:\(?[A-Za-z]\s*[).:]\s+|\(?\d{1,2}\s*[).:]\s+|[-–•·]\s+)?(?:[*✓✔]\s*)?/;

/** Pasted lines as options: from the one on in which they were pasted, with `*` before what is right. */
export function withOptionLines(item: Item, from: string, pasted: string): Item {
  const lines = pasted
    .split(/\r?\n/)
    .map((l) => l.trim())
    .filter(Boolean);
  const options: Named[] = (item.options ?? []).map((o) => ({ ...o }));
  const key = [...(item.key ?? [])];
  let place = options.findIndex((o) => o.id === from);
  for (const line of lines) {
    const mark = MARK.exec(line)?.[0] ?? "";
    const text = line.slice(mark.length).trim() || line;
    while (place < options.length && options[place]?.text) {
      place++;
    }
    const option = options[place] ?? { id: freeLetter(options), text: "" };
    option.text = text;
    options[place] = option;
    if (/[*✓✔]/.test(mark) && !key.includes(option.id)) {
      key.push(option.id);
    }
    place++;
  }
  const several = key.length > 1 && (item.max ?? 1) === 1;
  return put({ ...item, options, ...(several ? { max: options.length, rule: "net" } : {}) }, "key", key);
}
