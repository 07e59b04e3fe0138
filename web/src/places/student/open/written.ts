/** An open answer: what is typed, and the pictures and PDFs beside it. */
export type Written = { text: string; attachments: string[] };

export function writtenOf(answer: unknown): Written {
  if (typeof answer === "string") {
    return { text: answer, attachments: [] };
  }
  const { text = "", attachments = [] } = (answer ?? {}) as Partial<Written>;
  return { text, attachments };
}

/** As it is sent: without attachments a text and nothing else. */
export const answerOf = (written: Written): string | Written =>
  written.attachments.length === 0 ? written.text : written;
