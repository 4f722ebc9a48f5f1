"use client";

import { FileDown } from "lucide-react";
import { useCallback, useEffect, useState } from "react";
import { parseIsoDate } from "@/core";
import { earnedCsv } from "@/exchange/income/earned-csv";
import { amountIn, dateIn, type Locale, type Notation, notationOf } from "@/exchange/notation";
import { monthName } from "@/exchange/text";
import { dealerApi } from "@/features/api/dealer";
import { reasonOf } from "@/features/api/reason-of";
import { useSide } from "@/features/dealer-side/side-state";
import { saveFile } from "@/features/figures/save-file";
import type { EarnedReply } from "@/server/contract";
import { DealsEarned, PeopleEarned, type Shown, Sums } from "./EarnedTables";
import { ChargedBackTable, InTransit } from "./MoneyToCome";

/** So long until figures that are being made are looked at again. */
const LOOK_AGAIN_MS = 700;

/** What deals earn the house: nothing of it is on the page while the dealer's side is closed. */
export function EarnedScreen({ locale }: { locale: Locale }) {
  const isOpen = useSide();
  const notation = notationOf(locale);
  const [month, setMonth] = useState<string | null>(null);
  const { earned, trouble } = useEarned(isOpen, month);
  const shown: Shown = {
    notation,
    money: (minor, currency) => (minor === null ? "–" : amountIn(minor, currency, notation)),
    day: iso => dayText(iso, notation),
  };
  return (
    <div className="flex flex-col gap-3 p-4 md:px-6">
      <div className="flex flex-wrap items-center gap-3">
        <h1 className="font-semibold text-2xl">Earned</h1>
        {isOpen && earned && <Months month={earned.month} onMonth={setMonth} />}
        {earned?.isMaking && (
          <span role="status" className="text-faint">
            Some figures are still being made …
          </span>
        )}
        <span className="grow" />
        {isOpen && earned && <SaveAs earned={earned} notation={notation} />}
      </div>
      {!isOpen && (
        <p className="card-paper px-4 py-3">
          What deals earn is of the dealer’s side, which is closed.{" "}
          <button
            type="button"
            className="btn btn-sm"
            onClick={() =>
              void import("@/features/dealer-side/keep-side").then(({ toggleSide }) => toggleSide())
            }
          >
            Open it <kbd className="kbd kbd-sm">Ctrl .</kbd>
          </button>
        </p>
      )}
      {isOpen && trouble && (
        <p role="alert" className="text-error">
          {trouble}
        </p>
      )}
      {isOpen && earned && <Tables earned={earned} shown={shown} />}
    </div>
  );
}

function Tables({ earned, shown }: { earned: EarnedReply; shown: Shown }) {
  const { signed, agreed, people, spreads, inTransit, chargedBack, usualSpread } = earned;
  return (
    <>
      <Sums title={`Signed in ${monthText(earned.month)}`} sums={signed.sums} shown={shown} />
      {people && people.length > 0 && (
        <PeopleEarned
          title={`Whose it is of what was signed in ${monthText(earned.month)}`}
          people={people}
          shown={shown}
        />
      )}
      <Sums title="Agreed today, not signed yet" sums={agreed.sums} shown={shown} />
      {signed.deals.length > 0 && (
        <DealsEarned title="Signed, deal by deal" deals={signed.deals} shown={shown} />
      )}
      {agreed.deals.length > 0 && (
        <DealsEarned title="Agreed, deal by deal" deals={agreed.deals} shown={shown} />
      )}
      {usualSpread !== null && spreads.length > 0 && (
        <DealsEarned
          title={`Spreads other than the usual ${usualSpread} points, those above it first`}
          deals={spreads}
          shown={shown}
        />
      )}
      <InTransit deals={inTransit} shown={shown} />
      {chargedBack.length > 0 && <ChargedBackTable lines={chargedBack} shown={shown} />}
    </>
  );
}

/** What is earned, asked for while the side is open, and again while figures are being made. */
function useEarned(isOpen: boolean, month: string | null) {
  const [earned, setEarned] = useState<EarnedReply | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const ask = useCallback(async () => {
    const answer = await dealerApi.earned(month);
    setTrouble(answer.kind === "done" ? null : `It was not opened. ${reasonOf(answer)}`);
    return answer.kind === "done" ? answer.value : null;
  }, [month]);
  useEffect(() => {
    if (!isOpen) return setEarned(null);
    let isGone = false;
    let timer: ReturnType<typeof setTimeout> | undefined;
    const look = async () => {
      const next = await ask();
      if (isGone || !next) return;
      setEarned(next);
      if (next.isMaking) timer = setTimeout(look, LOOK_AGAIN_MS);
    };
    void look();
    return () => {
      isGone = true;
      clearTimeout(timer);
    };
  }, [isOpen, ask]);
  return { earned: isOpen ? earned : null, trouble };
}

function monthText(month: string): string {
  const [year, inYear] = month.split("-");
  return `${monthName(Number(inYear))} ${year}`;
}

function dayText(iso: string, notation: Notation): string {
  const day = parseIsoDate(iso);
  return day === undefined ? iso : dateIn(day, notation);
}

/** The month that is looked at, and the ones before and after it. */
function Months({ month, onMonth }: { month: string; onMonth: (month: string) => void }) {
  const [year = 0, inYear = 1] = month.split("-").map(Number);
  const beside = (by: number) => {
    const at = year * 12 + inYear - 1 + by;
    return `${Math.floor(at / 12)}-${String((at % 12) + 1).padStart(2, "0")}`;
  };
  return (
    <div className="flex items-center gap-1">
      <button
        type="button"
        className="btn btn-ghost btn-sm"
        aria-label="The month before"
        onClick={() => onMonth(beside(-1))}
      >
        ‹
      </button>
      <span aria-live="polite" className="min-w-36 text-center font-semibold">
        {monthText(month)}
      </span>
      <button
        type="button"
        className="btn btn-ghost btn-sm"
        aria-label="The month after"
        onClick={() => onMonth(beside(1))}
      >
        ›
      </button>
    </div>
  );
}

/** The deals of the month, and those that are agreed, as tables of their own. */
function SaveAs({ earned, notation }: { earned: EarnedReply; notation: Notation }) {
  const save = (forSpreadsheet: boolean) =>
    saveFile(
      `Earned ${earned.month}${forSpreadsheet ? " for a spreadsheet" : ""}.csv`,
      "text/csv;charset=utf-8",
      earnedCsv([...earned.signed.deals, ...earned.agreed.deals], forSpreadsheet ? notation : undefined),
    );
  return (
    <>
      <button type="button" className="btn btn-sm" onClick={() => save(false)}>
        <FileDown size={16} aria-hidden="true" />
        CSV
      </button>
      <button type="button" className="btn btn-sm" onClick={() => save(true)}>
        <FileDown size={16} aria-hidden="true" />
        CSV for a spreadsheet
      </button>
    </>
  );
}
