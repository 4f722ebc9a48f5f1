import Type from "typebox";
import { Amount, exact, Percent } from "../schema";

const CashDown = Type.Union(
  [
    exact({ amount: Amount }),
    exact({ percent: Percent('a percent of the price from 0 to 100, such as "10"', 100) }),
  ],
  { description: '{ "amount": … } or { "percent": … }' },
);

/** The lines from the price to the amount financed. */
export const StructureSchema = exact({
  price: Type.Optional(Amount),
  tradeIn: Type.Optional(exact({ allowance: Type.Optional(Amount), owed: Amount })),
  down: Type.Optional(CashDown),
});

/** The structure as it is filed. */
export type StructureFile = Type.Static<typeof StructureSchema>;
