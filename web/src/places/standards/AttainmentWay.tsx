import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { api, ok, Problem, type Schemas } from "../../api/client";
import { Button, TextButton } from "../../parts/Button";
import { Count, Field } from "../../parts/Field";
import { MarginPart } from "../../parts/Sheet";
import { Loaded, Trouble } from "../../parts/States";
import { t } from "../../text";

type Way = Schemas["AttainmentWay"];

const KINDS: [Way["kind"], string][] = [
  ["SHARE", "all evidence together"],
  ["LATEST", "the latest assessments only"],
  ["DECAY", "newer evidence counts more"],
  ["BEST", "the best assessment"],
  ["COUNT", "so many of the latest reach the level"],
];

/** How a framework decides attainment: the way, and the levels in the school's own words. */
export function AttainmentWay({ framework }: { framework: string }) {
  const query = useQuery({
    queryKey: ["framework", framework, "attainment"],
    queryFn: () =>
      ok(api.GET("/api/frameworks/{framework}/attainment-rule", { params: { path: { framework } } })),
  });
  return (
    <MarginPart title={t("How attainment is decided")}>
      <Loaded query={query}>
        {(rule) => <Shown key={`${framework}.${rule.revision}`} framework={framework} rule={rule} />}
      </Loaded>
    </MarginPart>
  );
}

function Shown({ framework, rule }: { framework: string; rule: Schemas["AttainmentRuleView"] }) {
  const [editing, setEditing] = useState(false);
  return editing ? (
    <Form framework={framework} rule={rule} onClose={() => setEditing(false)} />
  ) : (
    <>
      <p className="text-small">{t(KINDS.find(([k]) => k === rule.way.kind)?.[1] ?? "")}</p>
      <ul className="text-small">
        {rule.way.levels.map((l) => (
          <li key={l.from}>{t("{{band}} from {{percent}}", { band: l.label, percent: `${l.from}%` })}</li>
        ))}
      </ul>
      <TextButton className="min-h-6 text-small" onClick={() => setEditing(true)}>
        {t("Change how attainment is decided")}
      </TextButton>
    </>
  );
}

function Form({
  framework,
  rule,
  onClose,
}: {
  framework: string;
  rule: Schemas["AttainmentRuleView"];
  onClose: () => void;
}) {
  const client = useQueryClient();
  const [way, setWay] = useState<Way>(rule.way);
  const put = (change: Partial<Way>) => setWay({ ...way, ...change });
  const save = useMutation({
    mutationFn: () =>
      ok(
        api.PUT("/api/frameworks/{framework}/attainment-rule", {
          params: { path: { framework } },
          body: { way, revision: rule.revision },
        }),
      ),
    onSuccess: async () => {
      await client.invalidateQueries({ queryKey: ["framework", framework] });
      await client.invalidateQueries({ queryKey: ["attainment"] });
      onClose();
    },
  });
  const fault = (place: string) =>
    save.error instanceof Problem ? save.error.places.find((p) => p.path === place)?.message : undefined;
  const level = (i: number, change: Partial<Way["levels"][number]>) =>
    put({ levels: way.levels.map((l, k) => (k === i ? { ...l, ...change } : l)) });
  return (
    <form
      className="grid gap-3"
      onSubmit={(e) => {
        e.preventDefault();
        save.mutate();
      }}
    >
      <label className="block text-small font-semibold text-soft">
        {t("What counts")}
        <select
          value={way.kind}
          onChange={(e) => put({ kind: e.target.value as Way["kind"] })}
          className="mt-1 block w-full rounded-corner border border-rule-strong bg-sheet px-2 py-1.5 font-normal text-ink"
        >
          {KINDS.map(([kind, words]) => (
            <option key={kind} value={kind}>
              {t(words)}
            </option>
          ))}
        </select>
      </label>
      {(way.kind === "LATEST" || way.kind === "COUNT") && (
        <Count
          label={way.kind === "LATEST" ? t("How many of the latest") : t("How many must reach the level")}
          value={way.n}
          fault={fault("n")}
          onChange={(n) => put({ n: n ?? 0 })}
        />
      )}
      {way.kind === "COUNT" && (
        <Count
          label={t("Of how many of the latest")}
          value={way.of}
          onChange={(of) => put({ of: of ?? 0 })}
        />
      )}
      {way.kind === "DECAY" && (
        <Field
          label={t("How much the newest counts, from 0 to 1")}
          value={way.weight}
          inputMode="decimal"
          fault={fault("weight")}
          onChange={(e) => put({ weight: e.target.value })}
        />
      )}
      <fieldset className="grid gap-2">
        <legend className="mb-1 text-small font-semibold text-soft">
          {t("Levels, each from a percentage on")}
        </legend>
        {way.levels.map((l, i) => (
          <div key={i} className="flex items-start gap-2">
            <Field
              hidden
              label={t("Level {{n}}: from which percentage", { n: i + 1 })}
              value={l.from}
              inputMode="decimal"
              className="w-16"
              fault={fault(`levels[${i}].from`)}
              onChange={(e) => level(i, { from: e.target.value })}
            />
            <Field
              hidden
              label={t("Level {{n}}: its name", { n: i + 1 })}
              value={l.label}
              maxLength={60}
              className="min-w-0 flex-1"
              fault={fault(`levels[${i}].label`)}
              onChange={(e) => level(i, { label: e.target.value })}
            />
            {way.levels.length > 1 && (
              <TextButton
                className="min-h-8 text-small"
                aria-label={t("Remove level {{n}}", { n: i + 1 })}
                onClick={() => put({ levels: way.levels.filter((_, k) => k !== i) })}
              >
                {t("Remove")}
              </TextButton>
            )}
          </div>
        ))}
        {way.levels.length < 12 && (
          <TextButton
            className="min-h-6 justify-self-start text-small"
            onClick={() => put({ levels: [...way.levels, { from: "", label: "" }] })}
          >
            {t("Add a level")}
          </TextButton>
        )}
      </fieldset>
      <Count
        label={t("With fewer questions than this there is no level")}
        value={way.minEvidence}
        fault={fault("minEvidence")}
        onChange={(n) => put({ minEvidence: n ?? 0 })}
      />
      <Trouble error={save.error} />
      <p className="flex gap-2">
        <Button look="strong" type="submit" disabled={save.isPending}>
          {t("Save")}
        </Button>
        <Button look="quiet" onClick={onClose}>
          {t("Leave it as it is")}
        </Button>
      </p>
    </form>
  );
}
