import { type DealDocument, isSame, optionOf } from "@/exchange/deal-document";
import type { DealFile } from "@/exchange/deal-file";
import { openOption } from "../option";
import { loadFor } from "../option/loading";

/**
 * Whether the changes of two go together: each option that both have changed is one that a file could hold, and has an
 * answer where it has one for each of them.
 */
export async function holdsTogether(
  merged: DealDocument,
  mine: DealDocument,
  theirs: DealDocument,
): Promise<boolean> {
  // Seldom asked: the screen starts without the code for it.
  const { checkDealFile } = await import("@/exchange/deal-file/parse");
  const isGood = async ({ id, inputs }: DealDocument["options"][number]) => {
    const sides = [mine, theirs].flatMap(document => optionOf(document, id)?.inputs ?? []);
    if (sides.some(side => isSame(side, inputs))) return true;
    if (!checkDealFile(inputs).ok) return false;
    const kinds = await loadFor([inputs, ...sides]);
    const hasAnswer = (file: DealFile) => openOption(file, kinds).answer.ok;
    return hasAnswer(inputs) || !sides.every(hasAnswer);
  };
  return (await Promise.all(merged.options.map(isGood))).every(Boolean);
}
