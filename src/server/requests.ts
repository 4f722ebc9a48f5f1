import { readDeal } from "@/exchange/deal-file";
import { type Checked, schemaCheck } from "@/exchange/schema-check";
import { ImportRequestSchema, NewDealRequestSchema, type SaveRequest, SaveRequestSchema } from "./contract";

const checkSaveForm = schemaCheck(SaveRequestSchema);
const checkNewDealForm = schemaCheck(NewDealRequestSchema);

export const checkImportRequest = schemaCheck(ImportRequestSchema);

/** A save's form, and figures that can be read. A deal that has no answer yet may be kept. */
export const checkSaveRequest = (value: unknown) => withReadableFigures(checkSaveForm(value));

/** The same for a new deal. */
export const checkNewDealRequest = (value: unknown) => withReadableFigures(checkNewDealForm(value));

function withReadableFigures<Value extends Pick<SaveRequest, "document">>(
  checked: Checked<Value>,
): Checked<Value> {
  if (!checked.ok) return checked;
  const deal = readDeal(checked.value.document.inputs);
  return deal.ok ? checked : { ok: false, sentence: deal.failure.sentence };
}
