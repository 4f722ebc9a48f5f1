import { randomUUID } from "node:crypto";
import { type Checked, checked } from "@/exchange/checks";
import { dealerFile } from "@/exchange/checks/compiled";
import {
  type Asides,
  type DealOption,
  type DealOrder,
  orderOf,
  saveUpToDate,
  upToDate,
} from "@/exchange/deal-document";
import { readDeal } from "@/exchange/deal-file";
import { checkDealFile } from "@/exchange/deal-file/parse";
import { type Dealer, type DealerFile, dealerApart, dealerOfFile, optionUpToDate } from "@/exchange/dealer";
import { readEarly } from "@/exchange/extra-payments/read-early";
import { readStated } from "@/exchange/match/read-stated";
import {
  dealerRequest,
  importRequest,
  nameRequest,
  newDealRequest,
  restoreRequest,
  sameRequest,
  saveRequest,
} from "./compiled";
import type {
  DealerRequest,
  ImportRequest,
  NameRequest,
  NewDealRequest,
  RestoreRequest,
  SameRequest,
  SaveRequest,
} from "./requests.schema";

export const checkImportRequest = (value: unknown): Checked<ImportRequest> =>
  checked<ImportRequest>(importRequest, value);

export const checkNameRequest = (value: unknown): Checked<NameRequest> =>
  checked<NameRequest>(nameRequest, value);

export const checkSameRequest = (value: unknown): Checked<SameRequest> =>
  checked<SameRequest>(sameRequest, value);

export const checkRestoreRequest = (value: unknown): Checked<RestoreRequest> =>
  checked<RestoreRequest>(restoreRequest, value);

/** A new deal's form, and figures that can be read. A deal that has no answer yet may be kept. */
export function checkNewDealRequest(value: unknown): Checked<NewDealRequest> {
  const request = checked<NewDealRequest>(newDealRequest, withDocument(value));
  if (!request.ok) return request;
  const { document } = request.value;
  const read = readOptions(document.options, "/document");
  if (!read.ok) return read;
  const { options, ...dealer } = read.value;
  const wrong = unreadableAsides(document.asides, options, "document");
  if (wrong !== undefined) return { ok: false, sentence: wrong };
  const current: NewDealRequest = { document: { ...document, options }, ...dealer };
  return withOrder({ ok: true, value: current }, orderOf(document), "document");
}

/** The same for a save, of whatever form. */
export function checkSaveRequest(value: unknown): Checked<SaveRequest> {
  const request = checked<SaveRequest>(saveRequest, saveUpToDate(value));
  if (!request.ok) return request;
  const { change } = request.value;
  const read = readOptions(change.options ?? [], "/change");
  if (!read.ok) return read;
  const { options, ...dealer } = read.value;
  const wrong = unreadableAsides(change.asides, options, "change");
  if (wrong !== undefined) return { ok: false, sentence: wrong };
  const current: SaveRequest = {
    ...request.value,
    change: { ...change, ...(change.options && { options }) },
    ...dealer,
  };
  const saved = { ok: true, value: current } as const;
  return change.order ? withOrder(saved, change.order, "change.order") : saved;
}

/** A currency with as many decimals as any: for what is tried on options that were not sent along. */
const FINEST = "KWD";

/** What cannot be read of what is tried on options, with its place; undefined where all can be. */
function unreadableAsides(
  asides: Asides | undefined,
  sent: readonly DealOption[],
  place: string,
): string | undefined {
  const currency = sent[0]?.inputs.currency ?? FINEST;
  for (const [id, { early, theirs = {} }] of Object.entries(asides?.options ?? {})) {
    const read = readEarly(early, currency);
    if (!read.ok) return `${place}.asides.options.${id}.early: ${read.failure.sentence}`;
    const stated = readStated(theirs, currency);
    if (!stated.ok) return `${place}.asides.options.${id}.theirs: ${stated.failure.sentence}`;
  }
  return undefined;
}

/** The same for a save of the dealer's part. */
export const checkDealerRequest = (value: unknown): Checked<DealerRequest> =>
  checked<DealerRequest>(dealerRequest, value);

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

/** Options that were sent, and what the dealer alone sees of them, which a page of before sends with them. */
type ReadOptions = { options: DealOption[]; dealer?: Dealer };

/** Whether every option is a deal file whose figures can be read. */
function readOptions(sent: readonly DealOption[], place: string): Checked<ReadOptions> {
  const known: NonNullable<Dealer["options"]> = {};
  const options: DealOption[] = [];
  for (const [index, option] of sent.entries()) {
    const apart = dealerApart(option.inputs);
    const file = checkDealFile(apart.option, `${place}/options/${index}/inputs`);
    if (!file.ok) return file;
    const deal = readDeal(file.value);
    if (!deal.ok) return { ok: false, sentence: deal.failure.sentence };
    const current = optionUpToDate({ ...option, inputs: file.value });
    const [first = current] = options;
    if (current.inputs.currency !== first.inputs.currency) {
      const sentence = `The options are in ${first.inputs.currency} and ${current.inputs.currency}; a deal is in one currency.`;
      return { ok: false, sentence };
    }
    options.push(current);
    if (apart.dealer === undefined) continue;
    const filed = checked<DealerFile>(dealerFile, apart.dealer, `${place}/options/${index}/inputs/dealer`);
    if (!filed.ok) return filed;
    known[option.id] = dealerOfFile(current.inputs.structure, filed.value);
  }
  const isKnown = Object.keys(known).length > 0;
  return { ok: true, value: { options, ...(isKnown && { dealer: { options: known } }) } };
}
