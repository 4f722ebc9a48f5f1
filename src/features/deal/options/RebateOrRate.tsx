import { useState } from "react";
import { rebateOrRate } from "@/core";
import { type DealFile, isLease } from "@/exchange/deal-file";
import { readLoan } from "@/exchange/kinds/loan";
import { amountIn, inNotation, plainFigure } from "@/exchange/notation";
import { readTypedAmount } from "../fields/typed-amount";
import { askedOf } from "../kinds/asked";
import { withRebate } from "../kinds/loan/usual";
import type { Usual } from "../option/asked-kind";
import { useNotation } from "../option/option-context";
import type { RowProps } from "./MoreOptions";
import { Small, UsualRow } from "./UsualRow";

/** The rebate, or the low rate without it, and where their total costs tie. */
export function RebateOrRate({ inputs, room, onAdd }: RowProps) {
  const { notation } = useNotation();
  const [rebate, setRebate] = useState("");
  const [rate, setRate] = useState("");
  const hasRebate = (inputs.structure.rebates?.length ?? 0) > 0;
  const amount = readTypedAmount(rebate, inputs.currency, notation);
  const lowRate = plainFigure(rate.trim().replace(/\s*%$/, ""), notation);
  const isRate = /^\d{1,3}(\.\d{1,8})?$/.test(lowRate);
  const made: Usual =
    !hasRebate && "sentence" in amount
      ? { ok: false, sentence: rebate ? inNotation(amount.sentence, notation) : "Type the rebate." }
      : isRate
        ? askedOf(inputs).rebateOrLowRate(inputs, {
            rebate: "amount" in amount ? amount.amount : "0",
            lowRate,
          })
        : { ok: false, sentence: rate ? `“${rate}” is not a yearly rate.` : "Type the low rate." };
  return (
    <UsualRow
      made={made}
      room={room}
      onAdd={onAdd}
      remark={
        made.ok && <Tie inputs={inputs} rebate={"amount" in amount ? amount.amount : "0"} lowRate={lowRate} />
      }
    >
      The rebate{!hasRebate && " of"}
      {!hasRebate && <Small label="Rebate" value={rebate} onChange={setRebate} className="w-28" />}, or the
      low rate without it:
      <Small label="Low rate in percent a year" value={rate} onChange={setRate} className="w-20" />%
    </UsualRow>
  );
}

type TieProps = { inputs: DealFile; rebate: string; lowRate: string };

/** What each costs in all, and the rate and the rebate at which they cost the same. */
function Tie({ inputs, rebate, lowRate }: TieProps) {
  const { notation, say } = useNotation();
  if (isLease(inputs)) return null;
  const deal = readLoan(withRebate(inputs, rebate));
  const offer = deal.ok ? rebateOrRate(deal.value, lowRate) : deal;
  if (!offer.ok) return say(offer.failure.sentence);
  const money = (minor: number) => amountIn(minor, inputs.currency, notation);
  const { costWithRebate, costAtLowRate, tieRate, tieRebate } = offer.value;
  const [rebateIsLess, difference] = [costWithRebate < costAtLowRate, costWithRebate - costAtLowRate];
  const winner =
    difference === 0
      ? "They cost the same."
      : `${rebateIsLess ? "The rebate" : "The low rate"} costs ${money(Math.abs(difference))} less in all.`;
  return (
    <>
      Total cost {money(costWithRebate)} with the rebate, {money(costAtLowRate)} at {say(lowRate)} %. {winner}{" "}
      {tieRate === null ? "No rate without the rebate costs as little" : `They tie at ${say(tieRate)} %`}
      {tieRebate === null ? "; no rebate does." : `, or with a rebate of ${money(tieRebate)}.`}
    </>
  );
}
