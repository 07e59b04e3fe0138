import { expect, test } from "vitest";
import { answerOf, writtenOf } from "./written";

test("an open answer without attachments is a text, as it always was", () => {
  expect(answerOf(writtenOf("The tide falls."))).toBe("The tide falls.");
  expect(answerOf(writtenOf(null))).toBe("");
  expect(answerOf({ text: "", attachments: [] })).toBe("");
});

test("with attachments it is both, and is read as it was sent", () => {
  const sent = answerOf({ text: "See the photo.", attachments: ["0a"] });
  expect(sent).toEqual({ text: "See the photo.", attachments: ["0a"] });
  expect(writtenOf(sent)).toEqual({ text: "See the photo.", attachments: ["0a"] });
});
