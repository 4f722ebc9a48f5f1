import { type DealDocument, documentOf } from "@/exchange/deal-document";
import { named } from "../named";

const OPTION = "11111111-1111-4111-8111-111111111111";

/** A deal whose customer and price both tell its number, so that half a deal would be seen. */
export const numberedDeal = (count: number): DealDocument =>
  documentOf(
    { customer: named(`Customer ${count}`), status: "quoting" },
    {
      id: OPTION,
      name: "",
      inputs: {
        format: "kellux-deal",
        version: 1,
        currency: "USD",
        structure: { price: `${count}.00` },
        plan: { kind: "loan", frequency: "monthly", yearlyRate: "6", payments: 12 },
        find: "payment",
      },
    },
  );
