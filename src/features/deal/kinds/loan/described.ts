import { quoteBy } from "@/core";
import { answer } from "@/core/kinds/loan/find";
import { type LoanFile, readLoan } from "@/exchange/kinds/loan";
import { planTitle, planWords } from "@/exchange/kinds/loan/plan";
import { structureWords } from "@/exchange/structure";
import { amountText } from "@/exchange/text";
import { type LoanView, STRUCTURE_FIELD_NAMES } from "../../fields";
import { describedFields } from "../../option/described-fields";
import { PLAN_FIELD_NAMES } from "./fields/plan-fields";
import { PLAIN_LOAN } from "./plain-loan";

/** A loan's figures by name, typed and found. */
export function describedLoan(inputs: LoanFile): Record<string, string> {
  const deal = readLoan(inputs);
  const quote = deal.ok ? quoteBy(answer, deal.value) : deal;
  const view: LoanView = { kind: "loan", inputs, deal, quote: quote.ok ? quote.value : null };
  const { plan, currency } = inputs;
  return {
    ...describedFields(STRUCTURE_FIELD_NAMES, view, PLAIN_LOAN),
    ...Object.fromEntries(structureWords(inputs.structure, currency)),
    "Amount financed": view.quote ? amountText(view.quote.amountFinanced, currency) : "no answer",
    Plan: [planTitle(plan), ...planWords(plan, currency)].join("; "),
    ...describedFields(PLAN_FIELD_NAMES, view, PLAIN_LOAN),
    "Payment rounded": plan.rounding ?? "nearest",
  };
}
