"use client";

import { FileUp, Plus, Search } from "lucide-react";
import { useDeferredValue, useMemo, useState } from "react";
import { useDropzone } from "react-dropzone";
import type { RegisterRow } from "@/server/contract";
import { RegisterTable } from "./RegisterTable";
import { matchesSearch } from "./search";
import { useRegister } from "./use-register";
import { WaitingChanges } from "./WaitingChanges";

/** The app opens here: every deal, the way to a new one, and the way in for deal files. */
export function Register({ rows: initial }: { rows: RegisterRow[] }) {
  const { rows, newDeal, duplicate, remove, bringIn } = useRegister(initial);
  const [search, setSearch] = useState("");
  const wanted = useDeferredValue(search);
  const shown = useMemo(() => rows.filter(row => matchesSearch(row, wanted)), [rows, wanted]);
  const drop = useDropzone({ noClick: true, noKeyboard: true, onDrop: files => void bringIn(files) });

  return (
    <div {...drop.getRootProps({ role: undefined })} className="min-h-full p-4 md:px-6">
      <input {...drop.getInputProps({ "aria-label": "Deal files" })} />
      <WaitingChanges />
      <div className="mb-3 flex flex-wrap items-center gap-3">
        <h1 className="font-semibold text-2xl">Deals</h1>
        <label className="relative ml-auto min-w-48 grow basis-48 sm:max-w-xs">
          <span className="sr-only">Search the deals</span>
          <Search size={16} aria-hidden="true" className="absolute top-2.5 left-2.5 text-faint" />
          <input
            type="search"
            className="field pl-8"
            placeholder="Search the deals"
            value={search}
            onChange={event => setSearch(event.target.value)}
          />
        </label>
        <button type="button" className="btn btn-sm h-8.5" onClick={drop.open}>
          <FileUp size={16} aria-hidden="true" />
          Bring in deal files
        </button>
        <button type="button" className="btn btn-primary btn-sm h-8.5" onClick={() => void newDeal()}>
          <Plus size={16} aria-hidden="true" />
          New deal
        </button>
      </div>
      {drop.isDragActive && (
        <p className="mb-3 rounded-box border-2 border-primary border-dashed p-4 text-center text-primary">
          Drop deal files here to bring them in.
        </p>
      )}
      <section aria-label="The deals" className="card-paper overflow-x-auto">
        {shown.length > 0 ? (
          <RegisterTable
            rows={shown}
            onDuplicate={row => void duplicate(row)}
            onDelete={row => void remove(row)}
          />
        ) : (
          <NoDeals searched={rows.length > 0} />
        )}
      </section>
      <p className="mt-2 text-faint text-sm" role="status">
        {shown.length === rows.length ? `${rows.length} deals` : `${shown.length} of ${rows.length} deals`}
      </p>
    </div>
  );
}

function NoDeals({ searched }: { searched: boolean }) {
  return (
    <p className="p-8 text-center text-faint">
      {searched
        ? "No deal matches this search."
        : "There are no deals yet. Start with New deal, or drop deal files anywhere on this page."}
    </p>
  );
}
