"use client";

import { useMemo, useState } from "react";
import { flushSync } from "react-dom";
import type { Deal } from "@/core";
import { readDeal } from "@/exchange/deal-file";
import type { LeaseFile } from "@/exchange/kinds/lease";
import type { LoanFile } from "@/exchange/kinds/loan";
import type { StatedFile } from "@/exchange/match/match.schema";
import { inNotation, notationOf } from "@/exchange/notation";
import type { Settings } from "@/exchange/settings";
import { api } from "@/features/api/api";
import { MatchBody, type Told } from "@/features/match/MatchBody";
import { noteText } from "@/features/match/note-text";
import { takenByLease, takenByLoan } from "@/features/match/taking";
import { notify } from "@/features/notices/notify";

import { useAskBeforeLeaving } from "@/features/typing/ask-before-leaving";
import { KeepAsNote } from "../KeepAsNote";
import { KnownCard } from "./KnownCard";
import { fileOfKnown, type KnownTerms, NOTHING_KNOWN } from "./known-loan";

/** Where a lender's figures come from, without a deal. */
export function MatchScreen({ house }: { house: Settings }) {
  const notation = notationOf(house.locale);
  const { currency, place } = house;
  const [known, setKnown] = useState<KnownTerms>(NOTHING_KNOWN);
  const [stated, setStated] = useState<StatedFile>({});
  useAskBeforeLeaving(known !== NOTHING_KNOWN || Object.keys(stated).length > 0);
  const made = useMemo(() => {
    const file = fileOfKnown(known, currency);
    if ("sentence" in file) return { file: null, deal: null, why: file.sentence };
    const read = readDeal(file.file);
    return read.ok
      ? { file: file.file, deal: read.value as Deal, why: "" }
      : { file: null, deal: null, why: read.failure.sentence };
  }, [known, currency]);
  const takeIn = async ({ way, matched, of, quote }: Told) => {
    if (!made.file) return;
    // One figure alone shows no convention.
    const departures = matched.ways.length > 0 && matched.stated > 1 ? way.departures : [];
    let { plan } = made.file;
    for (const departure of departures) {
      plan = of.isLease
        ? (takenByLease(departure, quote.decimals)?.(plan as LeaseFile["plan"]) ?? plan)
        : (takenByLoan(departure, quote.decimals)?.(plan as LoanFile["plan"]) ?? plan);
    }
    const file = { ...made.file, plan, theirs: stated };
    const answer = await api.importFile("matched figures.json", JSON.stringify(file));
    if (answer.kind !== "done")
      return void notify.error(
        answer.kind === "away" ? "The server is away; no deal was made." : answer.sentence,
      );
    // What was typed is in the deal now: the browser need not ask before it is left.
    flushSync(() => {
      setKnown(NOTHING_KNOWN);
      setStated({});
    });
    location.assign(`/deals/${answer.value.id}`);
  };
  return (
    <div className="flex min-h-full flex-col p-4 md:px-6 lg:h-screen">
      <div className="mb-3 flex flex-wrap items-center gap-3">
        <h1 className="font-semibold text-2xl">Match a lender’s figures</h1>
        <span className="text-faint">without a deal, in {currency}</span>
        <a href="/figures" className="btn btn-sm ml-auto h-8.5">
          All figures
        </a>
      </div>
      <MatchBody
        deal={made.deal}
        why={made.why}
        stated={stated}
        change={change => setStated(change)}
        notation={notation}
        currency={currency}
        isLease={known.kind === "lease"}
        place={place}
        actions={told => (
          <>
            <button type="button" className="btn btn-primary btn-sm" onClick={() => void takeIn(told)}>
              Take it into a deal
            </button>
            <KeepAsNote text={inNotation(noteText(told, stated), notation)} />
          </>
        )}
      >
        <KnownCard known={known} notation={notation} put={setKnown} />
      </MatchBody>
    </div>
  );
}
