import { lazy, Suspense } from "react";
import type { LeaseQuote } from "@/core";
import { LEASE_TAX_ON_WORDS, type LeaseTaxFile } from "@/exchange/kinds/lease";
import { shownQuote } from "../../option";
import { useOptionOf } from "../../option/option-context";
import { TallyRow } from "../../structure/TallyRow";
import { useStructure } from "../../structure/use-structure";

// Most taxes are never opened: the screen starts without the code for it.
const LeaseTaxEditor = lazy(() =>
  import("./LeaseTaxEditor").then(({ LeaseTaxEditor: editor }) => ({ default: editor })),
);

type Props = {
  /** Which tax is open to be changed. */
  open: number | null;
  setOpen: (index: number | null) => void;
};

/** The taxes of a lease: what is capitalized of each stands in the tally, the others are said. */
export function LeaseTaxLines({ open, setOpen }: Props) {
  const { option } = useOptionOf("lease");
  const { tally, money, say, runningOf } = useStructure();
  const quote = shownQuote(option);
  const { taxes = [] } = option.inputs.plan;
  const runnings = runningOf("tax");
  return taxes.map((tax, index) => (
    <TallyRow
      // biome-ignore lint/suspicious/noArrayIndexKey: a tax has no other identity than its place.
      key={index}
      stale={tally.stale}
      label={tax.name}
      sign={isAdded(tax) ? "+" : ""}
      value={money(amountOf(quote, taxes, index))}
      running={isAdded(tax) ? (runnings[taxes.slice(0, index).filter(isAdded).length] ?? "") : placeOf(tax)}
      remark={
        <button
          type="button"
          aria-expanded={open === index}
          aria-label={`Change ${tax.name}`}
          title={`Change ${tax.name}`}
          className="cursor-pointer text-left text-primary underline decoration-dotted underline-offset-2"
          onClick={() => setOpen(open === index ? null : index)}
        >
          {say(String(tax.rate))} % on {tax.on.map(each => LEASE_TAX_ON_WORDS[each]).join(", ")}
        </button>
      }
    >
      {open === index && (
        <Suspense fallback={<p className="text-faint text-sm">Opening …</p>}>
          <LeaseTaxEditor index={index} onDone={() => setOpen(null)} />
        </Suspense>
      )}
    </TallyRow>
  ));
}

/** What a tax comes to: once, or with each payment; undefined for one on the purchase alone. */
function amountOf(
  quote: LeaseQuote | null,
  taxes: readonly LeaseTaxFile[],
  index: number,
): number | undefined {
  const tax = taxes[index];
  if (!tax) return undefined;
  if (isOnce(tax)) return quote?.taxes[taxes.slice(0, index).filter(isOnce).length]?.amount;
  return tax.on.includes("payment") ? quote?.paymentTaxes[index] : undefined;
}

/** Whether anything of a tax is reckoned once, at signing. */
const isOnce = ({ on }: LeaseTaxFile) => on.some(part => part !== "payment" && part !== "purchase");

/** Whether what is reckoned once of it is capitalized. */
const isAdded = (tax: LeaseTaxFile) => isOnce(tax) && tax.financed !== false;

/** What stands where the subtotal would. */
function placeOf(tax: LeaseTaxFile): string {
  if (isOnce(tax)) return "at signing";
  return tax.on.includes("payment") ? "each time" : "at the end";
}
