import { type KindName, kindNameOf } from "@/core";
import type { KindWords } from "./kind/words";
import type { DealFile } from "./kinds";
import { LEASE_WORDS } from "./lease/words/words";
import { LOAN_WORDS } from "./loan/words/words";

/** What was typed of each kind, in words: apart from the kinds, for what shows no answer. */
const WORDS = { loan: LOAN_WORDS, lease: LEASE_WORDS } satisfies Record<KindName, unknown>;

/** The words of a deal's kind. */
export const wordsOf = (file: DealFile): KindWords<DealFile> =>
  WORDS[kindNameOf(file)] as KindWords<DealFile>;
