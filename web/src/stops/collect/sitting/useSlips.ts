import { useMutation, useQueryClient } from "@tanstack/react-query";
import { api, ok } from "../../../api/client";
import type { SittingView } from "./useSitting";

/** Codes on slips for those who have a sitting: they are told once, when they are made. */
export function useSlips(view: SittingView) {
  const client = useQueryClient();
  const params = { params: { path: { sitting: view.sitting.id } } };
  const onSuccess = () => {
    void client.invalidateQueries({ queryKey: ["assessment", view.assessment, "sitting"] });
  };
  const make = useMutation({
    mutationFn: () => ok(api.POST("/api/sittings/{sitting}/slips", { ...params, body: { students: null } })),
    onSuccess,
  });
  const end = useMutation({
    mutationFn: () => ok(api.DELETE("/api/sittings/{sitting}/slips", params)),
    onSuccess,
  });
  return { make, end };
}
