"use client";

import { FileUp, Plus, Search } from "lucide-react";
import { useCallback, useMemo } from "react";
import { useDropzone } from "react-dropzone";
import type { RegisterAsked, RegisterPage, RegisterSort } from "@/server/contract";
import { RegisterPager } from "./RegisterPager";
import { RegisterTable } from "./RegisterTable";
import { registerActions } from "./register-actions";
import { useRegisterPage } from "./use-register-page";
import { WaitingChanges } from "./WaitingChanges";

type Props = { page: RegisterPage; asked: RegisterAsked; houseName: string };

/** The app opens here: every deal, the way to a new one, and the way in for deal files. */
export function Register({ page: initial, asked: opened, houseName }: Props) {
  const { page, asked, show, reload } = useRegisterPage(initial, opened);
  const { newDeal, duplicate, remove, bringIn } = useMemo(() => registerActions(reload), [reload]);
  const sortBy = useCallback((sort: RegisterSort, descending: boolean) => show({ sort, descending }), [show]);
  const isSearch = asked.search.trim() !== "";
  const drop = useDropzone({ noClick: true, noKeyboard: true, onDrop: files => void bringIn(files) });

  return (
    <div {...drop.getRootProps({ role: undefined })} className="min-h-full p-4 md:px-6">
      <input {...drop.getInputProps({ "aria-label": "Deal files" })} />
      <WaitingChanges />
      <div className="mb-3 flex flex-wrap items-center gap-3">
        <h1 className="font-semibold text-2xl">Deals</h1>
        {houseName && <p className="text-faint">{houseName}</p>}
        <label className="relative ml-auto min-w-48 grow basis-48 sm:max-w-xs">
          <span className="sr-only">Search the deals</span>
          <Search size={16} aria-hidden="true" className="absolute top-2.5 left-2.5 text-faint" />
          <input
            type="search"
            className="field pl-8"
            placeholder="Search the deals"
            value={asked.search}
            onChange={event => show({ search: event.target.value })}
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
      <RegisterPager page={page} isSearch={isSearch} onPage={wanted => show({ page: wanted })} />
      <section aria-label="The deals" className="card-paper overflow-x-auto">
        {page.rows.length > 0 ? (
          <RegisterTable
            rows={page.rows}
            locale={page.locale}
            sort={asked.sort}
            descending={asked.descending}
            onSort={sortBy}
            onDuplicate={duplicate}
            onDelete={remove}
          />
        ) : (
          <NoDeals searched={isSearch} />
        )}
      </section>
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
