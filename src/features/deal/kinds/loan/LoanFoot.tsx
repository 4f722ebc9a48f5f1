import { shownQuote } from "../../option";
import { useOptionOf } from "../../option/option-context";
import { WorkingButton } from "../../parts/WorkingButton";
import { WorkingsHere } from "../../parts/WorkingsHere";
import { MadeOf } from "../../structure/MadeOf";
import { useStructure } from "../../structure/use-structure";

/** What the tally leads to: the loan amount, what of the finance charge is paid at the start, the amount financed. */
export function LoanFoot() {
  const { option } = useOptionOf("loan");
  const { tally, money, say } = useStructure();
  const { loanAmount, amountFinanced, reckoned, stale } = tally;
  const faded = stale ? "stale" : "";
  const isPrepaid = loanAmount !== undefined && loanAmount !== amountFinanced;
  const price = reckoned?.price ?? 0;
  const share =
    loanAmount !== undefined && price > 0 ? say(`${((100 * loanAmount) / price).toFixed(1)} %`) : null;
  const received = shownQuote(option)?.cashReceived;
  return (
    <div className="bg-base-100 px-4 pb-2 lg:sticky lg:bottom-0 lg:z-10">
      <WorkingsHere>
        {isPrepaid && (
          <dl className="mb-1 grid grid-cols-[1fr_auto] gap-y-0.5">
            <dt className="flex items-center gap-1">
              Loan amount
              <WorkingButton figure="loanAmount" name="loan amount" />
            </dt>
            <dd className={`text-right ${faded}`}>{money(loanAmount)}</dd>
            <dt className="text-faint">less prepaid finance charge</dt>
            <dd className={`text-right text-faint ${faded}`}>
              − {money(loanAmount - (amountFinanced ?? 0))}
            </dd>
          </dl>
        )}
        <div className="flex items-center justify-between border-base-content border-t-2 pt-1">
          <div className="flex items-center gap-1">
            <h3 className="font-sans font-semibold">Amount financed</h3>
            <WorkingButton figure="amountFinanced" name="amount financed" />
          </div>
          <output className={`font-semibold text-xl ${faded}`} data-testid="amount-financed">
            {money(amountFinanced)}
          </output>
        </div>
        {share && (
          <p className={`text-faint text-sm ${faded}`}>
            loan {share} of{" "}
            {option.inputs.structure.purpose === undefined ? "the price" : "the amount asked for"}
            {received !== undefined && ` · ${money(received)} paid out to the customer`}
          </p>
        )}
        <MadeOf lines={tally.lines} stale={tally.stale} />
      </WorkingsHere>
    </div>
  );
}
