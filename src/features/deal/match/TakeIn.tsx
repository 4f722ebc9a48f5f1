import type { Departure, MatchWay } from "@/core/match";
import { departureWords, type WordsOf } from "@/exchange/match/departure-words";
import { inNotation } from "@/exchange/notation";
import { focusSoon } from "@/features/focus/focus-soon";
import { takenByLease, takenByLoan } from "@/features/match/taking";
import { useDesk } from "../desk/desk-context";
import type { OptionAction } from "../option";
import { useIsFrozen, useNotation } from "../option/option-context";

type Props = {
  way: MatchWay;
  of: WordsOf /** Whether it gives every figure. */;
  isFit: boolean;
  decimals: number;
};

/** A button for each convention of a way that the plan can have. */
export function TakeIn({ way, of, isFit, decimals }: Props) {
  const { dispatch } = useDesk();
  const { notation } = useNotation();
  const isFrozen = useIsFrozen();
  if (!isFit || isFrozen) return null;
  return way.departures.map(departure => {
    const action = takingOf(departure, of, decimals);
    if (!action) return null;
    const words = departureWords(departure, of);
    return (
      <button
        key={words}
        type="button"
        className="btn btn-primary btn-sm"
        onClick={() => {
          // The button goes with what it has taken.
          focusSoon("[data-their-figures]");
          dispatch({ type: "option", action });
        }}
      >
        Take into the deal: {inNotation(words, notation)}
      </button>
    );
  });
}

function takingOf(departure: Departure, { isLease }: WordsOf, decimals: number): OptionAction | undefined {
  if (isLease) {
    const change = takenByLease(departure, decimals);
    return change && { type: "lease", change };
  }
  const change = takenByLoan(departure, decimals);
  return change && { type: "plan", change };
}
