import { useMemo, useState } from "react";
import { isoDate } from "@/core";
import { isLease } from "@/exchange/deal-file";
import type { Dealer, DealerOfOption } from "@/exchange/dealer";
import { todaysDay } from "@/features/figures/today";
import { useDesk } from "../desk/desk-context";
import { useRested } from "../desk/use-rested";
import { useOption } from "../option/option-context";
import { useMarks } from "../parts/use-marks";
import { fieldOfLimit } from "../programs/limit-fields";
import { TakenFrom } from "../programs/TakenFrom";
import { type Asking, usePrograms } from "../programs/use-programs";

type Props = {
  dealId: string;
  known: DealerOfOption;
  dealer: Dealer;
  change: (dealer: Dealer) => void;
};

/** The program that the open option was made with, as it is now: what the option breaks of it is marked where it is typed. */
export function TakenProgram({ dealId, known, dealer, change }: Props) {
  const { state } = useDesk();
  const { option } = useOption();
  const inputs = useRested(option.inputs, option.edit !== null);
  const [asking] = useState<Asking>({ rank: "payment", spread: undefined });
  const { reply } = usePrograms(dealId, state.open, inputs, asking);
  const taken = reply?.taken;
  const marks = useMemo(
    () =>
      (taken?.broken ?? []).map(({ limit, words }) => ({
        field: fieldOfLimit(limit, isLease(inputs)),
        sentence: `${words} (${taken?.lender} · ${taken?.program}).`,
      })),
    [taken, inputs],
  );
  useMarks(marks);
  const hasScore = known.program?.program.rates.some(({ score }) => score !== undefined);
  const owesNotice = hasScore && state.heading.place === "US" && dealer.scoreNoticeOn === undefined;
  return (
    <>
      {taken && <TakenFrom taken={taken} />}
      {owesNotice && (
        <p role="status" className="flex flex-wrap items-center gap-3 border-base-300 border-t px-4 py-1.5">
          A score sets this rate: the customer is owed a notice of that (12 CFR 1022.72 to 74; for dealers 16
          CFR 640).
          <button
            type="button"
            className="btn btn-sm"
            onClick={() => change({ ...dealer, scoreNoticeOn: isoDate(todaysDay()) })}
          >
            I have seen to it
          </button>
        </p>
      )}
    </>
  );
}
