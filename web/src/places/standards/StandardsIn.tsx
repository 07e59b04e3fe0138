import { useState } from "react";
import { Link } from "react-router";
import { Button } from "../../parts/Button";
import { FileReading } from "../../parts/FileReading";
import { PasteOrFile } from "../../parts/PasteOrFile";
import { MarginPart, Note, Sheet } from "../../parts/Sheet";
import { Empty, Trouble } from "../../parts/States";
import { UsedColumns } from "../../parts/UsedColumns";
import type { FrameworkFile } from "../../stops/key/definition";
import { t } from "../../text";
import { TitleAndVersion } from "./TitleAndVersion";
import { inTree } from "./tree";
import { type Preview, type Role, useStandardsIn } from "./useStandardsIn";

const USES: [Role, string][] = [
  ["CODE", "the code"],
  ["TEXT", "what is to be learned"],
  ["PARENT", "the code above"],
  ["LEVEL", "its level, 1 at the top"],
  ["STEP", "words of a level above"],
  ["LEFT_OUT", "not used"],
];

/** A framework from a file or a paste: the tree that it makes and what is lost, before anything is stored. */
export function StandardsIn() {
  const source = useStandardsIn();
  const { preview } = source;
  return (
    <Sheet margin={preview && <Taking key={titleOf(preview)} preview={preview} source={source} />}>
      <div className="border-b border-rule px-6 py-4">
        <Link to="/standards" className="text-small text-soft underline">
          {t("Standards")}
        </Link>
        <h1 className="mb-3 font-script text-title font-semibold">{t("Bring in a framework")}</h1>
        <PasteOrFile
          label={t("a framework as a table or a CASE file")}
          accept=".csv,.tsv,.txt,.xlsx,.ods,.json,application/json,text/csv"
          onFile={source.readFile}
        />
        <Trouble error={source.error} />
        {preview && preview.columns.length > 0 && (
          <>
            <UsedColumns columns={preview.columns} uses={USES} onChoose={source.setRole} />
            <div className="mt-3">
              <FileReading
                how={source.asked.how}
                encoding={preview.encoding}
                sheets={preview.sheets}
                onChange={source.setHow}
              />
            </div>
          </>
        )}
      </div>
      {preview ? (
        <FoundTree preview={preview} />
      ) : (
        <Empty title={t("Bring one in from a table or a CASE file.")}>
          {t(
            "A table has a code and a text for each standard. What stands above it is found from a column with the code above, a level, indentation, columns of their own, or the dots of the codes. You see the tree before anything is stored.",
          )}
        </Empty>
      )}
    </Sheet>
  );
}

const framework = (preview: Preview) => preview.definition as object as FrameworkFile;
const titleOf = (preview: Preview) => framework(preview).title;

/** Under which title it comes in, and what does not come in as it stands in the file. */
function Taking({ preview, source }: { preview: Preview; source: ReturnType<typeof useStandardsIn> }) {
  const [title, setTitle] = useState(titleOf(preview));
  const [version, setVersion] = useState(framework(preview).version);
  const count = framework(preview).standards.length;
  return (
    <>
      <MarginPart title={t("What will be brought in")}>
        <Note by={preview.faults.length > 0 ? "waiting" : "rule"}>
          <p role="status">{t("{{count}} standards", { count })}</p>
          {preview.faults.map((f) => (
            <p key={f.path + f.message} className="font-semibold text-waiting">
              {f.path}: {f.message}
            </p>
          ))}
        </Note>
        <TitleAndVersion title={title} version={version} onTitle={setTitle} onVersion={setVersion} />
        <Button
          look="strong"
          disabled={
            title.trim() === "" ||
            count === 0 ||
            preview.faults.length > 0 ||
            source.isLooking ||
            source.isTaking
          }
          onClick={() => source.take({ title, version })}
        >
          {t("Take {{count}} standards", { count })}
        </Button>
        {title.trim() === "" && (
          <p className="mt-1 text-small text-waiting">{t("Give the framework a title first.")}</p>
        )}
      </MarginPart>
      {preview.notes.length > 0 && (
        <MarginPart title={t("Not as it stands in the file")}>
          <ul>
            {preview.notes.map((n) => (
              <li key={n.path + n.message} className="border-l-3 border-waiting py-0.5 pl-3 text-small">
                {n.path && <span className="text-soft">{n.path}: </span>}
                {n.message}
              </li>
            ))}
          </ul>
        </MarginPart>
      )}
    </>
  );
}

function FoundTree({ preview }: { preview: Preview }) {
  return (
    <ul aria-label={t("The tree")}>
      {inTree(framework(preview).standards).map(({ standard: s, depth }) => (
        <li
          key={s.code}
          className="flex items-baseline gap-4 border-b border-rule px-6 py-1.5"
          style={{ paddingInlineStart: `${24 + depth * 28}px` }}
        >
          <strong className="min-w-12 text-standard">{s.code}</strong>
          <span className={`font-script ${s.parent ? "" : "font-semibold"}`}>{s.text}</span>
        </li>
      ))}
    </ul>
  );
}
