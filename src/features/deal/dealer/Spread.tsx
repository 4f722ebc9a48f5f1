import { PERCENT_OF_FACTOR } from "@/core";
import { type DealerOfOption, REASONS, SPREAD_REASONS, type SpreadReason } from "@/exchange/dealer";
import { definedOnly, withOptional } from "@/exchange/members";
import { decimalIn } from "@/exchange/notation";
import type { SettingsDealer } from "@/exchange/settings";
import { useNotation } from "../option/option-context";
import { KnownField } from "./KnownField";
import { contractRate } from "./remarks";
import type { Earning } from "./use-income";

type Props = {
  earning: Earning;
  known: DealerOfOption;
  put: (next: DealerOfOption) => void;
  house: Pick<SettingsDealer, "usualSpread" | "mostSpread">;
};

const PLACES = 6;

/** The points of rate between what the customer signs and what the lender buys at; of a money factor its points × 2,400. */
function spreadOf({ quote, side }: Pick<Earning, "quote" | "side">): number | null {
  if (side.buyRate === null) return null;
  const { plan } = quote.filled;
  const scale = plan.kind === "lease" && plan.reckoning === "moneyFactor" ? PERCENT_OF_FACTOR : 1;
  return Number(((Number(contractRate(quote)) - Number(side.buyRate)) * scale).toFixed(PLACES));
}

/** The spread of an option against what every customer is offered, and why it is another. */
export function Spread({ earning, known, put, house }: Props) {
  const { notation } = useNotation();
  const spread = spreadOf(earning);
  if (spread === null) return null;
  const { usualSpread, mostSpread } = house;
  const usual = usualSpread === undefined ? undefined : Number(usualSpread);
  const most = mostSpread === undefined ? undefined : Number(mostSpread);
  const points = (value: number) => decimalIn(String(value), notation);
  const isBelow = usual !== undefined && spread < usual;
  const isAbove = usual !== undefined && spread > usual;
  const reason: SpreadReason = known.spreadReason ?? {};
  const change = (next: Partial<SpreadReason>) => {
    const changed = definedOnly({ ...reason, ...next }) as SpreadReason;
    put(withOptional(known, "spreadReason", Object.keys(changed).length > 0 ? changed : undefined));
  };
  return (
    <div className="text-sm">
      <p>
        Spread {points(spread)} points
        {usual !== undefined && <span className="text-faint">, usual {points(usual)}</span>}
        {most !== undefined && spread > most && (
          <span className="text-warning"> beyond the most of {points(most)}</span>
        )}
      </p>
      {isBelow && (
        <label className="flex flex-wrap items-center gap-2">
          below what every customer is offered:
          <select
            aria-label="Why the spread is below the usual one"
            className="field w-auto"
            value={reason.reason ?? ""}
            onChange={({ target }) =>
              change({ reason: (target.value || undefined) as SpreadReason["reason"] } as SpreadReason)
            }
          >
            <option value="">say why …</option>
            {SPREAD_REASONS.map(each => (
              <option key={each} value={each}>
                {REASONS[each]}
              </option>
            ))}
          </select>
        </label>
      )}
      {(isAbove || reason.reason === "other") && (
        <div className="flex flex-wrap items-center gap-2">
          {isAbove && "above what every customer is offered:"}
          <KnownField
            label="Why this spread, in a sentence"
            of="words"
            value={reason.words}
            put={words => change({ words } as SpreadReason)}
            placeholder="say why"
            className="w-72"
          />
        </div>
      )}
    </div>
  );
}
