import { useId, useState } from "react";
import { useDropzone } from "react-dropzone";
import type { StatedFile } from "@/exchange/match/match.schema";
import { readTable } from "@/exchange/match/read-table";
import { inNotation, type Notation } from "@/exchange/notation";
import { readTextFile } from "@/features/api/read-text-file";
import { todaysDay } from "@/features/figures/today";
import { useAskBeforeLeaving } from "@/features/typing/ask-before-leaving";
import { tableText } from "./table-text";

type Props = {
  table: StatedFile["table"];
  notation: Notation;
  put: (table: StatedFile["table"]) => void;
};

/** Whether what was read of a text is the table that is kept; of one that cannot be read there is none to be. */
function isOf(read: ReturnType<typeof readTable> | null, table: StatedFile["table"]): boolean {
  if (read && "sentence" in read) return true;
  return JSON.stringify(read?.rows) === JSON.stringify(table);
}

/** Their table, pasted or dropped as a file. What cannot be read stays where it is, and says why. */
export function TheirTable({ table, notation, put }: Props) {
  const [typed, setTyped] = useState<string | null>(null);
  const [fileProblem, setFileProblem] = useState<string>();
  const id = useId();
  const readOf = (each: string) =>
    each.trim() === "" ? null : readTable(each, { notation, today: todaysDay() });
  // What was pasted stands as it was, until the deal has another table: by undo, or from elsewhere.
  const isOwn = typed !== null && isOf(readOf(typed), table);
  const text = isOwn ? typed : table ? tableText(table, notation) : "";
  const read = readOf(text);
  const sentence = fileProblem ?? (read && "sentence" in read ? read.sentence : undefined);
  useAskBeforeLeaving(sentence !== undefined);
  const take = (next: string) => {
    setFileProblem(undefined);
    setTyped(next);
    if (next.trim() === "") return put(undefined);
    const rows = readOf(next);
    if (rows && "rows" in rows) put(rows.rows);
  };
  const drop = useDropzone({
    noClick: true,
    noKeyboard: true,
    multiple: false,
    onDrop: async ([file]) => {
      if (!file) return;
      const content = await readTextFile(file);
      if (content.ok) take(content.value);
      else setFileProblem(`${file.name}: ${content.sentence}`);
    },
  });
  const rows = read && "rows" in read ? read.rows.length : 0;
  return (
    <div {...drop.getRootProps({ role: undefined })} className="mt-2">
      <label htmlFor={id} className="block text-faint text-sm">
        or paste their table here, or drop a CSV of it
      </label>
      <textarea
        id={id}
        rows={5}
        spellCheck={false}
        className={`field mt-1 h-auto w-full resize-y whitespace-pre border-dashed py-1.5 font-mono text-xs leading-snug ${drop.isDragActive ? "border-primary" : ""}`}
        value={text}
        aria-invalid={sentence !== undefined}
        aria-describedby={`${id}-said`}
        onChange={event => take(event.target.value)}
      />
      <input {...drop.getInputProps({ "aria-label": "CSV file of their table" })} />
      <div id={`${id}-said`} aria-live="polite" className="text-sm">
        {sentence !== undefined && <p className="text-error">{inNotation(sentence, notation)}</p>}
        {rows > 0 && <p className="text-faint">{rows === 1 ? "1 row is read." : `${rows} rows are read.`}</p>}
        {read &&
          "noticed" in read &&
          read.noticed.map(each => <p key={each}>{inNotation(each, notation)}</p>)}
      </div>
    </div>
  );
}
