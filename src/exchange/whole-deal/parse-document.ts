import type { Checked } from "../checks";
import type { DealDocument } from "../deal-document";
import { type DealFile, readDeal } from "../deal-file";
import { type Dealer, type DealerOfOption, dealerOfFile, optionUpToDate } from "../dealer";
import { readJson } from "../text";
import { isWholeDeal, readFirstVersion, readWholeDeal, type WholeDeal } from "./read-whole-deal";

/** A deal from a file, which need not name its customer, and what the dealer alone sees of it. */
type FiledDeal = { document: Omit<DealDocument, "customer"> & { customer?: string }; dealer: Dealer };

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
  const deal = isWholeDeal(json.value)
    ? readWholeDeal(json.value)
    : ofOneOption(readFirstVersion(json.value));
  if (!deal.ok) return deal;
  const { heading, chosen, options: filed } = deal.value;
  const { customer, ...rest } = heading;
  const options: DealDocument["options"] = [];
  const known: Record<string, DealerOfOption> = {};
  for (const [index, { name, inputs, dealer }] of filed.entries()) {
    const sentence = inputs.ok ? unreadable(inputs.value) : inputs.sentence;
    if (sentence !== undefined || !inputs.ok) {
      return { ok: false, sentence: filed.length > 1 ? `Option ${index + 1}: ${sentence}` : `${sentence}` };
    }
    const option = optionUpToDate({ id: newId(), name, inputs: inputs.value });
    options.push(option);
    const ofOption = dealerOfFile(option.inputs.structure, dealer);
    if (Object.keys(ofOption).length > 0) known[option.id] = ofOption;
  }
  return {
    ok: true,
    value: {
      document: {
        ...rest,
        ...(customer !== undefined && { customer }),
        chosen: options[chosen]?.id ?? "",
        options,
      },
      dealer: Object.keys(known).length > 0 ? { options: known } : {},
    },
  };
}

function unreadable(inputs: DealFile): string | undefined {
  const deal = readDeal(inputs);
  return deal.ok ? undefined : deal.failure.sentence;
}

/** A file of version 1 as a deal. */
function ofOneOption({ inputs, dealer, ...place }: ReturnType<typeof readFirstVersion>): Checked<WholeDeal> {
  if (!inputs.ok) return inputs;
  const heading = { customer: undefined, vehicle: "", status: "quoting" as const, ...place };
  return { ok: true, value: { heading, chosen: 0, options: [{ name: "", inputs, dealer }] } };
}
