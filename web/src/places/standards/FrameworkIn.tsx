import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { useNavigate } from "react-router";
import { api, ok, sendFile } from "../../api/client";
import { Button } from "../../parts/Button";
import { Field } from "../../parts/Field";
import { FileField } from "../../parts/FileField";
import { MarginPart } from "../../parts/Sheet";
import { Trouble } from "../../parts/States";
import { t } from "../../text";

/** A framework from a table or a CASE file, or an empty one. */
export function FrameworkIn() {
  const client = useQueryClient();
  const navigate = useNavigate();
  const [title, setTitle] = useState("");
  const [version, setVersion] = useState("1");
  const made = async ({ id }: { id: string }) => {
    await client.invalidateQueries({ queryKey: ["frameworks"] });
    void navigate(`/standards/${id}`);
  };
  const take = useMutation({
    mutationFn: (file: File) => sendFile<{ id: string }>("/api/frameworks/file", file, { title, version }),
    onSuccess: made,
  });
  const begin = useMutation({
    mutationFn: () =>
      ok(
        api.POST("/api/frameworks", {
          body: {
            definition: { id: "new", title, version, standards: [] } as object as Record<string, never>,
          },
        }),
      ),
    onSuccess: made,
  });
  return (
    <MarginPart title={t("Add a framework")}>
      <div className="mb-2 flex gap-2">
        <Field
          label={t("Title")}
          value={title}
          className="flex-1"
          onChange={(e) => setTitle(e.target.value)}
        />
        <Field
          label={t("Version")}
          value={version}
          className="w-20"
          onChange={(e) => setVersion(e.target.value)}
        />
      </div>
      <FileField
        label={t("a framework as CSV, .xlsx or CASE JSON")}
        accept=".csv,.xlsx,.json,application/json,text/csv"
        onFile={(file) => take.mutate(file)}
      />
      <p className="my-2 text-small text-soft">
        {t(
          "A table has the columns code, text and parent in any order. A CASE file brings its own title and version.",
        )}
      </p>
      <Button look="quiet" disabled={title.trim() === "" || begin.isPending} onClick={() => begin.mutate()}>
        {t("Start an empty one")}
      </Button>
      <Trouble error={take.error ?? begin.error} />
    </MarginPart>
  );
}
