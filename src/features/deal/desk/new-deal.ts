import { type DealDocument, documentOf } from "@/exchange/deal-document";
import { DEFAULT_SETTINGS, newDealInputs, type Settings } from "@/exchange/settings";

/**
 * A deal before anything is typed.
 *
 * @param today ISO 8601 date, which becomes the contract date
 * @param settings what the house starts a deal with
 */
export function newDealDocument(today: string, settings: Settings = DEFAULT_SETTINGS): DealDocument {
  return documentOf(
    { customer: "", vehicle: "", status: "quoting" },
    {
      id: crypto.randomUUID(),
      name: "",
      inputs: newDealInputs(settings, today),
    },
  );
}
