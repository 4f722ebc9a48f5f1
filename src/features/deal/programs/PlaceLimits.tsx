import { useMemo } from "react";
import { limitsOfPlace } from "@/core/programs";
import { beyondInWords } from "@/exchange/rates/place-words";
import { placeLimits } from "@/exchange/settings/limits";
import { useDesk } from "../desk/desk-context";
import type { FieldName } from "../fields";
import { shownQuote } from "../option";
import { useNotation, useOption } from "../option/option-context";
import { useMarks } from "../parts/use-marks";

/** What of the open option is beyond the limits of the place: said, and marked where it is typed; nothing is kept from being done. */
export function PlaceLimits() {
  const { house, state } = useDesk();
  const { option } = useOption();
  const { say } = useNotation();
  const quote = shownQuote(option);
  const { currency } = option.inputs;
  const limits = placeLimits(house, state.heading.place, currency);
  const key = JSON.stringify(limits);
  const beyond = useMemo(() => {
    const settled = key === undefined ? null : JSON.parse(key);
    return quote && settled
      ? limitsOfPlace(quote, settled).map(each => ({
          sentence: beyondInWords(each, currency),
          field: fieldOf(each, quote.kind === "lease", "moneyFactor" in option.inputs.plan),
        }))
      : [];
  }, [quote, key, currency, option.inputs.plan]);
  useMarks(beyond);
  if (beyond.length === 0) return null;
  return (
    <p role="status" className="card-paper shrink-0 px-4 py-2 text-warning">
      Beyond the limits of the place: {say(beyond.map(({ sentence }) => sentence).join("; "))}.
    </p>
  );
}

type Beyond = ReturnType<typeof limitsOfPlace>[number];

function fieldOf(beyond: Beyond, isLease: boolean, isFactor: boolean): FieldName {
  if (beyond.limit === "documentFee") return `fees/${beyond.index}/amount` as FieldName;
  if (beyond.limit === "term") return isLease ? "lease/payments" : "payments";
  if (!isLease) return "yearlyRate";
  return isFactor ? "lease/moneyFactor" : "lease/yearlyRate";
}
