"use client";

import { FileDown, FileUp, Plus } from "lucide-react";
import { useEffect, useRef, useState } from "react";
import { useDropzone } from "react-dropzone";
import { notationOf } from "@/exchange/notation";
import type { Settings } from "@/exchange/settings";
import type { VehicleFile } from "@/exchange/stock/stock.schema";
import { type VehicleColumn, vehicleColumn } from "@/exchange/stock/vehicle-columns";
import { dealerApi } from "@/features/api/dealer";
import { readTextFile } from "@/features/api/read-text-file";
import { reasonOf } from "@/features/api/reason-of";
import { stockApi } from "@/features/api/stock";
import { saveTable } from "@/features/api/tables";
import { useSide } from "@/features/dealer-side/side-state";
import { saveFile } from "@/features/figures/save-file";
import { todaysDay } from "@/features/figures/today";
import { notify } from "@/features/notices/notify";
import { useMay } from "@/features/people/me-context";
import { useLookAgain } from "@/features/saving/look-again";
import type { KeptVehicle, StockReply, VehicleCosts } from "@/server/contract";
import { stockTable } from "./stock-table";
import { IN_LINE, OF_DEALER, type RowProps, VehicleRow } from "./VehicleRow";

type Props = { opened: StockReply; house: Settings };

const byDescription = (one: KeptVehicle, other: KeptVehicle) =>
  one.description.localeCompare(other.description) ||
  (one.stockNumber ?? "").localeCompare(other.stockNumber ?? "");

/** Where distances are told in miles. */
const IN_MILES: ReadonlySet<string> = new Set(["en-US", "en-GB"]);

const COLUMN_STYLES: Record<VehicleColumn["kind"], string> = {
  amount: "w-30 text-right",
  whole: "w-28 text-right",
  year: "w-24 text-right",
  choice: "w-30",
  line: "",
  date: "",
};

const UNKNOWN: VehicleCosts = { costMinor: null, invoiceMinor: null };

/** What words are looked for in. */
const searchedOf = ({ description, stockNumber, kind, condition, modelYear, identification }: KeptVehicle) =>
  [description, stockNumber, kind, condition, modelYear, identification].join(" ").toLowerCase();

/** The vehicles that can be sold, with what is known of each; what each cost the dealer once that is asked for. */
export function StockScreen({ opened, house }: Props) {
  const mayChange = useMay("changeStock");
  const [vehicles, setVehicles] = useState(opened.vehicles);
  const [isAdding, setAdding] = useState(false);
  const [search, setSearch] = useState("");
  const [problems, setProblems] = useState<string[]>([]);
  // Of the dealer's side: not sent before it is asked for.
  const isSideOpen = useSide();
  const [known, setCosts] = useState<Record<string, VehicleCosts> | null>(null);
  // What arrives after the side was closed is not shown.
  const costs = isSideOpen ? known : null;
  const notation = notationOf(house.locale);
  const unit = IN_MILES.has(house.locale) ? "mi" : "km";
  const loadCosts = async () => {
    const answer = await dealerApi.stockCosts();
    if (answer.kind === "done") setCosts(answer.value.costs);
    else notify.error(`The costs were not opened. ${reasonOf(answer)}`);
  };
  // biome-ignore lint/correctness/useExhaustiveDependencies: they are asked for when the side opens, and gone when it closes.
  useEffect(() => {
    if (isSideOpen) void loadCosts();
    else setCosts(null);
  }, [isSideOpen]);
  const put = (changed: readonly KeptVehicle[], without?: string) =>
    setVehicles(now => {
      const replaced = new Set([...changed.map(({ id }) => id), without]);
      return [...now.filter(({ id }) => !replaced.has(id)), ...changed].sort(byDescription);
    });

  const mark = useRef(opened.mark);
  const lookAnew = async () => {
    const stock = await stockApi.all();
    if (stock.kind !== "done") return;
    mark.current = stock.value.mark;
    setVehicles(stock.value.vehicles.toSorted(byDescription));
    if (costs) await loadCosts();
  };
  useLookAgain("of=stock", async () => {
    const now = await stockApi.mark();
    if (now.kind === "done" && now.value.mark !== mark.current) await lookAnew();
  });

  const bringIn = async (files: readonly File[]) => {
    const [file] = files;
    if (!file) return;
    const { readStockCsv } = await import("@/exchange/stock/stock-csv");
    const text = await readTextFile(file);
    const read = text.ok
      ? readStockCsv(text.value, { currency: house.currency, today: todaysDay() }, notation)
      : { ok: false as const, sentences: [text.sentence] };
    if (!read.ok) {
      setProblems([`${file.name} was not imported.`, ...read.sentences]);
      return;
    }
    setProblems([]);
    const answer = await stockApi.add(read.vehicles);
    if (answer.kind !== "done") {
      notify.error(`${file.name} was not imported. ${reasonOf(answer)}`);
      return;
    }
    put(answer.value.vehicles);
    if (costs) await loadCosts();
    notify.success(`${answer.value.vehicles.length} vehicles were imported.`);
  };
  const drop = useDropzone({
    noClick: true,
    noKeyboard: true,
    multiple: false,
    disabled: !mayChange,
    onDrop: files => void bringIn(files),
  });
  const save = async (forSpreadsheet: boolean) => {
    const { stockCsv } = await import("@/exchange/stock/stock-csv");
    const stock = vehicles.map(
      ({ id, version: _version, ...vehicle }): VehicleFile =>
        costs ? { ...vehicle, ...(costs[id] ?? UNKNOWN) } : vehicle,
    );
    saveFile(
      `Stock${forSpreadsheet ? " for a spreadsheet" : ""}.csv`,
      "text/csv;charset=utf-8",
      stockCsv(stock, forSpreadsheet ? notation : undefined),
    );
  };
  const saveXlsx = async () => {
    const trouble = await saveTable(stockTable(vehicles, house.locale));
    if (trouble) notify.error(trouble);
  };
  const words = search.toLowerCase().split(/\s+/).filter(Boolean);
  const shown = vehicles.filter(vehicle => {
    const text = searchedOf(vehicle);
    return words.every(word => text.includes(word));
  });
  const row = (
    vehicle: KeptVehicle | null,
    rest: Pick<RowProps, "onKept" | "onGone" | "onChangedElsewhere">,
  ) => (
    <VehicleRow
      key={vehicle?.id ?? "new"}
      vehicle={vehicle}
      costs={costs ? (costs[vehicle?.id ?? ""] ?? UNKNOWN) : undefined}
      at={{ currency: vehicle?.currency ?? house.currency, notation, unit }}
      {...rest}
    />
  );

  return (
    <div {...drop.getRootProps({ role: undefined })} className="min-h-full p-4 md:px-6">
      <input {...drop.getInputProps({ "aria-label": "List of vehicles to import" })} />
      <div className="mb-3 flex flex-wrap items-center gap-3">
        <h1 className="font-semibold text-2xl">Stock</h1>
        <span className="text-faint">
          {vehicles.length} {vehicles.length === 1 ? "vehicle" : "vehicles"}
        </span>
        <input
          type="search"
          className="field ml-auto w-60"
          aria-label="Search the stock"
          placeholder="Search"
          value={search}
          onChange={event => setSearch(event.target.value)}
        />
        <button
          type="button"
          className="btn btn-sm h-8.5"
          aria-pressed={costs !== null}
          title="What each vehicle cost the dealer, which customers never see"
          onClick={() =>
            void import("@/features/dealer-side/keep-side").then(({ toggleSide }) => toggleSide())
          }
        >
          {costs ? "Hide costs" : "Show costs"}
        </button>
        {mayChange && (
          <button type="button" className="btn btn-sm h-8.5" onClick={drop.open}>
            <FileUp size={16} aria-hidden="true" />
            Import CSV
          </button>
        )}
        <button type="button" className="btn btn-sm h-8.5" onClick={() => void save(false)}>
          <FileDown size={16} aria-hidden="true" />
          CSV
        </button>
        <button type="button" className="btn btn-sm h-8.5" onClick={() => void save(true)}>
          <FileDown size={16} aria-hidden="true" />
          CSV for a spreadsheet
        </button>
        <button type="button" className="btn btn-sm h-8.5" onClick={() => void saveXlsx()}>
          <FileDown size={16} aria-hidden="true" />
          XLSX
        </button>
        {mayChange && (
          <button type="button" className="btn btn-primary btn-sm h-8.5" onClick={() => setAdding(true)}>
            <Plus size={16} aria-hidden="true" />
            Add a vehicle
          </button>
        )}
      </div>
      {problems.length > 0 && (
        <div role="alert" className="mb-3 rounded-box border border-error px-4 py-2">
          <ul>
            {problems.slice(0, 12).map(sentence => (
              <li key={sentence}>{sentence}</li>
            ))}
            {problems.length > 12 && <li>and {problems.length - 12} lines more</li>}
          </ul>
          <button type="button" className="btn btn-sm mt-1" onClick={() => setProblems([])}>
            Close
          </button>
        </div>
      )}
      <section aria-label="Vehicles in stock" className="card-paper overflow-x-auto">
        <table className="w-full min-w-5xl">
          <thead>
            <tr className="bg-base-200 text-left text-sm">
              <th scope="col" className="w-24 py-2 pl-4">
                Stock no.
              </th>
              <th scope="col" className="min-w-60 px-3">
                Description
              </th>
              {[...IN_LINE, ...(costs ? OF_DEALER : [])].map(fact => (
                <th key={fact} scope="col" className={`px-2.5 ${COLUMN_STYLES[vehicleColumn(fact).kind]}`}>
                  {vehicleColumn(fact).label}
                </th>
              ))}
              <th scope="col" className="w-12 px-1">
                <span className="sr-only">Currency</span>
              </th>
              <th scope="col" className="w-20">
                <span className="sr-only">What can be done</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {isAdding &&
              row(null, {
                onKept: kept => {
                  put([kept]);
                  if (costs) void loadCosts();
                  setAdding(false);
                },
                onGone: () => setAdding(false),
                onChangedElsewhere: () => {},
              })}
            {shown.map(vehicle =>
              row(vehicle, {
                onKept: kept => {
                  put([kept], vehicle.id);
                  if (costs) void loadCosts();
                },
                onGone: () => put([], vehicle.id),
                onChangedElsewhere: () => void lookAnew(),
              }),
            )}
          </tbody>
        </table>
        {shown.length === 0 && !isAdding && (
          <p className="px-4 py-6 text-faint">
            {vehicles.length === 0
              ? "No vehicle is in stock yet: add one, or import a CSV file with a column “description”."
              : "No vehicle is called that."}
          </p>
        )}
      </section>
    </div>
  );
}
