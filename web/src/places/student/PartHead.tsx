import type { Schemas } from "../../api/client";

/** Where a part of the paper begins: its title, and what stands above its questions. */
export function PartHead({ part }: { part: Schemas["PaperPart"] | undefined }) {
  if (!part || (!part.title && !part.instructions)) {
    return null;
  }
  return (
    <div className="mb-4 border-b border-rule pb-3">
      <h2 className="font-script text-title font-semibold">{part.title || part.id}</h2>
      {part.instructions && <p className="mt-1 font-script whitespace-pre-wrap">{part.instructions}</p>}
    </div>
  );
}
