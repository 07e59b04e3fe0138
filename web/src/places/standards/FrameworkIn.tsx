import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Link, useNavigate } from "react-router";
import { api, ok } from "../../api/client";
import { Button } from "../../parts/Button";
import { MarginPart } from "../../parts/Sheet";
import { Trouble } from "../../parts/States";
import { t } from "../../text";
import { TitleAndVersion } from "./TitleAndVersion";

/** An empty framework to begin with, or the way to bring one in. */
export function FrameworkIn() {
  const client = useQueryClient();
  const navigate = useNavigate();
  const [title, setTitle] = useState("");
  const [version, setVersion] = useState("1");
  const made = async ({ id }: { id: string }) => {
    await client.invalidateQueries({ queryKey: ["frameworks"] });
    void navigate(`/standards/${id}`);
  };
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
      <TitleAndVersion title={title} version={version} onTitle={setTitle} onVersion={setVersion} />
      <Button look="quiet" disabled={title.trim() === "" || begin.isPending} onClick={() => begin.mutate()}>
        {t("Start an empty one")}
      </Button>
      <p className="mt-2">
        <Link to="/standards/in" className="font-semibold underline">
          {t("Bring one in from a file")}
        </Link>
      </p>
      <Trouble error={begin.error} />
    </MarginPart>
  );
}
