import { describe, expect, it } from "vitest";
import type { Schemas } from "../../../api/client";
import { slipsInWords } from "./slips";

const slip = (kind: Schemas["SlipView"]["kind"], meant: string | null = null) => ({
  kind,
  from: 0,
  to: 1,
  meant,
});

describe("slips of language", () => {
  it("are counted by kind, with the words that were meant, each once", () => {
    expect(slipsInWords([slip("SPELLING", "wind"), slip("CAPITAL"), slip("SPELLING", "wind")])).toEqual([
      "2 spelling (wind?)",
      "1 small letter at a beginning",
    ]);
    expect(slipsInWords([slip("SPELLING"), slip("END"), slip("SPACE")])).toEqual([
      "1 spelling",
      "1 blank at a sign",
      "no sign at the end",
    ]);
  });

  it("say nothing where there are none", () => {
    expect(slipsInWords([])).toEqual([]);
  });
});
