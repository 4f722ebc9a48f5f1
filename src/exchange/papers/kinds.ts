import { type KindName, kindNameOf, type Quote } from "@/core";
import type { PaperKind } from "../kinds/kind/paper-kind";
import { LEASE_PAPERS } from "../kinds/lease/papers";
import { LOAN_PAPERS } from "../kinds/loan/papers";

const PAPERS: Record<KindName, PaperKind<never>> = { loan: LOAN_PAPERS, lease: LEASE_PAPERS };

/** What of a deal's kind stands on papers. */
export const papersOf = (quote: Quote): PaperKind<Quote> =>
  PAPERS[kindNameOf(quote.filled)] as PaperKind<Quote>;
