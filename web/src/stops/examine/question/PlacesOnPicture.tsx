import { shape } from "../../../parts/Mark";
import { fileUrl } from "../../../parts/upload";
import { t } from "../../../text";
import type { QuestionView } from "./useQuestion";

/** Every place that was shown, on the picture; its shape says what it got. */
export function PlacesOnPicture({ view }: { view: QuestionView }) {
  if (!view.picture) {
    return null;
  }
  return (
    <figure className="m-0 max-w-xl">
      <span className="relative inline-block">
        <img src={fileUrl(view.picture)} alt={view.alt ?? ""} className="block w-full" />
        {view.groups.flatMap((g) =>
          (g.given?.pieces ?? []).map((p, i) => (
            <span
              key={`${g.form}-${i}`}
              aria-hidden="true"
              className="absolute -translate-x-1/2 -translate-y-1/2 rounded-full bg-sheet/80 px-0.5 leading-none"
              style={{ left: `${Number(p.at) * 100}%`, top: `${Number(p.said) * 100}%` }}
            >
              {shape({ state: g.state, points: g.points ?? "0", of: view.points })}
            </span>
          )),
        )}
      </span>
      <figcaption className="text-small text-soft">
        {t("● full points, ◐ some, ○ none, at the place that was shown.")}
      </figcaption>
    </figure>
  );
}
