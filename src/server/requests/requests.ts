import { randomUUID } from "node:crypto";
import { type Checked, checked } from "@/exchange/checks";
import { type DealOption, type DealOrder, orderOf, saveUpToDate, upToDate } from "@/exchange/deal-document";
import { readDeal } from "@/exchange/deal-file";
import { checkDealFile } from "@/exchange/deal-file/parse";
import { importRequest, newDealRequest, restoreRequest, saveRequest } from "./compiled";
import type { ImportRequest, NewDealRequest, RestoreRequest, SaveRequest } from "./requests.schema";

export const checkImportRequest = (value: unknown): Checked<ImportRequest> =>
  checked<ImportRequest>(importRequest, value);

export const checkRestoreRequest = (value: unknown): Checked<RestoreRequest> =>
  checked<RestoreRequest>(restoreRequest, value);

/** A new deal's form, and figures that can be read. A deal that has no answer yet may be kept. */
export function checkNewDealRequest(value: unknown): Checked<NewDealRequest> {
  const request = checked<NewDealRequest>(newDealRequest, withDocument(value));
  if (!request.ok) return request;
  const { document } = request.value;
  return withOrder(
    withReadableFigures(request, document.options, "/document"),
    orderOf(document),
    "document",
  );
}

/** The same for a save, of whatever form. */
export function checkSaveRequest(value: unknown): Checked<SaveRequest> {
  const request = checked<SaveRequest>(saveRequest, saveUpToDate(value));
  if (!request.ok) return request;
  const { options = [], order } = request.value.change;
  const readable = withReadableFigures(request, options, "/change");
  return order ? withOrder(readable, order, "change.order") : readable;
}

/** A body with its document brought up to date; what is no body stays as it is. */
const withDocument = (value: unknown): unknown =>
  typeof value === "object" && value !== null && "document" in value
    ? { ...value, document: upToDate(value.document, randomUUID()) }
    : value;

/** Whether each option stands once in an order, and the chosen one is among them. */
function withOrder<Value>(
  request: Checked<Value>,
  { chosen, options }: DealOrder,
  place: string,
): Checked<Value> {
  if (!request.ok) return request;
  if (new Set(options).size < options.length) {
    return { ok: false, sentence: `${place}.options has an option twice; each must have an id of its own.` };
  }
  return options.includes(chosen)
    ? request
    : { ok: false, sentence: `${place}.chosen is ${chosen}; it must be the id of one of the options.` };
}

/** Whether every option is a deal file whose figures can be read. */
function withReadableFigures<Value>(
  request: Checked<Value>,
  options: readonly DealOption[],
  place: string,
): Checked<Value> {
  for (const [index, { inputs }] of options.entries()) {
    const file = checkDealFile(inputs, `${place}/options/${index}/inputs`);
    if (!file.ok) return file;
    const deal = readDeal(file.value);
    if (!deal.ok) return { ok: false, sentence: deal.failure.sentence };
    const [first] = options;
    if (first && inputs.currency !== first.inputs.currency) {
      const sentence = `The options are in ${first.inputs.currency} and ${inputs.currency}; a deal is in one currency.`;
      return { ok: false, sentence };
    }
  }
  return request;
}
