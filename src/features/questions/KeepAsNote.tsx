import { useEffect, useId, useState } from "react";
import { headingOf } from "@/exchange/deal-document";
import { api } from "@/features/api/api";
import type { Answer } from "@/features/api/client";
import { saveDeal } from "@/features/api/save-deal";
import { notify } from "@/features/notices/notify";
import type { RegisterRow } from "@/server/contract";

const PAUSE_MS = 150;
const SHOWN = 6;

const reasonOf = (answer: Exclude<Answer<unknown>, { kind: "done" }>) =>
  answer.kind === "away" ? "The server is away; nothing was kept." : answer.sentence;

/** Keeps an answer among the notes of a deal, which is looked for by its customer or vehicle. */
export function KeepAsNote({ text }: { text: string }) {
  const [isOpen, setOpen] = useState(false);
  const [search, setSearch] = useState("");
  const [rows, setRows] = useState<readonly RegisterRow[]>([]);
  const id = useId();
  useEffect(() => {
    if (!isOpen) return;
    const timer = setTimeout(async () => {
      const found = await api.register(`?search=${encodeURIComponent(search)}`);
      if (found.kind === "done") setRows(found.value.rows.slice(0, SHOWN));
    }, PAUSE_MS);
    return () => clearTimeout(timer);
  }, [isOpen, search]);
  const keep = async ({ id: dealId, customer }: RegisterRow) => {
    const opened = await api.deal(dealId);
    if (opened.kind !== "done") return void notify.error(reasonOf(opened));
    const heading = headingOf(opened.value.document);
    const notes = [heading.notes?.trim(), text].filter(Boolean).join("\n");
    const saved = await saveDeal(dealId, opened.value.version, { heading: { ...heading, notes } });
    if (saved.kind !== "done") return void notify.error(`Not kept. ${reasonOf(saved)}`);
    notify.success(`Kept among the notes of ${customer || "the deal"}.`);
    setOpen(false);
  };
  return (
    <div className="min-w-0">
      <button type="button" aria-expanded={isOpen} className="btn btn-sm" onClick={() => setOpen(!isOpen)}>
        Keep as a note on a deal
      </button>
      {isOpen && (
        <div className="mt-2 grid gap-1">
          <label htmlFor={id} className="text-faint text-sm">
            Whose deal
          </label>
          <input
            id={id}
            type="search"
            className="field"
            value={search}
            onChange={event => setSearch(event.target.value)}
          />
          <ul>
            {rows.map(row => (
              <li key={row.id}>
                <button
                  type="button"
                  className="w-full cursor-pointer rounded-field px-2 py-1 text-left hover:bg-base-200"
                  onClick={() => void keep(row)}
                >
                  {row.customer || "New deal"} <span className="text-faint">{row.vehicle}</span>
                </button>
              </li>
            ))}
          </ul>
        </div>
      )}
    </div>
  );
}
