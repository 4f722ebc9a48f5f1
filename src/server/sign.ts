import { CORE_VERSION } from "@/core";
import type { Signing } from "@/data/signings";
import type { DealDocument } from "@/exchange/deal-document";
import { Refusal } from "./refusal";
import { quotesOf } from "./signing";

/** How a signing comes about. */
const OCCASIONS = {
  /** Somebody signs a deal and waits: its chosen option has to have an answer. */
  signed: { maker: "awaited", needsAnswer: true, isLate: false },
  /** A deal that was signed elsewhere comes in, alone or as one of many. */
  arrives: { maker: "awaited", needsAnswer: false, isLate: false },
  arrivesWithMany: { maker: "many", needsAnswer: false, isLate: false },
  /** It was signed before quotes were kept. */
  late: { maker: "many", needsAnswer: false, isLate: true },
} as const;

type Occasion = keyof typeof OCCASIONS;

/**
 * Signs a deal: the quote of every option, as this core computes it, which is kept with it.
 *
 * @throws Refusal where it takes too much work, or has no answer to sign
 */
export async function sign({ options, chosen }: DealDocument, occasion: Occasion): Promise<Signing> {
  const { maker, needsAnswer, isLate } = OCCASIONS[occasion];
  const quotes = await quotesOf(options, maker);
  if (!quotes)
    throw new Refusal(422, "The quotes of this deal take too much work to be kept; it cannot be signed.");
  const quote = quotes.find(({ optionId }) => optionId === chosen);
  if (needsAnswer && quote?.kind === "none")
    throw new Refusal(422, `The chosen option has no answer and cannot be signed. ${quote.words.sentence}`);
  return { at: new Date(), coreVersion: CORE_VERSION, isLate, quotes };
}

/** A deal that comes in, with what it is signed with where it is. */
export async function withSigning<Document extends DealDocument & { changedAt?: Date }>(
  document: Document,
  occasion: "arrives" | "arrivesWithMany" = "arrivesWithMany",
) {
  if (document.status !== "signed") return document;
  const signing = await sign(document, occasion);
  // One of the demo was signed when it was last changed.
  const at = document.changedAt ?? signing.at;
  return { ...document, signing: { ...signing, at } };
}
