import { spreadOf } from "@/core";
import { type DealerOfOption, REASONS, SPREAD_REASONS, type SpreadReason } from "@/exchange/dealer";
import { definedOnly, withOptional } from "@/exchange/members";
import { decimalIn } from "@/exchange/notation";
import type { SettingsDealer } from "@/exchange/settings";
import { useNotation } from "../option/option-context";
import { KnownField } from "./KnownField";
import type { Earning } from "./use-income";

type Props = {
  earning: Earning;
  known: DealerOfOption;
  put: (next: DealerOfOption) => void;
  house: Pick<SettingsDealer, "usualSpread" | "mostSpread">;
};

/** The spread of an option against what every customer is offered, and why it is another. */
export function Spread({ earning, known, put, house }: Props) {
  const { notation } = useNotation();
  const { buyRate } = earning.side;
  if (buyRate === null) return null;
  const spread = spreadOf(earning.quote, buyRate);
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
