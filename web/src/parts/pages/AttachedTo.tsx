import { useQuery } from "@tanstack/react-query";
import { api, ok, type Schemas } from "../../api/client";
import { Trouble } from "../States";
import { Attachment } from "./Attachment";

/** A result that was handed back to its student, or an attempt as its teacher sees it. */
export type DrawnOf = { result: string } | { attempt: string };

/** The pictures and PDFs of an answer, with what its reader drew on them. */
export function AttachedTo({ item, of }: { item: Schemas["ResultItem"]; of: DrawnOf | undefined }) {
  const drawn = useQuery({
    queryKey: ["drawn", of, item.item, item.drawn],
    enabled: of !== undefined && Boolean(item.drawn),
    queryFn: () =>
      of && "attempt" in of
        ? ok(
            api.GET("/api/attempts/{attempt}/drawn/{item}", {
              params: { path: { attempt: of.attempt, item: item.item } },
            }),
          )
        : ok(
            api.GET("/api/student/results/{result}/drawn/{item}", {
              params: { path: { result: of?.result ?? "", item: item.item } },
            }),
          ),
  });
  return (
    <div className="mt-2 max-w-[44rem]">
      {(item.attachments ?? []).map((file, i) => (
        <Attachment key={file} file={file} number={i + 1} marks={drawn.data ?? []} />
      ))}
      <Trouble error={drawn.error} />
    </div>
  );
}
