import type { LeaseQuote, LoanQuote } from "@/core";
import { type Checked, checked } from "../checks";
import { recordOfLease } from "../kinds/lease/record";
import { recordOfLoan } from "../kinds/loan/record";
import { signedQuote } from "./compiled";
import { noAnswer } from "./no-answer";
import type { SignedQuote } from "./signed-quote.schema";

/**
 * Brings what an option was signed with up to date, wherever it was kept. What is up to date, or nothing of the kind,
 * comes back as it is, for the check to judge.
 *
 * - Without a version it is from before records: the answer in the form that the core had then.
 *
 * @param stored of any form that was ever kept
 */
function upToDate(stored: unknown): unknown {
  if (typeof stored !== "object" || stored === null || "version" in stored) return stored;
  const { optionId, sentence, quote } = stored as Partial<BeforeRecords>;
  if (typeof optionId !== "string") return stored;
  if (typeof sentence === "string") return noAnswer(optionId, sentence);
  if (typeof quote !== "object" || quote === null) return stored;
  if (quote.kind !== "lease") return recordOfLoan(optionId, quote);
  const { lease, ...figures } = quote;
  return recordOfLease(optionId, { ...figures, deal: lease });
}

/** The answer of a lease called what it was asked `lease`. */
type LeaseBefore = Omit<LeaseQuote, "deal"> & { lease: LeaseQuote["deal"] };
type BeforeRecords = { optionId: string; sentence: string; quote: LoanQuote | LeaseBefore };

/** What an option was signed with, of any form that was ever kept; or in one sentence why it cannot be read. */
export function readSignedQuote(stored: unknown): Checked<SignedQuote> {
  try {
    return checked<SignedQuote>(signedQuote, upToDate(stored));
  } catch {
    return { ok: false, sentence: "It is of no form that was ever kept." };
  }
}

/** The same for what a deal was signed with; where one cannot be read, that is what is said of its option. */
export function readSignedQuotes(stored: readonly unknown[]): SignedQuote[] {
  return stored.map(each => {
    const read = readSignedQuote(each);
    if (read.ok) return read.value;
    const id = (each as { optionId?: unknown } | null)?.optionId;
    return noAnswer(
      typeof id === "string" ? id : "",
      `What this option was signed with cannot be read: ${read.sentence}`,
    );
  });
}
