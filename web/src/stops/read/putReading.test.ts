import { QueryClient, QueryObserver } from "@tanstack/react-query";
import { describe, expect, it } from "vitest";
import type { Schemas } from "../../api/client";
import { putReading } from "./putReading";

const answer = (saw: string) =>
  ({
    answer: "a",
    item: "q5",
    saw,
    student: null,
    mark: { state: "read" },
  }) as unknown as Schemas["ReadAnswer"];
const view = (saw: string) =>
  ({ item: "q5", questions: [], answers: [answer(saw)] }) as unknown as Schemas["ReadView"];
const KEY = ["readings", "x"];

describe("a reading that was saved", () => {
  it("stays on the page when a page that was read before it arrives after it", async () => {
    const client = new QueryClient();
    const waiting: ((v: Schemas["ReadView"]) => void)[] = [];
    const observer = new QueryObserver<Schemas["ReadView"]>(client, {
      queryKey: KEY,
      queryFn: () => new Promise((done) => waiting.push(done)),
      staleTime: 60_000,
      initialData: view("before"),
    });
    const leave = observer.subscribe(() => {});
    void client.invalidateQueries({ queryKey: KEY });
    expect(waiting).toHaveLength(1);
    await putReading(client, KEY, answer("saved"));
    waiting[0]?.(view("before"));
    await Promise.resolve();
    expect(client.getQueryData<Schemas["ReadView"]>(KEY)?.answers[0]?.saw).toBe("saved");
    expect(waiting).toHaveLength(2);
    waiting[1]?.(view("saved and more"));
    await new Promise((done) => setTimeout(done, 10));
    expect(client.getQueryData<Schemas["ReadView"]>(KEY)?.answers[0]?.saw).toBe("saved and more");
    leave();
  });

  it("fetches nothing where nothing is on its way", async () => {
    const client = new QueryClient();
    client.setQueryData(KEY, view("before"));
    await putReading(client, KEY, answer("saved"));
    expect(client.getQueryData<Schemas["ReadView"]>(KEY)?.answers[0]?.saw).toBe("saved");
    expect(client.isFetching()).toBe(0);
  });
});
