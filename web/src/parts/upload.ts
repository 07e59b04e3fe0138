import { Problem, type Schemas, sendFile } from "../api/client";
import { tooLarge } from "./fileSize";

export type Uploaded = Schemas["Taken"];

/** Sends a picture, a recording or a paper; what is wrong with it is thrown in words. */
export async function upload(file: File, to = "/api/files"): Promise<Uploaded> {
  const fault = tooLarge(file);
  if (fault) {
    throw new Problem(413, "too-large", fault, []);
  }
  return sendFile<Uploaded>(to, file);
}

export const fileUrl = (id: string) => `/api/files/${id}`;
