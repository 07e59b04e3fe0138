import { Problem, type Schemas, sendFile } from "../api/client";
import { t } from "../text";

export type Uploaded = Schemas["Taken"];

const MEGABYTE = 1_000_000;
const LARGEST = { picture: 10, other: 40 };

/** What is wrong with a file before it is sent; empty when nothing is. */
export function tooLarge(file: { name: string; size: number; type: string }): string {
  const most = file.type.startsWith("image/") ? LARGEST.picture : LARGEST.other;
  return file.size > most * MEGABYTE
    ? t("“{{name}}” has {{size}} MB; at most {{most}} MB are taken. Make it smaller and put it in again.", {
        name: file.name,
        size: Math.round(file.size / MEGABYTE),
        most,
      })
    : "";
}

/** Sends a picture, a recording or a paper; what is wrong with it is thrown in words. */
export async function upload(file: File): Promise<Uploaded> {
  const fault = tooLarge(file);
  if (fault) {
    throw new Problem(413, "too-large", fault, []);
  }
  return sendFile<Uploaded>("/api/files", file);
}

export const fileUrl = (id: string) => `/api/files/${id}`;
