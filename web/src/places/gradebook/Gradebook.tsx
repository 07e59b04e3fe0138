import { useQuery } from "@tanstack/react-query";
import { useParams, useSearchParams } from "react-router";
import { api, ok, type Schemas } from "../../api/client";
import { MarginPart, Sheet } from "../../parts/Sheet";
import { Empty, Loaded } from "../../parts/States";
import { VirtualRows } from "../../parts/VirtualRows";
import { t } from "../../text";
import { points } from "../../text/figures";
import { Trace } from "./Trace";

type Cell = Schemas["GradebookCell"];

/** Students by assessments. A cell opens its trace in the margin; the cell that is open stands in the address. */
export function Gradebook() {
  const { course = "" } = useParams();
  const [params, setParams] = useSearchParams();
  const open = params.get("cell");
  const section = params.get("section") ?? "";
  const query = useQuery({
    queryKey: ["gradebook", course],
    queryFn: () => ok(api.GET("/api/courses/{course}/gradebook", { params: { path: { course } } })),
  });
  const set = (name: string, value: string) => {
    const next = new URLSearchParams(params);
    value ? next.set(name, value) : next.delete(name);
    setParams(next, { replace: true });
  };
  return (
    <Loaded query={query}>
      {(book) => (
        <Sheet margin={open ? <Trace attempt={open} /> : <HowToRead />}>
          <div className="flex flex-wrap items-baseline gap-4 px-6 pt-5 pb-4">
            <h1 className="font-script text-title font-semibold">{t("Gradebook")}</h1>
            <span className="font-script text-soft">{book.course}</span>
            <span className="ml-auto flex gap-3 text-small">
              {[{ id: "", name: t("all sections") }, ...book.sections].map((s) => (
                <button
                  key={s.id}
                  type="button"
                  aria-pressed={section === s.id}
                  onClick={() => set("section", s.id)}
                  className={section === s.id ? "font-semibold underline underline-offset-4" : "text-soft"}
                >
                  {s.name}
                </button>
              ))}
            </span>
          </div>
          {book.columns.length === 0 ? (
            <Empty title={t("No scores yet.")}>
              {t("They stand here as soon as a student has handed in.")}
            </Empty>
          ) : (
            <Table book={book} section={section} open={open} onOpen={(id) => set("cell", id)} />
          )}
        </Sheet>
      )}
    </Loaded>
  );
}

function Table({
  book,
  section,
  open,
  onOpen,
}: {
  book: Schemas["GradebookView"];
  section: string;
  open: string | null;
  onOpen: (attempt: string) => void;
}) {
  const rows = book.rows.filter((r) => !section || r.section === section);
  return (
    <section className="overflow-x-auto" aria-label={t("Students by assessments")}>
      <table className="min-w-full">
        <thead>
          <tr className="border-y border-rule align-bottom text-small">
            <th scope="col" className="sticky left-0 bg-sheet py-2 pl-6 text-left font-normal text-soft">
              {t("Student")}
            </th>
            {book.columns.map((c) => (
              <th
                key={c.assessment}
                scope="col"
                className="w-24 px-2 py-2 text-right font-script font-normal"
              >
                {c.title}
              </th>
            ))}
          </tr>
        </thead>
        <VirtualRows rows={rows} height={31} columns={book.columns.length + 1}>
          {(r) => (
            <tr key={r.student + r.section} className="border-b border-rule">
              <th
                scope="row"
                className="sticky left-0 bg-sheet py-1 pr-4 pl-6 text-left min-w-44 max-w-80 wrap-anywhere"
              >
                {`${r.family}, ${r.given}`}
              </th>
              {r.cells.map((cell, i) => (
                <td key={book.columns[i]?.assessment} className="p-0 text-right">
                  {cell ? (
                    <CellButton cell={cell} open={cell.standing.attempt === open} onOpen={onOpen} />
                  ) : (
                    <span className="px-2 text-soft">–</span>
                  )}
                </td>
              ))}
            </tr>
          )}
        </VirtualRows>
      </table>
    </section>
  );
}

function CellButton({
  cell,
  open,
  onOpen,
}: {
  cell: Cell;
  open: boolean;
  onOpen: (attempt: string) => void;
}) {
  const { standing } = cell;
  return (
    <button
      type="button"
      onClick={() => onOpen(standing.attempt)}
      title={titleOf(cell)}
      aria-pressed={open}
      className={`w-full whitespace-nowrap px-2 py-1 text-right ${open ? "bg-by-rule-wash font-semibold" : ""} ${standing.provisional ? "text-waiting" : ""}`}
    >
      {standing.percent ?? "–"}
      <span aria-hidden="true" className="inline-block w-4">
        {cell.changedFrom !== null ? "≠" : standing.provisional ? "…" : cell.handedBack ? "·" : ""}
      </span>
      <span className="sr-only">
        {cell.changedFrom !== null &&
          t("changed since it was handed back as {{was}}", { was: cell.changedFrom })}{" "}
        {standing.provisional
          ? t("still provisional")
          : cell.handedBack
            ? t("handed back")
            : t("not handed back")}
      </span>
    </button>
  );
}

function titleOf({ standing, changedFrom, attempts }: Cell): string {
  return [
    `${points(standing.score)} / ${points(standing.possible)}`,
    changedFrom !== null && t("changed since it was handed back as {{was}}", { was: changedFrom }),
    attempts > 1 && t("counts of {{count}} attempts", { count: attempts }),
  ]
    .filter(Boolean)
    .join(" · ");
}

function HowToRead() {
  return (
    <MarginPart title={t("How to read this")}>
      <p className="mb-2">
        {t("Each number is the student's current percentage. Choose one to see how it was worked out.")}
      </p>
      <ul className="text-small">
        <li>
          <span className="text-waiting">54.2…</span> {t("provisional: something still waits to be decided")}
        </li>
        <li>75.0· {t("handed back")}</li>
        <li>75.0≠ {t("changed since it was handed back")}</li>
        <li>– {t("not handed in")}</li>
      </ul>
    </MarginPart>
  );
}
