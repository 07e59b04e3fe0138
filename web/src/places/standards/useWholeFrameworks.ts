import { useQuery } from "@tanstack/react-query";
import { api, ok } from "../../api/client";
import type { FrameworkFile } from "../../stops/key/definition";

/** The frameworks of the school with their standards, for what belongs to no course. */
export function useWholeFrameworks(): FrameworkFile[] {
  const query = useQuery({ queryKey: ["frameworks", "whole"], queryFn: whole });
  return query.data ?? [];
}

async function whole(): Promise<FrameworkFile[]> {
  const lines = await ok(api.GET("/api/frameworks"));
  const views = await Promise.all(
    lines.map((f) => ok(api.GET("/api/frameworks/{framework}", { params: { path: { framework: f.id } } }))),
  );
  return views.map((v) => v.definition as FrameworkFile);
}
