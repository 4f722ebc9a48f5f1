import { costOfCredit, FREQUENCY_NAMES, type LoanDeal, type LoanQuote, success, summarizeLoan } from "@/core";
import { answerFreeQuestion } from "../../questions/free-questions";
import type { DealQuestion, FreeQuestion } from "../../questions/questions.schema";
import { KEEPING } from "../kind/kept-sentence";
import type { FileKind } from "../kind/kind";
import { earlyJson } from "./early-json";
import type { LoanFile } from "./file/file.schema";
import { answerDealQuestion } from "./questions";
import { quoteJson } from "./quote-json";
import { readLoan } from "./read";
import { recordOfLoan } from "./record";
import type { LoanRecord } from "./record.schema";
import { loanRows } from "./rows";
import { loanEnding } from "./words/ending";
import { loanSentence } from "./words/sentence";

/** Loans, as they go in and out. */
export const LOAN_FILES: FileKind<LoanFile, LoanDeal, LoanQuote, DealQuestion | FreeQuestion, LoanRecord> = {
  read: readLoan,
  json: quoteJson,
  brief(deal) {
    const summary = summarizeLoan(deal);
    return summary.ok ? success(quoteJson(summary.value)) : summary;
  },
  answer(question, quote, beside) {
    const { ask } = question;
    return ask === "timeValue" || ask === "rate" || ask === "apr"
      ? answerFreeQuestion(question, quote.deal.currency)
      : answerDealQuestion(question, quote, beside);
  },
  early: earlyJson,
  rows: loanRows,
  paid: ({ frequency, datedPayments }) => (datedPayments ? "listed" : FREQUENCY_NAMES[frequency].adjective),
  listed: summarizeLoan,
  listedRecord: ({ figures }) => figures,
  record(optionId, quote) {
    const cost = costOfCredit(quote);
    const record = recordOfLoan(optionId, { ...quote, ...(cost.ok && { keptCost: cost.value }) });
    const ending = loanEnding(quote, KEEPING);
    const sentence = [...loanSentence(quote, KEEPING), ...(ending ? [` ${ending}`] : [])];
    return { ...record, words: { ...record.words, sentence } };
  },
};
