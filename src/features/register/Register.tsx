"use client";

import { FileDown, FileUp, Search } from "lucide-react";
import { useCallback, useMemo, useState } from "react";
import { useDropzone } from "react-dropzone";
import { STATUS_NAMES } from "@/exchange/deal-document/status-names";
import { notationOf } from "@/exchange/notation";
import { REGISTER_KINDS } from "@/exchange/option-words";
import type { NewDeal } from "@/exchange/settings";
import { useKeys } from "@/features/focus/use-keys";
import { useMay } from "@/features/people/me-context";
import type { RegisterAsked, RegisterPage, RegisterSort } from "@/server/contract";
import { type Arriving, ArrivingFile } from "./ArrivingFile";
import { NewDealButton } from "./NewDealButton";
import { PeriodFilter } from "./PeriodFilter";
import { RegisterPager } from "./RegisterPager";
import { RegisterTable } from "./RegisterTable";
import { registerActions } from "./register-actions";
import { registerQuery } from "./register-query";
import { useRegisterPage } from "./use-register-page";
import { WaitingChanges } from "./WaitingChanges";
import { WhoseFilter } from "./WhoseFilter";

const DELETED = "deleted";
const STATUS_FILTERS = { ...STATUS_NAMES, [DELETED]: "Deleted" } as const;

type Props = {
  page: RegisterPage;
  asked: RegisterAsked;
  houseName: string;
  /** What a new deal is in this house. */
  usual: NewDeal;
};

/** The app opens here: every deal, the way to a new one, and the way in for deal files. */
export function Register({ page: initial, asked: opened, houseName, usual }: Props) {
  const { page, asked, show, reload } = useRegisterPage(initial, opened);
  const [arriving, setArriving] = useState<Arriving | null>(null);
  const { duplicate, remove, bringBack, bringBackLast, bringIn } = useMemo(
    () => registerActions(reload, setArriving),
    [reload],
  );
  useKeys(event => {
    const isUndo = event.key.toLowerCase() === "z" && (event.ctrlKey || event.metaKey);
    if (!isUndo || event.altKey || event.shiftKey || event.target instanceof HTMLInputElement) return;
    event.preventDefault();
    void bringBackLast();
  });
  const sortBy = useCallback((sort: RegisterSort, descending: boolean) => show({ sort, descending }), [show]);
  const isSearch = asked.search.trim() !== "";
  const [mayChange, mayMoveAll, mayExport] = [
    useMay("changeDeals"),
    useMay("moveAllDeals"),
    useMay("exportDeals"),
  ];
  const drop = useDropzone({
    noClick: true,
    noKeyboard: true,
    disabled: !mayChange,
    onDrop: files => void bringIn(files),
  });

  return (
    <div {...drop.getRootProps({ role: undefined })} className="min-h-full p-4 md:px-6">
      <input {...drop.getInputProps({ "aria-label": "Deal files" })} />
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
        <Filter
          label="Status"
          value={asked.deleted ? DELETED : (asked.status ?? null)}
          names={STATUS_FILTERS}
          all="Any status"
          onChange={status =>
            show({ deleted: status === DELETED, status: status === DELETED ? null : status })
          }
        />
        <Filter
          label="Kind of plan"
          value={asked.planKind ?? null}
          names={REGISTER_KINDS}
          all="Any plan"
          onChange={planKind => show({ planKind })}
        />
        <PeriodFilter
          days={{ from: asked.from ?? null, to: asked.to ?? null }}
          notation={notationOf(page.locale)}
          onChange={days => show(days)}
        />
        {mayChange && (
          <button type="button" className="btn btn-sm h-8.5" onClick={drop.open}>
            <FileUp size={16} aria-hidden="true" />
            Import deals
          </button>
        )}
        {mayMoveAll && (
          <a className="btn btn-sm h-8.5" href="/api/deals/all" download="deals.ndjson">
            <FileDown size={16} aria-hidden="true" />
            Export all deals
          </a>
        )}
        {mayExport && (
          <a
            className="btn btn-sm h-8.5"
            href={`/api/deals/table${registerQuery(asked)}`}
            download="Deals.xlsx"
            title="The deals that are found, as a workbook"
          >
            <FileDown size={16} aria-hidden="true" />
            XLSX
          </a>
        )}
        {mayChange && <NewDealButton usual={usual} />}
      </div>
      {drop.isDragActive && (
        <p className="mb-3 rounded-box border-2 border-primary border-dashed p-4 text-center text-primary">
          Drop deal files here to import them.
        </p>
      )}
      {arriving && <ArrivingFile key={arriving.id} {...arriving} />}
      <RegisterPager page={page} isSearch={isSearch} onPage={wanted => show({ page: wanted })}>
        {page.owners && (
          <WhoseFilter
            owners={page.owners}
            asked={asked}
            onChange={whose => show({ owner: null, branch: null, ...whose })}
          />
        )}
      </RegisterPager>
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
            {...(asked.deleted && { onBringBack: bringBack })}
          />
        ) : (
          <NoDeals asked={asked} />
        )}
      </section>
      <WaitingChanges />
    </div>
  );
}

type FilterProps<Value extends string> = {
  label: string;
  value: Value | null;
  names: Record<Value, string>;
  /** Where nothing is left out. */
  all: string;
  onChange: (value: Value | null) => void;
};

function Filter<Value extends string>({ label, value, names, all, onChange }: FilterProps<Value>) {
  return (
    <select
      aria-label={label}
      className="field w-auto [field-sizing:content]"
      value={value ?? ""}
      onChange={event => onChange((event.target.value || null) as Value | null)}
    >
      <option value="">{all}</option>
      {(Object.entries(names) as [Value, string][]).map(([each, name]) => (
        <option key={each} value={each}>
          {name}
        </option>
      ))}
    </select>
  );
}

function NoDeals({ asked }: { asked: RegisterAsked }) {
  return <p className="p-8 text-center text-faint">{whyNone(asked)}</p>;
}

function whyNone({ search, status, planKind, from, to, owner, branch, deleted }: RegisterAsked): string {
  if (status ?? planKind ?? from ?? to ?? owner ?? branch) return "No deal is like that.";
  if (search.trim() !== "") return "No deal matches this search.";
  return deleted
    ? "No deal is deleted."
    : "There are no deals yet. Start with New deal, or drop deal files anywhere on this page.";
}
