import Type from "typebox";
import { MOST_EXTRAS, MOST_FEES, MOST_TRADE_INS } from "@/core";
import { byOption } from "../deal-document/option-id.schema";
import { Amount, exact } from "../schema";
import { LineId, list } from "../structure/structure.schema";

/** Also of lines that were taken out, until they are too many. */
const MOST_COSTS_KEPT = 1000;

/** What the dealer's side knows of an option. */
const OfAnOption = exact({
  /** What the vehicle cost the dealer. */
  cost: Type.Optional(Amount),
  /** What fees and extras cost it, and what trade-ins are worth to it, by the ids of their lines. */
  costs: Type.Optional(
    Type.Record(LineId, Amount, {
      additionalProperties: false,
      maxProperties: MOST_COSTS_KEPT,
      description: `amounts by the ids of at most ${MOST_COSTS_KEPT} lines`,
    }),
  ),
});

/**
 * What of a deal the customer never sees. What belongs to a line or to an option stays when that goes, so that it is there
 * when the line comes back.
 */
export const DealerSchema = exact({
  options: Type.Optional(byOption(OfAnOption, "the dealer's side of")),
});

const AmountOrNone = Type.Union([...Amount.anyOf, Type.Null()], {
  description: 'an amount of 0 or more, such as "1040.00", or null',
});

/** The dealer's side of an option as it is filed: what lines cost stands in the order of the lines. */
export const DealerFileSchema = exact({
  cost: Type.Optional(Amount),
  feeCosts: Type.Optional(list(AmountOrNone, MOST_FEES, "amounts")),
  extraCosts: Type.Optional(list(AmountOrNone, MOST_EXTRAS, "amounts")),
  tradeInValues: Type.Optional(list(AmountOrNone, MOST_TRADE_INS, "amounts")),
});

/** The dealer's part of a deal. */
export type Dealer = Type.Static<typeof DealerSchema>;
export type DealerOfOption = Type.Static<typeof OfAnOption>;
export type DealerFile = Type.Static<typeof DealerFileSchema>;
