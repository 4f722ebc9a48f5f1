import { shownQuote } from "../../option";
import { useOptionOf } from "../../option/option-context";
import { WorkingButton } from "../../parts/WorkingButton";
import { WorkingsHere } from "../../parts/WorkingsHere";
import { MadeOf } from "../../structure/MadeOf";
import { useStructure } from "../../structure/use-structure";

/** What the tally leads to: the adjusted capitalized cost; and what is due at signing, item by item. */
export function LeaseFoot() {
  const { option } = useOptionOf("lease");
  const { tally, money } = useStructure();
  const quote = shownQuote(option);
  const faded = tally.stale ? "stale" : "";
  return (
    <WorkingsHere>
      <div className="bg-base-100 px-4 pb-2 lg:sticky lg:bottom-0 lg:z-10">
        <div className="flex items-center justify-between border-base-content border-t-2 pt-1">
          <div className="flex items-center gap-1">
            <h3 className="font-sans font-semibold">Adjusted capitalized cost</h3>
            <WorkingButton figure="adjustedCapitalizedCost" name="adjusted capitalized cost" />
          </div>
          <output className={`font-semibold text-xl ${faded}`} data-testid="amount-financed">
            {money(tally.amountFinanced)}
          </output>
        </div>
        {quote && (
          <p className={`text-faint text-sm ${faded}`}>
            gross {money(quote.gross)} less {money(quote.reduction)}
          </p>
        )}
        <MadeOf lines={tally.lines} stale={tally.stale} />
      </div>
      <DueAtSigning />
    </WorkingsHere>
  );
}

/** What leaves the customer's pocket on the day, by item, and what is paid with beside it. */
function DueAtSigning() {
  const { option } = useOptionOf("lease");
  const { tally, money } = useStructure();
  const quote = shownQuote(option);
  if (!quote) return null;
  const { dueAtSigning, equity, rebates } = quote;
  const beside = [
    equity > 0 ? `trade-in ${money(equity)}` : "",
    rebates > 0 ? `rebates ${money(rebates)}` : "",
  ].filter(Boolean);
  return (
    <section
      aria-label="Due at signing"
      className={`border-base-300 border-t px-4 py-2 ${tally.stale ? "stale" : ""}`}
    >
      <div className="flex items-center justify-between">
        <div className="flex items-center gap-1">
          <h3 className="font-sans font-semibold">Due at signing</h3>
          <WorkingButton figure="dueAtSigning" name="due at signing" />
        </div>
        <output className="font-semibold text-lg" data-testid="dueAtSigning">
          {money(dueAtSigning.total)}
        </output>
      </div>
      <dl aria-label="Items due at signing" className="mt-0.5 grid grid-cols-[1fr_auto] text-sm">
        {dueAtSigning.items.map(({ figure, name, amount }) => (
          <Item
            key={`${figure} ${name}`}
            name={name}
            text={`${amount < 0 ? "− " : ""}${money(Math.abs(amount))}`}
          />
        ))}
      </dl>
      {beside.length > 0 && (
        <p className="mt-0.5 text-faint text-sm">paid beside it with {beside.join(" and ")}</p>
      )}
    </section>
  );
}

function Item({ name, text }: { name: string; text: string }) {
  return (
    <>
      <dt className="text-faint first-letter:uppercase">{name}</dt>
      <dd className="text-right">{text}</dd>
    </>
  );
}
