import type { Deal } from "../kinds/loan/deal";
import { isLease, type Mapped } from "../map";
import { leaseMoves } from "./lease-moves";
import { loanMoves } from "./loan-moves";
import { type Move, NO_RATES, type RatesOfTerms, type Wanted } from "./move";

/**
 * What would have to move, for a deal to give what its customer wants: each figure that could give way, with what it
 * would have to be while all others stay. Money is the last minor unit on the right side of what is wanted.
 *
 * @param deal a loan or a lease that asks for its payment, with nothing missing
 * @param wanted at most so much, in minor units, or an end by a date, as a day number
 * @param rates at which the house has some numbers of payments
 * @returns a walk, one candidate after the other; none where the deal has no answer
 * @example [...walkMoves(deal, { figure: "payment", value: 60_000 })][0] // { figure: "down", from: 300000, to: 799641, after: { payment: 60000, … } }
 */
export function* walkMoves(
  deal: Mapped,
  wanted: Wanted,
  rates: RatesOfTerms = NO_RATES,
): Generator<Move, void, void> {
  yield* isLease(deal) ? leaseMoves(deal, wanted, rates) : loanMoves(deal as Deal, wanted, rates);
}
