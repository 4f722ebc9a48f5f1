"use client";

import { FileDown, FileUp } from "lucide-react";
import { useCallback, useEffect, useState } from "react";
import { useDropzone } from "react-dropzone";
import { type Locale, type Notation, notationOf } from "@/exchange/notation";
import type { Lender } from "@/exchange/rates/rates.schema";
import { type RatesFile, ratesApi } from "@/features/api/rates";
import { readTextFile } from "@/features/api/read-text-file";
import { reasonOf } from "@/features/api/reason-of";
import { useSide } from "@/features/dealer-side/side-state";
import { saveFile } from "@/features/figures/save-file";
import { notify } from "@/features/notices/notify";
import { useMay } from "@/features/people/me-context";
import { useLookAgain } from "@/features/saving/look-again";
import type { RatesDealerReply, RatesLookReply, RatesReply } from "@/server/contract";
import { LenderCard } from "./LenderCard";
import { Look } from "./Look";

/** What lenders offer: names and days always, rates and limits while the dealer's side is open. */
export function RatesScreen({ locale }: { locale: Locale }) {
  const isSide = useSide();
  const notation = notationOf(locale);
  const { rates, trouble, load } = useRates(isSide);
  const [arriving, setArriving] = useState<{ file: RatesFile; look: RatesLookReply } | null>(null);
  const [problems, setProblems] = useState<string[]>([]);
  const look = async (files: readonly File[]) => {
    const [chosen] = files;
    if (!chosen) return;
    const text = await readTextFile(chosen);
    if (!text.ok) return setProblems([text.sentence]);
    const file = { name: chosen.name, text: text.value, locale };
    const answer = await ratesApi.look(file);
    setArriving(answer.kind === "done" ? { file, look: answer.value } : null);
    setProblems(
      answer.kind === "done"
        ? []
        : [`${chosen.name} was not taken in; nothing has changed.`, ...reasonOf(answer).split("\n")],
    );
  };
  const mayChange = useMay("changeRates");
  const drop = useDropzone({
    noClick: true,
    noKeyboard: true,
    multiple: false,
    disabled: !isSide || !mayChange,
    onDrop: files => void look(files),
  });
  const take = async () => {
    if (!arriving) return;
    const answer = await ratesApi.take(arriving.file, arriving.look.mark);
    if (answer.kind !== "done") return setProblems([reasonOf(answer)]);
    setArriving(null);
    notify.success(`${arriving.file.name} was taken in.`);
    load();
  };
  const lenders = rates?.lenders ?? [];
  const count = lenders.reduce((sum, { programs }) => sum + programs.length, 0);
  return (
    <div {...drop.getRootProps({ role: undefined })} className="flex min-h-full flex-col gap-3 p-4 md:px-6">
      <input {...drop.getInputProps({ "aria-label": "File of rates to take in" })} />
      <div className="flex flex-wrap items-center gap-3">
        <h1 className="font-semibold text-2xl">Rates</h1>
        {rates && (
          <span className="text-faint">
            {lenders.length} {lenders.length === 1 ? "lender" : "lenders"}, {count}{" "}
            {count === 1 ? "program" : "programs"}
          </span>
        )}
        <span className="grow" />
        {rates?.isWhole && (
          <>
            {mayChange && (
              <button type="button" className="btn btn-primary btn-sm" onClick={drop.open}>
                <FileUp size={16} aria-hidden="true" />
                Bring in a file
              </button>
            )}
            <SaveAs lenders={rates.lenders as Lender[]} notation={notation} />
          </>
        )}
      </div>
      {!isSide && <Closed />}
      {trouble && (
        <p role="alert" className="text-error">
          {trouble}
        </p>
      )}
      {problems.length > 0 && <Problems sentences={problems} onClose={() => setProblems([])} />}
      {isSide && arriving && (
        <Look
          name={arriving.file.name}
          changes={arriving.look.changes}
          notation={notation}
          onTake={() => void take()}
          onLeave={() => setArriving(null)}
        />
      )}
      {rates && lenders.length === 0 && !arriving && (
        <p className="card-paper px-4 py-3">
          No lender’s programs are here yet. Bring in a file of rates: JSON, or a table as CSV with a line for
          each range of a program.
        </p>
      )}
      {lenders.map(lender => (
        <LenderCard
          key={lender.name}
          lender={lender}
          isWhole={rates?.isWhole ?? false}
          notation={notation}
          mark={rates?.mark ?? ""}
          locale={locale}
          onChanged={load}
        />
      ))}
    </div>
  );
}

/** What is shown: whether all of it is there. */
type Shown = ((RatesReply & { isWhole: false }) | (RatesDealerReply & { isWhole: true })) & {
  lenders: readonly (RatesReply["lenders"][number] | Lender)[];
};

/** What lenders offer, asked for anew when the dealer's side opens or closes and when somebody else has changed it. */
function useRates(isSide: boolean) {
  const [rates, setRates] = useState<Shown | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const load = useCallback(async () => {
    const answer = isSide ? await ratesApi.openDealer() : await ratesApi.open();
    setTrouble(answer.kind === "done" ? null : `They were not opened. ${reasonOf(answer)}`);
    if (answer.kind === "done") setRates({ ...answer.value, isWhole: isSide } as Shown);
  }, [isSide]);
  useEffect(() => {
    setRates(null);
    void load();
  }, [load]);
  useLookAgain("of=rates", async () => {
    const now = await ratesApi.mark();
    if (now.kind === "done" && now.value.mark !== rates?.mark) await load();
  });
  return { rates: rates?.isWhole === isSide ? rates : null, trouble, load: () => void load() };
}

function Closed() {
  return (
    <p className="card-paper px-4 py-3">
      Rates and limits are of the dealer’s side, which is closed; files are brought in there.{" "}
      <button
        type="button"
        className="btn btn-sm"
        onClick={() => void import("@/features/dealer-side/keep-side").then(({ toggleSide }) => toggleSide())}
      >
        Open it <kbd className="kbd kbd-sm">Ctrl .</kbd>
      </button>
    </p>
  );
}

function Problems({ sentences, onClose }: { sentences: readonly string[]; onClose: () => void }) {
  return (
    <div role="alert" className="rounded-box border border-error px-4 py-2">
      <ul>
        {sentences.map(sentence => (
          <li key={sentence}>{sentence}</li>
        ))}
      </ul>
      <button type="button" className="btn btn-sm mt-1" onClick={onClose}>
        Close
      </button>
    </div>
  );
}

function SaveAs({ lenders, notation }: { lenders: readonly Lender[]; notation: Notation }) {
  const saveCsv = async (forSpreadsheet: boolean) => {
    const { ratesCsv } = await import("@/exchange/rates/rates-csv");
    saveFile(
      `Rates${forSpreadsheet ? " for a spreadsheet" : ""}.csv`,
      "text/csv;charset=utf-8",
      ratesCsv(lenders, forSpreadsheet ? notation : undefined),
    );
  };
  const saveJson = () =>
    saveFile(
      "Rates.json",
      "application/json",
      `${JSON.stringify({ format: "kellux-rates", version: 1, lenders }, null, 2)}\n`,
    );
  const button = (name: string, save: () => void) => (
    <button type="button" className="btn btn-sm" onClick={save}>
      <FileDown size={16} aria-hidden="true" />
      {name}
    </button>
  );
  return (
    <>
      {button("JSON", saveJson)}
      {button("CSV", () => void saveCsv(false))}
      {button("CSV for a spreadsheet", () => void saveCsv(true))}
    </>
  );
}
