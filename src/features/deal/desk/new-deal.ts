import { type DealDocument, documentOf } from "@/exchange/deal-document";

/**
 * A deal before anything is typed.
 *
 * @param today ISO 8601 date, which becomes the contract date
 */
export function newDealDocument(today: string): DealDocument {
  return documentOf(
    { customer: "", vehicle: "", status: "quoting" },
    {
      id: crypto.randomUUID(),
      name: "",
      inputs: {
        format: "kellux-deal",
        version: 1,
        currency: "USD",
        structure: {},
        plan: { kind: "loan", frequency: "monthly", rounding: "nearest", signed: today },
        find: "payment",
      },
    },
  );
}
