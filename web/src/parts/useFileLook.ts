import { useMutation } from "@tanstack/react-query";
import { useState } from "react";

/**
 * A file, what a person says about it, and what it holds then. What was found stays in view while another choice about
 * the same file is looked at; of two looks the later one counts, whichever answer comes last.
 */
export function useFileLook<Asked, Found>(
  nothing: Asked,
  look: (file: File, asked: Asked) => Promise<Found>,
) {
  const [file, setFile] = useState<File | null>(null);
  const [asked, setAsked] = useState(nothing);
  const [found, setFound] = useState<Found | null>(null);
  const looking = useMutation({
    mutationFn: (about: { file: File; asked: Asked }) => look(about.file, about.asked),
  });
  const read = (about: { file: File; asked: Asked }) => {
    setFile(about.file);
    setAsked(about.asked);
    looking.mutate(about, { onSuccess: setFound });
  };
  const clear = () => {
    setFile(null);
    setFound(null);
    looking.reset();
  };
  return {
    file,
    asked,
    found,
    error: looking.error,
    isLooking: looking.isPending,
    choose: (chosen: File) => {
      clear();
      read({ file: chosen, asked: nothing });
    },
    ask: (next: Asked) => file && read({ file, asked: next }),
    clear,
  };
}
