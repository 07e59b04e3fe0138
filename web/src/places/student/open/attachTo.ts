import { createContext } from "react";

/** Where the files of an answer are sent: those of a student to their attempt, those of a teacher who tries to their own. */
export const AttachTo = createContext("/api/files");
