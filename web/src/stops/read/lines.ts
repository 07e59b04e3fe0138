const WIDTH = 64;

/** A line of an answer with the place where it begins in it. */
export type Line = { from: number; text: string };

/** Breaks a text into lines that can be numbered, at words, and keeps the writer's own line ends. */
export function lines(text: string): Line[] {
  const all: Line[] = [];
  let from = 0;
  for (const paragraph of text.split("\n")) {
    let line: Line = { from, text: "" };
    let begun = false;
    for (const word of paragraph.split(" ")) {
      if (begun && line.text && line.text.length + 1 + word.length > WIDTH) {
        all.push(line);
        line = { from, text: word };
      } else {
        line.text = begun ? `${line.text} ${word}` : word;
      }
      begun = true;
      from += word.length + 1;
    }
    all.push(line);
  }
  return all;
}
