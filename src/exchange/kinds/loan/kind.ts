import { costOfCredit, FREQUENCY_NAMES, type LoanDeal, type LoanQuote, success, summarizeLoan } from "@/core";
import { answerFreeQuestion } from "../../questions/free-questions";
import type { DealQuestion, FreeQuestion } from "../../questions/questions.schema";
import type { FileKind } from "../kind/kind";
import type { LoanFile } from "./file/file.schema";
import { answerDealQuestion } from "./questions";
import { quoteJson } from "./quote-json";
import { readLoan } from "./read";
import { recordOfLoan } from "./record";
import type { LoanRecord } from "./record.schema";
import { loanRows } from "./rows";

/** Loans, as they go in and out. */
export const LOAN_FILES: FileKind<LoanFile, LoanDeal, LoanQuote, DealQuestion | FreeQuestion, LoanRecord> = {
  read: readLoan,
  json: quoteJson,
  brief(deal) {
    const summary = summarizeLoan(deal);
    return summary.ok ? success(quoteJson(summary.value)) : summary;
  },
  answer(question, quote) {
    const { ask } = question;
    return ask === "timeValue" || ask === "rate" || ask === "apr"
      ? answerFreeQuestion(question, quote.deal.currency)
      : answerDealQuestion(question, quote);
  },
  rows: loanRows,
  paid: ({ frequency, datedPayments }) => (datedPayments ? "listed" : FREQUENCY_NAMES[frequency].adjective),
  listed: summarizeLoan,
  listedRecord: ({ figures }) => figures,
  record(optionId, quote) {
    const cost = costOfCredit(quote);
    return recordOfLoan(optionId, { ...quote, ...(cost.ok && { keptCost: cost.value }) });
  },
};
