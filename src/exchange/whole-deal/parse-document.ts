import type { Checked } from "../checks";
import type { DealDocument } from "../deal-document";
import { type DealFile, readDeal } from "../deal-file";
import { checkDealFile } from "../deal-file/parse";
import { readJson } from "../text";
import { isWholeDeal, readWholeDeal, type WholeDeal } from "./read-whole-deal";

/** A deal from a file, which need not name its customer. */
type FiledDeal = Omit<DealDocument, "customer"> & { customer?: string };

/**
 * Reads the text of a deal file of any version into a deal. Unlike an answer, it takes no deal of which an option cannot
 * be read.
 *
 * @param newId makes the id of an option
 * @returns the deal, or one sentence with what is wrong
 */
export function parseDealDocument(text: string, newId: () => string): Checked<FiledDeal> {
  const json = readJson(text);
  if (!json.ok) return json;
  const deal = isWholeDeal(json.value) ? readWholeDeal(json.value) : ofOneOption(checkDealFile(json.value));
  if (!deal.ok) return deal;
  const { heading, chosen, options: filed } = deal.value;
  const { customer, ...rest } = heading;
  const options: DealDocument["options"] = [];
  for (const [index, { name, inputs }] of filed.entries()) {
    const sentence = inputs.ok ? unreadable(inputs.value) : inputs.sentence;
    if (sentence !== undefined || !inputs.ok) {
      return { ok: false, sentence: filed.length > 1 ? `Option ${index + 1}: ${sentence}` : `${sentence}` };
    }
    options.push({ id: newId(), name, inputs: inputs.value });
  }
  return {
    ok: true,
    value: {
      ...rest,
      ...(customer !== undefined && { customer }),
      chosen: options[chosen]?.id ?? "",
      options,
    },
  };
}

function unreadable(inputs: DealFile): string | undefined {
  const deal = readDeal(inputs);
  return deal.ok ? undefined : deal.failure.sentence;
}

/** A file of version 1 as a deal. */
function ofOneOption(inputs: Checked<DealFile>): Checked<WholeDeal> {
  if (!inputs.ok) return inputs;
  const heading = { customer: undefined, vehicle: "", status: "quoting" as const };
  return { ok: true, value: { heading, chosen: 0, options: [{ name: "", inputs }] } };
}
