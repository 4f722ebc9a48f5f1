import { useMemo } from "react";
import { limitsOfPlace } from "@/core/programs/limits-of-place";
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
  const key = JSON.stringify(placeLimits(house, state.heading.place, currency) ?? null);
  const rates = quote?.filled.structure.personal ? option.desk.ratesOf?.(quote as never) : undefined;
  const apr = rates?.ok ? rates.value.apr : null;
  const beyond = useMemo(() => {
    const limits = JSON.parse(key);
    if (!quote || limits === null) return [];
    return limitsOfPlace(quote, limits, apr).map(each => ({
      sentence: beyondInWords(each, currency),
      field: fieldOf(each, quote.kind === "lease", "moneyFactor" in option.inputs.plan),
    }));
  }, [quote, apr, key, currency, option.inputs.plan]);
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
