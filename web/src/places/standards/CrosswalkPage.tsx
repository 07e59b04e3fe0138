import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { useParams } from "react-router";
import { api, ok, type Schemas } from "../../api/client";
import { Button, TextButton } from "../../parts/Button";
import { MarginPart, Note, Sheet } from "../../parts/Sheet";
import { Loaded, Trouble } from "../../parts/States";
import type { FrameworkFile } from "../../stops/key/definition";
import { t } from "../../text";
import { Outdated } from "./Outdated";

type Line = Schemas["CrosswalkLine"];

/** From an older version to a newer one: what each standard became, and the items whose tags are outdated by it. */
export function CrosswalkPage() {
  const { framework: newer = "", older = "" } = useParams();
  const path = { params: { path: { older, newer } } };
  const lines = useQuery({
    queryKey: ["crosswalk", older, newer],
    queryFn: () => ok(api.GET("/api/crosswalks/{older}/{newer}", path)),
    refetchOnWindowFocus: false,
  });
  const target = useQuery({
    queryKey: ["framework", newer],
    queryFn: () => ok(api.GET("/api/frameworks/{framework}", { params: { path: { framework: newer } } })),
  });
  const source = useQuery({
    queryKey: ["framework", older],
    queryFn: () => ok(api.GET("/api/frameworks/{framework}", { params: { path: { framework: older } } })),
  });
  return (
    <Loaded query={lines}>
      {(all) => (
        <Editor
          key={`${older} ${newer}`}
          older={older}
          newer={newer}
          lines={all}
          title={
            source.data && target.data
              ? `${source.data.title} ${source.data.version} → ${target.data.title} ${target.data.version}`
              : ""
          }
          standards={(target.data?.definition as FrameworkFile | undefined)?.standards ?? []}
        />
      )}
    </Loaded>
  );
}

/** What each older code became; null while nobody has said anything. */
type Links = Record<string, string[] | null>;

function Editor({
  older,
  newer,
  lines,
  title,
  standards,
}: {
  older: string;
  newer: string;
  lines: Line[];
  title: string;
  standards: FrameworkFile["standards"];
}) {
  const client = useQueryClient();
  const [links, setLinks] = useState<Links>(() =>
    Object.fromEntries(lines.map((l) => [l.code, l.mapped ? l.to : null])),
  );
  const save = useMutation({
    mutationFn: (next: Links) =>
      ok(
        api.PUT("/api/crosswalks/{older}/{newer}", {
          params: { path: { older, newer } },
          body: { links: Object.entries(next).flatMap(([from, to]) => (to === null ? [] : [{ from, to }])) },
        }),
      ),
    onSuccess: () => client.invalidateQueries({ queryKey: ["outdated", older, newer] }),
  });
  const set = (code: string, to: string[] | null) => {
    const next = { ...links, [code]: to };
    setLinks(next);
    save.mutate(next);
  };
  const open = lines.filter((l) => links[l.code] === null);
  const takeAll = () => {
    const next = { ...links };
    for (const l of open) {
      next[l.code] = l.proposed[0] ? [l.proposed[0].code] : null;
    }
    setLinks(next);
    save.mutate(next);
  };
  return (
    <Sheet
      margin={
        <>
          <MarginPart title={t("Not mapped yet")}>
            <Note by={open.length > 0 ? "waiting" : "standard"}>
              <p role="status">
                {open.length > 0
                  ? t("{{count}} older standards are not mapped yet.", { count: open.length })
                  : t("Every older standard is mapped or retired.")}
              </p>
            </Note>
            {open.some((l) => l.proposed.length > 0) && (
              <Button look="quiet" onClick={takeAll}>
                {t("Accept the best match for each")}
              </Button>
            )}
            <Trouble error={save.error} />
          </MarginPart>
          <p className="text-small text-soft">
            {t(
              "One older standard to several new ones: split. Several older ones to the same new one: merged. To none: retired.",
            )}
          </p>
        </>
      }
    >
      <div className="px-6 py-4">
        <h1 className="mb-3 font-script text-title font-semibold">{title}</h1>
        <table className="w-full">
          <thead>
            <tr className="border-b border-rule text-left text-small text-soft">
              <th scope="col" className="w-1/3 font-normal">
                {t("Older")}
              </th>
              <th scope="col" className="font-normal">
                {t("becomes")}
              </th>
            </tr>
          </thead>
          <tbody>
            {lines.map((l) => (
              <tr key={l.code} className="border-b border-rule align-baseline">
                <td className="py-1.5 pr-3">
                  <strong className="text-standard">{l.code}</strong>{" "}
                  <span className="font-script">{l.text}</span>
                </td>
                <td className="py-1.5">
                  <Became
                    line={l}
                    to={links[l.code] ?? null}
                    standards={standards}
                    onChange={(to) => set(l.code, to)}
                  />
                </td>
              </tr>
            ))}
          </tbody>
        </table>
        <Outdated older={older} newer={newer} />
      </div>
    </Sheet>
  );
}

function Became({
  line,
  to,
  standards,
  onChange,
}: {
  line: Line;
  to: string[] | null;
  standards: FrameworkFile["standards"];
  onChange: (to: string[] | null) => void;
}) {
  const taken = to ?? [];
  return (
    <div className="flex flex-wrap items-center gap-2">
      {taken.map((code) => (
        <button
          key={code}
          type="button"
          className="rounded-corner bg-standard-wash px-2 py-0.5 text-left text-small text-standard"
          onClick={() => onChange(taken.filter((c) => c !== code))}
        >
          <strong>{code}</strong> {standards.find((s) => s.code === code)?.text}{" "}
          <span aria-hidden="true">−</span>
          <span className="sr-only">{t("Remove")}</span>
        </button>
      ))}
      {to?.length === 0 && <span className="text-soft">{t("retired")}</span>}
      {to === null &&
        line.proposed.map((p) => (
          <button
            key={p.code}
            type="button"
            className="rounded-corner border border-waiting px-2 py-0.5 text-left text-small"
            onClick={() => onChange([p.code])}
          >
            <strong>{p.code}</strong> {p.text} <span className="text-soft">{p.likeness}%</span>
          </button>
        ))}
      <select
        aria-label={t("what {{code}} became", { code: line.code })}
        value=""
        className="rounded-corner border border-rule bg-sheet text-small text-soft"
        onChange={(e) => e.target.value && onChange([...taken, e.target.value])}
      >
        <option value="">{t("Add a standard…")}</option>
        {standards
          .filter((s) => !taken.includes(s.code))
          .map((s) => (
            <option key={s.code} value={s.code}>
              {s.code} {s.text}
            </option>
          ))}
      </select>
      {to === null ? (
        <TextButton className="text-small text-soft" onClick={() => onChange([])}>
          {t("retired")}
        </TextButton>
      ) : (
        <TextButton className="text-small text-soft" onClick={() => onChange(null)}>
          {t("Clear")}
        </TextButton>
      )}
    </div>
  );
}
